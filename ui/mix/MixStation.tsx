'use client';
import { useState } from 'react';
import { wayOf } from '@/core/families';
import { sayC, sayDuration, sayGrams, there } from '@/core/units';
import { Column, Facts, More, Say, Soft, Toggle, Told } from '../kit';
import { Method } from '../method/Method';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';
import { MEASURES, MEASURE_WORDS, useMeasure } from '../kit/measure';
import { NotYet } from './NotYet';
import { Ways } from './Ways';
import { grounded } from '../kit/grounded';

const BlendPanel = grounded(() => import('./BlendPanel'));
const WaterPanel = grounded(() => import('./WaterPanel'));
const ScalePanel = grounded(() => import('./ScalePanel').then((m) => m.ScalePanel));
const SaucesPanel = grounded(() => import('./SaucesPanel').then((m) => m.SaucesPanel));
const ShoppingPanel = grounded(() => import('./ShoppingPanel').then((m) => m.ShoppingPanel));
const FillingsPanel = grounded(() => import('./FillingsPanel').then((m) => m.FillingsPanel));
const WeighPanel = grounded(() => import('./WeighPanel').then((m) => m.WeighPanel));
const AddLines = grounded(() => import('./AddLines'));
const WaitsPanel = grounded(() => import('./WaitsPanel').then((m) => m.WaitsPanel));

/** What is filled and rolled. */
const WEIGHED = ['weigh', 'choose'] as const;

/** Mix: what goes in, how it pours, how it will eat. */
export function MixStation(props: StationProps) {
  const { forecast } = props;
  const { light } = forecast;
  const [measure, setMeasure] = useMeasure();
  const [table, setTable] = useState(false);
  const b = there(light.balance.batters[0]);
  const c = there(light.consistency[0]);
  const topUp = there(light.balance.batters[0]).topUpG;
  const filled = wayOf(light.family).bends;
  return (
    <Column>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, justifyContent: 'space-between' }}>
        <Toggle
          label="Shown as"
          value={table ? 'table' : 'said'}
          options={[
            { value: 'said', words: 'Sentences' },
            { value: 'table', words: 'Weigh-out table' },
          ]}
          onChange={(v) => setTable(v === 'table')}
        />
        <Toggle
          label="Measure in"
          value={measure}
          options={MEASURES.map((m) => ({ value: m, words: MEASURE_WORDS[m] }))}
          onChange={setMeasure}
        />
      </div>
      {table ? (
        <WeighPanel {...props} />
      ) : (
        <div>
          <Method
            {...props}
            station="mix"
            leave={WEIGHED}
            under={{
              mix: () => (
                <More
                  label="About the blend"
                  of={[
                    {
                      name: 'Blend',
                      hint: 'the field of three flours, and blends that are found',
                      draw: () => <BlendPanel {...props} />,
                    },
                    {
                      name: 'Water',
                      hint: 'where the water comes from, how it pours, how warm',
                      draw: () => <WaterPanel {...props} />,
                    },
                    { name: 'Add an ingredient', draw: () => <AddLines {...props} /> },
                  ]}
                />
              ),
            }}
          />
          <NotYet {...props} />
          <Ways {...props} />
        </div>
      )}
      <Facts>
        <WhyFact forecast={forecast} path="balance.batters.0.hydration" name="Hydration" note="water ÷ dry">
          {b.hydration.toFixed(2)}
        </WhyFact>
        <WhyFact forecast={forecast} path="balance.batters.0.liquidToDry" name="Liquid : dry">
          {b.liquidToDry.toFixed(2)}
        </WhyFact>
        <WhyFact
          forecast={forecast}
          path="consistency.0.viscosityMPas"
          name="Pours like"
          note={
            c.viscosityMPas === undefined
              ? undefined
              : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s`
          }
        >
          {c.words}
        </WhyFact>
        <WhyFact forecast={forecast} path="consistency.0.stirEveryS" name="Stir each" note="it settles">
          {Number.isFinite(c.stirEveryS) ? sayDuration(c.stirEveryS) : 'never'}
        </WhyFact>
        <WhyFact
          forecast={forecast}
          path="balance.salt.pctOfTotal"
          name="Salt"
          note={`${light.balance.salt.leftG.toFixed(1)} g left in`}
        >
          {light.balance.salt.pctOfTotal.toFixed(2)} %
        </WhyFact>
        {there(props.plan.batters[0]).wantedLiquidG !== undefined ? (
          <WhyFact forecast={forecast} path="balance.batters.0.topUpG" name="Top up with water">
            <span data-testid="top-up">
              <Told>{sayGrams(topUp)}</Told>
            </span>
          </WhyFact>
        ) : null}
        <WhyFact forecast={forecast} path="balance.massG" name="In all">
          {sayGrams(light.balance.massG)}
        </WhyFact>
      </Facts>
      <More
        label="Part of the mix"
        of={[
          ...(filled && !table ? [{ name: 'Fillings', draw: () => <FillingsPanel {...props} /> }] : []),
          { name: 'Sauces', draw: () => <SaucesPanel {...props} /> },
          { name: 'Scale', draw: () => <ScalePanel {...props} /> },
          { name: 'Waits', draw: () => <WaitsPanel {...props} /> },
          { name: 'Buy', draw: () => <ShoppingPanel {...props} /> },
        ]}
      />
      {light.balance.problems.map((p) => (
        <Say key={p.path + p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      <Soft>
        <Told>
          {`Poured ${light.pour.words}, at about ${sayC(light.pour.startC.value)}; the starch gels around ${sayC(light.gelling.midpointC)}.`}
        </Told>
      </Soft>
    </Column>
  );
}

'use client';
import { useState } from 'react';
import { wayOf } from '@/core/families';
import { sayC } from '@/core/units';
import { Column, More, Say, Soft, Toggle, Told } from '../kit';
import { Method } from '../method/Method';
import type { StationProps } from '../plan/StationProps';
import { MEASURES, MEASURE_WORDS, useMeasure } from '../kit/measure';
import { MixFacts } from './MixFacts';
import { NotYet } from './NotYet';
import { Ways } from './Ways';
import { grounded } from '../kit/grounded';
import { later } from '../kit/later';

const BlendPanel = later(() => import('./BlendPanel'));
const WaterPanel = later(() => import('./WaterPanel'));
const ScalePanel = later(() => import('./ScalePanel').then((m) => m.ScalePanel));
const SaucesPanel = later(() => import('./SaucesPanel').then((m) => m.SaucesPanel));
const ShoppingPanel = later(() => import('./ShoppingPanel').then((m) => m.ShoppingPanel));
const FillingsPanel = grounded(() => import('./FillingsPanel').then((m) => m.FillingsPanel));
const WeighPanel = grounded(() => import('./WeighPanel').then((m) => m.WeighPanel));
const AddLines = grounded(() => import('./AddLines'));
const WaitsPanel = later(() => import('./WaitsPanel').then((m) => m.WaitsPanel));

/** Steps that weigh and choose have their own places here. */
const WEIGHED = ['weigh', 'choose'] as const;

/** Mix: what goes in, how it pours, how it will eat. */
export function MixStation(props: StationProps) {
  const { forecast } = props;
  const { light } = forecast;
  const [measure, setMeasure] = useMeasure();
  const [table, setTable] = useState(false);
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
      <MixFacts plan={props.plan} forecast={forecast} />
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

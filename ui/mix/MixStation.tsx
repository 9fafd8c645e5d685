'use client';
import { useState } from 'react';
import { schoolOf, type CookedHow } from '@/core/families';
import { chooseSchool, extraStarchIn, type SchoolQuestion } from '@/core/plan';
import { sayC, sayDuration, sayGrams } from '@/core/units';
import { Choice, Column, Fact, Facts, More, NumberField, SaidLine, Say, Soft, Toggle, Told } from '../kit';
import { Method } from '../method/Method';
import { WhyFigure } from '../method/WhyFigure';
import type { StationProps } from '../plan/StationProps';
import { AmountCell } from './AmountCell';
import { changeBatter, weighLine } from './editLines';
import { MEASURES, MEASURE_WORDS, useMeasure } from './measure';
import { grounded } from '../kit/grounded';

const BlendPanel = grounded(() => import('./BlendPanel'));
const WaterPanel = grounded(() => import('./WaterPanel'));
const ScalePanel = grounded(() => import('./ScalePanel').then((m) => m.ScalePanel));
const SaucesPanel = grounded(() => import('./SaucesPanel').then((m) => m.SaucesPanel));
const ShoppingPanel = grounded(() => import('./ShoppingPanel').then((m) => m.ShoppingPanel));
const WeighPanel = grounded(() => import('./WeighPanel').then((m) => m.WeighPanel));
const AddLines = grounded(() => import('./AddLines'));
const WaitsPanel = grounded(() => import('./WaitsPanel').then((m) => m.WaitsPanel));

const QUESTIONS: readonly (readonly [SchoolQuestion, string])[] = [
  ['extraStarch', 'Extra starch'],
  ['rest', 'Rest the batter'],
  ['yeast', 'Yeast'],
  ['release', 'Sheet release'],
];
/** What is filled and rolled. */
const FILLED: ReadonlySet<CookedHow> = new Set(['sheets', 'pan-film']);
const WEIGHED = ['weigh', 'choose'] as const;

/** Where cooks disagree: this plan's way, chosen where it is said. */
function Ways({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const asked = QUESTIONS.filter(([q]) => light.family.schools[q]);
  const off = schoolOf(light.family, plan.schools, 'rest') === 'pour-off';
  if (asked.length === 0 && !off) return null;
  return (
    <SaidLine>
      {asked.map(([q, words], i) => (
        <span key={q}>
          {i > 0 ? '; ' : ''}
          {i > 0 ? words.toLowerCase() : words}:{' '}
          <Choice
            as="said"
            label={words}
            value={q === 'extraStarch' ? extraStarchIn(plan) : (schoolOf(light.family, plan.schools, q) ?? '')}
            options={(light.family.schools[q]?.options ?? []).map((o) => ({
              value: o.id,
              words: o.words.toLowerCase(),
              hint: o.differs,
            }))}
            onChange={(v) => edit(`school.${q}`, (p) => chooseSchool(p, q, v))}
          />
        </span>
      ))}
      {off
        ? plan.batters.map((b, i) => (
            <span key={b.id}>
              ; poured off{' '}
              <NumberField
                as="said"
                label="Poured off"
                value={b.pouredOffG}
                min={0}
                max={50_000}
                unit="g"
                onChange={(pouredOffG) => edit(`batter.${i}.off`, (p) => changeBatter(p, i, { pouredOffG }))}
                onClear={() => edit(`batter.${i}.off`, (p) => changeBatter(p, i, { pouredOffG: undefined }))}
              />
            </span>
          ))
        : null}
      .
    </SaidLine>
  );
}

/** Lines that are in the plan with nothing of them yet: no step can speak of them. */
function NotYet({ plan, forecast, edit }: StationProps) {
  const { larder } = forecast.light.resolved;
  const empty = [
    ...plan.batters.flatMap((b, place) => b.lines.map((line, index) => ({ line, place, index }))),
    ...plan.addIns.map((line, index) => ({ line, place: 'addIns' as const, index })),
  ].filter((x) => x.line.massG < 0.0005);
  if (empty.length === 0) return null;
  return (
    <SaidLine>
      Not in it yet:{' '}
      {empty.map(({ line, place, index }, i) => {
        const ingredient = larder.get(line.ingredient);
        const name = ingredient?.name ?? line.ingredient;
        return (
          <span key={line.id}>
            {i > 0 ? ', ' : ''}
            <AmountCell
              as="said"
              ingredient={ingredient}
              name={name}
              massG={line.massG}
              onChange={(massG) => edit(`${place}.${line.id}.massG`, (p) => weighLine(p, place, index, massG))}
            />{' '}
            {name.toLowerCase()}
          </span>
        );
      })}
      . How much of it?
    </SaidLine>
  );
}

/** Mix: what goes in, how it pours, how it will eat. */
export function MixStation(props: StationProps) {
  const { forecast } = props;
  const { light } = forecast;
  const [measure, setMeasure] = useMeasure();
  const [table, setTable] = useState(false);
  const b = light.balance.batters[0];
  const c = light.consistency[0];
  const topUp = light.balance.batters[0].topUpG;
  const filled = FILLED.has(light.family.cooked);
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
        <Fact name="Hydration" note="water ÷ dry">
          <WhyFigure forecast={forecast} path="balance.batters.0.hydration">
            {b.hydration.toFixed(2)}
          </WhyFigure>
        </Fact>
        <Fact name="Liquid : dry">{b.liquidToDry.toFixed(2)}</Fact>
        <Fact
          name="Pours like"
          note={
            c.viscosityMPas === undefined
              ? undefined
              : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s`
          }
        >
          {c.words}
        </Fact>
        <Fact name="Stir each" note="it settles">
          {Number.isFinite(c.stirEveryS) ? sayDuration(c.stirEveryS) : 'never'}
        </Fact>
        <Fact name="Salt" note={`${light.balance.salt.leftG.toFixed(1)} g left in`}>
          <WhyFigure forecast={forecast} path="balance.salt.pctOfTotal">
            {light.balance.salt.pctOfTotal.toFixed(2)} %
          </WhyFigure>
        </Fact>
        {props.plan.batters[0].wantedLiquidG !== undefined ? (
          <Fact name="Top up with water">
            <span data-testid="top-up">
              <Told>{sayGrams(topUp)}</Told>
            </span>
          </Fact>
        ) : null}
        <Fact name="In all">{sayGrams(light.balance.massG)}</Fact>
      </Facts>
      <More
        label="Part of the mix"
        of={[
          ...(filled && !table ? [{ name: 'Fillings', draw: () => <WeighPanel {...props} fillingsOnly /> }] : []),
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

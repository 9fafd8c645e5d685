'use client';
import { useRouter } from 'next/navigation';
import NextLink from 'next/link';
import { useMemo, useState } from 'react';
import { compare, type Compared, type FigureRow } from '@/core/desk/compare';
import { lifeOf, momentOf } from '@/core/work/timeline';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { inUnits, sayDuration, sayGrams, there } from '@/core/units';
import type { Beside, BesideChoice } from '@/server/beside';
import { SaidChoice, Say, Soft, useUnits } from '../kit';
import { KitchenContext, useKitchenHand } from '../kitchen/useKitchen';
import type { PackedKitchen } from '../kitchen/packed';
import list from '../kit/list.module.css';
import { AXIS_WORDS } from '../kit/TextureBars';
import { useOnDevice } from '../kit/useOnDevice';
import { useForecast } from '../plan/useForecast';
import { PairLines } from './PairLines';
import { PairStage, type OfPair } from './PairStage';
import { triedPlan } from '../plan/triedPlan';
import look from './compare.module.css';

/** What a change or fix would make of the plan, kept in this window. */
export const TRIED = 'tried';

/** A plan beside another, an earlier version of itself, a past batch, or a fix: one stage, one clock, and what differs. */
export function ComparePage({
  id,
  plan,
  choices,
  asked,
  beside,
  kitchen,
}: {
  id: string;
  plan: Plan;
  choices: readonly BesideChoice[];
  asked: string;
  beside: Beside | null;
  kitchen: PackedKitchen;
}) {
  const router = useRouter();
  const hand = useKitchenHand(kitchen);
  const here = useOnDevice();
  const tried = useMemo(() => (here && asked === TRIED ? triedPlan(id) : undefined), [here, asked, id]);
  const other = beside ?? tried;
  const options = [...(asked === TRIED ? [{ value: TRIED, words: tried?.words ?? 'what was tried' }] : []), ...choices];
  return (
    <KitchenContext value={hand}>
      <div className={list.top}>
        <h1 className={list.title}>
          <NextLink prefetch={false} href={`/plans/${id}`}>
            {plan.name}
          </NextLink>{' '}
          beside{' '}
          <SaidChoice
            label="Laid beside"
            value={asked}
            options={options.length > 0 ? options : [{ value: '', words: 'nothing yet' }]}
            onChange={(value) => router.replace(`/plans/${id}/compare?with=${encodeURIComponent(value)}`)}
          />
        </h1>
      </div>
      {other ? (
        <Pair
          names={[plan.name, other.words]}
          plans={[plan, other.plan]}
          kitchens={[hand.kitchen, beside?.kitchen ?? hand.kitchen]}
        />
      ) : (
        <Soft>
          {options.length === 0
            ? 'There is nothing to lay beside it yet: change the plan, cook it, or make another.'
            : here
              ? 'That is not here any more; choose another.'
              : ' '}
        </Soft>
      )}
    </KitchenContext>
  );
}

function Pair({
  names,
  plans,
  kitchens,
}: {
  names: readonly [string, string];
  plans: readonly [Plan, Plan];
  /** A batch is forecast in the kitchen it was cooked in. */
  kitchens: readonly [Kitchen, Kitchen];
}) {
  const a = useForecast(plans[0], kitchens[0]);
  const b = useForecast(plans[1], kitchens[1]);
  const [left, right] = names[0] === names[1] ? [`${names[0]}, left`, `${names[1]}, right`] : names;
  const pair = useMemo((): readonly OfPair[] | undefined => {
    if (!a.forecast || !b.forecast) return undefined;
    return [
      { name: left, forecast: a.forecast, life: lifeOf(a.forecast) },
      { name: right, forecast: b.forecast, life: lifeOf(b.forecast) },
    ];
  }, [a.forecast, b.forecast, left, right]);
  const compared = useMemo(
    () => (a.forecast && b.forecast ? compare(a.forecast, b.forecast) : undefined),
    [a.forecast, b.forecast],
  );
  const [moved, setAt] = useState<number | undefined>(undefined);
  if (!pair || !compared)
    return [...a.problems, ...b.problems].map((p) => (
      <Say key={p.code + p.path} tone="stop">
        {p.sentence}
      </Say>
    ));
  const atS = moved ?? momentOf(there(pair[0]).life, 'steam');
  const heating = a.heating || b.heating;
  return (
    <>
      <section className={look.stage} aria-label="Both cakes on one stage" aria-busy={heating}>
        <span
          className={look.at}
        >{`${sayDuration(atS)} from the first step${heating ? ', working out the heat' : ''}`}</span>
        <PairStage pair={pair} atS={atS} />
      </section>
      <PairLines pair={pair} atS={atS} onAt={setAt} />
      <Differences compared={compared} names={[there(pair[0]).name, there(pair[1]).name]} />
    </>
  );
}

function Differences({ compared, names }: { compared: Compared; names: readonly [string, string] }) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  const grams = compared.grams.filter((g) => all || Math.abs((g.a ?? 0) - (g.b ?? 0)) >= 0.05);
  const say = (g: number | null) => (g === null ? 'none' : inUnits(sayGrams(g), units));
  const head = (
    <thead>
      <tr>
        <th scope="col" />
        <th scope="col" title={names[0]}>
          {names[0]}
        </th>
        <th scope="col" title={names[1]}>
          {names[1]}
        </th>
        <th scope="col">by</th>
      </tr>
    </thead>
  );
  return (
    <div className={look.tables}>
      <section aria-label="In grams">
        <h2 className={list.heading}>In grams</h2>
        {grams.length === 0 ? <Soft>The same to the gram.</Soft> : null}
        <table className={look.table}>
          {grams.length > 0 ? head : null}
          <tbody>
            {grams.map((g) => (
              <tr key={g.name}>
                <th scope="row">{g.name}</th>
                <td>{say(g.a)}</td>
                <td>{say(g.b)}</td>
                <td>{byGrams((g.b ?? 0) - (g.a ?? 0), units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <button type="button" className={look.more} onClick={() => setAll(!all)}>
          {all ? 'Only what differs' : 'All of it'}
        </button>
      </section>
      <section aria-label="In minutes and sizes">
        <h2 className={list.heading}>In minutes and sizes</h2>
        <table className={look.table}>
          {head}
          <tbody>
            {compared.minutes.map((r) => (
              <Figures key={r.name} row={r} />
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="To eat">
        <h2 className={list.heading}>To eat, estimated</h2>
        {compared.texture.map((t) => (
          <div key={t.axis} className={look.axis}>
            <span>{AXIS_WORDS[t.axis as keyof typeof AXIS_WORDS]}</span>
            <svg viewBox="0 0 200 18" aria-hidden>
              <path d="M0,9H200" stroke="var(--line)" />
              <path d={`M${20 * t.a},9H${20 * t.b}`} stroke="var(--steam)" strokeWidth="3" />
              <circle cx={20 * t.a} cy="9" r="5" fill="none" stroke="var(--accent)" strokeWidth="2" />
              <circle cx={20 * t.b} cy="9" r="5" fill="var(--accent)" />
            </svg>
            <b>{`${t.a.toFixed(1)} · ${t.b.toFixed(1)}`}</b>
          </div>
        ))}
        <Soft>{`Ring: ${names[0]}. Dot: ${names[1]}.`}</Soft>
        <h2 className={list.heading}>Safe</h2>
        {compared.safety.map((r) => (
          <p key={r.name} className={look.safe}>
            <b>{r.name}</b> {inUnits(r.same ? `both: ${r.a}` : `${names[0]}: ${r.a} ${names[1]}: ${r.b}`, units)}
          </p>
        ))}
      </section>
    </div>
  );
}

const byGrams = (d: number, units: Parameters<typeof inUnits>[1]): string =>
  Math.abs(d) < 0.05 ? '' : `${d > 0 ? '+' : '−'}${inUnits(sayGrams(Math.abs(d)), units)}`;

function Figures({ row }: { row: FigureRow }) {
  const units = useUnits();
  return (
    <tr className={row.same ? look.same : undefined}>
      <th scope="row">{row.name}</th>
      <td>{inUnits(row.a, units)}</td>
      <td>{inUnits(row.b, units)}</td>
      <td>{inUnits(row.by, units)}</td>
    </tr>
  );
}

'use client';
import { later } from '../kit/later';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { forecastLight, type LightForecast } from '@/core/forecast';
import { leverNow, leversOf, planWith, takeLever, type Lever, type LeverId } from '@/core/desk/whatIf';
import type { Plan } from '@/core/plan';
import { inUnits, sayDuration, there } from '@/core/units';
import { keepTried, leaveToTake } from '../plan/keepTried';
import { Press, Say, Soft, useUnits } from '../kit';
import list from '../kit/list.module.css';
import { useOnDevice } from '../kit/useOnDevice';
import { KitchenContext, useKitchenHand } from '../kitchen/useKitchen';
import type { PackedKitchen } from '../kitchen/packed';
import type { StoredPlanDoc } from '../plan/documentState';
import { ChangeMap } from './ChangeMap';
import type { PastDot } from './LeverCharts';
import { TextureKey } from './TextureKey';
import { useCurves, usePoints, type Point } from './useSweep';
import look from './try.module.css';

const LeverCharts = later(() => import('./LeverCharts').then((m) => m.LeverCharts));

/** A batch that was cooked: its plan as it was, and when its pick was clean. */
export interface Cooked {
  readonly name: string;
  readonly plan: Plan;
  readonly cleanAtS: number | null;
}

/** Turns one quantity of a plan from end to end of its band and beyond, and shows what it does; any point can be taken as the plan. */
export function TryPage({
  stored,
  kitchen: packed,
  cooked,
}: {
  stored: StoredPlanDoc;
  kitchen: PackedKitchen;
  cooked: readonly Cooked[];
}) {
  const hand = useKitchenHand(packed);
  const { kitchen } = hand;
  const here = useOnDevice();
  const light = useMemo(() => forecastLight(stored.plan, kitchen), [stored.plan, kitchen]);
  return (
    <KitchenContext value={hand}>
      <div className={list.top}>
        <h1 className={list.title}>
          Try a change on{' '}
          <NextLink prefetch={false} href={`/plans/${stored.id}`}>
            {stored.plan.name}
          </NextLink>
        </h1>
      </div>
      {!light.ok ? (
        light.problems.map((p) => (
          <Say key={p.code + p.path} tone="stop">
            {p.sentence}
          </Say>
        ))
      ) : here ? (
        <Levers stored={stored} light={light.value} cooked={cooked} />
      ) : null}
    </KitchenContext>
  );
}

interface Picked {
  readonly values: readonly (readonly [LeverId, number])[];
}

function Levers({ stored, light, cooked }: { stored: StoredPlanDoc; light: LightForecast; cooked: readonly Cooked[] }) {
  const router = useRouter();
  const units = useUnits();
  const { kitchen, document: plan } = light.resolved;
  const levers = useMemo(() => leversOf(light), [light]);
  const ask = usePoints(plan, kitchen);
  const { curves, left } = useCurves(levers, ask);
  const [picked, setPicked] = useState<Picked | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const dots = useMemo(() => dotsOf(cooked, levers, light), [cooked, levers, light]);
  const changed = (): Plan => planWith(light, picked?.values ?? [], takeLever) ?? plan;
  const words = (picked?.values ?? [])
    .map(([id, v]) => {
      const l = levers.find((x) => x.id === id);
      return l ? `${l.name} ${v.toFixed(l.decimals)} ${l.unit}` : '';
    })
    .join(', ');
  const take = () => {
    if (leaveToTake(stored.id, changed())) router.push(`/plans/${stored.id}`);
    else setTrouble('This browser stores nothing, so it cannot be handed to the bench; change it there.');
  };
  const beside = () => {
    keepTried(stored.id, words, changed());
    router.push(`/plans/${stored.id}/compare?with=tried`);
  };
  const at = (l: Lever): number =>
    picked?.values.length === 1 && there(picked.values[0])[0] === l.id ? there(picked.values[0])[1] : l.now;
  if (levers.length === 0) return <Soft>There is nothing in it yet that could be turned up or down.</Soft>;
  return (
    <>
      <div className={look.picked} role="status">
        {picked ? (
          <>
            <b>{words}</b>
            <span>{inUnits(saidOf(picked, curves), units)}</span>
            <Press main onClick={take}>
              Take it as the plan
            </Press>
            <Press onClick={beside}>Lay it beside</Press>
          </>
        ) : (
          <Soft>
            Slide a quantity, or press a curve. Green is where this family lives, dashes where the plan stands, dots are
            batches you cooked.{left > 0 ? ' Working out the curves.' : ''}
          </Soft>
        )}
      </div>
      <TextureKey />
      {trouble ? <Say tone="watch">{trouble}</Say> : null}
      {levers.map((l) => (
        <section key={l.id} className={look.lever} aria-labelledby={`lever-${l.id}`}>
          <div className={look.slide}>
            <h2 id={`lever-${l.id}`}>{l.name}</h2>
            <output>{`${at(l).toFixed(l.decimals)} ${l.unit}`}</output>
            <input
              type="range"
              aria-label={`Try ${l.name}`}
              aria-valuetext={`${at(l).toFixed(l.decimals)} ${l.unit}`}
              min={l.range[0]}
              max={l.range[1]}
              step={(l.range[1] - l.range[0]) / 24}
              value={at(l)}
              onChange={(e) => setPicked({ values: [[l.id, Number(e.target.value)]] })}
            />
            {l.band ? (
              <small>{`usual ${l.band[0].toFixed(l.decimals)} to ${l.band[1].toFixed(l.decimals)}`}</small>
            ) : null}
          </div>
          <LeverCharts
            lever={l}
            points={curves[l.id] ?? []}
            at={at(l)}
            dots={dots.get(l.id) ?? []}
            onAt={(value) => setPicked({ values: [[l.id, value]] })}
          />
        </section>
      ))}
      {levers.length > 1 ? <ChangeMap levers={levers} ask={ask} onPoint={(values) => setPicked({ values })} /> : null}
    </>
  );
}

/** What the nearest worked-out point of one quantity says. */
function saidOf(picked: Picked, curves: Readonly<Partial<Record<LeverId, readonly Point[]>>>): string {
  const [only] = picked.values;
  if (!only || picked.values.length !== 1) return '';
  const [id, value] = only;
  const near = (curves[id] ?? []).reduce<Point | undefined>(
    (best, p) => (!best || Math.abs(p.value - value) < Math.abs(best.value - value) ? p : best),
    undefined,
  );
  if (!near) return '';
  const { minutesS, to21S, problem } = near.quick;
  if (problem) return problem;
  return [
    minutesS === null ? 'it never sets' : `clean after ${sayDuration(minutesS)}`,
    to21S === null ? '' : `60 to 21 °C in ${sayDuration(to21S)}`,
  ]
    .filter((x) => x !== '')
    .join(', ');
}

/** Where past batches of this kind of cake lay, and when their pick was clean. */
function dotsOf(
  cooked: readonly Cooked[],
  levers: readonly Lever[],
  light: LightForecast,
): ReadonlyMap<LeverId, readonly PastDot[]> {
  const seen = cooked.flatMap((c) => {
    const l = forecastLight(c.plan, light.resolved.kitchen);
    return l.ok ? [{ ...c, light: l.value }] : [];
  });
  return new Map(
    levers.map((l) => [
      l.id,
      seen.flatMap(({ name, light: past, cleanAtS }) => {
        const value = leverNow(past, l.id);
        return value === undefined ? [] : [{ name, value, minutes: cleanAtS === null ? null : cleanAtS / 60 }];
      }),
    ]),
  );
}

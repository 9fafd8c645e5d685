'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { along, type Lever, type LeverId, type Quick } from '@/core/desk/whatIf';
import { corePool } from '@/workers/corePool';
import type { PointAsked } from '@/workers/jobs';

/** Points of a curve, and how many of them are worked out in one go. */
const POINTS = 25;
const IN_ONE = 5;
/** Points of a map, across and up. */
export const MAP = { across: 13, up: 9 } as const;

export interface Point {
  readonly value: number;
  readonly quick: Quick;
}
export type Curves = Readonly<Partial<Record<LeverId, readonly Point[]>>>;

let named = 0;
/** The same name for the same plan in the same kitchen, so that a worker keeps what it made of it. */
function nameOf(plan: Plan, kitchen: Kitchen, names: WeakMap<Plan, { kitchen: Kitchen; name: string }>): string {
  const known = names.get(plan);
  if (known?.kitchen === kitchen) return known.name;
  const name = `plan ${++named}`;
  names.set(plan, { kitchen, name });
  return name;
}

/** The way to ask for some points of a plan. */
export function usePoints(plan: Plan, kitchen: Kitchen) {
  const names = useRef(new WeakMap<Plan, { kitchen: Kitchen; name: string }>());
  return useCallback(
    (points: readonly PointAsked[], cooled: boolean, signal: AbortSignal): Promise<readonly (Quick | null)[]> =>
      corePool().run('points', [nameOf(plan, kitchen, names.current), plan, kitchen, points, cooled], { signal }),
    [plan, kitchen],
  );
}
export type AskPoints = ReturnType<typeof usePoints>;

/** A curve for each quantity: the minutes and texture first, the cooling after them. */
export function useCurves(
  levers: readonly Lever[],
  ask: AskPoints,
): { readonly curves: Curves; readonly left: number } {
  const [state, setState] = useState<{ of: readonly Lever[]; curves: Curves; left: number }>();
  useEffect(() => {
    const stop = new AbortController();
    const chunks = (cooled: boolean) =>
      levers.flatMap((l) => {
        const values = along(l.range, POINTS);
        return Array.from({ length: POINTS / IN_ONE }, (_, i) => ({
          lever: l.id,
          cooled,
          values: values.filter((_v, j) => j % (POINTS / IN_ONE) === i),
        }));
      });
    const all = [...chunks(false), ...chunks(true)];
    for (const { lever, values, cooled } of all)
      void ask(
        values.map((v) => [[lever, v] as const]),
        cooled,
        stop.signal,
      )
        .catch((): readonly (Quick | null)[] => [])
        .then((found) => {
          if (stop.signal.aborted) return;
          setState((s) => {
            const so = s?.of === levers ? s : { of: levers, curves: {}, left: all.length };
            const fresh = values.flatMap((value, i) => (found[i] ? [{ value, quick: found[i] }] : []));
            const kept = (so.curves[lever] ?? []).filter((p) => !fresh.some((f) => f.value === p.value));
            return {
              of: levers,
              curves: { ...so.curves, [lever]: [...kept, ...fresh].sort((a, b) => a.value - b.value) },
              left: so.left - 1,
            };
          });
        });
    return () => stop.abort();
  }, [levers, ask]);
  return state?.of === levers ? state : { curves: {}, left: levers.length };
}

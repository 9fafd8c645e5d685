'use client';
import { createContext, useContext, useEffect, useMemo, useState } from 'react';
import type { Advice, Fix } from '@/core/stations/mix';
import type { Forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { concernsOf, SHOWN } from '@/core/desk/advice/concerns';
import { ofProblem } from '@/core/desk/advice/said';
import type { Plan } from '@/core/plan';
import type { Problem } from '@/core/units';
import { corePool } from '@/workers/corePool';
import type { WaysOut } from '@/workers/jobs';

/** What there is to mind about the plan as it was taken, worst first, and the ways out that were tried so far. */
export interface Mind {
  readonly concerns: readonly Advice[];
  /** Fixes that work; undefined: not tried yet. */
  readonly waysFor: (id: string) => readonly Fix[] | undefined;
  /** Tries the ways out of all of it, not of the worst alone. */
  readonly tryAll: () => void;
}
const MindContext = createContext<Mind>({ concerns: [], waysFor: () => undefined, tryAll: () => undefined });
export const MindProvider = MindContext.Provider;
export const useMind = (): Mind => useContext(MindContext);

/** Ways are tried once the plan has come to rest for so long. */
const SETTLE_MS = 350;
/** A hand that moves or types pauses once nothing has changed for so long. */
const PAUSE_MS = 200;
const NONE: readonly Advice[] = [];

interface Found {
  readonly plan: Plan;
  readonly kitchen: Kitchen;
  readonly ways: ReadonlyMap<string, readonly Fix[]>;
}

/**
 * @param taken the plan without what is only shown
 * @param forecast of the plan that is shown
 * @param moving it is dragged or typed and not taken yet: what is to be minded follows at a pause, and no way out of it is known
 * @param trying a way out is tried on: the list it was taken from stands still
 */
export function useMindOf(
  taken: Plan,
  kitchen: Kitchen,
  forecast: Forecast | undefined,
  problems: readonly Problem[],
  moving: boolean,
  trying: boolean,
): Mind {
  const still = moving || trying;
  const now = useMemo(() => (still ? undefined : concernsNow(forecast, problems)), [still, forecast, problems]);
  const [held, hold] = useState<readonly Advice[]>(now ?? NONE);
  if (now && held !== now) hold(now);
  const concerns = now ?? held;
  // The stage goes with the hand; what to mind follows when it pauses.
  useEffect(() => {
    if (!moving || trying) return;
    const timer = setTimeout(() => hold(concernsNow(forecast, problems)), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [moving, trying, forecast, problems]);
  const [found, setFound] = useState<Found | undefined>(undefined);
  const [all, setAll] = useState<Plan | undefined>(undefined);
  const most = all === taken ? Infinity : SHOWN;
  const any = concerns.length > 0;
  useEffect(() => {
    if (!any) return;
    const stop = new AbortController();
    const told = ({ id, fixes }: WaysOut) => {
      if (stop.signal.aborted) return;
      setFound((f) => ({
        plan: taken,
        kitchen,
        ways: new Map([...(f?.plan === taken && f.kitchen === kitchen ? f.ways : []), [id, fixes]]),
      }));
    };
    const timer = setTimeout(
      () =>
        // Where the worker breaks, what was found by then is all there is: advice without its ways is still advice.
        void corePool()
          .run('ways', [taken, kitchen, most, told], { signal: stop.signal })
          .catch(() => undefined),
      SETTLE_MS,
    );
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [taken, kitchen, most, any]);
  return useMemo(() => {
    const known = !moving && found?.plan === taken && found.kitchen === kitchen ? found.ways : undefined;
    return { concerns, waysFor: (id) => known?.get(id), tryAll: () => setAll(taken) };
  }, [concerns, found, taken, kitchen, moving]);
}

const concernsNow = (forecast: Forecast | undefined, problems: readonly Problem[]): readonly Advice[] =>
  forecast ? concernsOf(forecast.light, forecast.heat) : problems.map((p) => ofProblem(p, problems));

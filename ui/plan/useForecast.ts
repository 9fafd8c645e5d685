'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { composeForecast, forecastLight, heatJobs, type Forecast, type HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Problem } from '@/core/units';
import { heatRunner } from '@/workers/heatRunner';

export interface LiveForecast {
  readonly forecast: Forecast | undefined;
  readonly problems: readonly Problem[];
  /** True while the heat solver works on the plan as it stands. */
  readonly heating: boolean;
  /** Why the heat could not be worked out, after it was tried again by itself. */
  readonly heatTrouble: string | undefined;
  readonly heatAgain: () => void;
}

/** The heat starts once the typing pauses this long. */
const SETTLE_MS = 220;
/** So often it is tried again by itself, after so long, ms. */
const TRIES = 2;
const AGAIN_MS = 600;

/** The plan's forecast as it is edited: everything light at once on the page, the heat from a worker as soon as it has it. */
export function useForecast(plan: Plan, kitchen: Kitchen): LiveForecast {
  const light = useMemo(() => forecastLight(plan, kitchen), [plan, kitchen]);
  // The heat is named by all that it depends on: a new name, note or guest neither computes nor restarts anything.
  const hash = useMemo(() => (light.ok ? heatJobs(light.value).hash : ''), [light]);
  const [done, setDone] = useState<{ hash: string; heat: HeatForecast | undefined } | undefined>(undefined);
  const [failed, setFailed] = useState<{ hash: string; tries: number } | undefined>(undefined);
  const runner = useRef<ReturnType<typeof heatRunner> | undefined>(undefined);
  const asked = useRef({ plan, kitchen });
  useEffect(() => {
    asked.current = { plan, kitchen };
  }, [plan, kitchen]);
  useEffect(() => {
    const r = heatRunner();
    runner.current = r;
    return () => {
      r.end();
      runner.current = undefined;
    };
  }, []);
  const known = done?.hash === hash;
  const tries = failed?.hash === hash ? failed.tries : 0;
  const gaveUp = tries > TRIES;
  useEffect(() => {
    if (known || gaveUp) return;
    const timer = setTimeout(
      () => {
        void runner.current?.run(asked.current.plan, asked.current.kitchen).then(
          (answer) => {
            if (!answer.stopped) setDone({ hash, heat: answer.heat });
          },
          () => setFailed((f) => ({ hash, tries: (f?.hash === hash ? f.tries : 0) + 1 })),
        );
      },
      tries > 0 ? AGAIN_MS * tries : SETTLE_MS,
    );
    return () => clearTimeout(timer);
  }, [hash, known, tries, gaveUp]);
  const heat = done?.heat;
  const forecast = useMemo(() => (light.ok ? composeForecast(light.value, heat) : undefined), [light, heat]);
  return {
    forecast,
    problems: light.ok ? light.value.problems : light.problems,
    heating: !known,
    heatTrouble:
      gaveUp && !known
        ? 'The heat could not be worked out on this device; the minutes shown are not of this plan.'
        : undefined,
    heatAgain: useCallback(() => setFailed(undefined), []),
  };
}

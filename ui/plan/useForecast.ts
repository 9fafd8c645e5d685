'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
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
}

/** The heat starts once the typing pauses this long. */
const SETTLE_MS = 220;

/** The plan's forecast as it is edited: everything light at once on the page, the heat from a worker as soon as it has it. */
export function useForecast(plan: Plan, kitchen: Kitchen): LiveForecast {
  const light = useMemo(() => forecastLight(plan, kitchen), [plan, kitchen]);
  // The heat is named by all that it depends on: a new name, note or guest computes nothing anew.
  const hash = useMemo(() => (light.ok ? heatJobs(light.value).hash : ''), [light]);
  const [done, setDone] = useState<{ hash: string; heat: HeatForecast | undefined } | undefined>(undefined);
  const runner = useRef<ReturnType<typeof heatRunner> | undefined>(undefined);
  useEffect(() => {
    const r = heatRunner();
    runner.current = r;
    return () => {
      r.end();
      runner.current = undefined;
    };
  }, []);
  const known = done?.hash === hash;
  useEffect(() => {
    if (known) return;
    const timer = setTimeout(() => {
      void runner.current?.run(plan, kitchen).then((answer) => {
        if (!answer.stopped) setDone({ hash, heat: answer.heat });
      });
    }, SETTLE_MS);
    return () => clearTimeout(timer);
  }, [plan, kitchen, hash, known]);
  const heat = done?.heat;
  const forecast = useMemo(() => (light.ok ? composeForecast(light.value, heat) : undefined), [light, heat]);
  return { forecast, problems: light.ok ? light.value.problems : light.problems, heating: !known };
}

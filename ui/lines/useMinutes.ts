'use client';
import { useEffect, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { heatRunner } from '@/workers/heatRunner';
import { overWater } from '@/core/stations/steam/cooking';

/** Steaming seconds of several plans, worked out one after another off the page; null where one is not steamed. */
export function useMinutes(plans: readonly Plan[], kitchen: Kitchen): ReadonlyMap<Plan, number | null> {
  const [known, setKnown] = useState<ReadonlyMap<Plan, number | null>>(new Map());
  useEffect(() => {
    const runner = heatRunner();
    let left = false;
    void (async () => {
      for (const plan of plans) {
        if (left) return;
        // One that cannot be worked out has no minutes to show; the others have.
        const answer = await runner.run(plan, kitchen).catch(() => undefined);
        if (left || answer?.stopped) return;
        const s = overWater(answer?.heat)?.times?.planForS ?? null;
        setKnown((k) => new Map([...k, [plan, s]]));
      }
    })();
    return () => {
      left = true;
      runner.end();
    };
  }, [plans, kitchen]);
  return known;
}

'use client';
import { useEffect, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { corePool } from '@/workers/corePool';
import { overWater } from '@/core/stations/steam/cooking';

/** Steaming seconds of several plans, worked out off the page; null where one is not steamed. */
export function useMinutes(plans: readonly Plan[], kitchen: Kitchen): ReadonlyMap<Plan, number | null> {
  const [known, setKnown] = useState<ReadonlyMap<Plan, number | null>>(new Map());
  useEffect(() => {
    const left = new AbortController();
    for (const plan of plans)
      void corePool()
        .run('heat', [plan, kitchen], { signal: left.signal })
        // One that cannot be worked out has no minutes to show; the others have.
        .catch(() => undefined)
        .then((heat) => {
          if (left.signal.aborted) return;
          const s = overWater(heat)?.times?.planForS ?? null;
          setKnown((k) => new Map([...k, [plan, s]]));
        });
    return () => left.abort();
  }, [plans, kitchen]);
  return known;
}

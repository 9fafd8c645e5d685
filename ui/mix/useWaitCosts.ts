'use client';
import { useDeferredValue, useMemo } from 'react';
import type { LightForecast } from '@/core/forecast';
import { waitCosts, type WaitCost } from '@/core/waitCost';

/** What the waits of a plan give and cost, worked out behind the typing. */
export function useWaitCosts(light: LightForecast): readonly WaitCost[] {
  const settled = useDeferredValue(light);
  return useMemo(() => waitCosts(settled), [settled]);
}

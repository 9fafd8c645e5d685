'use client';
import { useDeferredValue } from 'react';
import type { LightForecast } from '@/core/forecast';
import { waitCosts, type WaitCost } from '@/core/stations/mix/waitTradeOffs';

const known = new WeakMap<LightForecast, readonly WaitCost[]>();

/** What the waits of a plan give and cost, worked out behind the typing, and once for all the panels that tell it. */
export function useWaitCosts(light: LightForecast): readonly WaitCost[] {
  const settled = useDeferredValue(light);
  let costs = known.get(settled);
  if (!costs) known.set(settled, (costs = waitCosts(settled)));
  return costs;
}

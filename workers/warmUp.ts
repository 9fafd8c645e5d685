import { familyOf, formulaOf } from '@/core/families';
import { forecastLight, heatInTurns } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { COARSE_GRID } from '@/core/model/steam';
import type { Turns } from '@/core/units';

/** What a worker runs before it is asked for anything, so that the machine has made its code ready: one small cake on the coarse grid. */
export function* warmUp(): Turns<void> {
  const family = familyOf('radish-slab');
  if (!family.ok) return;
  yield;
  const light = forecastLight(formulaOf(family.value), emptyKitchen());
  yield;
  if (light.ok) yield* heatInTurns(light.value, COARSE_GRID);
}

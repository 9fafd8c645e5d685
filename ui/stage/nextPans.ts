import { panNeed } from '@/core/stations/mix';
import type { LightForecast } from '@/core/forecast';
import type { Kitchen, Vessel } from '@/core/kitchen';
import { brimMl, depthForVolume, holdsSuch, topAreaOf } from '@/core/model/vessel';

/** A vessel of the rack beside the one in use, and how deep the same batter stands in it. */
export interface NextPan {
  readonly vessel: Vessel;
  readonly depthM: number;
}

/** Room that is left over a batter so that it can be carried, share of the brim. */
const CARRY = 0.97;

/** The next smaller and the next larger vessel of the rack that hold this batter, by the area of their tops. */
export function nextPans(light: LightForecast, kitchen: Kitchen): readonly [NextPan | undefined, NextPan | undefined] {
  const { vessel, steamer } = light.resolved;
  const need = panNeed(light.family, steamer, light.balance.volumeMl);
  if (!need || need.use !== 'pans') return [undefined, undefined];
  const each = light.fill.volumeEachMl;
  const list = kitchen.vessels
    .filter((v) => v.id !== vessel.id && holdsSuch(v, need) && brimMl(v) * CARRY >= each * light.family.rise)
    .map((v) => ({ vessel: v, depthM: depthForVolume(v, each), areaM2: topAreaOf(v) }))
    .sort((a, b) => a.areaM2 - b.areaM2);
  const own = topAreaOf(vessel);
  return [list.filter((x) => x.areaM2 <= own).at(-1), list.find((x) => x.areaM2 > own)];
}

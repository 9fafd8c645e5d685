import type { Forecast } from '@/core/forecast';
import type { CakeState } from '@/core/work/timeline';
import { preheatOf } from '@/core/model/steam';
import { loadsIn } from '@/core/stations/steam/cooking';

/** A moment on the steam's own clock; raw: it has not seen the steam. */
export interface SteamMoment {
  readonly timeS: number;
  readonly raw: boolean;
}

/** Where a load stands in its own steam at a moment of a run of loads: the newest one that has gone in. */
export function loadMoment(f: Pick<Forecast, 'heat'>, state: CakeState): SteamMoment {
  if (state.is === 'steam' || state.is === 'stand') return { timeS: state.timeS, raw: false };
  if (state.is !== 'loads') return { timeS: 0, raw: true };
  const loads = loadsIn(f.heat);
  const heated = (loads && preheatOf(loads)?.toS) ?? 0;
  const ins = (loads?.bars ?? []).filter((b) => b.what === 'steam' && b.fromS - heated <= state.timeS);
  const last = ins.at(-1);
  if (!last) return { timeS: state.timeS, raw: loads !== undefined };
  return { timeS: Math.min(last.toS - last.fromS, state.timeS - (last.fromS - heated)), raw: false };
}

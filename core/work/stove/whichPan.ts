import type { Forecast } from '../../forecast/forecast.types';
import type { Vessel } from '../../kitchen';
import { sayMm, spokenName } from '../../units';
import { depthForVolume } from '../../model/vessel';

/** A ruler in a batter is read to about this, and a scrape left in the bowl is no more: nearer than this it is the pan of the plan, share. */
const SAME = 0.12;
/** A ruler does not tell less, m. */
const RULER_M = 0.002;
/** A pan of the rack stands for what was read where it comes this near, share. */
const NEAR = 0.06;

/**
 * What a depth that was read says of the pan: nothing where it is near to the one reckoned with; else the pan of the rack in which so much
 * batter stands so deep.
 * @param f before the reading, @param readM m @param rack of the kitchen as it stands
 */
export function whichPan(f: Forecast, readM: number, rack: readonly Vessel[]): string | undefined {
  const { fill, resolved } = f.light;
  // What was read before is no measure of what is read now.
  const reckoned = depthForVolume(resolved.vessel, fill.volumeEachMl);
  if (!(reckoned > 0) || Math.abs(readM - reckoned) <= Math.max(RULER_M, SAME * reckoned)) return undefined;
  const told = `${sayMm(readM)} where ${sayMm(reckoned)} was reckoned`;
  const [best] = rack
    .filter((v) => v.id !== resolved.vessel.id)
    .map((v) => ({ v, off: Math.abs(depthForVolume(v, fill.volumeEachMl) / readM - 1) }))
    .filter((x) => x.off <= NEAR)
    .sort((a, b) => a.off - b.off);
  return best
    ? `${told}: so deep it stands in the ${spokenName(best.v.name)}. If that is the pan, the minutes are right now; choose it in the plan too.`
    : `${told}: is it the ${spokenName(resolved.vessel.name)}, level, and all of the batter? The minutes go by what you read.`;
}

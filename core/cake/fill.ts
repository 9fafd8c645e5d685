import { wayOf, type Family } from '../families';
import type { PlanBalance } from '../flow';
import { DEPTH_READ_MM } from '../flow/laws/cake';
import type { Cake } from './cake.types';
import type { ResolvedPlan } from '../plan';
import { problem, sayGrams, type Problem, type ConcernCode } from '../units';
import { depthForVolume, fillOf, volumeAtDepth } from '../model/vessel';

/**
 * The vessels filled: `vessel` takes what the further vessels leave; a depth by ruler replaces the computed one.
 * @param swell volume in the steam ÷ as poured, by gas and the air between pieces
 */
export function fillFor(
  r: ResolvedPlan,
  family: Family,
  balance: PlanBalance,
  rise: number,
  swell: number,
): Cake['fill'] {
  const { plan, vessel, steamer, also } = r;
  const elsewhereG = also.reduce((a, x) => a + x.massEachG * x.count, 0);
  const share = balance.massG > 0 ? Math.max(0, 1 - elsewhereG / balance.massG) : 1;
  const slot = (['pour:cake', 'fill:cake'] as const).find((node) => plan.readings[node]?.depthMm !== undefined);
  const mm = slot && plan.readings[slot]?.depthMm;
  // Outside of this the reading is refused where it is read.
  const read =
    slot && mm !== undefined && mm >= DEPTH_READ_MM[0] && mm <= DEPTH_READ_MM[1]
      ? { depthM: mm / 1000, path: `readings.${slot}.depthMm` }
      : undefined;
  const fill = fillOf(
    vessel,
    plan.vesselCount,
    wayOf(family).overSteam ? steamer : undefined,
    balance.volumeMl * share,
    rise,
    read,
  );
  const problems: Problem<ConcernCode>[] = [...fill.problems];
  if (elsewhereG > balance.massG)
    problems.push(
      problem(
        'too-much-elsewhere',
        'alsoVessels',
        `The further vessels ask for ${sayGrams(elsewhereG)} and there are ${sayGrams(balance.massG)}; give them less.`,
      ),
    );
  const others = also.map((x) => {
    const ml = balance.densityKgM3 > 0 ? (x.massEachG / balance.densityKgM3) * 1000 : 0;
    const cookedM = depthForVolume(x.vessel, ml * swell);
    const depthM = depthForVolume(x.vessel, ml);
    return { name: x.vessel.name, count: x.count, massEachG: x.massEachG, depthM, cookedM, vessel: x.vessel };
  });
  const { depthM } = fill;
  const cookedM = depthForVolume(vessel, volumeAtDepth(vessel, depthM) * swell);
  return { ...fill, rise, cookedM, measured: read !== undefined, others, problems };
}

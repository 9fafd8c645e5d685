import { conduct, type ConductionRun } from '../../heat';
import { cakeMaterial, COARSE_GRID, pourGrid } from '../../steam';
import type { Pot, WithRun } from './cooking';
import type { PotInput } from './input';

/** A cake that was cooked through in the pot: one temperature, all of it set. */
function asPoured({ vessel, depthM, startC, body, kitchen }: PotInput): ConductionRun {
  const side = { filmH: 9, outerR: 0, innerR: 0, capacity: 0, ambientC: startC };
  return conduct({
    grid: pourGrid(vessel, depthM, COARSE_GRID),
    materials: [cakeMaterial({ ...body, gasShare: 0 })],
    initialC: startC,
    initialG: 1,
    wallC: kitchen.roomC,
    sides: { base: side, wall: side, top: side },
  });
}

/** Minutes in the pot, and those at which its bottom scorches; then poured to set. */
export const cookInPot = (input: PotInput): WithRun<Pot> => ({
  how: 'pot',
  pot: input.through ? { throughS: input.through.stirS, scorchS: input.through.scorchS } : undefined,
  powerW: input.powerW,
  problems: [],
  run: asPoured(input),
});

import { fieldsOf, type Law } from '../../units';
import { conduct, type ConductionRun } from '../../model/heat';
import { cakeMaterial, COARSE_GRID, pourGrid } from '../../model/steam';
import type { Pot, WithRun } from './cooking';
import type { PotInput } from './input';

/** A cake that was cooked through in the pot: one temperature, all of it set. */
function asPoured({ vessel, depthM, startC, body, kitchen }: PotInput): ConductionRun {
  const side = { filmH: 9, outerR: 0, innerR: 0, capacity: 0, ambientC: startC.value };
  return conduct({
    grid: pourGrid(vessel, depthM, COARSE_GRID),
    materials: [cakeMaterial({ ...body, gasShare: 0 })],
    initialC: startC.value,
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

const of = fieldsOf<PotInput>('inputs.steam');
/** Why it is stirred so long, and scorches then. */
export const POT_LAWS: readonly Law[] = [
  {
    at: 'heat.pot.throughS',
    law: 'Stirred at 93 °C or more until no mealy taste: 6 to 12 min by thickness.',
    from: ['pour.consistency.viscosityMPas', ...of('through.stirS')],
  },
  {
    at: 'heat.pot.scorchS',
    law: 'A film that stays on the bottom carries half of the ring’s heat and browns by the law of searing (house model).',
    from: of('powerW', 'through.scorchS'),
  },
];

import { bad, good, problem, type Result } from '../units';
import type { Family } from './family';
import { savouryCoconutSlab } from './savouryCoconutSlab';
import { radishSlab } from './radishSlab';
import { taroSlab } from './taroSlab';
import { squashSlab } from './squashSlab';
import { dimpledCups } from './dimpledCups';
import { twoToneLayers } from './twoToneLayers';
import { rainbowLayers } from './rainbowLayers';
import { stickySweetCake } from './stickySweetCake';
import { stirredSetPudding } from './stirredSetPudding';
import { yeastSponge } from './yeastSponge';
import { rouxRaisedCups } from './rouxRaisedCups';
import { groundGrainCups } from './groundGrainCups';
import { filledRolls } from './filledRolls';
import { noodleSheets } from './noodleSheets';
import { panFilmSheets } from './panFilmSheets';
import { crispBitJelly } from './crispBitJelly';
import { fruitChewCake } from './fruitChewCake';
import { alkaliRiceJelly } from './alkaliRiceJelly';

export * from './family';
export * from './way';
export { formulaOf } from './formulaOf';
export { LID_AND_GUARD } from './schools';

/** Every family, in the order they are offered. */
export const FAMILIES: readonly Family[] = [
  savouryCoconutSlab,
  radishSlab,
  taroSlab,
  squashSlab,
  dimpledCups,
  twoToneLayers,
  rainbowLayers,
  stickySweetCake,
  stirredSetPudding,
  yeastSponge,
  rouxRaisedCups,
  groundGrainCups,
  filledRolls,
  noodleSheets,
  panFilmSheets,
  crispBitJelly,
  fruitChewCake,
  alkaliRiceJelly,
];

const BY_ID = new Map(FAMILIES.map((f) => [f.id, f]));

/** Looks up a family. Error: `unknown-family`, with the ones there are. */
export function familyOf(id: string): Result<Family> {
  const found = BY_ID.get(id);
  return found
    ? good(found)
    : bad(
        problem(
          'unknown-family',
          'family',
          `There is no family "${id}"; choose one of: ${FAMILIES.map((f) => f.id).join(', ')}.`,
        ),
      );
}

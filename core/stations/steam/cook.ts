import type { PourGrid } from '../../model/steam';
import type { Turns } from '../../units';
import type { WithRun } from './cooking';
import { steamFilms } from './films';
import type { SteamInput } from './input';
import { cookInPot } from './pot';
import { steamSingle } from './single';
import { steamStack } from './stack';

/** Cooks what a record says, each way by its own model. @param size grid of the solver */
export function* cook(input: SteamInput, size: PourGrid): Turns<WithRun> {
  switch (input.how) {
    case 'pan-film':
      return yield* steamFilms(input);
    case 'pot':
      return cookInPot(input);
    case 'layers':
      return yield* steamStack(input, size);
    default:
      return yield* steamSingle(input, size);
  }
}

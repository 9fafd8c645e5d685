import type { PourGrid } from '../../model/steam';
import type { WithRun } from './cooking';
import { steamFilms } from './films';
import type { SteamInput } from './input';
import { cookInPot } from './pot';
import { steamSingle } from './single';
import { steamStack } from './stack';

/** Cooks what a record says, each way by its own model. @param size grid of the solver */
export function cook(input: SteamInput, size: PourGrid): WithRun {
  switch (input.how) {
    case 'pan-film':
      return steamFilms(input);
    case 'pot':
      return cookInPot(input);
    case 'layers':
      return steamStack(input);
    default:
      return steamSingle(input, size);
  }
}

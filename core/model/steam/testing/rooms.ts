import { plainGelling } from '../../heat';
import { DEFAULT_VESSEL } from '../../../kitchen';
import type { SinglePour, SteamRoom } from '..';

/** For tests: the inside of a steamer on so many watts, medium by default, all air driven out before. */
export const roomWith = (powerW = 1100, change: Partial<SteamRoom> = {}): SteamRoom => ({
  powerW: () => powerW,
  bodies: 1,
  lid: 'tight',
  steamC: 100,
  volumeM3: 0.008,
  ...change,
});

export const PARTS = { water: 750, starch: 220, sugar: 0, fat: 20, protein: 15, fibreAsh: 10, salt: 5 };

/** For tests: a plain rice batter in the default tin, raw and cold. */
export const PLAIN_POUR: SinglePour = {
  parts: PARTS,
  gelling: plainGelling(77),
  gasShare: 0,
  vessel: DEFAULT_VESSEL,
  depthM: 0.03,
  startC: 25,
  startG: 0,
  mouldC: 25,
  material: 'aluminium',
  paper: false,
  foil: false,
  room: roomWith(),
};

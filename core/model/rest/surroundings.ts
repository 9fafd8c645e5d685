import type { Where } from '../../units';
import { EMISSIVITY, filmsIn, freeFactor, wetness, type Air, type SideSpec } from '../heat';
import type { Kitchen } from '../../kitchen';
import { topSide, walledSide, type WallSpec } from '../steam';

const FAN_H = 25;
const ICE_H = 350;
/** Film under a cover: still air and vapour that runs back. */
const COVERED_H = 8.5;
const FREEZER_C = -18;
const FREEZER_H = 9;
/** Air under a lid left ajar over a cooling pot, °C: warm and all but saturated. */
const LID_AJAR: Air = { tempC: 55, humidity: 0.95 };
const ROOM_HUMIDITY = 0.5;
const FRIDGE_HUMIDITY = 0.85;
/** The air of a kitchen that is worked in is not still, that of a fridge nearly, m/s. */
const ROOM_DRAUGHT = 0.3;
const FRIDGE_DRAUGHT = 0.1;
/** Temperatures of the air that a cake may stand in, °C. */
export type Airs = Pick<Kitchen, 'roomC' | 'fridgeC'>;
export type Surroundings = Readonly<Record<'base' | 'wall' | 'top', SideSpec>>;

/** How it lies in a stage: in its pan or in pieces of its own, covered or not, since when uncovered, s, and how large it is. */
export interface Lying {
  readonly wall: WallSpec | undefined;
  readonly covered: boolean;
  readonly bareFromS: number;
  /** Area of its top ÷ perimeter, and height of its side, m. */
  readonly topM: number;
  readonly sideM: number;
}

const metal = (w: WallSpec): boolean => w.material === 'steel' || w.material === 'aluminium' || w.material === 'foil';

/** A side behind a wall, or bare, in air. */
function inAir(lying: Lying, air: Air, side: 'base' | 'wall'): SideSpec {
  const { wall } = lying;
  const emissivity = wall ? (metal(wall) ? EMISSIVITY.metal : EMISSIVITY.wall) : EMISSIVITY.cake;
  const film = filmsIn(air, {
    emissivity,
    free: freeFactor(side, side === 'wall' ? lying.sideM : lying.topM),
    alongM: 4 * lying.topM,
  });
  const wet = wall ? 0 : wetness(Infinity);
  const spec = wall ? walledSide(wall, COVERED_H, air.tempC) : topSide(COVERED_H, air.tempC, false);
  return { ...spec, filmAt: (surfaceC) => film(surfaceC, wet) };
}

/** The top in air: covered, or bare and drying from `bareFromS` on. */
function topIn(lying: Lying, air: Air): SideSpec {
  const spec = topSide(COVERED_H, air.tempC, false);
  if (lying.covered) return spec;
  const film = filmsIn(air, {
    emissivity: EMISSIVITY.cake,
    free: freeFactor('top', lying.topM),
    alongM: 4 * lying.topM,
  });
  return { ...spec, filmAt: (surfaceC, timeS) => film(surfaceC, wetness(timeS - lying.bareFromS)) };
}

const around = (lying: Lying, air: Air): Surroundings => ({
  base: inAir(lying, air, 'base'),
  wall: inAir(lying, air, 'wall'),
  top: topIn(lying, air),
});

/** What surrounds the cake in one cooling stage: radiation, convection and evaporation in air, films in ice water and under a cover. */
export function stageSurroundings(where: Where, kitchen: Airs, lying: Lying): Surroundings {
  const room: Air = { tempC: kitchen.roomC, humidity: ROOM_HUMIDITY, draughtMs: ROOM_DRAUGHT };
  switch (where) {
    case 'lid-ajar':
      return around(lying, LID_AJAR);
    case 'counter':
      return around(lying, room);
    case 'fan':
      return around(lying, { ...room, blownH: FAN_H });
    case 'ice-bath': {
      const side = lying.wall ? walledSide(lying.wall, ICE_H, 0) : topSide(ICE_H, 0, false);
      return { base: side, wall: side, top: topIn({ ...lying, covered: true }, room) };
    }
    case 'fridge':
      return around(lying, { tempC: kitchen.fridgeC, humidity: FRIDGE_HUMIDITY, draughtMs: FRIDGE_DRAUGHT });
    case 'freezer': {
      const side = lying.wall ? walledSide(lying.wall, FREEZER_H, FREEZER_C) : topSide(FREEZER_H, FREEZER_C, false);
      return { base: side, wall: side, top: topSide(COVERED_H, FREEZER_C, false) };
    }
  }
}

export const STAGE_WORDS: Readonly<Record<Where, string>> = {
  'lid-ajar': 'lid ajar',
  counter: 'on the counter',
  fan: 'under a fan',
  'ice-bath': 'in an ice bath',
  fridge: 'in the fridge',
  freezer: 'in the freezer',
};

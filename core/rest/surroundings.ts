import type { SideSpec } from '../heat';
import type { Kitchen } from '../kitchen';
import type { CoolingStage } from '../plan';
import { topSide, walledSide, type WallSpec } from '../steam';

const AIR_H = 9;
const FAN_H = 25;
const FRIDGE_H = 7;
const ICE_H = 350;
const COVERED_H = 4;
const FREEZER_C = -18;
/** Air under a lid left ajar over a cooling pot, °C. */
const LID_AJAR_C = 55;

export type Surroundings = Readonly<Record<'base' | 'wall' | 'top', SideSpec>>;

const around = (wall: WallSpec, h: number, ambientC: number, topH = h, topC = ambientC): Surroundings => {
  const side = walledSide(wall, h, ambientC);
  return { base: side, wall: side, top: topSide(topH, topC, false) };
};

/** What surrounds the cake in one cooling stage: films, W/(m²·K), and temperatures, °C. */
export function stageSurroundings(where: CoolingStage['where'], kitchen: Kitchen, wall: WallSpec): Surroundings {
  switch (where) {
    case 'lid-ajar':
      return around(wall, AIR_H, LID_AJAR_C);
    case 'counter':
      return around(wall, AIR_H, kitchen.roomC);
    case 'fan':
      return around(wall, FAN_H, kitchen.roomC);
    case 'ice-bath':
      return around(wall, ICE_H, 0, COVERED_H, kitchen.roomC);
    case 'fridge':
      return around(wall, FRIDGE_H, kitchen.fridgeC, COVERED_H);
    case 'freezer':
      return around(wall, AIR_H, FREEZER_C, COVERED_H);
  }
}

export const STAGE_WORDS: Readonly<Record<CoolingStage['where'], string>> = {
  'lid-ajar': 'lid ajar',
  counter: 'on the counter',
  fan: 'under a fan',
  'ice-bath': 'in an ice bath',
  fridge: 'in the fridge',
  freezer: 'in the freezer',
};

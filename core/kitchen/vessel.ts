export type { Vessel } from './vesselSchema';

export const WALL_MATERIALS = [
  'steel',
  'aluminium',
  'foil',
  'ceramic',
  'glass',
  'plastic',
  'silicone',
  'bamboo',
] as const;
export type WallMaterial = (typeof WALL_MATERIALS)[number];

/** As many of a kind as a rack holds and a plan fills. */
export const MOST_VESSELS = 200;

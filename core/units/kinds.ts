/** Where a cake cools. */
export const SURROUNDINGS = ['lid-ajar', 'counter', 'fan', 'ice-bath', 'fridge', 'freezer'] as const;
export type Where = (typeof SURROUNDINGS)[number];

/** How a cake is cut. */
export const CUT_SHAPES = [
  'squares',
  'rectangles',
  'diamonds',
  'batons',
  'wedges',
  'coins',
  'folded',
  'whole',
] as const;
export type CutShape = (typeof CUT_SHAPES)[number];

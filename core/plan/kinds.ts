export const COLOURS = ['porcelain', 'pandan', 'pea', 'turmeric', 'rose', 'bean'] as const;

/** What is done to an accompaniment, in order. */
export const ACCOMPANIMENT_METHODS = [
  'stir',
  'simmer',
  'reduce',
  'thicken',
  'fry',
  'infuse-oil',
  'pickle',
  'blanch',
] as const;

export const SURROUNDINGS = ['lid-ajar', 'counter', 'fan', 'ice-bath', 'fridge', 'freezer'] as const;

export const SCHOOL_QUESTIONS = [
  'juice',
  'intoPan',
  'dripGuard',
  'rest',
  'extraStarch',
  'yeast',
  'release',
  'lining',
  'cooling',
  'serve',
] as const;
export type SchoolQuestion = (typeof SCHOOL_QUESTIONS)[number];

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

export const PLAN_VERSION = 2;

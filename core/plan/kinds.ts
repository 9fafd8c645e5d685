/** How an ingredient goes in. Vegetable treatments move water; the rest say where it belongs in the steps. */
export const TREATMENTS = [
  'as-is',
  'boiling',
  'syrup',
  'squeezed-hard',
  'squeezed-by-hand',
  'drained',
  'squeezed-boiled',
  'wilted',
  'parboiled',
  'fried',
  'boiled-down',
  'mashed',
  'infused',
  'soaked',
  'soaked-alkali',
  'soaking-liquid',
  'roux',
  'sugared',
  'bloomed',
  'to-the-mark',
  'frying',
] as const;
export type Treatment = (typeof TREATMENTS)[number];

export const CUT_FORMS = ['pulp', 'shreds', 'cubes', 'slices', 'whole'] as const;
export type CutForm = (typeof CUT_FORMS)[number];
export const CUT_TOOLS = ['grater', 'mandoline', 'knife', 'blender', 'masher'] as const;

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

export const PLAN_VERSION = 2;

export type { Line } from './lineSchema';

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

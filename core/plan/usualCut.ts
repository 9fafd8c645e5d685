import type { Ingredient } from '../larder';
import type { CUT_TOOLS, CutForm, Treatment } from './kinds';

export type UsualTool = (typeof CUT_TOOLS)[number];

/** Roots that are cubed for the bite, and stalks that are sliced. */
const CUBED: ReadonlySet<string> = new Set(['taro', 'yam-bean', 'water-chestnut']);
const SLICED: ReadonlySet<string> = new Set(['spring-onion']);

/** How a thing is cut where its line does not say: as its treatment wants it. */
export function usualCutForm(treatment: Treatment, i: Ingredient): CutForm {
  if (i.kind !== 'vegetable' && i.kind !== 'fruit') return 'cubes';
  if (treatment === 'parboiled' || treatment === 'as-is' || i.kind === 'fruit') {
    if (CUBED.has(i.id)) return 'cubes';
    return i.kind === 'fruit' || SLICED.has(i.id) ? 'slices' : 'cubes';
  }
  return treatment === 'mashed' || treatment === 'fried' ? 'slices' : 'shreds';
}

/** What each cut is made with where its line does not say. */
export const USUAL_TOOL: Readonly<Record<CutForm, UsualTool>> = {
  pulp: 'blender',
  shreds: 'grater',
  cubes: 'knife',
  slices: 'knife',
  whole: 'knife',
};

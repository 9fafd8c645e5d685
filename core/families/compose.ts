import type { PlanInput } from '../plan';
import { sauceAs, sauceById } from '../sauces';

/** A shipped formula as it would be written in a file. */
export const formulaPlan = (
  family: string,
  name: string,
  rest: Omit<PlanInput, 'format' | 'version' | 'name' | 'family'>,
): PlanInput => ({ format: 'idle-ladle/plan', version: 2, name, family, ...rest });

export const g = (
  ingredient: string,
  massG: number,
  more: Partial<PlanInput['addIns'] extends (infer L)[] | undefined ? L : never> = {},
) => ({ ingredient, massG, ...more });

/** A sauce of the list as a formula takes it: under a name of its own, and for so many grams a head where that is not the usual. */
export function sauce(of: string, id: string, grams?: number) {
  const s = sauceById(of);
  if (!s) throw new Error(`no sauce ${of}`);
  return sauceAs(s, id, grams);
}

/** What sheets are steamed in, where the cook's own is not known. */
export const WIDE_STEAMER = {
  id: 'wide-steamer',
  name: 'Wide steamer, 36 cm',
  innerDiameterM: 0.36,
  clearHeightM: 0.1,
  potDiameterM: 0.36,
  waterDepthM: 0.07,
};
export const SHEET_TRAY = {
  id: 'sheet-tray',
  name: 'Thin tray, 26 by 20 cm',
  shape: 'rectangular' as const,
  material: 'aluminium' as const,
  lengthM: 0.26,
  widthM: 0.2,
  heightM: 0.012,
  count: 2,
  provenance: 'default' as const,
};

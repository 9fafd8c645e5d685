import type { BatterBands, Family } from '../families';
import { schoolOf } from '../families';
import type { Plan } from '../plan';

/** The bands of one batter: the family's, with what its ingredients and the chosen schools change. */
export function bandsFor(family: Family, plan: Plan, batter: number): BatterBands {
  const lines = plan.batters[batter]?.lines ?? [];
  let bands: BatterBands = family;
  for (const { when, bands: other } of family.variants ?? []) {
    const holds =
      'ingredient' in when
        ? lines.some((l) => l.ingredient === when.ingredient && l.massG > 0)
        : schoolOf(family, plan.schools, when.school[0]) === when.school[1];
    if (holds) bands = { ...bands, ...other };
  }
  return bands;
}

/** Flours that count as one kind in a family's blend. */
const COUNTS_AS: Readonly<Record<string, string>> = {
  'rice-flour-coarse': 'rice-flour-fine',
  'rice-starch': 'rice-flour-fine',
  'glutinous-rice': 'glutinous-flour',
};
export const countsAs = (ingredient: string): string => COUNTS_AS[ingredient] ?? ingredient;

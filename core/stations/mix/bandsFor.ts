import { there } from '../../units';
import type { BatterBands, Family } from '../../families';
import { extraStarchIn, extraStarchOf, type PlanInForce } from '../../plan';

/** The bands of one batter: the family's, with what its ingredients and the chosen schools change. */
export function bandsFor(family: Family, plan: PlanInForce, batter: number): BatterBands {
  const lines = plan.batters[batter]?.lines ?? [];
  let bands: BatterBands = family;
  for (const { when, bands: other } of family.variants ?? []) {
    const holds =
      'ingredient' in when
        ? lines.some((l) => l.ingredient === when.ingredient && l.massG > 0)
        : plan.schools[when.school[0]] === when.school[1];
    if (holds) bands = { ...bands, ...other };
  }
  return family.schools.extraStarch ? withExtra(bands, plan) : bands;
}

/** Any extra starch that cooks use may stand where the family's own does; rice alone is right only where a cook chose none. */
function withExtra(bands: BatterBands, plan: PlanInForce): BatterBands {
  const [first, ...others] = Object.entries(bands.blend);
  const [main, mainBand] = there(first);
  const extra = extraStarchIn(plan);
  if (extra === 'none')
    return plan.schools.extraStarch === 'none'
      ? { ...bands, blend: { ...bands.blend, [main]: [mainBand[0], 100] } }
      : bands;
  const id = extraStarchOf(extra) ?? main;
  return {
    ...bands,
    blend: { ...bands.blend, [id]: bands.blend[id] ?? [0, Math.max(...others.map(([, b]) => b[1]))] },
  };
}

/** Flours that count as one kind in a family's blend. */
const COUNTS_AS: Readonly<Record<string, string>> = {
  'rice-flour-coarse': 'rice-flour-fine',
  'rice-starch': 'rice-flour-fine',
  'glutinous-rice': 'glutinous-flour',
};
export const countsAs = (ingredient: string): string => COUNTS_AS[ingredient] ?? ingredient;

import { type Family, wayOf } from '../../families';
import type { PlanInput } from '../../plan';

/** How a family's cakes are mostly eaten: what a gallery is grouped by. */
export const EATEN = ['seared', 'warm', 'sheets', 'sweet', 'cold'] as const;
export type Eaten = (typeof EATEN)[number];
export const EATEN_WORDS: Readonly<Record<Eaten, string>> = {
  seared: 'Chilled, sliced and seared',
  warm: 'Warm, out of the cup or the pan',
  sheets: 'Rolled and folded sheets',
  sweet: 'Sweet, cut when cold',
  cold: 'Savoury, cut when cold',
};

/** Sugar and syrup of a formula ÷ its flours from which a cake is sweet. */
const SWEET = 0.25;
const FLOUR = /flour|starch|tapioca|rice/;

/** From the family's own data: how it is cooked, whether its formula sears it, how much sugar it takes. */
export function eatenHow(family: Family): Eaten {
  if (wayOf(family).bends) return 'sheets';
  if (wayOf(family).into === 'mould') return 'warm';
  const plan = family.formula();
  const sweet = sugarOf(plan) >= SWEET;
  if (plan.sear && (!sweet || family.schools.serve?.usual === 'seared')) return 'seared';
  return sweet ? 'sweet' : 'cold';
}

function sugarOf(plan: PlanInput): number {
  const lines = [...plan.batters.flatMap((b) => b.lines), ...(plan.addIns ?? [])];
  const grams = (test: (id: string) => boolean) => lines.reduce((a, l) => a + (test(l.ingredient) ? l.massG : 0), 0);
  const flours = grams((id) => FLOUR.test(id));
  return flours > 0 ? grams((id) => /sugar|syrup|banana|mango|jackfruit/.test(id)) / flours : 0;
}

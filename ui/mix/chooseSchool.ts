import type { Line, Plan, SchoolQuestion, Treatment } from '@/core/plan';
import { drawsJuice } from '@/core/mix';

const JUICE: Readonly<Record<string, Treatment>> = {
  'draw-discard': 'squeezed-by-hand',
  'wilt-keep': 'wilted',
  parboil: 'parboiled',
};
const EXTRA: Readonly<Record<string, string | undefined>> = {
  tapioca: 'tapioca',
  maize: 'maize-starch',
  potato: 'potato-starch',
  wheat: 'wheat-starch',
  none: undefined,
};
const EXTRAS = Object.values(EXTRA).filter((x): x is string => x !== undefined);
const SALT_TO_DRAW = 0.02;

/** The plan with a school chosen, and with what that choice changes in its lines. */
export function chooseSchool(plan: Plan, question: SchoolQuestion, choice: string): Plan {
  const next = { ...plan, schools: { ...plan.schools, [question]: choice } };
  if (question === 'juice') {
    const treatment = JUICE[choice];
    return {
      ...next,
      addIns: plan.addIns.map((l): Line =>
        drawsJuice(l.treatment) || l.treatment === 'parboiled'
          ? {
              ...l,
              treatment,
              weighedG: undefined,
              drawSaltG: treatment === 'squeezed-by-hand' ? Math.round(l.massG * SALT_TO_DRAW) : undefined,
            }
          : l,
      ),
    };
  }
  if (question === 'extraStarch') {
    const to = EXTRA[choice];
    return {
      ...next,
      batters: plan.batters.map((b) => {
        const extra = b.lines.filter((l) => EXTRAS.includes(l.ingredient)).reduce((s, l) => s + l.massG, 0);
        const kept = b.lines.filter((l) => !EXTRAS.includes(l.ingredient));
        const main = kept.findIndex((l) => l.ingredient.startsWith('rice-flour'));
        if (to === undefined)
          return { ...b, lines: kept.map((l, i) => (i === main ? { ...l, massG: l.massG + extra } : l)) };
        const rice = kept[main];
        const give = extra > 0 ? 0 : Math.round((rice?.massG ?? 0) * 0.12);
        return {
          ...b,
          lines: [
            ...kept.map((l, i) => (i === main ? { ...l, massG: l.massG - give } : l)),
            { ingredient: to, massG: extra > 0 ? extra : give, treatment: 'as-is' as const },
          ],
        };
      }),
    };
  }
  return next;
}

import { isDryBlend, larderOf } from '../larder';
import type { Line } from './lineSchema';
import type { Treatment } from './kinds';
import { freshLineId, lineIds } from './lineIds';
import type { SchoolQuestion } from './kinds';
import type { Plan } from './schema';

const JUICE: Readonly<Record<string, Treatment>> = {
  'draw-discard': 'squeezed-by-hand',
  'wilt-keep': 'wilted',
  'squeeze-boil': 'squeezed-boiled',
  parboil: 'parboiled',
};
/** Treatments that move juice out of a vegetable or fruit. */
export const JUICE_TREATMENTS: readonly Treatment[] = [
  'squeezed-hard',
  'squeezed-by-hand',
  'drained',
  'squeezed-boiled',
  'wilted',
  'sugared',
];
/** True when the treatment moves juice, so that a weighing of it makes sense. */
export const drawsJuice = (t: Treatment): boolean => JUICE_TREATMENTS.includes(t);

const SALTED: readonly Treatment[] = ['squeezed-hard', 'squeezed-by-hand', 'drained'];
const EXTRA: Readonly<Record<string, string | undefined>> = {
  tapioca: 'tapioca',
  maize: 'maize-starch',
  potato: 'potato-starch',
  wheat: 'wheat-starch',
  none: undefined,
};
const EXTRAS = Object.values(EXTRA).filter((x): x is string => x !== undefined);
/** The starch that a choice of extra starch adds; none for "none". */
export const extraStarchOf = (choice: string): string | undefined => EXTRA[choice];

/** The extra starch of a plan, read off its lines: of those there are, the one with the most grams. The lines answer, not the choice. */
export function extraStarchIn(plan: {
  readonly batters: readonly { readonly lines: readonly Pick<Line, 'ingredient' | 'massG'>[] }[];
}): string {
  const lines = plan.batters.flatMap((b) => b.lines);
  const grams = (choice: string) => lines.reduce((s, l) => (l.ingredient === EXTRA[choice] ? s + l.massG : s), 0);
  return Object.keys(EXTRA).reduce((best, c) => (grams(c) > grams(best) ? c : best), 'none');
}
const SALT_TO_DRAW = 0.02;
/** Clear liquid usually poured off, share of the liquid wanted. */
const POURED_OFF = 0.2;

/** The drawing salt that a juice treatment usually takes, g; none where it is not salted. */
export const usualDrawSalt = (treatment: Treatment, massG: number): number | undefined =>
  SALTED.includes(treatment) ? Math.round(massG * SALT_TO_DRAW) : undefined;

/** The juice school a treatment belongs to; undefined where it is no such question. */
export const juiceSchoolOf = (t: Treatment): string | undefined =>
  SALTED.includes(t) ? 'draw-discard' : Object.keys(JUICE).find((s) => JUICE[s] === t);

/**
 * A line with another treatment. The minutes and the drawing salt belonged to the way it was done before: they are as usual again, and
 * the salt follows the vegetable's grams.
 */
export function treated(l: Line, treatment: Treatment): Line {
  if (treatment === l.treatment) return l;
  const { drawSaltG: _salt, drawS: _time, ...rest } = l;
  const salt = usualDrawSalt(treatment, l.massG);
  return { ...rest, treatment, ...(salt === undefined ? {} : { drawSaltG: salt }) };
}

/** A line of another weight: the salt strewn on it keeps its share. */
export const weighed = (l: Line, massG: number): Line =>
  l.drawSaltG === undefined || l.massG <= 0
    ? { ...l, massG }
    : { ...l, massG, drawSaltG: Math.round((100 * l.drawSaltG * massG) / l.massG) / 100 };

/** The plan with its juice school read off its lines: line and school are one question, and the line answers it. */
export function withJuiceSchool(plan: Plan): Plan {
  const said = plan.addIns.map((l) => juiceSchoolOf(l.treatment)).find((s) => s !== undefined);
  return said === undefined || plan.schools.juice === said
    ? plan
    : { ...plan, schools: { ...plan.schools, juice: said } };
}

/** The plan with a school chosen, and with what that choice changes in its lines. Readings stay: they belong to their nodes. */
export function chooseSchool(plan: Plan, question: SchoolQuestion, choice: string): Plan {
  const next = { ...plan, schools: { ...plan.schools, [question]: choice } };
  if (question === 'juice') {
    const treatment = JUICE[choice];
    if (!treatment) return next;
    return {
      ...next,
      addIns: plan.addIns.map((l): Line => {
        if (!(drawsJuice(l.treatment) || l.treatment === 'parboiled') || l.treatment === 'sugared') return l;
        // Drained, by hand or hard are strengths of one school: the cook's own is kept.
        return juiceSchoolOf(l.treatment) === choice ? l : treated(l, treatment);
      }),
    };
  }
  if (question === 'rest' && choice === 'pour-off')
    return {
      ...next,
      batters: plan.batters.map((b) =>
        b.pouredOffG !== undefined ? b : { ...b, pouredOffG: Math.round(POURED_OFF * (b.wantedLiquidG ?? 0)) },
      ),
    };
  if (question === 'cooling') return { ...next, cooling: cooledBy(choice, plan.cooling) };
  return question === 'extraStarch' ? withExtraStarch(next, EXTRA[choice]) : next;
}

/** Cooling stages of a school: on the counter only while it steams, iced for two hours or as long as it was, and in the fridge as long as it was. */
function cooledBy(choice: string, before: Plan['cooling']): Plan['cooling'] {
  if (before.length === 0) return before;
  const chill = {
    where: 'fridge' as const,
    timeS: Math.max(7200, ...before.filter((s) => s.where === 'fridge').map((s) => s.timeS)),
  };
  if (choice === 'fridge') return [chill];
  if (choice === 'ice-bath') {
    const iced = Math.max(7200, ...before.filter((s) => s.where === 'ice-bath').map((s) => s.timeS));
    return [{ where: 'counter', timeS: 600 }, { where: 'ice-bath', timeS: iced }, chill];
  }
  return [{ where: 'counter', timeS: 3600 }, chill];
}

/** Exchanges the extra starch of every batter for another, or for more of its rice flour. */
function withExtraStarch(plan: Plan, to: string | undefined): Plan {
  const taken = new Set(lineIds(plan));
  const dry = (l: Line): boolean => {
    const i = larderOf().get(l.ingredient);
    return i !== undefined && isDryBlend(i);
  };
  return {
    ...plan,
    batters: plan.batters.map((b) => {
      const extra = b.lines.filter((l) => EXTRAS.includes(l.ingredient)).reduce((s, l) => s + l.massG, 0);
      const kept = b.lines.filter((l) => !EXTRAS.includes(l.ingredient));
      const rice = kept.findIndex((l) => l.ingredient.startsWith('rice-flour'));
      const main = rice >= 0 ? rice : kept.findIndex(dry);
      if (to === undefined)
        return { ...b, lines: kept.map((l, i) => (i === main ? { ...l, massG: l.massG + extra } : l)) };
      const give = extra > 0 ? 0 : Math.round((kept[main]?.massG ?? 0) * 0.12);
      const id = freshLineId(
        new Set([...taken].filter((t) => !b.lines.some((l) => l.id === t && EXTRAS.includes(l.ingredient)))),
        to,
      );
      taken.add(id);
      const added: Line = { id, ingredient: to, massG: extra > 0 ? extra : give, treatment: 'as-is' };
      return { ...b, lines: [...kept.map((l, i) => (i === main ? { ...l, massG: l.massG - give } : l)), added] };
    }),
  };
}

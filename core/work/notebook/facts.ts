import { there } from '../../units';
import { z } from 'zod';
import { familyOf } from '../../families';
import { INGREDIENT_TABLE } from '../../larder';
import { whoIs, type Who } from '../../kitchen';
import { firstHeat } from '../../plan';
import { TEXTURE_AXES } from '../../model/batter';
import { keepChilled } from '../../model/rest';
import { standing, type BatchEvent } from './events';
import type { Snapshot } from './snapshot';

/** What lists and learning need of a batch's snapshot: who cooked what in what, the model's times, s, and shares of the dry blend, 0 to 1. */
export const factsSchema = z.object({
  who: z.object({ steamer: z.string(), heat: z.string(), family: z.string(), plan: z.string() }),
  modelVersion: z.int(),
  unlearnedS: z.number().nullable(),
  plannedS: z.number().nullable(),
  blend: z.record(z.string(), z.number()),
  /** How long it keeps chilled, days: its family's figure, or the stricter one for what is in it; null: nobody knows. */
  keepDays: z.number().nullable().default(null),
});
export type Facts = z.infer<typeof factsSchema>;

/** What lists and learning need of a batch's events: the checks and tastings that stand. */
export const seenSchema = z.object({
  checks: z.array(z.object({ state: z.enum(['sticky', 'nearly', 'clean']), afterS: z.number() })),
  tastings: z.array(
    z.object({
      overall: z.int(),
      axes: z.partialRecord(z.enum(TEXTURE_AXES), z.enum(['less', 'right', 'more'])),
      note: z.string(),
    }),
  ),
  /** The cook says that the checks are right, odd as they are. */
  vouched: z.boolean().default(false),
});
export type Seen = z.infer<typeof seenSchema>;

const FLOURS = new Set(INGREDIENT_TABLE.filter((i) => i.starchKind).map((i) => i.id));

/** Who cooked what in what, by a snapshot. */
export function whoCooked({ plan, steamerId }: Snapshot): Who {
  return whoIs(steamerId, firstHeat(plan), plan.family, plan.name);
}

export function factsOf(snapshot: Snapshot): Facts {
  const lines = there(snapshot.plan.batters[0]).lines.filter((l) => FLOURS.has(l.ingredient));
  const sum = lines.reduce((s, l) => s + l.massG, 0) || 1;
  const family = familyOf(snapshot.plan.family);
  return {
    who: whoCooked(snapshot),
    modelVersion: snapshot.modelVersion,
    unlearnedS: snapshot.figures.unlearnedS,
    plannedS: snapshot.figures.firstCleanPickS,
    blend: Object.fromEntries(lines.map((l) => [l.ingredient, l.massG / sum])),
    keepDays: family.ok ? keepChilled(family.value.keepDays, snapshot.allergens).days : null,
  };
}

export const seenOf = (events: readonly (BatchEvent & { readonly key: string })[]): Seen => {
  const left = standing(events);
  return {
    checks: left.flatMap((e) => (e.kind === 'checked' ? [{ state: e.state, afterS: e.afterS }] : [])),
    vouched: left.some((e) => e.kind === 'vouched'),
    tastings: left.flatMap((e) => (e.kind === 'tasted' ? [{ overall: e.overall, axes: e.axes, note: e.note }] : [])),
  };
};

import { z } from 'zod';
import { CUT_FORMS, CUT_TOOLS, TREATMENTS } from './kinds';

const amount = (what: string, max: number, unit: string) =>
  z
    .number({
      error: (issue) =>
        issue.input === undefined ? `${what} is missing; enter a number.` : `${what} must be a number, in ${unit}.`,
    })
    .min(0, `${what} cannot be below zero.`)
    .max(max, `${what} above ${max} ${unit} is more than this can plan; check the number.`);
/** Grams of a plan, 0 to 50 kg. */
export const massG = (what = 'The amount') => amount(what, 50_000, 'g');
/** Seconds of a plan, up to three days. */
export const seconds = (what: string) => amount(what, 72 * 3600, 's');
/** Ids are no longer than this, letters. */
export const LONGEST_ID = 80;
/** A name inside a document: letters, figures and dashes. */
export const idSchema = z.string().min(1).max(LONGEST_ID);

/** Cut form and tool of a line, and a second form for a share of it. */
export const lineCutSchema = z.object({
  form: z.enum(CUT_FORMS),
  tool: z.enum(CUT_TOOLS).optional(),
  also: z.object({ form: z.enum(CUT_FORMS), share: z.number().min(0).max(1) }).optional(),
});

export const lineSchema = z.object({
  /** Names this line in readings and steps, whatever else changes. Absent: made from the ingredient. */
  id: z.string().max(80).default(''),
  /** Id in the larder, or of an inline ingredient of this plan. */
  ingredient: z.string().min(1, 'Choose an ingredient.').max(LONGEST_ID),
  massG: massG(),
  treatment: z.enum(TREATMENTS).default('as-is'),
  /** Salt strewn on the vegetable to draw it, g. */
  drawSaltG: massG('The drawing salt').optional(),
  /** How long it draws, wilts, fries or boils, or grain soaks, s; absent: the usual. */
  drawS: seconds('The drawing time').optional(),
  /** How long a dried thing soaks before all else, s; absent: the usual. */
  soakS: seconds('The soaking time').optional(),
  /** Water it soaks in, °C; absent: the usual. */
  soakC: z.number().min(0, 'Soaking water below 0 °C is ice.').max(100, 'Water boils at 100 °C.').optional(),
  /** Salt thrown in with it while it fries, g. */
  frySaltG: massG('The salt at frying').optional(),
  /** How it is cut; absent: as its treatment usually is. */
  cut: lineCutSchema.optional(),
  /** Share kept back for the top, 0–1. */
  keptBack: z.number().min(0).max(0.6, 'Keep back at most 60 %.').optional(),
  /** Share of the mass that takes this treatment, the rest is as-is (roux, boiling, bloomed). */
  share: z.number().min(0).max(1).optional(),
  /** Temperature as it goes in, °C, where it is not the room's. */
  tempC: z.number().min(-5).max(130).optional(),
});
export type Line = z.infer<typeof lineSchema>;

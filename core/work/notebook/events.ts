import { z } from 'zod';
import { HEATS } from '../../kitchen';
import { TEXTURE_AXES } from '../../model/batter';

const stepId = z.string().min(1).max(200);
const lineId = z.string().min(1).max(120);
const massG = z.number().min(0, 'A weight cannot be below zero.').max(50_000, 'More than 50 kg: check the weight.');
/** What the list said of a line that goes by parts, g; such a line is reckoned from it. */
const ofG = massG.optional();
const note = z.string().max(2000, 'Keep the note under 2000 letters.');

/** What happens while a batch is made: an append-only list. `at` is set by whoever records it, ISO 8601. */
export const eventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ticked'), stepId, done: z.boolean(), skipped: z.boolean().optional() }),
  /** The hands are free again and the wait of a step runs: a pan is in the steam, mushrooms are in the water. */
  z.object({ kind: z.literal('begun'), stepId }),
  /** Of notebooks before steps could be begun. */
  z.object({ kind: z.literal('loaded') }),
  z.object({
    kind: z.literal('checked'),
    state: z.enum(['sticky', 'nearly', 'clean']),
    afterS: z
      .number('Say after how many minutes.')
      .min(0, 'The minutes cannot be below zero.')
      .max(12 * 3600, 'More than twelve hours of steaming: check the minutes.'),
  }),
  /** Of notebooks before readings were named by node and slot. */
  z.object({ kind: z.literal('weighed'), path: z.string().max(200), massG }),
  /** What was read at a node of the flow, in the unit of its slot. */
  z.object({
    kind: z.literal('read'),
    stepId,
    slot: z.string().min(1).max(40),
    value: z.number('A reading is a number.').min(-50).max(300_000),
  }),
  /** A line of the list is in the bowl. */
  z.object({ kind: z.literal('line-ticked'), stepId, line: lineId, done: z.boolean() }),
  /** So much of a line was weighed out in all, g. */
  z.object({
    kind: z.literal('line-weighed'),
    stepId,
    line: lineId,
    massG,
    ofG,
    /** All that stood on the scale then, g: the next line begins there. Absent where no scale was heard. */
    grossG: z.number().min(-60_000).max(60_000).optional(),
  }),
  /** So much more of a line went in than the list says, g; less than none was left over. */
  z.object({
    kind: z.literal('line-changed'),
    stepId,
    line: lineId,
    byG: z.number().min(-50_000).max(50_000, 'More than 50 kg more: check the weight.'),
    ofG,
  }),
  /** A word for what is seen at a step. */
  z.object({ kind: z.literal('said'), stepId, words: z.string().min(1).max(60) }),
  z.object({ kind: z.literal('turned'), heat: z.enum([...HEATS, 'off']) }),
  /** A timer of the cook's own. */
  z.object({
    kind: z.literal('timer-set'),
    timer: z.string().min(1).max(80),
    name: z.string().trim().min(1, 'Give the timer a name.').max(80, 'Keep the name under 80 letters.'),
    forS: z
      .number()
      .min(1, 'A timer runs for a second at least.')
      .max(72 * 3600, 'A timer runs for three days at most.'),
  }),
  /** A timer that has been seen, or is not needed any more. */
  z.object({ kind: z.literal('timer-ended'), timer: z.string().min(1).max(240) }),
  /** What a probe shows in boiling water beside what water boils at here, °C. */
  z.object({
    kind: z.literal('probe-checked'),
    readC: z.number().min(-20).max(130),
    boilC: z.number().min(70).max(105),
  }),
  z.object({ kind: z.literal('topped-up'), massG: z.number().min(0).max(20_000) }),
  z.object({
    kind: z.literal('probed'),
    tempC: z
      .number()
      .min(-20, 'That is colder than a freezer; check the probe.')
      .max(120, 'A cake in steam cannot be above 120 °C; check the probe.'),
  }),
  z.object({ kind: z.literal('pulled') }),
  z.object({
    kind: z.literal('tasted'),
    overall: z.int().min(1, 'Overall runs from 1 to 5.').max(5, 'Overall runs from 1 to 5.'),
    axes: z.partialRecord(z.enum(TEXTURE_AXES), z.enum(['less', 'right', 'more'])).default({}),
    note: note.default(''),
    /** The one thing that was seen of it. */
    sign: z.string().max(60).optional(),
  }),
  z.object({ kind: z.literal('photographed'), photo: z.string().min(1).max(80) }),
  z.object({ kind: z.literal('noted'), note: note.min(1, 'Write a word or two.') }),
  z.object({ kind: z.literal('finished') }),
  /** What was seen of when it was ready is right, far as it lies from all that was forecast. */
  z.object({ kind: z.literal('vouched') }),
  /** Nothing of it is left. */
  z.object({ kind: z.literal('eaten') }),
  /** What was written down by mistake: the event that was sent under this key counts no more. Another of these can take it back in turn. */
  z.object({ kind: z.literal('taken-back'), of: z.string().min(1).max(80) }),
]);
export type BatchEvent = z.infer<typeof eventSchema>;
/** An event as it is kept: its number, when it happened, ISO 8601, and the key it was sent under. */
export type StampedEvent = BatchEvent & { readonly id: number; readonly at: string; readonly key: string };

/** Nobody has looked into the steam before this long, s: a check of less was made without a beginning. */
export const LEAST_STEAMED_S = 10;

/** What the notebook offers to take back: all but ticks and timers, which are taken back at the stove. */
const STAYS: ReadonlySet<BatchEvent['kind']> = new Set([
  'ticked',
  'line-ticked',
  'begun',
  'loaded',
  'pulled',
  'timer-set',
  'timer-ended',
  'taken-back',
]);
export const canTakeBack = (e: BatchEvent): boolean => !STAYS.has(e.kind);

/** The events that count: without what was taken back, and without the taking back. */
export function standing<E extends BatchEvent & { readonly key: string }>(events: readonly E[]): readonly E[] {
  const takenBack = new Set<string>();
  const left: E[] = [];
  // From the last: taking back what took back brings the first one in again.
  for (const e of [...events].reverse()) {
    if (takenBack.has(e.key)) continue;
    if (e.kind === 'taken-back') takenBack.add(e.of);
    else left.push(e);
  }
  return left.reverse();
}

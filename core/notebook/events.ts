import { z } from 'zod';
import { TEXTURE_AXES } from '../mix';

const note = z.string().max(2000, 'Keep the note under 2000 letters.');

/** What happens while a batch is made: an append-only list. `at` is set by whoever records it, ISO 8601. */
export const eventSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ticked'), stepId: z.string().min(1).max(200), done: z.boolean() }),
  z.object({ kind: z.literal('loaded') }),
  z.object({
    kind: z.literal('checked'),
    state: z.enum(['sticky', 'nearly', 'clean']),
    afterS: z
      .number('Say after how many minutes.')
      .min(0, 'The minutes cannot be below zero.')
      .max(12 * 3600, 'More than twelve hours of steaming: check the minutes.'),
  }),
  z.object({
    kind: z.literal('weighed'),
    path: z.string().max(200),
    massG: z.number().min(0, 'A weight cannot be below zero.').max(50_000),
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
  }),
  z.object({ kind: z.literal('noted'), note: note.min(1, 'Write a word or two.') }),
  z.object({ kind: z.literal('finished') }),
  /** What was written down by mistake: the event that was sent under this key counts no more. Another of these can take it back in turn. */
  z.object({ kind: z.literal('taken-back'), of: z.string().min(1).max(80) }),
]);
export type BatchEvent = z.infer<typeof eventSchema>;
/** An event as it is kept: its number, when it happened, ISO 8601, and the key it was sent under. */
export type StampedEvent = BatchEvent & { readonly id: number; readonly at: string; readonly key: string };

/** The kinds of event that can be taken back; a tick is taken back by unticking. */
export const TAKEN_BACK = ['checked', 'tasted', 'weighed', 'topped-up', 'probed', 'noted', 'finished'] as const;
export const canTakeBack = (e: BatchEvent): boolean => (TAKEN_BACK as readonly string[]).includes(e.kind);

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

/** Steps ticked now: the last word on each step counts. Value: when it was ticked, ISO 8601. */
export function tickedSteps(events: readonly StampedEvent[]): ReadonlyMap<string, string> {
  const ticks = new Map<string, string>();
  for (const e of events) {
    if (e.kind !== 'ticked') continue;
    if (e.done) ticks.set(e.stepId, e.at);
    else ticks.delete(e.stepId);
  }
  return ticks;
}

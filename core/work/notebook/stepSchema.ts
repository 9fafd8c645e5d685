import { z } from 'zod';
import { operationOf } from '../../flow';
import type { Step, WeighOut } from '../../steps';

const text = z.string();
const seconds = z.number();
const amountSchema = z.looseObject({
  name: text,
  massG: z.number(),
  note: text.optional(),
  fine: z.boolean().optional(),
  bought: text.optional(),
  dryG: z.number().optional(),
  line: text.optional(),
  path: text.optional(),
});
const momentSchema = z.looseObject({ atS: seconds, words: text });
const answerSchema = z.looseObject({ kind: text, words: text });
const stepSchema = z.looseObject({
  id: text,
  station: text.optional(),
  verb: text,
  sentence: text,
  amounts: z.array(amountSchema).default([]),
  carried: z.array(z.looseObject({ name: text, massG: z.number() })).optional(),
  handsOnS: seconds.default(0),
  waitS: seconds.default(0),
  openS: seconds.optional(),
  timedS: seconds.optional(),
  resources: z.array(z.unknown()).default([]),
  lookFor: text.optional(),
  taste: text.optional(),
  cautions: z.array(text).default([]),
  answers: z.array(answerSchema).optional(),
  seconds: z.boolean().optional(),
  timeline: z.array(momentSchema).optional(),
  after: z.array(text).default([]),
});

/** A step that stands in the notebook and cannot be read: what the stove shows in its place, so that the others go on. */
const lost = (doc: unknown, i: number): Step => ({
  op: undefined,
  id: typeof doc === 'object' && doc !== null && 'id' in doc && typeof doc.id === 'string' ? doc.id : `lost:${i + 1}`,
  station: 'mix',
  verb: 'Lost',
  sentence: 'This step cannot be read any more; go by the plan.',
  amounts: [],
  handsOnS: 0,
  waitS: 0,
  resources: [],
  cautions: [],
  after: [],
});

/** Steps as they were written down; one that is damaged is told in its place, and harms none of the others. */
export const stepsSchema = z.array(z.unknown()).transform((all): Step[] =>
  all.map((doc, i) => {
    const read = stepSchema.safeParse(doc);
    // What is checked is what the stove reads of a step; the rest is of the release that wrote it.
    return read.success ? ({ ...read.data, op: operationOf(read.data.id) } as unknown as Step) : lost(doc, i);
  }),
);

const weighSchema = z.looseObject({
  name: text,
  amounts: z.array(amountSchema),
  massG: z.number(),
  lookAlikes: z.array(text).optional(),
});
/** What was to be weighed out; a group that is damaged is left out. */
export const weighOutSchema = z.array(z.unknown()).transform((all): WeighOut[] =>
  all.flatMap((doc) => {
    const read = weighSchema.safeParse(doc);
    return read.success ? [read.data as unknown as WeighOut] : [];
  }),
);

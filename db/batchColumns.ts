import {
  eventSchema,
  factsOf,
  factsSchema,
  seenOf,
  seenSchema,
  standing,
  type Facts,
  type Seen,
  type Snapshot,
  type StampedEvent,
} from '@/core/work/notebook';
import { asCooked } from '@/core/work/stove';
import type { z } from 'zod';
import type { BatchEventRow, BatchRow } from './models';
import { searched } from './page';
import { readDocument, readWith } from './unreadable';

export interface UnreadableEvent {
  readonly id: number;
  readonly at: string;
  readonly raw: string;
}
/** What a list shows of a batch. */
export interface BatchCard {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly startedAt: string;
  readonly finished: boolean;
  readonly finishedAt: string | null;
  readonly overall: number | null;
  readonly note: string;
  readonly cleanAtS: number | null;
  readonly plannedS: number | null;
  /** How long it keeps chilled, days; null: nobody knows. */
  readonly keepDays: number | null;
  /** True once nothing of it is left. */
  readonly eaten: boolean;
  readonly readable: boolean;
}
/** Version of what is worked out into columns; rows of another are worked out again when the file is opened. */
export const DERIVED = 3;

const readColumn =
  <T>(schema: z.ZodType<T>) =>
  (raw: string | null | undefined): T | undefined => {
    const read = raw ? readDocument(raw, readWith(schema)) : undefined;
    return read?.ok ? read.value : undefined;
  };
/** What is kept of a batch in columns; undefined where it cannot be read: it is worked out again from what it was worked out from. */
export const readFacts: (raw: string | null | undefined) => Facts | undefined = readColumn(factsSchema);
export const readSeen: (raw: string | null | undefined) => Seen | undefined = readColumn(seenSchema);

/** Events of rows in the order in which they happened, and those that cannot be read. */
export function eventsOf(rows: readonly BatchEventRow[]) {
  const events: StampedEvent[] = [];
  const unreadable: UnreadableEvent[] = [];
  for (const row of rows) {
    const read = readDocument(row.event, readWith(eventSchema), row.sum);
    const id = row.id ?? 0;
    if (read.ok) events.push({ ...read.value, id, at: row.at, key: row.key });
    else unreadable.push({ id, at: row.at, raw: row.event });
  }
  return { events: events.sort((a, b) => a.at.localeCompare(b.at) || a.id - b.id), unreadable };
}

/** What lists and learning read of a batch, worked out from its document and its events: of the cake as it was cooked. */
export function derivedOf(name: string, snapshot: Snapshot | undefined, events: readonly StampedEvent[]) {
  const seen = seenOf(events);
  const left = standing(events);
  const facts = snapshot && factsOf({ ...snapshot, plan: asCooked(snapshot.plan, left) });
  const tasted = seen.tastings.at(-1);
  const note = tasted?.note ?? '';
  return {
    family: facts?.who.family ?? '',
    overall: tasted?.overall ?? null,
    note,
    cleanAtS: seen.checks.find((c) => c.state === 'clean')?.afterS ?? null,
    plannedS: facts?.plannedS ?? null,
    search: searched(`${name} ${note} ${facts?.who.family.replaceAll('-', ' ') ?? ''}`),
    facts: facts ? JSON.stringify(facts) : null,
    seen: JSON.stringify(seen),
    keepDays: facts?.keepDays ?? null,
    finishedAt: left.find((e) => e.kind === 'finished')?.at ?? null,
    eatenAt: left.findLast((e) => e.kind === 'eaten')?.at ?? null,
    derived: DERIVED,
  };
}

/** Columns of a card. */
export const CARD = [
  'id',
  'name',
  'family',
  'startedAt',
  'finishedAt',
  'overall',
  'note',
  'cleanAtS',
  'plannedS',
  'keepDays',
  'eatenAt',
  'facts',
];
export const cardOf = (r: BatchRow): BatchCard => ({
  id: r.id,
  name: r.name,
  family: r.family ?? '',
  startedAt: r.startedAt,
  finished: r.finishedAt !== null,
  finishedAt: r.finishedAt ?? null,
  overall: r.overall ?? null,
  note: r.note ?? '',
  cleanAtS: r.cleanAtS ?? null,
  plannedS: r.plannedS ?? null,
  keepDays: r.keepDays ?? null,
  eaten: Boolean(r.eatenAt),
  readable: Boolean(r.facts),
});

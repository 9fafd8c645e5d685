import type { BatchEvent, StampedEvent } from '../../notebook';

export const START_MS = Date.parse('2026-05-06T16:00:00Z');

export type Entry = readonly [number, BatchEvent];

/** For tests: events at seconds after the start, each with an id and a key of its own. */
export const log = (...entries: readonly Entry[]): readonly StampedEvent[] =>
  entries.map(([atS, e], i) => ({ ...e, id: i + 1, key: `k${i}`, at: new Date(START_MS + atS * 1000).toISOString() }));
export const at = (s: number): number => START_MS + s * 1000;

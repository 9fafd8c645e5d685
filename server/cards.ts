import type { StoredBatch } from '@/db';

export interface BatchCard {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly startedAt: string;
  readonly finished: boolean;
  readonly overall: number | null;
  readonly note: string;
  readonly cleanAtS: number | null;
  readonly plannedS: number | null;
}

/** What a list shows of a batch. */
export function batchCard(b: StoredBatch): BatchCard {
  const tasted = b.events.findLast((e) => e.kind === 'tasted');
  const clean = b.events.find((e) => e.kind === 'checked' && e.state === 'clean');
  return {
    id: b.id,
    name: b.name,
    family: b.snapshot.plan.family,
    startedAt: b.startedAt,
    finished: b.finishedAt !== null,
    overall: tasted?.kind === 'tasted' ? tasted.overall : null,
    note: tasted?.kind === 'tasted' ? tasted.note : '',
    cleanAtS: clean?.kind === 'checked' ? clean.afterS : null,
    plannedS: b.snapshot.figures.firstCleanPickS,
  };
}

'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import { standing, type BatchEvent, type StampedEvent } from '@/core/work/notebook';
import type { StoredBatch } from '@/db';
import { request } from '../kit';
import { kitchenMsOf } from './kitchenClock';
import { outbox, type Outcome, type Waiting } from './outbox';
import { useIsLive } from './useLive';

const AGAIN_MS = 4000;
/** Where the stream of news is down, what other devices write down is looked up this often; where it is up, to be sure, ms. */
const LOOK_MS = { alone: 6000, live: 60_000 } as const;

export interface BatchHand {
  /** The batch with what this device has yet to send, as if it were written down. */
  readonly batch: StoredBatch;
  /** Its events that count. */
  readonly events: readonly StampedEvent[];
  readonly refused: readonly Waiting[];
  readonly trouble: string | undefined;
  /** All that was written down, as it stands at the time of asking. */
  readonly latest: () => readonly StampedEvent[];
  readonly record: (event: BatchEvent, key?: string) => Promise<Outcome>;
  readonly again: (key: string) => void;
  readonly throwAway: (key: string) => void;
}

/** As they happened. */
export const inOrder = (events: readonly StampedEvent[]): readonly StampedEvent[] =>
  [...events].sort((a, b) => a.at.localeCompare(b.at) || a.id - b.id);

/**
 * What was written down last, which is what is taken back: by its number, not by its time, since clocks of two devices agree only so far. What waits
 * to be sent comes after all that was sent. Timers that were seen are nothing to take back, nor is the setting of one: it is done.
 */
export function lastWritten(events: readonly StampedEvent[]): StampedEvent | undefined {
  const ended = new Set(events.flatMap((e) => (e.kind === 'timer-ended' ? [e.timer] : [])));
  const isOver = (e: StampedEvent) => e.kind === 'timer-ended' || (e.kind === 'timer-set' && ended.has(e.timer));
  return events.reduce<StampedEvent | undefined>(
    (last, e) => (isOver(e) || (last && e.id < last.id) ? last : e),
    undefined,
  );
}

const NOTHING = { waiting: [], trouble: undefined } as const;

/** Events are never taken away: an answer that was under way while another came loses none. */
function withAll(answer: StoredBatch, known: StoredBatch | undefined): StoredBatch {
  const keys = new Set(answer.events.map((e) => e.key));
  const more = known?.events.filter((e) => !keys.has(e.key)) ?? [];
  return more.length === 0 ? answer : { ...answer, events: inOrder([...answer.events, ...more]) };
}

/** A batch and its events: each is kept on this device until the kitchen has it, so that a reload or a dead battery loses none. */
export function useBatch(initial: StoredBatch): BatchHand {
  const { id } = initial;
  const client = useQueryClient();
  const live = useIsLive();
  const stored = useQuery({
    queryKey: ['batch', id],
    queryFn: async () =>
      withAll(
        await request<StoredBatch>(`/api/batches/${encodeURIComponent(id)}`),
        client.getQueryData<StoredBatch>(['batch', id]),
      ),
    initialData: initial,
    initialDataUpdatedAt: 0,
    refetchInterval: live ? LOOK_MS.live : LOOK_MS.alone,
  }).data;
  const box = useMemo(
    () =>
      outbox<StoredBatch>(
        id,
        (sent) => request(`/api/batches/${encodeURIComponent(id)}/events`, 'POST', sent),
        (b) => client.setQueryData<StoredBatch>(['batch', id], (known) => withAll(b, known)),
      ),
    [id, client],
  );
  const { waiting, trouble } = useSyncExternalStore(box.subscribe, box.state, () => NOTHING);
  useEffect(() => {
    void box.open();
    const timer = setInterval(() => void box.flush(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [box]);
  const record = useCallback((event: BatchEvent, key?: string) => box.record(event, key), [box]);
  return useMemo(() => {
    const soon = waiting
      .filter((w) => w.refused === undefined && !stored.events.some((e) => e.key === w.key))
      .map((w): StampedEvent => ({
        ...w.event,
        id: Number.MAX_SAFE_INTEGER,
        at: new Date(kitchenMsOf(w.atMs)).toISOString(),
        key: w.key,
      }));
    const all = inOrder([...stored.events, ...soon]);
    const events = standing(all);
    return {
      batch: { ...stored, events: all, finishedAt: events.find((e) => e.kind === 'finished')?.at ?? null },
      events,
      refused: waiting.filter((w) => w.refused !== undefined),
      trouble,
      latest: () => client.getQueryData<StoredBatch>(['batch', id])?.events ?? stored.events,
      record,
      again: (key: string) => void box.again(key),
      throwAway: (key: string) => box.throwAway(key),
    };
  }, [stored, waiting, trouble, record, box, client, id]);
}

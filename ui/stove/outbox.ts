import { z } from 'zod';
import { eventSchema, type BatchEvent } from '@/core/work/notebook';
import { freshId, Refused, sentenceOf, worthAgain } from '../kit';
import { deviceStore, keysUnder, readKept } from '../kit/deviceStore';

/**
 * The queue of what was written down at the stove and is not in the kitchen yet: one record an event on the device, so that two windows never
 * write over each other and a dead battery loses none. An event that the kitchen refuses stays, with why, until the cook puts it right or throws
 * it away.
 */
const PREFIX = 'idle-ladle/event/';
/** How the queue of before was kept: all of a batch in one list. */
const OLD_PREFIX = 'idle-ladle/events/';

const waitingSchema = z.object({
  key: z.string(),
  event: eventSchema,
  /** When it happened by this device's clock, ms. */
  atMs: z.number(),
  /** Its place among those of the same millisecond. */
  n: z.number().default(0),
  /** Why the kitchen would not have it. */
  refused: z.string().optional(),
});
export type Waiting = z.infer<typeof waitingSchema>;

export type Outcome =
  | { readonly how: 'written' }
  /** Kept on this device until the kitchen answers; `safe`: a reload does not lose it. */
  | { readonly how: 'kept'; readonly safe: boolean }
  | { readonly how: 'refused'; readonly sentence: string };

/** Sends one event, with how long ago it happened; fails as {@link Refused} where the kitchen would not have it. */
export type Send<B> = (sent: {
  readonly key: string;
  readonly event: BatchEvent;
  readonly agoMs: number;
}) => Promise<B>;

export interface OutboxState {
  readonly waiting: readonly Waiting[];
  /** Why nothing goes out at the moment. */
  readonly trouble: string | undefined;
}

const oldSchema = z.array(z.object({ key: z.string(), event: eventSchema }));
/** One that is torn keeps none of the others from going out. */
const waitingIn = (key: string): Waiting[] => {
  const read = readKept(deviceStore(key).get(), (x) => waitingSchema.safeParse(x).data);
  return read ? [read] : [];
};

/** The queue of one batch on this device. */
export function outbox<B>(batchId: string, send: Send<B>, taken: (b: B) => void) {
  const prefix = `${PREFIX}${batchId}/`;
  const listeners = new Set<() => void>();
  let state: OutboxState = { waiting: [], trouble: undefined };
  let count = 0;
  let going: Promise<void> | undefined;

  const list = () =>
    keysUnder(prefix)
      .flatMap(waitingIn)
      .sort((a, b) => a.atMs - b.atMs || a.n - b.n);
  const show = (trouble: string | undefined) => {
    state = { waiting: list(), trouble };
    listeners.forEach((l) => l());
  };
  const store = (w: Waiting): boolean => deviceStore(prefix + w.key).set(JSON.stringify(w));
  const forget = (key: string) => void deviceStore(prefix + key).set(null);
  /** Takes over what an older version left on this device. */
  const takeOld = () => {
    const kept = deviceStore(OLD_PREFIX + batchId);
    const old = readKept(kept.get(), (x) => oldSchema.safeParse(x).data);
    if (!old) return;
    old.forEach((w, n) => store({ ...w, atMs: Date.now(), n }));
    kept.set(null);
  };

  async function deliver(): Promise<void> {
    for (;;) {
      const next = list().find((w) => w.refused === undefined);
      if (!next) return show(undefined);
      try {
        const answer = await send({ key: next.key, event: next.event, agoMs: Math.max(0, Date.now() - next.atMs) });
        forget(next.key);
        taken(answer);
      } catch (e) {
        if (worthAgain(e))
          return show(
            `Not written down yet: ${sentenceOf(e, 'the kitchen does not answer.')} It is kept on this device.`,
          );
        store({ ...next, refused: e instanceof Refused ? e.message : 'The kitchen would not have it.' });
      }
      show(state.trouble);
    }
  }
  /** Sends what can be sent; one at a time, in the order in which it happened. */
  const flush = (): Promise<void> => {
    going ??= deliver().finally(() => {
      going = undefined;
    });
    return going;
  };

  return {
    state: () => state,
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => {
        listeners.delete(l);
      };
    },
    open: () => {
      takeOld();
      show(undefined);
      return flush();
    },
    flush,
    /** Writes an event down, and answers with what became of it. */
    /** @param key under which it is written once, whoever sends it; absent: one of its own */
    async record(event: BatchEvent, key = freshId()): Promise<Outcome> {
      const w: Waiting = { key, event, atMs: Date.now(), n: count++ };
      const safe = store(w);
      show(state.trouble);
      await flush();
      // One that was under way when this came may have ended before it was seen.
      if (list().some((x) => x.key === w.key && x.refused === undefined) && state.trouble === undefined) await flush();
      const left = list().find((x) => x.key === w.key);
      if (!left) return { how: 'written' };
      return left.refused === undefined ? { how: 'kept', safe } : { how: 'refused', sentence: left.refused };
    },
    again(key: string): Promise<void> {
      const w = list().find((x) => x.key === key);
      if (w) store({ ...w, refused: undefined });
      return flush();
    },
    throwAway(key: string): void {
      forget(key);
      show(state.trouble);
    },
  };
}

/** What became of something that was written down, in words. */
export const sayOutcome = (o: Outcome, written: string): string =>
  o.how === 'written'
    ? written
    : o.how === 'kept'
      ? o.safe
        ? 'Kept on this device; it is written down as soon as the kitchen answers.'
        : 'Kept on this page only: this device stores nothing. Leave the page open until the kitchen answers.'
      : `Not written down: ${o.sentence}`;

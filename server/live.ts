import type { StampedEvent } from '@/core/work/notebook';
import type { DeviceReading } from '@/core/devices';
import type { BaseStore } from './baseStore';

/** What a page hears of the kitchen as it happens. */
export type News =
  | { readonly what: 'clock'; readonly nowMs: number; readonly speed: number }
  | { readonly what: 'batch'; readonly batchId: string; readonly event: StampedEvent }
  /** More has happened than is told here: look again. */
  | { readonly what: 'missed' }
  | { readonly what: 'devices'; readonly readings: readonly DeviceReading[] };

interface Listener {
  /** The last event it has heard of. */
  after: number;
  readonly tell: (text: string) => void;
  readonly end: () => void;
  busy: boolean;
}

/** So often the clock is told, and the file looked at for what another program wrote, ms. */
const CLOCK_MS = 4000;
const LOOK_MS = 1000;
/** More than this many at once are looked up, not told. */
const MOST = 400;
/** Streams open at once; a page has one. */
export const MOST_STREAMS = 60;

const said = (news: News, id?: number): string =>
  `${id === undefined ? '' : `id: ${id}\n`}event: ${news.what}\ndata: ${JSON.stringify(news)}\n\n`;

/**
 * Tells every open page what is written down at the stove, in the order in which it was written, each under the number of its event: a page that
 * was away asks for what came after the last it heard. The file is the truth, so what another program writes is told too.
 */
export function liveOf(store: Pick<BaseStore, 'batches' | 'clock' | 'db'>) {
  const listeners = new Set<Listener>();
  let timers: NodeJS.Timeout[] = [];
  let stamp: number | undefined;

  async function bring(l: Listener): Promise<void> {
    if (l.busy) return;
    l.busy = true;
    try {
      const found = await store.batches.eventsSince(l.after, MOST + 1);
      if (found.length > MOST) {
        l.after = await store.batches.lastEventId();
        l.tell(said({ what: 'missed' }, l.after));
      } else
        for (const { batchId, event } of found) {
          l.after = event.id;
          l.tell(said({ what: 'batch', batchId, event }, event.id));
        }
    } finally {
      l.busy = false;
    }
  }
  const clock = (): string => said({ what: 'clock', nowMs: store.clock.now(), speed: store.clock.speed() });
  const all = async (): Promise<void> => {
    for (const l of listeners) await bring(l);
  };
  const look = async (): Promise<void> => {
    const now = await store.db.stamp();
    if (now !== stamp) {
      stamp = now;
      await all();
    }
  };
  const quiet = (work: Promise<void>) => void work.catch(() => undefined);
  const start = () => {
    timers = [
      setInterval(() => listeners.forEach((l) => l.tell(clock())), CLOCK_MS),
      setInterval(() => quiet(look()), LOOK_MS),
    ];
    timers.forEach((t) => t.unref());
  };
  const stop = () => {
    timers.forEach(clearInterval);
    timers = [];
  };

  return {
    open: () => listeners.size,
    /**
     * A stream of news; undefined where too many are open.
     * @param after number of the last event that the page knows of
     */
    stream(after: number): ReadableStream<Uint8Array> | undefined {
      if (listeners.size >= MOST_STREAMS) return undefined;
      const bytes = new TextEncoder();
      let mine: Listener | undefined;
      const leave = () => {
        if (mine) listeners.delete(mine);
        if (listeners.size === 0) stop();
      };
      return new ReadableStream<Uint8Array>({
        start(controller) {
          mine = {
            after,
            busy: false,
            tell: (text) => {
              // A page that reads nothing is let go: it asks again from where it was.
              if ((controller.desiredSize ?? 0) < -MOST) {
                leave();
                controller.error(new Error('too slow'));
                return;
              }
              controller.enqueue(bytes.encode(text));
            },
            end: () => {
              leave();
              controller.close();
            },
          };
          if (listeners.size === 0) start();
          listeners.add(mine);
          mine.tell(`retry: 1000\n${clock()}`);
          quiet(bring(mine));
        },
        cancel: leave,
      });
    },
    /** Something was written: tell it now. */
    wake: () => quiet(all()),
    tellDevices: (readings: readonly DeviceReading[]) =>
      listeners.forEach((l) => l.tell(said({ what: 'devices', readings }))),
    tellClock: () => listeners.forEach((l) => l.tell(clock())),
    /** Ends every stream, so that the server can stop. */
    close: () => [...listeners].forEach((l) => l.end()),
  };
}
export type Live = ReturnType<typeof liveOf>;

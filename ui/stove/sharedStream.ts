import { freshId } from '../kit/freshId';

/** What the kitchen's stream says: its kind, its text, and the number of the last event it stands at. */
export interface Heard {
  readonly type: string;
  readonly data: string;
  readonly id: number | undefined;
}
export interface StreamHand {
  readonly heard: (h: Heard) => void;
  /** More may have happened than was heard: look again. */
  readonly missed: () => void;
  readonly live: (on: boolean) => void;
}

/** Where the pages of one browser hear of each other. */
const CHANNEL = 'idle-ladle/live';
/** Nobody answers within this: this page opens the stream, ms. */
const ANSWER_MS = 300;
/** A stream that says nothing for so long is dead, though nobody said so, ms. */
const SILENT_MS = 12_000;
const TYPES = ['clock', 'batch', 'missed', 'devices'] as const;

type Said =
  | { readonly say: 'who'; readonly by: string }
  | { readonly say: 'here'; readonly by: string; readonly last: number; readonly up: boolean }
  | { readonly say: 'news'; readonly by: string; readonly heard: Heard }
  | { readonly say: 'gone'; readonly by: string };

/**
 * The kitchen's stream, one for all pages of a browser: it holds only six connections for one kitchen, and a page that waits for one of them does not
 * load. One page has the stream and tells the others what it hears; when it goes, or falls silent, another takes it up from where it was.
 * @param after number of the last event that this page knows of
 */
export function sharedStream(after: number, hand: StreamHand, answerMs = ANSWER_MS, silentMs = SILENT_MS) {
  const me = freshId();
  const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(CHANNEL);
  let last = after;
  let source: EventSource | undefined;
  let up = false;
  let closed = false;
  let asking: ReturnType<typeof setTimeout> | undefined;
  let atMs = performance.now();
  const say = (said: Said) => channel?.postMessage(said);
  const setUp = (on: boolean) => {
    up = on;
    hand.live(on);
  };
  /** Takes what was heard, once. */
  const take = (h: Heard) => {
    atMs = performance.now();
    if (h.id !== undefined) {
      if (h.id <= last && h.type === 'batch') return;
      last = Math.max(last, h.id);
    }
    hand.heard(h);
  };
  const lead = () => {
    clearTimeout(asking);
    asking = undefined;
    if (closed || source) return;
    atMs = performance.now();
    source = new EventSource(`/api/live?after=${last}`);
    for (const type of TYPES)
      source.addEventListener(type, (e: MessageEvent<string>) => {
        const h: Heard = { type, data: e.data, id: e.lastEventId === '' ? undefined : Number(e.lastEventId) };
        if (!up) setUp(true);
        say({ say: 'news', by: me, heard: h });
        take(h);
      });
    source.onerror = () => {
      setUp(false);
      say({ say: 'here', by: me, last, up: false });
    };
    say({ say: 'here', by: me, last, up });
  };
  const follow = () => {
    source?.close();
    source = undefined;
    clearTimeout(asking);
    asking = undefined;
  };
  /** Asks who has the stream, and takes it where nobody answers; not all of them at once. */
  const ask = () => {
    if (closed || source || asking !== undefined) return;
    if (!channel) return lead();
    say({ say: 'who', by: me });
    asking = setTimeout(lead, answerMs * (1 + Math.random()));
  };
  if (channel)
    channel.onmessage = (e: MessageEvent<Said>) => {
      const said = e.data;
      if (closed || said.by === me) return;
      if (said.say === 'who') {
        if (source) say({ say: 'here', by: me, last, up });
        return;
      }
      if (said.say === 'gone') {
        if (!source) ask();
        return;
      }
      // Two of them have it: the one whose name comes first keeps it.
      if (source) {
        if (said.by < me) follow();
        else {
          say({ say: 'here', by: me, last, up });
          return;
        }
      }
      clearTimeout(asking);
      asking = undefined;
      atMs = performance.now();
      if (said.say === 'news') {
        if (!up) setUp(true);
        take(said.heard);
      } else {
        if (said.up !== up) setUp(said.up);
        // It has heard of more than this page knows.
        if (said.last > last) {
          last = said.last;
          hand.missed();
        }
      }
    };
  const watch = setInterval(() => {
    if (performance.now() - atMs < silentMs && source?.readyState !== EventSource.CLOSED) return;
    if (source) follow();
    atMs = performance.now();
    setUp(false);
    ask();
  }, silentMs / 4);
  ask();
  return {
    last: () => last,
    /** True for the page that has the stream. */
    leads: () => source !== undefined,
    close: () => {
      closed = true;
      clearInterval(watch);
      const had = source !== undefined;
      follow();
      if (had) say({ say: 'gone', by: me });
      setTimeout(() => channel?.close());
      setUp(false);
    },
  };
}

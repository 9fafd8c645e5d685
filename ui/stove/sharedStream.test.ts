/** @jest-environment jsdom */
import { BroadcastChannel as NodeChannel } from 'node:worker_threads';
import { sharedStream, type Heard } from './sharedStream';

/** The kitchen's side: who is connected, and what it says. */
class FakeSource {
  static readonly CLOSED = 2;
  static open: FakeSource[] = [];
  readyState = 1;
  onerror: (() => void) | null = null;
  readonly listeners = new Map<string, (e: MessageEvent<string>) => void>();
  constructor(readonly url: string) {
    FakeSource.open.push(this);
  }
  addEventListener(type: string, on: (e: MessageEvent<string>) => void) {
    this.listeners.set(type, on);
  }
  close() {
    this.readyState = 2;
    FakeSource.open = FakeSource.open.filter((s) => s !== this);
  }
  static say(type: string, data: string, id?: number) {
    for (const s of FakeSource.open)
      s.listeners.get(type)?.({ data, lastEventId: id === undefined ? '' : String(id) } as MessageEvent<string>);
  }
}
const pause = (ms: number) => new Promise((then) => setTimeout(then, ms));
/** Waits until it holds, however busy the machine is. */
const until = async (holds: () => boolean) => {
  for (let i = 0; i < 400 && !holds(); i++) await pause(10);
  expect(holds()).toBe(true);
};
const pages: ReturnType<typeof sharedStream>[] = [];
const page = (after = 10) => {
  const got: Heard[] = [];
  let missed = 0;
  let live = false;
  const stream = sharedStream(
    after,
    { heard: (h) => got.push(h), missed: () => missed++, live: (on) => (live = on) },
    30,
    200,
  );
  pages.push(stream);
  return {
    stream,
    events: () => got.flatMap((h) => (h.type === 'batch' && h.id !== undefined ? [h.id] : [])),
    missed: () => missed,
    live: () => live,
  };
};
beforeAll(() => Object.assign(globalThis, { BroadcastChannel: NodeChannel, EventSource: FakeSource }));
afterEach(async () => {
  pages.splice(0).forEach((p) => p.close());
  await pause(20);
});

test('seven pages have one stream between them, and each hears each event once', async () => {
  const seven = [page()];
  await until(() => FakeSource.open.length === 1);
  while (seven.length < 7) seven.push(page());
  FakeSource.say('clock', 'tick');
  await until(() => seven.every((p) => p.live()));
  await until(() => FakeSource.open.length === 1);
  FakeSource.say('batch', 'a', 11);
  FakeSource.say('batch', 'b', 12);
  FakeSource.say('batch', 'b', 12);
  await until(() => seven.every((p) => p.events().length >= 2));
  await pause(40);
  for (const p of seven) expect(p.events()).toEqual([11, 12]);
});
test('when the page that has it goes, another takes it up from where it was', async () => {
  const first = page();
  await until(() => FakeSource.open.length === 1);
  const [b, c] = [page(), page()];
  FakeSource.say('clock', 'tick');
  await until(() => b.live() && c.live());
  FakeSource.say('batch', 'a', 21);
  await until(() => b.events().includes(21) && c.events().includes(21));
  first.stream.close();
  await until(() => FakeSource.open.some((s) => s.url === '/api/live?after=21'));
  await until(() => [b, c].filter((p) => p.stream.leads()).length === 1);
  FakeSource.say('batch', 'b', 22);
  await until(() => b.events().includes(22) && c.events().includes(22));
  expect([b.events(), c.events()]).toEqual([
    [21, 22],
    [21, 22],
  ]);
});
test('one that falls silent is missed before long; a page that comes late is told to look again', async () => {
  const first = page();
  await until(() => FakeSource.open.length === 1);
  FakeSource.say('clock', 'tick');
  FakeSource.say('batch', 'a', 31);
  const late = page(30);
  await until(() => late.missed() === 1);
  // Its stream says nothing any more, and nobody has said why: before long the page asks anew, from where it was.
  const [dead] = FakeSource.open;
  await until(() => !FakeSource.open.includes(dead));
  await until(() => FakeSource.open.some((s) => s.url === '/api/live?after=31'));
  expect(first.stream.last()).toBe(31);
});
test('pages that open together end with one stream', async () => {
  const all = Array.from({ length: 5 }, () => page());
  await until(() => FakeSource.open.length > 0);
  await until(() => {
    FakeSource.say('clock', 'tick');
    return all.filter((p) => p.stream.leads()).length === 1 && FakeSource.open.length === 1;
  });
});

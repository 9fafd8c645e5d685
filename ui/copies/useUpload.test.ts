import { Refused } from '../kit/request';
import { PIECE, sendFile } from './useUpload';

const bytes = (n: number) => Uint8Array.from({ length: n }, (_, i) => i % 251);
/** A file of which slices are read, as the browser's. */
const fileOf = (content: Uint8Array) => ({
  name: 'from/the\\old tablet.zip',
  size: content.length,
  slice: (from?: number, to?: number) => content.slice(from, to) as unknown as Blob,
});

interface Kitchen {
  got: Buffer;
  /** What is done with the n-th piece that comes: taken, lost on its way, or taken and its answer lost. */
  readonly way: (n: number) => 'taken' | 'lost' | 'unheard' | 'refused';
  called?: string;
}
/** A kitchen that takes pieces as the routes do. */
function answers(kitchen: Kitchen): void {
  let n = 0;
  const json = (body: unknown, status = 200) => ({ ok: status < 400, status, json: async () => body }) as Response;
  global.fetch = (async (path: string, init: RequestInit) => {
    if (init.method === 'POST') {
      kitchen.called = (JSON.parse(String(init.body)) as { called: string }).called;
      return json({ upload: 'u' }, 201);
    }
    const way = kitchen.way(n++);
    if (way === 'lost') throw new TypeError('the network is gone');
    if (way === 'refused')
      return json({ problems: [{ code: 'no-room', path: '', sentence: 'The disk is full.' }] }, 507);
    const at = Number(/at=(\d+)/.exec(path)?.[1]);
    if (at === kitchen.got.length) kitchen.got = Buffer.concat([kitchen.got, init.body as unknown as Uint8Array]);
    if (way === 'unheard') throw new TypeError('the answer is lost');
    return json({ at: kitchen.got.length });
  }) as typeof fetch;
}
const { fetch: real } = global;
afterEach(() => {
  global.fetch = real;
});
const send = (content: Uint8Array, signal = new AbortController().signal) =>
  sendFile(fileOf(content), signal, () => undefined, 1);

test('a file comes piece by piece as it is, whatever is lost on the way, and is written once', async () => {
  const content = bytes(3 * PIECE + 17);
  for (const way of ['taken', 'lost', 'unheard'] as const) {
    const kitchen: Kitchen = { got: Buffer.alloc(0), way: (n) => (n % 3 === 1 ? way : 'taken') };
    answers(kitchen);
    expect(await send(content)).toBe('u');
    expect(kitchen.got.length).toBe(content.length);
    expect(Buffer.compare(kitchen.got, content)).toBe(0);
    // Its name is one that a kitchen takes.
    expect(kitchen.called).toBe('from the old tablet.zip');
  }
});
test('a kitchen that does not answer at all is given up in a sentence, one that refuses at once', async () => {
  answers({ got: Buffer.alloc(0), way: () => 'lost' });
  await expect(send(bytes(10))).rejects.toThrow(/does not answer/);
  let asked = 0;
  answers({ got: Buffer.alloc(0), way: () => (asked++, 'refused') });
  await expect(send(bytes(10))).rejects.toBeInstanceOf(Refused);
  expect(asked).toBe(1);
});
test('it is stopped between two pieces', async () => {
  const stop = new AbortController();
  const kitchen: Kitchen = { got: Buffer.alloc(0), way: () => (stop.abort(), 'taken') };
  answers(kitchen);
  await expect(send(bytes(4 * PIECE), stop.signal)).rejects.toMatchObject({ name: 'AbortError' });
  expect(kitchen.got.length).toBe(PIECE);
});

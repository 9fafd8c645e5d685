import type { Hand } from './hand';
import { Left } from './inTurns';
import { workerPool } from './pool';

/** Workers whose runs the test ends: named by their first argument. */
function hands() {
  const made: { broke: (why: Error) => void; ended: boolean; log: string[] }[] = [];
  const open = new Map<string, { answer: (x: unknown) => void; fail: (e: Error) => void; on: number }>();
  const make = (): Hand => {
    const on = made.length;
    const tickets = new Map<number, string>();
    let broke: (why: Error) => void = () => undefined;
    const broken = new Promise<never>((_, fail) => (broke = fail));
    broken.catch(() => undefined);
    const hand = { broke: (why: Error) => broke(why), ended: false, log: [] as string[] };
    made.push(hand);
    return {
      work: ((ticket: number, _job: string, name: string) => {
        hand.log.push(name);
        tickets.set(ticket, name);
        return new Promise((answer, fail) => open.set(name, { answer, fail, on }));
      }) as unknown as Hand['work'],
      leave: (ticket) => {
        const name = tickets.get(ticket) ?? '';
        hand.log.push(`leave ${name}`);
        open.get(name)?.fail(new Left('left'));
      },
      broken,
      end: () => (hand.ended = true),
    };
  };
  return { made, open, make };
}
const settle = () => new Promise((then) => setTimeout(then));
type Pool = ReturnType<typeof workerPool>;
const ask = (pool: Pool, name: string, how?: Parameters<Pool['run']>[2]) =>
  pool.run('solve', [name] as never, how) as unknown as Promise<unknown>;

test('each worker has one run at a time; urgent ones go first and from the first worker on, others from the last', async () => {
  const { made, open, make } = hands();
  const pool = workerPool(make, 2);
  const all = ['a', 'b', 'c'].map((n) => ask(pool, n));
  expect([...open.keys()]).toEqual(['a', 'b']);
  open.get('a')?.answer(1);
  await settle();
  const now = ask(pool, 'now', { urgent: true });
  expect([...open.keys()]).toEqual(['a', 'b', 'c']);
  await settle();
  // Nothing was free: the one on the first worker gave way, and comes again.
  expect(made.map((m) => m.log)).toEqual([
    ['a', 'c'],
    ['b', 'leave b', 'now'],
  ]);
  open.get('now')?.answer('now');
  await settle();
  for (const n of ['b', 'c']) open.get(n)?.answer(n);
  expect(await Promise.all([...all, now])).toEqual([1, 'b', 'c', 'now']);
  expect(made).toHaveLength(2);
});

test('an aborted run fails with its reason at once, is left by its worker, and one that waited is never begun', async () => {
  const { made, open, make } = hands();
  const pool = workerPool(make, 1);
  const stop = new AbortController();
  const under = ask(pool, 'under', { signal: stop.signal });
  const waiting = ask(pool, 'waiting', { signal: stop.signal });
  const after = ask(pool, 'after');
  stop.abort(new Error('moved on'));
  await expect(under).rejects.toThrow('moved on');
  await expect(waiting).rejects.toThrow('moved on');
  await settle();
  open.get('after')?.answer(7);
  expect(await after).toBe(7);
  expect(made.map((m) => [m.log, m.ended])).toEqual([[['under', 'leave under', 'after'], false]]);
  await expect(ask(pool, 'late', { signal: stop.signal })).rejects.toThrow('moved on');
});

test('work that fails is told at once and its worker kept; a worker that breaks is replaced, and its run tried once more', async () => {
  const { made, open, make } = hands();
  const pool = workerPool(make, 1);
  const bad = ask(pool, 'bad');
  open.get('bad')?.fail(new Error('no such pan'));
  await expect(bad).rejects.toThrow('no such pan');
  const again = ask(pool, 'again');
  await settle();
  made[0].broke(new Error('out of memory'));
  await settle();
  open.get('again')?.answer('well');
  expect(await again).toBe('well');
  const never = ask(pool, 'never');
  await settle();
  made[1].broke(new Error('gone'));
  await settle();
  made[2].broke(new Error('gone again'));
  await expect(never).rejects.toThrow('gone again');
  expect(made.map((m) => m.ended)).toEqual([true, true, true]);
});

test('ended, all that is asked fails, then and later', async () => {
  const { made, make } = hands();
  const pool = workerPool(make, 1);
  const both = [ask(pool, 'a'), ask(pool, 'b')];
  pool.end();
  for (const p of [...both, ask(pool, 'c')]) await expect(p).rejects.toThrow(Left);
  expect(made[0].ended).toBe(true);
});

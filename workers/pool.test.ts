import type { Hand } from './hand';
import { workerPool } from './pool';

type Api = { work: (n: number) => Promise<number> };
const never = new Promise<never>(() => undefined);
const handThat = (work: Api['work']) =>
  ({ api: { work }, broken: never, worker: { terminate: () => undefined } }) as unknown as Hand<Api>;

test('tasks are shared out, at most so many at once, and each answers its own', async () => {
  let now = 0;
  let most = 0;
  const pool = workerPool(
    () =>
      handThat(async (n) => {
        most = Math.max(most, ++now);
        await new Promise((then) => setTimeout(then, 2));
        now--;
        return 2 * n;
      }),
    3,
  );
  const got = await Promise.all(Array.from({ length: 12 }, (_, n) => pool.run((api) => api.work(n))));
  expect(got).toEqual(Array.from({ length: 12 }, (_, n) => 2 * n));
  expect(most).toBe(3);
});
test('an aborted run drops what waits; a worker that breaks is replaced, and only its task fails', async () => {
  const stop = new AbortController();
  let made = 0;
  const pool = workerPool(() => {
    made++;
    return handThat((n) => (n === 13 ? Promise.reject(new Error('broke')) : Promise.resolve(n)));
  }, 1);
  const first = pool.run((api) => api.work(1), stop.signal);
  const dropped = pool.run((api) => api.work(2), stop.signal);
  stop.abort(new Error('stopped'));
  await expect(dropped).rejects.toThrow('stopped');
  await first.catch(() => undefined);
  await expect(pool.run((api) => api.work(13))).rejects.toThrow('broke');
  await expect(pool.run((api) => api.work(5))).resolves.toBe(5);
  expect(made).toBe(2);
});

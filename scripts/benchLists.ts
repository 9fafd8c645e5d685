import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BATCHES_A_PAGE } from '@/server/notebook';
import { seedKitchen } from './seed';
import { answering, option, spawnServer } from './soak/kit';

/** How long lists and their pages take to answer in a kitchen of `--plans` and `--batches`: the middle and the slowest twentieth of 120 requests. */
const PLANS = option('plans', 1000);
const BATCHES = option('batches', 10_000);
const PORT = option('port', 3351);
const GOAL_MS = 50;
const TIMES = 120;
/** Requests of what has no goal. */
const FEW = 12;
/** Requests of each that are not counted, as in a kitchen that has been open for a while. */
const WARM = 60;

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-lists-'));
const file = join(folder, 'kitchen.sqlite');
const since = Date.now();
await seedKitchen(file, PLANS, BATCHES);
console.log(
  `\nLists: ${PLANS} plans, ${BATCHES} batches, ${(statSync(file).size / 1e6).toFixed(0)} MB, seeded in ${Math.round((Date.now() - since) / 1000)} s`,
);
const opened = Date.now();
const server = spawnServer(file, PORT);
await answering(server);
console.log(`first answer ${((Date.now() - opened) / 1000).toFixed(1)} s after it was started`);

/** The address of a page far down a list. */
async function deep(path: string, pages: number): Promise<string> {
  let address = path;
  for (let i = 0; i < pages; i++) {
    const { next } = (await (await fetch(server.url + address)).json()) as { next?: { at: string; id: string } };
    if (!next) break;
    address = `${path}?after=${encodeURIComponent(`${next.at}~${next.id}`)}`;
  }
  return address;
}

/** Home with nothing kept of it: a plan was made just before. */
const AFTER_WRITE = 'home, just after a write';
const LISTS = [
  ['home', '/', GOAL_MS],
  [AFTER_WRITE, '/?after-a-write', GOAL_MS],
  ['notebook', '/notebook', GOAL_MS],
  ['plans, first page', '/api/plans', GOAL_MS],
  ['plans, a word', '/api/plans?word=regatta', GOAL_MS],
  ['plans, 20 pages on', await deep('/api/plans', 20), GOAL_MS],
  ['batches, first page', '/api/batches', GOAL_MS],
  ['batches, a word', '/api/batches?word=best%20so', GOAL_MS],
  ['batches, a word that none has', '/api/batches?word=zebra', GOAL_MS],
  [`batches, ${100 * BATCHES_A_PAGE} on`, await deep('/api/batches', 100), GOAL_MS],
  ['a plan', '/plans/seeded-plan-7', undefined],
  ['a batch', '/batches/seeded-batch-7', undefined],
  ['what was learned', '/notebook/learned', undefined],
] as const;
const { plan } = (await (await fetch(`${server.url}/api/plans/seeded-plan-7`)).json()) as { plan: unknown };
const write = async () => {
  const made = await fetch(`${server.url}/api/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(plan),
  });
  if (!made.ok) throw new Error(`a plan could not be made: ${made.status}`);
};
const get = async (path: string): Promise<number> => {
  if (path.endsWith('after-a-write')) await write();
  const start = performance.now();
  const answer = await fetch(server.url + path);
  await answer.arrayBuffer();
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
  return performance.now() - start;
};
for (let i = 0; i < WARM; i++) for (const [, path, goal] of LISTS) if (goal !== undefined) await get(path);

// By turns, so that a slow moment of the machine is not held against one of them.
const took = new Map<string, number[]>(LISTS.map(([, path]) => [path, []]));
for (let i = 0; i < TIMES; i++)
  for (const [, path, goal] of LISTS) if (goal !== undefined || i < FEW) took.get(path)?.push(await get(path));

let slow = 0;
for (const [name, path, goal] of LISTS) {
  const times = (took.get(path) ?? []).sort((x, y) => x - y);
  const [p50, p95] = [0.5, 0.95].map((q) => times[Math.min(times.length - 1, Math.floor(q * times.length))]);
  if (goal !== undefined && p95 >= goal) slow++;
  console.log(
    `${name.padEnd(32)} ${p50.toFixed(1).padStart(8)} ms  p95 ${p95.toFixed(1).padStart(8)} ms${goal === undefined ? '' : `  goal ${goal} ms${p95 < goal ? '' : '  MISSED'}`}`,
  );
}
await server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
process.exitCode = slow > 0 ? 1 : 0;

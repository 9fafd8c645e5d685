import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, planStore } from '@/db';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import { answering, option, pause, seeded, spawnServer, type Running } from './kit';

/**
 * kill -9 in a loop: `--rounds` times while twelve writers write, then `--first` times during the first start of a new file. Nothing that was
 * acknowledged may be lost, every file must open, no answer may be a 5xx. `--seed` brings a run back, `--port` says where.
 */
const ROUNDS = option('rounds', 200);
const FIRST = option('first', 50);
const SEED = option('seed', 1);
const PORT = option('port', 3331);
const WRITERS = 12;
/** A new file is made within this time, ms. */
const MAKING_MS = 180;

const random = seeded(SEED);
const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-kill-'));
const faults: string[] = [];
const fault = (words: string) => {
  faults.push(words);
  console.error(`FAULT ${words}`);
};

/** One writer: its plan and batch, what was acknowledged of them and what was last sent. */
interface Writer {
  readonly name: string;
  plan: string | undefined;
  batch: string | undefined;
  revision: number;
  guests: number;
  sent: number;
  pot: number;
  potSent: number;
  potRevision: number;
  readonly keys: string[];
  /** Names of the saves whose answer was not heard. */
  readonly unheard: string[];
}
const writers: Writer[] = [...Array(WRITERS).keys()].map((i) => ({
  unheard: [],
  name: `w${i}`,
  plan: undefined,
  batch: undefined,
  revision: 0,
  guests: 0,
  sent: 0,
  pot: 0,
  potSent: 0,
  potRevision: 0,
  keys: [],
}));
let acknowledged = 0;

type Answer = { status: number; body: Record<string, unknown> };
/** Undefined: nobody answered. */
async function ask(url: string, path: string, method = 'GET', send?: unknown): Promise<Answer | undefined> {
  try {
    const r = await fetch(url + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: send === undefined ? undefined : JSON.stringify(send),
    });
    const body = (await r.json()) as Answer['body'];
    if (r.status >= 500) fault(`${method} ${path} answered ${r.status}: ${JSON.stringify(body)}`);
    if (r.ok && method !== 'GET') acknowledged++;
    return { status: r.status, body };
  } catch {
    return undefined;
  }
}

const planWith = (w: Writer, guests: number) => ({ ...savouryCoconutSlabPlan(), name: `Plan of ${w.name}`, guests });
const potOf = (w: Writer, capacityMl: number) => ({
  name: `Pot of ${w.name}`,
  kind: 'pot',
  capacityMl,
  material: 'steel',
});

/** Writes until nobody answers any more. */
async function write(w: Writer, url: string): Promise<void> {
  for (let n = 0; ; n++) {
    if (!w.plan) {
      const made = await ask(url, '/api/plans', 'POST', planWith(w, 1));
      if (!made) return;
      Object.assign(w, { plan: made.body.id, revision: 1, guests: 1, sent: 1 });
    } else if (!w.batch) {
      const made = await ask(url, '/api/batches', 'POST', { planId: w.plan });
      if (!made) return;
      w.batch = made.body.id as string;
    } else if (n % 3 === 0) {
      w.sent = (w.sent % 490) + 1;
      const writer = `${w.name}-${Math.floor(random() * 1e12)}`;
      const unheard = [...w.unheard];
      w.unheard.push(writer);
      const done = await ask(url, `/api/plans/${w.plan}`, 'PUT', {
        revision: w.revision,
        plan: planWith(w, w.sent),
        writer,
        unheard,
      });
      if (!done) return;
      if (done.status !== 200) fault(`${w.name}: its own save was answered ${done.status}`);
      w.unheard.length = 0;
      w.revision = done.body.revision as number;
      w.guests = w.sent;
    } else if (n % 3 === 1) {
      const key = `${w.name}-${w.keys.length}-${Math.floor(random() * 1e9)}`;
      const done = await ask(url, `/api/batches/${w.batch}/events`, 'POST', {
        key,
        event: { kind: 'noted', note: key },
      });
      if (!done) return;
      w.keys.push(key);
    } else {
      w.potSent = 100 + ((w.potSent + 1) % 5000);
      const done = await ask(url, `/api/rack/pots/pot-${w.name}`, 'PUT', {
        revision: w.potRevision,
        value: potOf(w, w.potSent),
      });
      if (!done) return;
      if (done.status === 200) {
        w.potRevision = done.body.revision as number;
        w.pot = w.potSent;
      } else {
        // The answer to the last one was lost with the program: what is there is what was sent.
        const there = done.body.current as { revision: number; value: { capacityMl: number } };
        w.potRevision = there.revision;
        w.pot = there.value.capacityMl;
      }
    }
  }
}

/** What was acknowledged is there; what was sent last, without an answer, may be. */
async function check(w: Writer, url: string): Promise<void> {
  if (w.plan) {
    const found = await ask(url, `/api/plans/${w.plan}`);
    const guests = (found?.body.plan as { guests?: number } | undefined)?.guests;
    if (found?.status !== 200 || (guests !== w.guests && guests !== w.sent))
      fault(`${w.name}: ${w.guests} guests were acknowledged, ${w.sent} sent, ${guests} are there (${found?.status})`);
    else Object.assign(w, { guests, sent: guests });
  }
  if (w.batch) {
    const found = await ask(url, `/api/batches/${w.batch}`);
    const there = new Set(((found?.body.events ?? []) as { key: string }[]).map((e) => e.key));
    const lost = w.keys.filter((k) => !there.has(k));
    if (lost.length > 0) fault(`${w.name}: ${lost.length} acknowledged events are lost`);
  }
}
async function checkPots(url: string): Promise<void> {
  const kitchen = (await ask(url, '/api/kitchen'))?.body as
    { kitchen: { pots: { id: string; capacityMl: number }[] } } | undefined;
  for (const w of writers) {
    if (w.pot === 0) continue;
    const there = kitchen?.kitchen.pots.find((p) => p.id === `pot-${w.name}`)?.capacityMl;
    if (there !== w.pot && there !== w.potSent)
      fault(`${w.name}: a pot of ${w.pot} ml was acknowledged, ${w.potSent} sent, ${there} is there`);
    else w.pot = there;
  }
}

async function rounds(): Promise<void> {
  const file = join(folder, 'kitchen.sqlite');
  for (let round = 0; round < ROUNDS; round++) {
    const server = spawnServer(file, PORT);
    try {
      await answering(server);
    } catch (e) {
      fault(`round ${round}: ${String(e)}`);
      return;
    }
    await Promise.all(writers.map((w) => check(w, server.url)));
    await checkPots(server.url);
    const writing = Promise.all(writers.map((w) => write(w, server.url)));
    await pause(300 + random() * 1500);
    await server.kill();
    await writing;
    if (round % 20 === 19)
      console.log(`${round + 1} kills, ${acknowledged} writes acknowledged, ${faults.length} faults`);
  }
  const last = spawnServer(file, PORT);
  await answering(last);
  await Promise.all(writers.map((w) => check(w, last.url)));
  await checkPots(last.url);
  await last.kill('SIGTERM');
  await (await openDatabase(file)).close();
}

/** How long a first start takes, ms. */
async function firstStart(file: string, server: Running): Promise<number> {
  const since = Date.now();
  await answering(server);
  await server.kill();
  rmSync(file, { force: true });
  return Date.now() - since;
}

async function firsts(): Promise<void> {
  const trial = join(folder, 'trial.sqlite');
  const takes = FIRST > 0 ? await firstStart(trial, spawnServer(trial, PORT)) : 0;
  for (let i = 0; i < FIRST; i++) {
    const file = join(folder, `first-${i}.sqlite`);
    const server = spawnServer(file, PORT);
    const asking = fetch(`${server.url}/`).catch(() => undefined);
    // Two in three while the file is being made and brought up to date, which is a small part of a start; the others at any time.
    if (i % 3 > 0) {
      const since = Date.now();
      while (!existsSync(file) && Date.now() - since < 4 * takes) await pause(1);
      await pause(random() * MAKING_MS);
    } else await pause(takes * (0.15 + random() * 0.95));
    await server.kill();
    await asking;
    try {
      const db = await openDatabase(file);
      await planStore(db).create(savouryCoconutSlabPlan());
      await db.close();
    } catch (e) {
      fault(`first start ${i}: ${String(e)}`);
    }
    for (const part of ['', '-wal', '-shm']) rmSync(file + part, { force: true });
  }
  console.log(`${FIRST} first starts killed, each within ${takes} ms`);
}

await rounds();
await firsts();
rmSync(folder, { recursive: true, force: true });
console.log(`kill -9: ${ROUNDS} rounds, ${acknowledged} writes acknowledged, ${faults.length} faults (seed ${SEED})`);
process.exit(faults.length > 0 ? 1 : 0);

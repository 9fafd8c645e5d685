import { spawn } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import { gunzipSync } from 'node:zlib';
import { openDatabase, planStore } from '@/db';
import { endWork, makeCopy, newWork, proveCopy, workFolder } from '@/db/copy';
import { openPlain } from '@/db/copy/plain';
import { doOne, entered, type Doing } from '@/db/copy/testing/kitchens';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import { option, seeded } from './kit';

/**
 * Copies under stress, against the built program: `--copies` made while twelve writers write, each opened and looked through for every write that was
 * acknowledged before it began; then kill -9 `--kills` times each while a copy is made, while one is taken in, and while a kitchen of the release
 * before is brought up to date: afterwards all is as it was or all is done. `--seed` brings a run back.
 */
const COPIES = option('copies', 100);
const KILLS = option('kills', 60);
const random = seeded(option('seed', 1));
const WRITERS = 12;
const LADLE = 'dist/idle-ladle.mjs';
const OLD = 'db/testing/release-007.sqlite.gz';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-copies-'));
const faults: string[] = [];
const fault = (words: string): void => {
  faults.push(words);
  console.error(`FAULT ${words}`);
};

async function copiesUnderWriters(): Promise<void> {
  const file = join(folder, 'written.sqlite');
  const db = await openDatabase(file);
  const plans = planStore(db);
  const revisions = new Map<string, number>();
  for (let i = 0; i < WRITERS; i++)
    revisions.set((await plans.create(savouryCoconutSlabPlan(), '', `writer-${i}-plan`)).id, 1);
  let ended = false;
  let writes = 0;
  const write = async (id: string): Promise<void> => {
    while (!ended) {
      const from = revisions.get(id) ?? 0;
      const done = await plans.save(id, from, { ...savouryCoconutSlabPlan(), notes: `${from}` });
      if ('saved' in done) revisions.set(id, done.saved.revision);
      else fault(`${id}: a write was refused`);
      writes++;
      await new Promise((then) => setTimeout(then, random() * 4));
    }
  };
  const writing = [...revisions.keys()].map(write);
  for (let n = 0; n < COPIES; n++) {
    const acknowledged = new Map(revisions);
    const copy = join(folder, `written-${n}.zip`);
    await makeCopy(file, copy, { why: 'command' });
    const work = newWork(file);
    const { database } = await proveCopy(copy, copy, work, { keep: true });
    const there = await openPlain(database);
    for (const [id, revision] of acknowledged) {
      const [row] = await there.select<{ revision: number }>('SELECT revision FROM plans WHERE id = $1', [id]);
      if (!(row?.revision >= revision)) fault(`copy ${n}: ${id} is at ${row?.revision}, ${revision} was acknowledged`);
    }
    await there.close();
    endWork(work);
    rmSync(copy);
  }
  ended = true;
  await Promise.all(writing);
  await db.close();
  console.log(`${COPIES} copies while twelve wrote ${writes} times`);
}

/** Runs the program, and kills it after so many ms; answers with whether it came to its end by itself, and how long it took. */
const run = (
  args: readonly string[],
  db: string,
  killMs?: number,
): Promise<{ readonly ended: boolean; readonly tookMs: number }> =>
  new Promise((done) => {
    const from = Date.now();
    const child = spawn(process.execPath, [LADLE, ...args], {
      stdio: 'ignore',
      env: { ...process.env, IDLE_LADLE_DB: db, IDLE_LADLE_COPIES: `${db}-copies` },
    });
    const timer = killMs === undefined ? undefined : setTimeout(() => child.kill('SIGKILL'), killMs);
    child.on('exit', (code) => {
      clearTimeout(timer);
      done({ ended: code === 0, tookMs: Date.now() - from });
    });
  });

const what = async (file: string) => {
  const db = await openDatabase(file);
  const all = await entered(db);
  await db.close();
  return all;
};
const clear = (db: string): void => {
  for (const end of ['', '-wal', '-shm', '-work', '-copies']) rmSync(db + end, { recursive: true, force: true });
};
const base = (from: string, to: string): void => {
  clear(to);
  copyFileSync(from, to);
};
/** Moments of a run of so many ms at which it is killed, most of them while it works. */
const moment = (tookMs: number): number => tookMs * (0.4 + 0.9 * random());

async function kitchenOf(file: string, doings: readonly Doing[], writer: string): Promise<void> {
  const db = await openDatabase(file);
  for (const d of doings) await doOne(db, d, writer);
  await db.close();
}

async function killsInCopy(kitchen: string): Promise<void> {
  const db = join(folder, 'copied.sqlite');
  const to = join(folder, 'killed.zip');
  const was = await what(kitchen);
  base(kitchen, db);
  const { tookMs } = await run(['backup', to], db);
  let whole = 0;
  for (let n = 0; n < KILLS; n++) {
    base(kitchen, db);
    rmSync(to, { force: true });
    const { ended } = await run(['backup', to], db, moment(tookMs));
    if (existsSync(to)) {
      whole++;
      const work = newWork(db);
      await proveCopy(to, to, work).catch((e: unknown) => fault(`copy ${n}: ${String(e)}`));
      endWork(work);
    } else if (ended) fault(`copy ${n}: it ended and there is none`);
    if (!isDeepStrictEqual(await what(db), was)) fault(`copy ${n}: the kitchen is another`);
  }
  if (!(await run(['backup', to], db)).ended) fault('after the kills no copy can be made');
  console.log(`${KILLS} kills while a copy was made (${tookMs} ms): ${whole} whole, the others not there`);
}

async function killsInRestore(kitchen: string, copy: string): Promise<void> {
  const db = join(folder, 'restored.sqlite');
  const args = ['restore', copy, '--take', 'all', '--yes'];
  base(kitchen, db);
  const old = await what(db);
  const { tookMs } = await run(args, db);
  const taken = await what(db);
  if (isDeepStrictEqual(old, taken)) fault('the copy changes nothing');
  let done = 0;
  for (let n = 0; n < KILLS; n++) {
    base(kitchen, db);
    await run(args, db, moment(tookMs));
    const is = await what(db);
    if (isDeepStrictEqual(is, taken)) done++;
    else if (!isDeepStrictEqual(is, old)) fault(`restore ${n}: it is neither as before nor as after`);
  }
  await run(['restore', copy, '--yes'], db);
  if (readdirSync(workFolder(db)).length > 0) fault('what was half unpacked is left');
  console.log(`${KILLS} kills while a copy was taken in (${tookMs} ms): ${done} done, the others as before`);
}

async function killsInUpgrade(): Promise<void> {
  const db = join(folder, 'old.sqlite');
  const fresh = join(folder, 'release.sqlite');
  writeFileSync(fresh, gunzipSync(readFileSync(OLD)));
  const documents = async (file: string) => {
    const plain = await openPlain(file);
    const rows = await plain.select('SELECT id, document, sum FROM plans ORDER BY id');
    const events = await plain.select('SELECT key, event, sum FROM batch_events ORDER BY id');
    const schema = (await plain.select<{ name: string }>('SELECT name FROM "SequelizeMeta" ORDER BY name')).length;
    await plain.close();
    return { all: [rows, events], schema };
  };
  const was = await documents(fresh);
  base(fresh, db);
  const { tookMs } = await run(['migrate'], db);
  const full = (await documents(db)).schema;
  let done = 0;
  for (let n = 0; n < KILLS; n++) {
    base(fresh, db);
    await run(['migrate'], db, moment(tookMs));
    const is = await documents(db);
    if (!isDeepStrictEqual(is.all, was.all)) fault(`upgrade ${n}: what is kept changed`);
    if (is.schema !== was.schema && is.schema !== full) fault(`upgrade ${n}: half of it`);
    const copies = existsSync(`${db}-copies`)
      ? readdirSync(`${db}-copies`).filter((f) => f.endsWith('.zip') && !f.startsWith('.'))
      : [];
    if (is.schema === full) {
      done++;
      if (copies.length === 0) fault(`upgrade ${n}: no copy came before it`);
    }
    for (const c of copies) {
      const work = newWork(db);
      await proveCopy(join(`${db}-copies`, c), c, work).catch((e: unknown) => fault(`upgrade ${n}: ${String(e)}`));
      endWork(work);
    }
    if (!(await run(['migrate'], db)).ended || (await documents(db)).schema !== full)
      fault(`upgrade ${n}: it cannot be done again`);
  }
  console.log(
    `${KILLS} kills in an upgrade (${tookMs} ms): ${done} done, the others as before; each could be done again`,
  );
}

mkdirSync(folder, { recursive: true });
await copiesUnderWriters();
const [mine, theirs] = [join(folder, 'mine.sqlite'), join(folder, 'theirs.sqlite')];
const common: Doing[] = [0, 1, 2, 3].flatMap((n): Doing[] => [
  ['plan', n, 0],
  ['tin', n, 1],
  ['begin', n, 0],
  ['note', n, 1],
  ['photo', n, 2],
]);
await kitchenOf(mine, common, 'both');
copyFileSync(mine, theirs);
await kitchenOf(
  mine,
  [
    ['rename', 0, 3],
    ['note', 0, 5],
    ['tin', 1, 9],
    ['settings', 0, 4],
  ],
  'mine',
);
await kitchenOf(
  theirs,
  [
    ['rename', 0, 7],
    ['rename', 1, 8],
    ['note', 0, 6],
    ['note', 2, 6],
    ['photo', 1, 9],
    ['tin', 2, 12],
    ['settings', 0, 9],
    ['finish', 3, 0],
  ],
  'theirs',
);
const copy = join(folder, 'theirs.zip');
await makeCopy(theirs, copy, { why: 'command' });
await killsInCopy(mine);
await killsInRestore(mine, copy);
await killsInUpgrade();
console.log(`${faults.length} faults; ${Math.round(statSync(copy).size / 1000)} kB the copy`);
rmSync(folder, { recursive: true, force: true });
process.exit(faults.length > 0 ? 1 : 0);

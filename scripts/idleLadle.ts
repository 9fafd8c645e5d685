import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { DatabaseTrouble } from '@/db';
import { CopyTrouble } from '@/db/copy';
import { loadDemo } from '@/db/demo';
import { addressesOf, notOpen, PLAIN_HTTP } from '@/server/addresses';
import { isLoopback } from '@/server/door';
import { COPY_THREAD, copyThread } from '@/server/copies/copyThread';
import { environment } from '@/server/environment';
import { CORE_THREAD, heavyOnThreads } from '@/server/heavyOnThreads';
import { keeperOf } from '@/server/keeper';
import { doorBefore, listen, stopListening } from '@/server/listen';
import { copiesFolder, openKitchen } from '@/server/openKitchen';
import { closeStore, endStreams, store } from '@/server/store';
import { backup, restore } from './copies';

/**
 * Idle Ladle as one file: `start` (the usual), `migrate`, `backup`, `restore`. What stands in the way is said in one sentence, and the exit code is 1.
 */
const PATIENCE_MS = 5000;
/** What is said to who starts it; everything else is an error of ours. */
class Told extends Error {}

/** The database first, then the pages, then the door. `--port`, `--hostname` or PORT, HOST say where, `--copies` or IDLE_LADLE_COPIES where copies are kept; `--dev` for developing. */
async function start(args: string[]): Promise<void> {
  const { values } = parseArgs({
    args,
    options: {
      port: { type: 'string', short: 'p' },
      hostname: { type: 'string', short: 'H' },
      copies: { type: 'string' },
      dev: { type: 'boolean', default: false },
    },
  });
  Object.assign(process.env, { NODE_ENV: process.env.NODE_ENV || (values.dev ? 'development' : 'production') });
  // Maps are for developing: looking things up in them takes a part of every page's time.
  process.setSourceMapsEnabled(values.dev);
  if (values.port) process.env.PORT = values.port;
  if (values.hostname) process.env.HOST = values.hostname;
  if (values.copies) process.env.IDLE_LADLE_COPIES = values.copies;
  const { HOST, PORT, IDLE_LADLE_HOSTS, IDLE_LADLE_CODE } = environment();
  const closed = notOpen(HOST, IDLE_LADLE_CODE);
  if (closed !== undefined) throw new Told(closed);
  const built = !values.dev && existsSync(CORE_THREAD) && existsSync(COPY_THREAD);
  const kitchen = await store((file) => (built ? { heavy: heavyOnThreads(), copyWork: copyThread(file) } : {}));
  if (kitchen.db.isNew) console.log(`There was no kitchen in ${kitchen.db.file}: a new, empty one was made there.`);
  const { default: next } = await import('next');
  const app = next({ dev: values.dev, dir: '.', hostname: HOST, port: PORT });
  await app.prepare();
  const server = doorBefore(app.getRequestHandler(), {
    host: HOST,
    names: IDLE_LADLE_HOSTS,
    dev: values.dev,
    keeper: IDLE_LADLE_CODE === '' ? undefined : keeperOf(IDLE_LADLE_CODE),
    build: values.dev ? undefined : join(process.env.IDLE_LADLE_DIST ?? '.next'),
  });
  if (values.dev) server.on('upgrade', app.getUpgradeHandler());
  await listen(server, HOST, PORT);
  console.log(`Ready: Idle Ladle is at ${addressesOf(HOST, PORT).join(' and ')}`);
  if (!isLoopback(HOST)) console.log(PLAIN_HTTP);
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log('Stopping; what is under way is finished first.');
    const stopped = stopListening(server, PATIENCE_MS);
    await endStreams();
    await stopped;
    await closeStore();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void stop());
}

/** Brings the database file up to date; with --demo, loads the demo galley when it is empty. */
async function migrate(args: string[]): Promise<void> {
  const { values } = parseArgs({ args, options: { demo: { type: 'boolean', default: false } } });
  const { IDLE_LADLE_DB: file, IDLE_LADLE_COPIES } = environment();
  const db = await openKitchen(file, copiesFolder(file, IDLE_LADLE_COPIES));
  const loaded = values.demo ? await loadDemo(db, Date.now()) : false;
  await db.close();
  console.log(`Database ${file} is up to date${db.isNew ? ', a new one' : ''}${loaded ? ', demo galley loaded' : ''}.`);
}

const COMMANDS = { start, migrate, backup, restore } as const;

async function main(): Promise<void> {
  // A terminal that goes away is no reason to stop, nor to complain of it to that terminal for ever.
  for (const out of [process.stdout, process.stderr]) out.on('error', () => undefined);
  const [first, ...rest] = process.argv.slice(2);
  const name = first === undefined || first.startsWith('-') ? 'start' : first;
  if (!(name in COMMANDS)) throw new Told(`"${name}" is no command; there are ${Object.keys(COMMANDS).join(' and ')}.`);
  await COMMANDS[name as keyof typeof COMMANDS](name === first ? rest : process.argv.slice(2));
}

const isTold = (e: unknown): e is Error =>
  e instanceof DatabaseTrouble ||
  e instanceof CopyTrouble ||
  e instanceof Told ||
  (e instanceof Error &&
    (e.cause !== undefined || (e as NodeJS.ErrnoException).code?.startsWith('ERR_PARSE_ARGS') === true));

main().catch(async (e: unknown) => {
  if (e instanceof z.ZodError) console.error(e.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('\n'));
  else console.error(isTold(e) ? e.message : e);
  await closeStore().catch(() => undefined);
  process.exit(1);
});

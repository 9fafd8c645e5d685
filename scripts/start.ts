import { parseArgs } from 'node:util';
import next from 'next';
import { environment } from '@/server/environment';
import { doorBefore, listen, stopListening } from '@/server/listen';
import { closeStore, endStreams, store } from '@/server/store';
import { DatabaseTrouble } from '@/db';

/**
 * Starts Idle Ladle: the database first, then the pages, then the door. `--port`, `--hostname` or PORT, HOST say where; `--dev` for developing.
 * What stands in the way is said in one sentence, and the exit code is 1.
 */
const PATIENCE_MS = 5000;

async function start(): Promise<void> {
  // A terminal that goes away is no reason to stop, nor to complain of it to that terminal for ever.
  for (const out of [process.stdout, process.stderr]) out.on('error', () => undefined);
  const { values } = parseArgs({
    options: {
      port: { type: 'string', short: 'p' },
      hostname: { type: 'string', short: 'H' },
      dev: { type: 'boolean', default: false },
    },
  });
  // Maps are for developing: looking things up in them takes a part of every page's time.
  process.setSourceMapsEnabled(values.dev);
  if (values.port) process.env.PORT = values.port;
  if (values.hostname) process.env.HOST = values.hostname;
  const { HOST, PORT, IDLE_LADLE_HOSTS } = environment();
  await store();
  const app = next({ dev: values.dev, dir: '.', hostname: HOST, port: PORT });
  await app.prepare();
  const server = doorBefore(app.getRequestHandler(), { host: HOST, names: IDLE_LADLE_HOSTS, dev: values.dev });
  if (values.dev) server.on('upgrade', app.getUpgradeHandler());
  await listen(server, HOST, PORT);
  console.log(`Ready: Idle Ladle is at http://${HOST.includes(':') ? `[${HOST}]` : HOST}:${PORT}`);
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

start().catch(async (e: unknown) => {
  const said = e instanceof DatabaseTrouble || (e instanceof Error && e.cause !== undefined);
  console.error(said ? (e as Error).message : e);
  await closeStore().catch(() => undefined);
  process.exit(1);
});

import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';

export { seeded } from '@/core/units';
export const pick = <T>(random: () => number, of: readonly T[]): T => of[Math.floor(random() * of.length)];
export const pause = (ms: number): Promise<void> => new Promise((then) => setTimeout(then, ms));

export interface Running {
  readonly process: ChildProcess;
  readonly url: string;
  /** Answers once it listens; fails where it ends first. */
  readonly ready: Promise<void>;
  /** What it said on its error output. */
  readonly said: () => string;
  readonly kill: (signal?: NodeJS.Signals) => Promise<void>;
}

/** Starts the program itself, as its cook does, on a database file and port. */
export function spawnServer(db: string, port: number, script: readonly string[] = ['dist/idle-ladle.mjs']): Running {
  const child = spawn(process.execPath, [...script], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      IDLE_LADLE_COPIES: 'none',
      IDLE_LADLE_DB: db,
      PORT: String(port),
      HOST: '127.0.0.1',
    },
  });
  let said = '';
  child.stderr.on('data', (x) => (said = (said + String(x)).slice(-20_000)));
  // It says so itself: whoever else may answer at that port is not it.
  const ready = new Promise<void>((done, fail) => {
    child.stdout.on('data', (x) => {
      if (String(x).includes('Ready')) done();
    });
    child.on('exit', () => fail(new Error(`it ended: ${said}`)));
  });
  ready.catch(() => undefined);
  const end = () => child.kill('SIGKILL');
  process.on('exit', end);
  child.on('exit', () => process.off('exit', end));
  return {
    process: child,
    url: `http://127.0.0.1:${port}`,
    ready,
    said: () => said,
    kill: async (signal = 'SIGKILL') => {
      if (child.exitCode !== null || child.signalCode !== null) return;
      const gone = once(child, 'exit');
      child.kill(signal);
      await gone;
    },
  };
}

/** A start may take this long on a machine that has much else to do, ms. */
const PATIENCE_MS = 90_000;

/** Waits until it listens, and answers. */
export async function answering(server: Running): Promise<void> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error(`it does not answer: ${server.said()}`)), PATIENCE_MS);
  });
  await Promise.race([server.ready, late]).finally(() => clearTimeout(timer));
  const there = await fetch(`${server.url}/api/kitchen`);
  if (!there.ok) throw new Error(`it answers ${there.status}: ${server.said()}`);
}

/** Reads `--name N` from the command line. */
export function option(name: string, otherwise: number): number {
  const at = process.argv.indexOf(`--${name}`);
  const n = at < 0 ? otherwise : Number(process.argv[at + 1]);
  if (!Number.isFinite(n)) throw new Error(`--${name} takes a number`);
  return n;
}

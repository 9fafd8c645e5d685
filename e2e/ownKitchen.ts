import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const LADLE = ['dist/idle-ladle.mjs'];
const DEVICES = ['--import', 'tsx', 'devices/run.ts'];
const run = (file: readonly string[], args: readonly string[], env: Record<string, string>): ChildProcess =>
  spawn(process.execPath, [...file, ...args], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production', IDLE_LADLE_PRACTICE: '1', IDLE_LADLE_COPIES: 'none', ...env },
  });
const ended = (p: ChildProcess) =>
  new Promise<void>((done) => (p.exitCode !== null ? done() : p.once('exit', () => done())));

/**
 * A practice kitchen that a test may stop and start again, with simulated devices beside it.
 * @param demo false for an empty one
 */
export async function ownKitchen(port: number, demo = true) {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-stove-'));
  const env = { IDLE_LADLE_DB: join(folder, 'kitchen.sqlite') };
  const url = `http://127.0.0.1:${port}`;
  await ended(run(LADLE, ['migrate', ...(demo ? ['--demo'] : [])], env));
  let server: ChildProcess;
  let devices: ChildProcess | undefined;
  const start = async () => {
    server = run(LADLE, ['start', '--port', String(port)], env);
    for (;;) {
      const up = await fetch(`${url}/api/devices`).then(
        (r) => r.ok,
        () => false,
      );
      if (up) return;
      await new Promise((then) => setTimeout(then, 100));
    }
  };
  await start();
  return {
    url,
    /** Kills it where it stands, as a power cut would, and starts it again. */
    async restart(): Promise<void> {
      server.kill('SIGKILL');
      await ended(server);
      await start();
    },
    async plugIn(speed: number): Promise<void> {
      devices = run(DEVICES, ['--url', url, '--speed', String(speed)], {});
      for (;;) {
        const { readings } = (await (await fetch(`${url}/api/devices`)).json()) as { readings: unknown[] };
        const { clock } = (await (await fetch(`${url}/api/devices`)).json()) as { clock: { speed: number } };
        if (clock.speed === speed || readings.length > 0) return;
        await new Promise((then) => setTimeout(then, 100));
      }
    },
    async unplug(): Promise<void> {
      devices?.kill('SIGTERM');
      if (devices) await ended(devices);
      devices = undefined;
    },
    async end(): Promise<void> {
      devices?.kill('SIGKILL');
      server.kill('SIGKILL');
      await ended(server);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
export type OwnKitchen = Awaited<ReturnType<typeof ownKitchen>>;

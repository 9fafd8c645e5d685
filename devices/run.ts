import { createServer } from 'node:net';
import { parseArgs } from 'node:util';
import type { DeviceLine } from '@/core/devices';
import type { Kitchen } from '@/core/kitchen';
import { standing } from '@/core/work/notebook';
import { inSteam } from '@/core/work/stove';
import { asker, type AskedBatch } from './ask';
import { bridge, SEND_MS } from './bridge';
import { simulatedDevices } from './simulate';
import { freeForSocket } from './socket';

/**
 * Brings devices to the kitchen. Simulated ones: `npm run devices -- --speed 60` (a practice kitchen's clock then runs as fast). Real ones write JSON
 * lines, one a reading (docs/formats.md): `--stdin`, or `--socket /tmp/ladle.sock`, or `--port 3010` on this machine. A kitchen that
 * asks for a code is told it by `--code` or IDLE_LADLE_CODE.
 */
const { values } = parseArgs({
  options: {
    url: { type: 'string', default: `http://127.0.0.1:${process.env.PORT ?? '3000'}` },
    speed: { type: 'string', default: '1' },
    seed: { type: 'string', default: '7' },
    stdin: { type: 'boolean', default: false },
    socket: { type: 'string' },
    port: { type: 'string' },
    code: { type: 'string', default: process.env.IDLE_LADLE_CODE ?? '' },
  },
});
/** Needed where the kitchen is open to a network and asks for it. */
const { code } = values;
const TELL_MS = 10_000;
const LOOK_MS = 250;
const TICK_MS = 100;
const MOST_BATCHES = 4;
/** A hand is sped up no further than a page can follow it. */
const QUICKEST_HAND = 6;

async function ask<T>(path: string, send?: unknown): Promise<T> {
  const answer = await fetch(values.url + path, {
    method: send === undefined ? 'GET' : 'POST',
    headers: {
      ...(send === undefined ? {} : { 'content-type': 'application/json' }),
      ...(code === '' ? {} : { authorization: `Bearer ${code}` }),
    },
    body: send === undefined ? undefined : JSON.stringify(send),
    signal: AbortSignal.timeout(5000),
  });
  const body = (await answer.json()) as T & { problems?: { sentence: string }[] };
  if (!answer.ok) throw new Error(body.problems?.[0]?.sentence ?? `The kitchen answered ${answer.status}.`);
  return body;
}
const quiet = (e: unknown) => console.error(e instanceof Error ? e.message : e);

const to = bridge((lines: readonly DeviceLine[]) => ask('/api/devices', { lines }).then(() => undefined));
setInterval(() => void to.send(), SEND_MS);
setInterval(() => {
  const { sent, garbage, failed } = to.told();
  console.log(
    `${sent} readings sent${garbage > 0 ? `, ${garbage} lines could not be read` : ''}${failed ? '; the kitchen does not answer, they wait' : ''}.`,
  );
}, TELL_MS);

async function hearSocket(where: string | number): Promise<void> {
  const server = createServer((device) => {
    device.setEncoding('utf8');
    const hear = to.line();
    device.on('data', hear);
    device.on('error', quiet);
    device.on('close', () => hear('\n'));
  });
  server.on('error', (e) => {
    console.error(`It cannot listen there (${e.message}); name another place.`);
    process.exit(1);
  });
  const told = () => console.log(`Devices may write JSON lines to ${where}.`);
  if (typeof where === 'number') server.listen(where, '127.0.0.1', told);
  else {
    const taken = await freeForSocket(where);
    if (taken !== undefined) {
      console.error(taken);
      process.exit(1);
    }
    server.listen(where, told);
  }
}

async function simulate(): Promise<void> {
  const speed = Number(values.speed);
  const { clock } = await ask<{ clock: { speed: number } }>('/api/devices');
  if (clock.speed !== speed) await ask('/api/devices/clock', { speed });
  const { kitchen } = await ask<{ kitchen: Kitchen }>('/api/kitchen');
  const hear = to.line();
  const devices = simulatedDevices(Number(values.seed));
  const asks = asker(kitchen);
  let batch: AskedBatch | undefined;
  let offsetMs = 0;
  const look = async () => {
    const { clock: now } = await ask<{ clock: { nowMs: number } }>('/api/devices');
    offsetMs = now.nowMs - Date.now() * speed;
    const running = await ask<{ id: string }[]>('/api/batches/running');
    const all = await Promise.all(running.slice(0, MOST_BATCHES).map((b) => ask<AskedBatch>(`/api/batches/${b.id}`)));
    // The probe is in what steams; else the devices serve what was begun last.
    batch = all.find((b) => inSteam(standing(b.events))) ?? all[0];
  };
  const again = () =>
    void look()
      .catch(quiet)
      .finally(() => setTimeout(again, LOOK_MS));
  again();
  let last = Date.now();
  setInterval(() => {
    const now = Date.now();
    const handS = (now - last) / 1000;
    last = now;
    if (!batch) return;
    const lines = devices.tick(
      asks(batch, now * speed + offsetMs),
      handS * speed,
      handS * Math.min(speed, QUICKEST_HAND),
    );
    hear(lines.map((l) => `${JSON.stringify(l)}\n`).join(''));
  }, TICK_MS);
  console.log(
    `Simulated scale, probe and hob at ${values.url}, ${speed === 1 ? 'on the real clock' : `the clock ${speed} times as fast`}.`,
  );
  const end = async () => {
    // The next cook has the real pace again.
    if (speed !== 1) await ask('/api/devices/clock', { speed: 1 }).catch(() => undefined);
    process.exit(0);
  };
  for (const s of ['SIGINT', 'SIGTERM'] as const) process.on(s, () => void end());
}

if (values.stdin) {
  process.stdin.setEncoding('utf8');
  const hear = to.line();
  process.stdin.on('data', hear);
  process.stdin.on('end', () => {
    hear('\n');
    void to.send().then(() => process.exit(0));
  });
} else if (values.socket !== undefined) void hearSocket(values.socket);
else if (values.port !== undefined) void hearSocket(Number(values.port));
else
  simulate().catch((e: unknown) => {
    quiet(e);
    process.exit(1);
  });

import { readFileSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, request as ask } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MOST_BYTES } from '@/server/door';
import { batchStore, kitchenStore, openDatabase, planStore } from '@/db';
import { loadDemo } from '@/db/demo';
import { answering, option, pick, seeded, spawnServer } from './kit';
import {
  EVENTS,
  foreignHosts,
  foreignOrigins,
  KINDS,
  METHODS,
  ODD_HEADERS,
  ODD_TEXT,
  ODD_VALUES,
  PAGES,
} from './oddData';

/**
 * Random and mutated requests over every route and page: `--requests` of them from a `--seed`. None may be answered 5xx, nothing oversized and
 * nothing foreign may be taken, and the program's memory must stay flat. `--port` says where.
 */
const REQUESTS = option('requests', 20_000);
const SEED = option('seed', 1);
const PORT = option('port', 3341);
const AT_ONCE = 8;
/** Memory is compared between the end of the first part and the end, as shares of all requests. */
const WARM = 0.25;
const MOST_GROWTH = 1.15;

const random = seeded(SEED);
const chance = (p: number) => random() < p;
const HOST = `127.0.0.1:${PORT}`;

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-fuzz-'));
const file = join(folder, 'kitchen.sqlite');
const seedFile = async () => {
  const db = await openDatabase(file);
  await loadDemo(db, Date.now());
  const plans = await planStore(db).page({ limit: 10 });
  const batches = await batchStore(db).page({ limit: 10 });
  const plan = await planStore(db).get(plans.rows[0].id);
  const kitchen = await kitchenStore(db).state();
  await db.close();
  return { plans: plans.rows.map((r) => r.id), batches: batches.rows.map((r) => r.id), plan, kitchen };
};
const known = await seedFile();
if (!known.plan.ok) throw new Error('the demo plan does not read');
const PLAN = known.plan.value.plan;

/** A document with something in it made odd. */
function mutate(x: unknown, depth = 0): unknown {
  if (depth > 6 || chance(0.12)) return pick(random, ODD_VALUES);
  if (Array.isArray(x)) {
    if (x.length === 0) return x;
    const at = Math.floor(random() * x.length);
    if (chance(0.2)) return x.filter((_, i) => i !== at);
    if (chance(0.1)) return Array.from({ length: 300 }, () => x[at] as unknown);
    return x.map((v, i) => (i === at ? mutate(v, depth + 1) : (v as unknown)));
  }
  if (typeof x === 'object' && x !== null) {
    const keys = Object.keys(x);
    if (keys.length === 0) return { [pick(random, ODD_TEXT)]: 1 };
    const key = pick(random, keys);
    const copy = { ...(x as Record<string, unknown>) };
    if (chance(0.15)) delete copy[key];
    else copy[key] = mutate(copy[key], depth + 1);
    return copy;
  }
  return pick(random, ODD_VALUES);
}

const ROUTES: readonly (readonly [string, readonly string[], () => unknown])[] = [
  ['/api/plans', ['GET', 'POST'], () => PLAN],
  [
    '/api/plans/:plan',
    ['GET', 'PUT', 'DELETE'],
    () => ({ revision: Math.ceil(random() * 4), plan: PLAN, writer: 'f' }),
  ],
  ['/api/plans/:plan/restore', ['POST'], () => ({})],
  ['/api/plans/:plan/versions/:n', ['POST'], () => ({ revision: Math.ceil(random() * 4) })],
  ['/api/batches', ['GET', 'POST'], () => ({ planId: pick(random, known.plans) })],
  ['/api/live', ['GET'], () => undefined],
  ['/api/batches/running', ['GET'], () => undefined],
  ['/api/batches/:batch', ['GET'], () => undefined],
  [
    '/api/devices',
    ['GET', 'POST'],
    () => ({
      lines: [
        { kind: 'scale', device: `s${Math.floor(random() * 30)}`, grams: 1000 * random(), stable: random() > 0.5 },
        { kind: 'probe', device: 'p', tempC: 100 * random() },
        { kind: 'hob', device: 'h', setting: pick(random, ['off', 'gentle', 'medium', 'strong']) },
      ],
    }),
  ],
  ['/api/photos/:thing', ['GET'], () => undefined],
  [
    '/api/batches/:batch/photos',
    ['POST'],
    () => ({
      key: `fuzz-photo-${Math.floor(random() * 1e6)}`,
      photo: Buffer.from(String(random())).toString('base64'),
    }),
  ],
  ['/api/devices/clock', ['POST'], () => ({ speed: 60 })],
  [
    '/api/batches/:batch/events',
    ['POST'],
    () => ({ key: `fuzz-${Math.floor(random() * 1e6)}`, event: pick(random, EVENTS), agoMs: random() * 1e6 }),
  ],
  ['/api/kitchen', ['GET', 'PUT'], () => ({ revision: Math.floor(random() * 4), value: known.kitchen.settings.value })],
  [
    '/api/learning',
    ['GET', 'POST'],
    () =>
      pick(random, [
        { what: 'nothing' },
        { what: 'all' },
        { what: 'batch', id: pick(random, known.batches), leftOut: true },
      ]),
  ],
  [
    '/api/rack/:kind/:thing',
    ['PUT', 'DELETE'],
    () => ({
      revision: Math.floor(random() * 3),
      value: pick(random, [
        ...known.kitchen.kitchen.vessels,
        ...known.kitchen.kitchen.steamers,
        ...known.kitchen.kitchen.hobs,
      ]),
    }),
  ],
];

const oddly = (right: string, p: number): string => {
  if (!chance(p)) return encodeURIComponent(right);
  const odd = chance(0.5)
    ? pick(random, ODD_TEXT)
    : right.slice(0, Math.floor(random() * right.length)) + pick(random, ODD_TEXT);
  try {
    return chance(0.6) ? encodeURIComponent(odd) : odd;
  } catch {
    return odd;
  }
};
const fill = (path: string): string =>
  path
    .replace(':plan', () => oddly(pick(random, known.plans), 0.35))
    .replace(':batch', () => oddly(pick(random, known.batches), 0.35))
    .replace(':kind', () => oddly(pick(random, KINDS), 0.1))
    .replace(':thing', () => oddly(chance(0.5) ? 'fuzz-thing' : pick(random, known.kitchen.kitchen.vessels).id, 0.3))
    .replace(':n', () => oddly(String(Math.ceil(random() * 6)), 0.3));

interface Made {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: Buffer | undefined;
  /** Must not be taken: it is foreign, or oversized. */
  readonly foreign: boolean;
  readonly oversized: boolean;
  readonly chunked: boolean;
}

function make(): Made {
  const headers: Record<string, string> = { host: HOST };
  let foreign = false;
  const toRoute = chance(0.55);
  let method: string;
  let path: string;
  let body: Buffer | undefined;
  let oversized = false;
  if (toRoute) {
    const [route, methods, doc] = pick(random, ROUTES);
    method = chance(0.8) ? pick(random, methods) : pick(random, METHODS);
    path =
      fill(route) +
      (chance(0.3) ? `?${pick(random, ['revision', 'after', 'word', 'deleted', '_rsc'])}=${oddly('1', 0.6)}` : '');
    if (method !== 'GET' && method !== 'HEAD') {
      const sent = chance(0.35) ? doc() : mutate(doc());
      let text = chance(0.05)
        ? pick(random, ['{', 'undefined', '[1,', '\u0000', '"\\ud800"', '{"a":1}{'])
        : `${JSON.stringify(sent)}`;
      if (chance(0.04)) {
        text = `{"x":"${'y'.repeat(MOST_BYTES + Math.floor(random() * 2_000_000))}"}`;
        oversized = true;
      }
      body = Buffer.from(text);
      if (chance(0.03) && !oversized) body = Buffer.concat([body, Buffer.from([0xff, 0xfe, 0x00])]);
      headers['content-type'] = chance(0.9)
        ? 'application/json'
        : pick(random, ['text/plain', 'multipart/form-data; boundary=x', 'application/x-www-form-urlencoded', '']);
    }
  } else {
    method = chance(0.85) ? 'GET' : pick(random, METHODS);
    path = fill(pick(random, PAGES));
    if (chance(0.2))
      path += `${path.includes('?') ? '&' : '?'}${pick(random, ['deleted', '_rsc', 'x'])}=${oddly('1', 0.7)}`;
    if (method === 'POST') {
      body = Buffer.from(chance(0.5) ? '[]' : 'x=1');
      headers['content-type'] = pick(random, [
        'text/plain;charset=UTF-8',
        'multipart/form-data; boundary=x',
        'application/x-www-form-urlencoded',
      ]);
    }
  }
  for (let n = chance(0.35) ? 1 + Math.floor(random() * 3) : 0; n > 0; n--) {
    const [name, values] = pick(random, ODD_HEADERS);
    headers[name] = pick(random, values);
  }
  if (chance(0.07)) {
    headers.host = pick(random, foreignHosts(HOST));
    foreign = true;
  }
  if (chance(0.1)) {
    headers.origin = pick(random, foreignOrigins(HOST));
    foreign = true;
  } else if (chance(0.2)) headers.origin = `http://${HOST}`;
  return { method, path, headers, body, foreign, oversized, chunked: body !== undefined && chance(0.3) };
}

const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
const plain = (s: string) => /^[\x20-\x7e]*$/.test(s);

const isStream = (head: string | undefined): boolean => head?.includes('text/event-stream') ?? false;

/** Sends it through the usual client; 0: the connection was ended without an answer. */
const usual = (m: Made): Promise<number> =>
  new Promise((done) => {
    const r = ask(
      {
        host: '127.0.0.1',
        port: PORT,
        method: m.method,
        path: m.path,
        agent,
        setHost: false,
        headers: { ...m.headers, ...(m.body && !m.chunked ? { 'content-length': m.body.length } : {}) },
      },
      (answer) => {
        // A stream has no end: that it was begun is the answer.
        if (isStream(answer.headers['content-type'])) {
          done(answer.statusCode ?? 0);
          answer.destroy();
          return;
        }
        answer.on('data', () => undefined);
        answer.on('end', () => done(answer.statusCode ?? 0));
        answer.on('error', () => done(answer.statusCode ?? 0));
      },
    );
    r.setTimeout(30_000, () => {
      r.destroy();
      done(599);
    });
    r.on('error', () => done(0));
    if (m.body) r.write(m.body);
    r.end();
  });
/** Sends it byte by byte as it is, whatever is in it. */
const rawly = (m: Made): Promise<number> =>
  new Promise((done) => {
    let all = '';
    const socket = connect(PORT, '127.0.0.1', () => {
      const lines = [
        `${m.method} ${m.path} HTTP/1.1`,
        ...Object.entries(m.headers).map(([k, v]) => `${k}: ${v}`),
        'connection: close',
      ];
      if (m.body) lines.push(`content-length: ${m.body.length}`);
      socket.write(`${lines.join('\r\n')}\r\n\r\n`, 'latin1');
      if (m.body) socket.write(m.body);
    });
    socket.setTimeout(30_000, () => {
      socket.destroy();
      done(599);
    });
    socket.on('data', (d) => {
      if (all.length < 2000) all += String(d);
      if (isStream(all)) socket.destroy();
    });
    socket.on('error', () => undefined);
    socket.on('close', () => done(Number(/^HTTP\/1\.1 ([2-5]\d\d)/m.exec(all)?.[1] ?? 0)));
  });

const server = spawnServer(file, PORT);
await answering(server);
const memoryMb = (): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.process.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

const counts = new Map<number, number>();
const faults: string[] = [];
const memory: number[] = [];
let sent = 0;
async function send(): Promise<void> {
  while (sent < REQUESTS) {
    sent++;
    if (sent % 500 === 0) memory.push(memoryMb());
    if (sent % 4000 === 0) console.log(`${sent} requests, ${memory.at(-1)?.toFixed(0)} MB, ${faults.length} faults`);
    const m = make();
    const raw =
      !plain(m.path) ||
      m.path.includes(' ') ||
      Object.values(m.headers).some((v) => !plain(v)) ||
      m.headers.expect !== undefined ||
      m.headers.upgrade !== undefined ||
      chance(0.05);
    const status = await (raw ? rawly(m) : usual(m));
    counts.set(status, (counts.get(status) ?? 0) + 1);
    const what = `${m.method} ${m.path.slice(0, 160)} ${JSON.stringify(m.headers).slice(0, 400)} ${m.body?.toString('utf8').slice(0, 200) ?? ''}`;
    if (status >= 500) faults.push(`${status} ${what}`);
    if (m.foreign && status >= 200 && status < 400) faults.push(`foreign taken, ${status}: ${what}`);
    if (m.oversized && status >= 200 && status < 400) faults.push(`oversized taken, ${status}: ${what}`);
  }
}
await Promise.all([...Array(AT_ONCE)].map(send));
if (server.process.exitCode !== null) faults.push(`it ended: ${server.said()}`);

const middle = (xs: readonly number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;
const from = Math.floor(memory.length * WARM);
const span = Math.max(1, Math.floor(memory.length * 0.15));
const [warm, end] = [middle(memory.slice(from, from + span)), middle(memory.slice(-span))];
if (memory.length >= 20 && end > warm * MOST_GROWTH)
  faults.push(`memory grew from ${warm.toFixed(0)} to ${end.toFixed(0)} MB`);
await server.kill('SIGTERM');
agent.destroy();
const db = await openDatabase(file);
await db.close();
rmSync(folder, { recursive: true, force: true });
for (const f of faults.slice(0, 20)) console.error(`FAULT ${f}`);
if (faults.length > 0) console.error(server.said().slice(-3000));
console.log(
  `fuzz: ${REQUESTS} requests (seed ${SEED}), answers ${[...counts]
    .sort((a, b) => a[0] - b[0])
    .map(([s, n]) => `${s}: ${n}`)
    .join(', ')}; memory ${warm.toFixed(0)} to ${end.toFixed(0)} MB; ${faults.length} faults`,
);
process.exit(faults.length > 0 ? 1 : 0);

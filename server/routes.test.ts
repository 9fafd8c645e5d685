import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import * as batchRoute from '@/app/api/batches/[id]/route';
import * as eventsRoute from '@/app/api/batches/[id]/events/route';
import * as photosRoute from '@/app/api/batches/[id]/photos/route';
import * as photoRoute from '@/app/api/photos/[id]/route';
import sharp from 'sharp';
import * as batchesRoute from '@/app/api/batches/route';
import * as kitchenRoute from '@/app/api/kitchen/route';
import * as learningRoute from '@/app/api/learning/route';
import * as planRoute from '@/app/api/plans/[id]/route';
import * as restoreRoute from '@/app/api/plans/[id]/restore/route';
import * as versionRoute from '@/app/api/plans/[id]/versions/[version]/route';
import * as plansRoute from '@/app/api/plans/route';
import * as rackRoute from '@/app/api/rack/[kind]/[id]/route';
import { emptyKitchen } from '@/core/kitchen';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import { MOST_BYTES } from './door';
import { body } from './http';
import { closeStore, store } from './store';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-routes-'));
beforeAll(() => {
  process.env.IDLE_LADLE_DB = join(folder, 'kitchen.sqlite');
});
afterAll(async () => {
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
});

type Handler = (request: Request, context: { params: Promise<unknown> }) => Promise<Response>;
const HOST = '127.0.0.1:3000';
/** Asks a route as the router would. */
async function ask(
  handler: Handler,
  ask: { path?: string; params?: object; send?: unknown; text?: string; headers?: object } = {},
) {
  const sends = ask.send !== undefined || ask.text !== undefined;
  const request = new Request(`http://${HOST}${ask.path ?? '/api/x'}`, {
    method: sends ? 'POST' : 'GET',
    headers: { host: HOST, ...(sends ? { 'content-type': 'application/json' } : {}), ...ask.headers },
    body: sends ? (ask.text ?? JSON.stringify(ask.send)) : undefined,
  });
  const answer = await handler(request, { params: Promise.resolve(ask.params ?? {}) });
  return {
    status: answer.status,
    body: (await answer.json()) as Record<string, unknown> & { problems?: { code: string; sentence: string }[] },
  };
}
const newPlan = async () =>
  (await ask(plansRoute.POST, { send: savouryCoconutSlabPlan() })).body as unknown as { id: string; plan: object };

describe('ids, queries and bodies are checked before anything else', () => {
  const ODD = ['', '\u0000', 'a\u0000b', 'a/b', '%00', '%E0%A4%A', 'x'.repeat(81), '..%2f..', '\\', '\u0085'];
  test('an id that is none names nothing, on every route that takes one', async () => {
    for (const id of ODD)
      for (const handler of [planRoute.GET, planRoute.DELETE, restoreRoute.POST, batchRoute.GET] as Handler[])
        expect([id, (await ask(handler, { params: { id } })).status]).toEqual([id, 404]);
    for (const id of ODD) {
      expect((await ask(planRoute.PUT, { params: { id }, send: { revision: 1, plan: {} } })).status).toBe(404);
      expect(
        (await ask(rackRoute.PUT, { params: { kind: 'vessels', id }, send: { revision: 0, value: {} } })).status,
      ).toBe(404);
      expect(
        (await ask(rackRoute.DELETE, { path: '/api/rack/x?revision=1', params: { kind: 'vessels', id } })).status,
      ).toBe(404);
      expect(
        (await ask(eventsRoute.POST, { params: { id }, send: { key: '12345678', event: { kind: 'pulled' } } })).status,
      ).toBe(404);
    }
    expect((await ask(rackRoute.PUT, { params: { kind: 'spoons', id: 'x' }, send: {} })).status).toBe(404);
    expect((await ask(versionRoute.POST, { params: { id: 'x', version: '-3' }, send: { revision: 1 } })).status).toBe(
      404,
    );
  });
  test('a query or a body that does not fit is told at its field', async () => {
    for (const query of ['after=zzz', 'after=2026-01-01~', `word=${'w'.repeat(200)}`, `after=${'9'.repeat(400)}~x`])
      for (const list of [plansRoute.GET, batchesRoute.GET] as Handler[])
        expect([query, (await ask(list, { path: `/api/x?${query}` })).status]).toEqual([query, 422]);
    for (const send of [null, 7, 'x', [], {}, { planId: 3 }, { planId: '\u0000' }])
      expect((await ask(batchesRoute.POST, { send })).status).toBe(422);
    const plan = await newPlan();
    for (const send of [
      {},
      { revision: 0, plan: {} },
      { revision: 1.5, plan: {} },
      { revision: 1, plan: { format: 'x' } },
      { revision: '1', plan: savouryCoconutSlabPlan() },
    ])
      expect((await ask(planRoute.PUT, { params: { id: plan.id }, send })).status).toBe(422);
    const event = { key: 'k', event: { kind: 'pulled' } };
    for (const send of [
      event,
      { ...event, key: 'has spaces in it' },
      { key: '12345678', event: { kind: 'sung' } },
      { key: '12345678', event: { kind: 'pulled' }, agoMs: -1 },
    ])
      expect((await ask(eventsRoute.POST, { params: { id: 'x' }, send })).status).toBe(422);
    expect((await ask(learningRoute.POST, { send: { what: 'everything' } })).status).toBe(422);
    expect((await ask(kitchenRoute.PUT, { send: { revision: 0, value: { roomC: 900 } } })).status).toBe(422);
  });
  test('a foreign Origin is refused by the route itself, too', async () => {
    for (const origin of ['http://evil.example', 'null', 'http://', 'not an origin'])
      expect((await ask(kitchenRoute.GET, { headers: { origin } })).status).toBe(403);
    expect((await ask(kitchenRoute.GET, { headers: { origin: `http://${HOST}` } })).status).toBe(200);
  });
  test('a body is limited in bytes as it comes in, must be JSON, and whole', async () => {
    const sent = (text: BodyInit, type = 'application/json') =>
      body(new Request(`http://${HOST}/x`, { method: 'POST', body: text, headers: { 'content-type': type } }));
    expect(await sent('{"a":')).toMatchObject({ problems: [{ code: 'broken-json' }] });
    expect(await sent(new Uint8Array([0x22, 0xff, 0xfe, 0x22]))).toMatchObject({ problems: [{ code: 'broken-json' }] });
    expect(await sent('{}', 'text/plain')).toMatchObject({ problems: [{ code: 'not-json' }] });
    // Under the limit by letters, over it by bytes.
    expect(await sent(`"${'é'.repeat(MOST_BYTES / 2)}"`)).toMatchObject({ problems: [{ code: 'too-large' }] });
    expect(await sent(`"${'a'.repeat(MOST_BYTES - 2)}"`)).toMatchObject({ ok: true });
    let pulled = 0;
    const endless = new ReadableStream({
      pull(c) {
        pulled++;
        c.enqueue(new Uint8Array(100_000));
      },
    });
    const request = new Request(`http://${HOST}/x`, {
      method: 'POST',
      body: endless,
      headers: { 'content-type': 'application/json' },
      duplex: 'half',
    } as RequestInit);
    expect(await body(request)).toMatchObject({ problems: [{ code: 'too-large' }] });
    expect(pulled).toBeLessThan(20);
  });
  test('an unexpected error is told with a note and without what is inside', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const open = await store();
    const broken = jest.spyOn(open.plans, 'get').mockRejectedValue(new Error('secret /home/path'));
    const answer = await ask(planRoute.GET, { params: { id: 'x' } });
    expect(answer.status).toBe(500);
    expect(answer.body.problems?.[0].sentence).toMatch(/note [\w-]{8}/);
    expect(JSON.stringify(answer.body)).not.toMatch(/secret|home/);
    broken.mockRejectedValue(
      Object.assign(new Error('x'), { parent: Object.assign(new Error('y'), { code: 'SQLITE_FULL' }) }),
    );
    expect(await ask(planRoute.GET, { params: { id: 'x' } })).toMatchObject({
      status: 507,
      body: { problems: [{ code: 'no-room' }] },
    });
    broken.mockRestore();
    quiet.mockRestore();
  });
});

describe('what routes do', () => {
  test('a plan is made, saved, refused when stale, saved again when it says the same, deleted and brought back', async () => {
    const { id } = await newPlan();
    const put = (revision: number, guests: number, writer = '', unheard: string[] = []) =>
      ask(planRoute.PUT, {
        params: { id },
        send: { revision, plan: { ...savouryCoconutSlabPlan(), guests }, writer, unheard },
      });
    expect(await put(1, 20, 'a')).toMatchObject({ status: 200, body: { revision: 2 } });
    expect(await put(1, 21, 'b')).toMatchObject({
      status: 409,
      body: { current: { revision: 2 }, problems: [{ code: 'stale' }] },
    });
    expect(await put(1, 20, 'b')).toMatchObject({ status: 200, body: { revision: 2 } });
    expect(await put(1, 22, 'a-2', ['a'])).toMatchObject({ status: 200, body: { revision: 3 } });
    const [version] = await (await store()).plans.versions(id);
    expect(version.revision).toBe(3);
    const first = (await (await store()).plans.versions(id)).at(-1);
    expect(
      await ask(versionRoute.POST, { params: { id, version: String(first?.version) }, send: { revision: 3 } }),
    ).toMatchObject({
      status: 200,
      body: { revision: 4, plan: { guests: 8 } },
    });
    expect((await ask(planRoute.DELETE, { params: { id } })).status).toBe(200);
    expect((await ask(planRoute.GET, { params: { id } })).status).toBe(404);
    expect((await put(4, 30)).status).toBe(404);
    expect(await ask(restoreRoute.POST, { params: { id } })).toMatchObject({ status: 200, body: { revision: 4 } });
  });
  test('lists are pages of columns, not documents', async () => {
    await newPlan();
    const plans = await ask(plansRoute.GET, { path: '/api/plans' });
    expect(plans.body).toMatchObject({ total: expect.any(Number) });
    expect(Object.keys((plans.body.rows as object[])[0])).not.toContain('plan');
    const { id } = await newPlan();
    expect((await ask(batchesRoute.POST, { send: { planId: id } })).status).toBe(201);
    const batches = await ask(batchesRoute.GET, { path: '/api/batches?word=coconut' });
    expect(batches.body).toMatchObject({ rows: [{ finished: false }], total: 1 });
    expect(JSON.stringify(batches.body).length).toBeLessThan(600);
  });
  test('an event that happened a while ago is stamped with that time, and none before its batch was begun', async () => {
    const { id } = await newPlan();
    const batch = (await ask(batchesRoute.POST, { send: { planId: id } })).body as { id: string; startedAt: string };
    await new Promise((then) => setTimeout(then, 300));
    const before = Date.now();
    const sent = await ask(eventsRoute.POST, {
      params: { id: batch.id },
      send: { key: 'late-key-1', event: { kind: 'noted', note: 'late' }, agoMs: 200 },
    });
    const [event] = sent.body.events as { at: string }[];
    expect(Math.abs(Date.parse(event.at) - (before - 200))).toBeLessThan(150);
    const early = await ask(eventsRoute.POST, {
      params: { id: batch.id },
      send: { key: 'late-key-2', event: { kind: 'noted', note: 'of a clock that was set' }, agoMs: 600_000 },
    });
    expect((early.body.events as { at: string }[])[0].at).toBe(batch.startedAt);
    expect((await ask(batchRoute.GET, { params: { id: batch.id } })).body.events).toHaveLength(2);
  });
  test('things of the rack and settings are written over the revision that was seen', async () => {
    const pot = { name: 'Enamel pot', kind: 'pot', capacityMl: 4000, material: 'enamel' };
    const put = (revision: number, change: object = {}) =>
      ask(rackRoute.PUT, { params: { kind: 'pots', id: 'my-pot' }, send: { revision, value: { ...pot, ...change } } });
    const made = await put(0);
    expect([made.status, made.body.problems?.[0].sentence]).toEqual([200, undefined]);
    expect(await put(0, { capacityMl: 9000 })).toMatchObject({
      status: 409,
      body: { current: { revision: 1, value: { capacityMl: 4000 } } },
    });
    expect(
      await ask(rackRoute.DELETE, { path: '/api/rack/x?revision=7', params: { kind: 'pots', id: 'my-pot' } }),
    ).toMatchObject({ status: 409 });
    expect(
      await ask(rackRoute.DELETE, { path: '/api/rack/x?revision=1', params: { kind: 'pots', id: 'my-pot' } }),
    ).toMatchObject({ status: 200, body: { revision: 2 } });
    expect((await ask(rackRoute.DELETE, { path: '/api/rack/x', params: { kind: 'pots', id: 'my-pot' } })).status).toBe(
      422,
    );
    const kitchen = await ask(kitchenRoute.GET);
    const { revision, value } = kitchen.body.settings as { revision: number; value: object };
    const save = (roomC: number) => ask(kitchenRoute.PUT, { send: { revision, value: { ...value, roomC } } });
    expect(await save(18)).toMatchObject({ status: 200, body: { kitchen: { roomC: 18 } } });
    expect(await save(25)).toMatchObject({ status: 409, body: { current: { value: { roomC: 18 } } } });
    expect(emptyKitchen().roomC).not.toBe(18);
  });
  test('a word with signs that no text has is refused before it reaches the file', async () => {
    for (const route of [plansRoute, batchesRoute])
      for (const word of ['%00', 'a%00b', '%C2%85', 'x'.repeat(101)])
        expect([word, (await ask(route.GET, { path: `/api/x?word=${word}` })).status]).toEqual([word, 422]);
    expect((await ask(plansRoute.GET, { path: '/api/x?word=%27%25_%22%3B--' })).status).toBe(200);
  });
  test('what was learned is told a page at a time', async () => {
    const told = await ask(learningRoute.GET);
    expect(told.status).toBe(200);
    expect(told.body).toMatchObject({ rows: [], total: 0 });
    expect((await ask(learningRoute.GET, { path: '/api/learning?after=nowhere' })).status).toBe(422);
  });
  test('what was forgotten can be put back exactly as it was', async () => {
    const forgotten = { batches: ['one-batch'], before: '2026-01-01T00:00:00.000Z' };
    expect((await ask(learningRoute.POST, { send: { what: 'exactly', forgotten } })).status).toBe(200);
    expect((await (await store()).kitchen.read()).forgotten).toEqual(forgotten);
    await ask(learningRoute.POST, { send: { what: 'nothing' } });
    expect((await (await store()).kitchen.read()).forgotten).toEqual({ batches: [] });
  });
});

describe('photos', () => {
  test('a photo is kept with its batch and told as an event; what is none, or is of no batch, is refused', async () => {
    const { id } = await newPlan();
    const batch = (await ask(batchesRoute.POST, { send: { planId: id } })).body as unknown as { id: string };
    const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#8fb58a' } })
      .png()
      .toBuffer();
    const send = (photo: string, params: { id: string } = { id: batch.id }) =>
      ask(photosRoute.POST, { params, send: { key: `photo-key-${photo.length}`, photo } });
    const kept = await send(png.toString('base64'));
    expect(kept.status).toBe(201);
    const [event] = kept.body.events as { kind: string; photo: string }[];
    expect(event.kind).toBe('photographed');
    const got = await photoRoute.GET(new Request(`http://${HOST}/api/photos/x`, { headers: { host: HOST } }), {
      params: Promise.resolve({ id: event.photo }),
    });
    expect([got.status, got.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
    expect((await sharp(Buffer.from(await got.arrayBuffer())).metadata()).width).toBe(40);
    expect((await send(Buffer.from('no picture, only words').toString('base64'))).body.problems?.[0].code).toBe(
      'no-picture',
    );
    expect((await send(png.toString('base64'), { id: 'nobody' })).status).toBe(404);
  });
});

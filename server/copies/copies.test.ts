import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import * as copiesRoute from '@/app/api/copies/route';
import * as linesRoute from '@/app/api/copies/lines/route';
import * as keptRoute from '@/app/api/copies/kept/[name]/route';
import * as savedRoute from '@/app/api/copies/saved/[id]/route';
import * as uploadRoute from '@/app/api/copies/upload/[id]/route';
import { recordCopy, workFolder } from '@/db/copy';
import { doOne, entered, type Doing } from '@/db/copy/testing/kitchens';
import { closeStore, store } from '../store';
import type { CopiesState } from './desk';
import type { ShownLine } from './opened';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-desk-'));
const kept = join(folder, 'copies');
beforeAll(() => {
  process.env.IDLE_LADLE_COPIES = kept;
});
let n = 0;
let file = '';
beforeEach(() => {
  file = join(folder, `kitchen-${n++}.sqlite`);
  process.env.IDLE_LADLE_DB = file;
  rmSync(kept, { recursive: true, force: true });
});
afterEach(closeStore);
afterAll(() => {
  delete process.env.IDLE_LADLE_COPIES;
  rmSync(folder, { recursive: true, force: true });
});

type Handler = (request: Request, context: { params: Promise<unknown> }) => Promise<Response>;
const HOST = '127.0.0.1:3000';
const call = (handler: Handler, path: string, { params = {}, ...init }: RequestInit & { params?: object } = {}) =>
  handler(new Request(`http://${HOST}${path}`, { ...init, headers: { host: HOST, ...init.headers } }), {
    params: Promise.resolve(params),
  });
async function post(
  send: object,
): Promise<{ status: number; body: Record<string, unknown> & { problems?: { code: string; sentence: string }[] } }> {
  const answer = await call(copiesRoute.POST, '/api/copies', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(send),
  });
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
}
const state = async (): Promise<CopiesState> =>
  (await call(copiesRoute.GET, '/api/copies')).json() as Promise<CopiesState>;
/** Until what is under way is over. */
async function settled(): Promise<CopiesState> {
  await (await store()).copies.settled();
  return state();
}
const fill = async (doings: readonly Doing[], writer: string): Promise<void> => {
  for (const d of doings) await doOne((await store()).db, d, writer);
};
const FEW: readonly Doing[] = [
  ['plan', 0, 0],
  ['plan', 1, 0],
  ['begin', 0, 0],
  ['note', 0, 1],
  ['photo', 0, 1],
  ['tin', 0, 3],
];

async function saveAndFetch(): Promise<Buffer> {
  const { body } = await post({ do: 'save' });
  const { job } = await settled();
  expect(job).toMatchObject({ state: 'done', id: body.job });
  const answer = await call(savedRoute.GET, '/api/copies/saved/x', { params: { id: String(body.job) } });
  expect(answer.headers.get('content-disposition')).toMatch(/^attachment; filename="kitchen \d{4}-\d\d-\d\d .*\.zip"$/);
  const bytes = Buffer.from(await answer.arrayBuffer());
  expect(bytes).toHaveLength(Number(answer.headers.get('content-length')));
  return bytes;
}
const put = (id: string, at: number, bytes: Uint8Array) =>
  call(uploadRoute.PUT, `/api/copies/upload/x?at=${at}`, {
    params: { id },
    method: 'PUT',
    body: new Uint8Array(bytes),
    headers: { 'content-type': 'application/octet-stream' },
  });
async function send(bytes: Buffer, piece = 5000): Promise<string> {
  const { body } = await post({ do: 'upload', called: 'from the old tablet.zip', bytes: bytes.length });
  for (let at = 0; at < bytes.length;) {
    const answer = await put(String(body.upload), at, bytes.subarray(at, at + piece));
    at = ((await answer.json()) as { at: number }).at;
  }
  return String(body.upload);
}
const linesOf = async (opened: string, group: string): Promise<readonly ShownLine[]> => {
  const answer = await call(linesRoute.GET, `/api/copies/lines?opened=${opened}&group=${encodeURIComponent(group)}`);
  return ((await answer.json()) as { lines: readonly ShownLine[] }).lines;
};

describe('over the routes', () => {
  test('a copy is saved, fetched, sent to another kitchen, looked at, one plan of it taken in, and undone', async () => {
    await fill(FEW, 'old');
    const bytes = await saveAndFetch();
    await new Promise((then) => setTimeout(then, 200));
    expect((await state()).last).toMatchObject({
      place: 'downloaded',
      bytes: bytes.length,
      counts: { plans: 2, batches: 1, photos: 1 },
    });
    await closeStore();
    process.env.IDLE_LADLE_DB = file = join(folder, 'another.sqlite');
    const upload = await send(bytes);
    expect(await post({ do: 'open', upload })).toMatchObject({ status: 202 });
    const { opened, job } = await settled();
    expect(job).toMatchObject({ what: 'open', state: 'done' });
    expect(opened).toMatchObject({
      called: 'from the old tablet.zip',
      groups: expect.arrayContaining([{ where: 'there', kind: 'plan', count: 2, takeable: 2, suggested: 2 }]),
    });
    const [plan] = await linesOf(opened?.id ?? '', 'there plan');
    expect(plan).toMatchObject({ name: 'Slab 1', suggested: true, takeable: true });
    const was = await entered((await store()).db);
    expect(
      await post({ do: 'take', opened: opened?.id, choice: { 'there plan': { from: 'none', but: [plan.id] } } }),
    ).toMatchObject({ status: 202 });
    const after = await settled();
    expect(after.job).toMatchObject({ state: 'done', taken: { counts: { there: 1, both: 0, here: 0 } } });
    expect([...(await entered((await store()).db)).keys()].filter((k) => k.startsWith('plan '))).toEqual([
      `plan ${plan.id}`,
    ]);
    expect(readdirSync(kept)).toEqual([expect.stringMatching(/ before-opening /)]);
    expect(await post({ do: 'undo', opening: after.openings[0].id })).toMatchObject({
      status: 200,
      body: { undone: 1, stayed: [] },
    });
    expect(await entered((await store()).db)).toEqual(was);
    expect(await post({ do: 'undo', opening: after.openings[0].id })).toMatchObject({ status: 409 });
    await post({ do: 'close' });
    expect(readdirSync(workFolder(file))).toEqual([]);
  });
  test('a piece that is sent twice, or out of turn, is written once; more than was said is refused', async () => {
    const { body } = await post({ do: 'upload', called: 'a.zip', bytes: 10 });
    const id = String(body.upload);
    const at = async (from: number, bytes: string) => {
      const answer = await put(id, from, Buffer.from(bytes));
      return [answer.status, ((await answer.json()) as { at?: number }).at];
    };
    expect(await at(0, 'abcd')).toEqual([200, 4]);
    expect(await at(0, 'abcd')).toEqual([200, 4]);
    expect(await at(8, 'xy')).toEqual([200, 4]);
    expect(await at(4, 'efghijk')).toEqual([413, undefined]);
    expect(await post({ do: 'open', upload: id })).toMatchObject({ status: 404 });
    expect(await at(4, 'efghij')).toEqual([200, 10]);
    await post({ do: 'open', upload: id });
    expect((await settled()).job).toMatchObject({
      state: 'failed',
      words: expect.stringMatching(/^a\.zip is no copy of a kitchen/),
    });
    expect(readdirSync(workFolder(file))).toEqual([]);
    expect((await put('nobody', 0, Buffer.from('x'))).status).toBe(404);
    expect(await post({ do: 'upload', called: '../a.zip', bytes: 10 })).toMatchObject({ status: 422 });
    expect(await post({ do: 'upload', called: 'a.zip', bytes: 1e12 })).toMatchObject({ status: 413 });
  });
  test('while one is being made another is refused, and it can be stopped', async () => {
    await fill(FEW, 'here');
    const first = await post({ do: 'save' });
    expect(await post({ do: 'save' })).toMatchObject({ status: 409, body: { problems: [{ code: 'busy' }] } });
    await post({ do: 'stop', job: first.body.job });
    expect((await settled()).job).toMatchObject({ state: 'stopped', words: 'It was stopped; nothing was changed.' });
    expect(readdirSync(workFolder(file))).toEqual([]);
    expect((await saveAndFetch()).length).toBeGreaterThan(1000);
  });
  test('the taking in is stopped while the copy before it is made: nothing was taken in', async () => {
    await fill(FEW, 'here');
    const upload = await send(await saveAndFetch());
    await fill([['rename', 0, 9]], 'since');
    const was = await entered((await store()).db);
    await post({ do: 'open', upload });
    const { opened } = await settled();
    const { body } = await post({ do: 'take', opened: opened?.id, choice: { 'both plan': { from: 'all', but: [] } } });
    await post({ do: 'stop', job: body.job });
    expect((await settled()).job).toMatchObject({ what: 'take', state: 'stopped' });
    expect(await entered((await store()).db)).toEqual(was);
    expect(existsSync(kept) ? readdirSync(kept) : []).toEqual([]);
  });
  test('nothing chosen, a copy that is not open, names that lead out of the folder', async () => {
    await fill(FEW, 'here');
    const upload = await send(await saveAndFetch());
    await fill([['rename', 0, 9]], 'since');
    await post({ do: 'open', upload });
    const { opened } = await settled();
    expect(opened?.groups).toEqual([{ where: 'both', kind: 'plan', count: 1, takeable: 1, suggested: 0 }]);
    expect(await post({ do: 'take', opened: opened?.id, choice: {} })).toMatchObject({
      status: 422,
      body: { problems: [{ code: 'nothing-chosen' }] },
    });
    expect(await post({ do: 'take', opened: 'another', choice: {} })).toMatchObject({ status: 404 });
    expect((await call(linesRoute.GET, '/api/copies/lines?opened=another&group=x')).status).toBe(404);
    writeFileSync(join(folder, 'secret.zip'), 'x');
    for (const name of ['../secret.zip', 'secret.zip', '%2e%2e%2fsecret.zip'])
      expect((await call(keptRoute.GET, '/api/copies/kept/x', { params: { name } })).status).toBe(404);
  });
  test('a change of what was looked at stops the taking in, and the copy is compared anew', async () => {
    await fill(FEW, 'here');
    const upload = await send(await saveAndFetch());
    await fill([['rename', 0, 9]], 'since');
    await post({ do: 'open', upload });
    const { opened } = await settled();
    await fill([['rename', 0, 12]], 'meanwhile');
    await post({ do: 'take', opened: opened?.id, choice: { 'both plan': { from: 'all', but: [] } } });
    expect((await settled()).job).toMatchObject({
      state: 'failed',
      words: expect.stringMatching(/“Slab 0.*was changed here meanwhile/),
    });
    await post({ do: 'take', opened: opened?.id, choice: { 'both plan': { from: 'all', but: [] } } });
    expect((await settled()).job).toMatchObject({ state: 'done' });
  });
});

describe('by the clock', () => {
  test('a night’s copy is made once, kept in the folder, fetched and opened from there', async () => {
    const { copies } = await store();
    await copies.night(new Date());
    expect(existsSync(kept)).toBe(false);
    await fill(FEW, 'here');
    await copies.night(new Date());
    await copies.night(new Date());
    const now = await state();
    expect(now.kept).toMatchObject([{ why: 'nightly' }]);
    expect(now.last).toMatchObject({ why: 'nightly', place: join(kept, now.kept[0].name) });
    const answer = await call(keptRoute.GET, '/api/copies/kept/x', { params: { name: now.kept[0].name } });
    expect(Buffer.from(await answer.arrayBuffer())).toEqual(readFileSync(join(kept, now.kept[0].name)));
    await post({ do: 'open-kept', name: now.kept[0].name });
    expect((await settled()).opened).toMatchObject({ called: now.kept[0].name, groups: [] });
    await copies.night(new Date(Date.now() + 86_400_000));
    expect((await state()).kept).toHaveLength(2);
  });
  test('one that cannot be made is told, on the page and after three days', async () => {
    await fill(FEW, 'here');
    writeFileSync(kept, 'a file where the folder is to be');
    const { copies } = await store();
    const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    await copies.night(new Date());
    expect(said.mock.calls.flat().join()).toMatch(/The copy of the night was not made: There is no/);
    said.mockRestore();
    expect(await state()).toMatchObject({ last: null, failed: { problem: expect.stringMatching(/There is no/) } });
    rmSync(kept);
    const day = 86_400_000;
    expect(await copies.overdue(Date.now() + 2.9 * day)).toBeNull();
    expect(await copies.overdue(Date.now() + 3.1 * day)).toBe(3);
    await copies.night(new Date(Date.now() + 1000));
    expect(await copies.overdue(Date.now() + 2.9 * day)).toBeNull();
    expect((await state()).failed).toBeNull();
  });
  test('an empty kitchen is not told, and of many records the last are kept', async () => {
    const { copies, db } = await store();
    expect(await copies.overdue(Date.now() + 1e10)).toBeNull();
    const record = { why: 'command' as const, place: 'x', bytes: 1, counts: null, unreadable: 0, problem: null };
    for (let i = 0; i < 310; i++) await recordCopy(db, { ...record, madeAt: new Date(i * 1000).toISOString() });
    const [{ n: many }] = (await db.sequelize.query('SELECT count(*) AS n FROM copies'))[0] as { n: number }[];
    expect(many).toBe(300);
    expect((await state()).last?.madeAt).toBe(new Date(309_000).toISOString());
  });
  test('what a killed process left is cleared at the start', async () => {
    await fill(FEW, 'here');
    await closeStore();
    mkdirSync(join(workFolder(file), '999999-left'), { recursive: true });
    mkdirSync(kept, { recursive: true });
    writeFileSync(join(kept, '.kitchen 2026-12-01 03.00.05.zip.999999.part'), 'half');
    await store();
    expect(readdirSync(workFolder(file))).toEqual([]);
    expect(readdirSync(kept)).toEqual([]);
  });
});

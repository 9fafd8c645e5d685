import { openDatabase, type Database } from '@/db';
import { loadDemo } from '@/db/demo';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import { batchCard } from './cards';
import { answer, body, refuse, route } from './http';
import { evidence, relearn, relearnIfOld } from './learn';
import { recordEvent, startBatch } from './notebook';
import { pastBlends } from './pastBlends';
import { storeOf, type Store } from './storeOf';
import { bad, good, MODEL_VERSION, problem } from '@/core/units';
import { kitchenSchema, timeFactor, whoIs } from '@/core/kitchen';

let db: Database;
let store: Store;
beforeEach(async () => {
  db = await openDatabase(':memory:');
  store = storeOf(db);
});
afterEach(async () => {
  await db.sequelize.close();
});

const steamer = { id: 's', name: 'S', innerDiameterM: 0.3, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.06 };
const begin = async () => {
  await store.kitchen.put('steamers', steamer);
  const plan = await store.plans.create(savouryCoconutSlabPlan());
  const started = await startBatch(store, plan.id);
  if (!started.ok) throw new Error(started.problems[0].sentence);
  return started.value;
};

describe('a batch', () => {
  test('starts with a snapshot of the plan and its figures, which later edits do not touch', async () => {
    const batch = await begin();
    const stored = await store.plans.get(batch.planId ?? '');
    if (!stored.ok) throw new Error('gone');
    await store.plans.save(stored.value.id, 1, { ...stored.value.plan, name: 'Renamed', guests: 99 });
    const again = await store.batches.get(batch.id);
    expect(again.ok && again.value.snapshot.plan.guests).toBe(8);
    expect(again.ok && again.value.snapshot.figures.unlearnedS).toBeGreaterThan(300);
  });
  test('a plan that has a problem is not started', async () => {
    const plan = await store.plans.create({
      ...savouryCoconutSlabPlan(),
      vesselCount: 1,
      vessel: {
        id: 'v',
        name: 'Thimble',
        shape: 'round',
        material: 'steel',
        diameterM: 0.03,
        heightM: 0.03,
        count: 1,
        provenance: 'measured',
      },
    });
    expect(await startBatch(store, plan.id)).toMatchObject({ ok: false, problems: [{ code: 'pan-too-small' }] });
    expect(await startBatch(store, 'nothing')).toMatchObject({ ok: false, problems: [{ code: 'no-such-plan' }] });
  });
  test('once finished, its checks move the steamer and its tasting the texture; before that nothing moves', async () => {
    const batch = await begin();
    const model = batch.snapshot.figures.unlearnedS ?? 0;
    await recordEvent(
      store,
      batch.id,
      { kind: 'checked', state: 'sticky', afterS: Math.round(1.3 * model) },
      'key-check-1',
    );
    await recordEvent(
      store,
      batch.id,
      { kind: 'tasted', overall: 3, axes: { chewy: 'more' }, note: '' },
      'key-taste-1',
    );
    expect((await store.kitchen.read()).timeFactors.effects).toEqual([]);
    await recordEvent(store, batch.id, { kind: 'finished' }, 'key-finish-1');
    const kitchen = await store.kitchen.read();
    const who = (heat: string) => whoIs('s', heat, batch.snapshot.plan.family, batch.snapshot.plan.name);
    expect(timeFactor(kitchen.timeFactors, who('medium')).value).toBeGreaterThan(1.2);
    // Another heat in that steamer shares all but the heat itself.
    expect(timeFactor(kitchen.timeFactors, who('strong')).value).toBeLessThan(
      timeFactor(kitchen.timeFactors, who('medium')).value,
    );
    expect(kitchen.textureOffsets['savoury-coconut-slab'].chewy).toBeCloseTo(1.5 / 4, 9);
    expect(await evidence(store)).toHaveLength(1);
  });
  test('what was learned can be forgotten, batch by batch or all of it, and taken in again', async () => {
    const batch = await begin();
    const model = batch.snapshot.figures.unlearnedS ?? 0;
    await recordEvent(
      store,
      batch.id,
      { kind: 'checked', state: 'sticky', afterS: Math.round(1.4 * model) },
      'key-f-1',
    );
    await recordEvent(store, batch.id, { kind: 'finished' }, 'key-f-2');
    const seen = async () => (await evidence(store)).find((e) => e.batch.id === batch.id);
    const learned = async () => (await store.kitchen.read()).timeFactors.effects.length;
    expect(await learned()).toBeGreaterThan(0);
    await relearn(store, (f) => ({ ...f, batches: [...f.batches, batch.id] }));
    expect((await seen())?.used).toBe(false);
    await relearn(store, () => ({ batches: [], before: new Date().toISOString() }));
    expect(await learned()).toBe(0);
    expect((await store.kitchen.read()).textureOffsets).toEqual({});
    await relearn(store, () => ({ batches: [] }));
    expect((await seen())?.used).toBe(true);
    expect(await learned()).toBeGreaterThan(0);
  });
  test('a batch forecast by older models is forecast again from its plan, once, and its old minutes are not used', async () => {
    const plan = await store.plans.create(savouryCoconutSlabPlan());
    const started = await startBatch(store, plan.id);
    if (!started.ok) throw new Error('not started');
    const real = started.value.snapshot.figures.unlearnedS ?? 0;
    const old = await store.batches.create({
      planId: plan.id,
      planRevision: 1,
      name: 'Of an older release',
      snapshot: {
        ...started.value.snapshot,
        modelVersion: 1,
        figures: { ...started.value.snapshot.figures, unlearnedS: real / 2 },
      },
    });
    await recordEvent(store, old.id, { kind: 'checked', state: 'clean', afterS: Math.round(real) }, 'key-old-1');
    await recordEvent(store, old.id, { kind: 'finished' }, 'key-old-2');
    const found = (await evidence(store)).find((e) => e.batch.id === old.id);
    expect((found?.modelS ?? 0) / real).toBeCloseTo(1, 2);
    const kept = await store.batches.get(old.id);
    expect(kept.ok && kept.value.modelVersion).toBe(MODEL_VERSION);
    // Factors of another version are learned again when the kitchen is opened.
    const settings = await store.kitchen.readSettings();
    await store.kitchen.saveSettings(settings.revision, {
      ...settings.value,
      timeFactors: { modelVersion: 1, effects: [], covariance: [] },
    });
    await relearnIfOld(store);
    expect((await store.kitchen.read()).timeFactors.modelVersion).toBe(MODEL_VERSION);
  });
});

describe('the demo galley', () => {
  test('loads once into an empty kitchen: four plans, six finished batches, two steamers, and what they taught', async () => {
    expect(await loadDemo(db, Date.parse('2026-06-01T08:00:00Z'))).toBe(true);
    expect(await loadDemo(db, Date.parse('2026-06-01T08:00:00Z'))).toBe(false);
    const [plans, batches, kitchen] = [
      await store.plans.list(),
      await store.batches.list(),
      await store.kitchen.read(),
    ];
    expect(plans).toHaveLength(4);
    expect(batches.filter((b) => b.finishedAt)).toHaveLength(6);
    expect(kitchen.steamers).toHaveLength(2);
    expect(kitchen.vessels.length).toBeGreaterThanOrEqual(8);
    expect(kitchen.timeFactors.effects.find((e) => e.kind === 'steamer')?.batches).toBeGreaterThan(1);
    const cards = batches.map(batchCard);
    expect(cards.every((c) => c.overall !== null && c.note.length > 3)).toBe(true);
    const past = pastBlends(batches, 'radish-slab');
    expect(past).toHaveLength(3);
    expect(past[0].shares['rice-flour-fine']).toBeCloseTo(226 / 260, 6);
  }, 60_000);
});

describe('answers', () => {
  const get = (path = '/api/x', init?: RequestInit) => new Request(`http://127.0.0.1:3000${path}`, init);
  test('problems become 404, 409, 413 or 422 by their code', () => {
    expect(refuse([problem('no-such-plan', '', '')]).status).toBe(404);
    expect(refuse([problem('stale', '', '')]).status).toBe(409);
    expect(refuse([problem('too-large', '', '')]).status).toBe(413);
    expect(answer(bad(problem('too_small', '', ''))).status).toBe(422);
    expect(answer(good({ a: 1 }), 201).status).toBe(201);
  });
  test('an unexpected error is told with a note and without its stack', async () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const r = await route(get(), async () => {
      throw new Error('secret /home/path');
    });
    expect(r.status).toBe(500);
    const text = await r.text();
    expect(text).toMatch(/note [0-9a-f]{8}/);
    expect(text).not.toMatch(/secret|home/);
    expect(quiet).toHaveBeenCalled();
    quiet.mockRestore();
  });
  test('a write from another site is refused, from our own pages it is taken', async () => {
    const from = (origin: string) =>
      route(get('/api/x', { method: 'POST', headers: { origin, host: '127.0.0.1:3000' } }), async () =>
        Response.json({ done: true }),
      );
    expect((await from('http://elsewhere.example')).status).toBe(403);
    expect((await from('http://127.0.0.1:3000')).status).toBe(200);
  });
  test('a body that is no JSON, or is huge, is refused', async () => {
    expect(await body(get('/x', { method: 'POST', body: '{"a":' }))).toMatchObject({
      ok: false,
      problems: [{ code: 'broken-json' }],
    });
    expect(await body(get('/x', { method: 'POST', body: `"${'a'.repeat(2_000_001)}"` }))).toMatchObject({
      ok: false,
      problems: [{ code: 'too-large' }],
    });
  });
});

test('settings written to the kitchen come back in it', async () => {
  await store.kitchen.saveSettings(0, { ...kitchenSchema.parse({}), myCups: { tapioca: 133 }, altitudeM: 900 });
  expect(await store.kitchen.read()).toMatchObject({ myCups: { tapioca: 133 }, altitudeM: 900 });
});

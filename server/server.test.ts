import type { Database } from '@/db';
import { loadDemo } from '@/db/demo';
import { testDatabase, type TestDatabase } from '@/db/testing/file';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import { besideChoices, besideOf } from './beside';
import { galleyPage, notebookPage } from './firstPages';
import { evidence, relearn, relearnIfOld } from './learn';
import { EVIDENCE_A_PAGE, evidencePage } from './learnedPages';
import { recordEvent, startBatch } from './notebook';
import { planCards } from './planCards';
import { endStore, storeOf, type Store } from './storeOf';
import { versionsOf } from './versions';
import { MODEL_VERSION } from '@/core/units';
import { kitchenSchema, timeFactor, whoIs } from '@/core/kitchen';

let made: TestDatabase;
let db: Database;
let store: Store;
beforeEach(async () => {
  made = await testDatabase();
  db = made.db;
  store = await storeOf(db);
});
afterEach(async () => {
  await endStore(store);
  await made.end();
});
/** Writes an event down, and waits until what it teaches is learned. */
const record: typeof recordEvent = async (...args) => {
  const done = await recordEvent(...args);
  await args[0].learner.settled();
  return done;
};

const steamer = { id: 's', name: 'S', innerDiameterM: 0.3, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.06 };
const begin = async () => {
  await store.kitchen.put('steamers', 0, steamer);
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
  test('laid beside its plan it comes with the kitchen that it was cooked in; a version comes with none of its own', async () => {
    const batch = await begin();
    const id = batch.planId ?? '';
    await store.kitchen.put('steamers', 0, { ...steamer, id: 'later', name: 'Later' });
    const stored = await store.plans.get(id);
    if (!stored.ok) throw new Error('gone');
    const plan = { ...stored.value.plan, guests: 21 };
    await store.plans.save(id, 1, plan);
    const choices = await besideChoices(store, id, plan);
    expect(choices.map((c) => c.value)).toEqual(['version:1', `batch:${batch.id}`]);
    const cooked = await besideOf(store, id, `batch:${batch.id}`, choices);
    expect(cooked?.plan.guests).toBe(8);
    expect(cooked?.kitchen).toEqual(batch.snapshot.kitchen);
    expect(cooked?.kitchen?.steamers.map((s) => s.id)).not.toContain('later');
    expect(await besideOf(store, id, 'version:1', choices)).toMatchObject({ plan: { guests: 8 }, kitchen: null });
    expect(await besideOf(store, id, 'batch:none', choices)).toBeUndefined();
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
    await record(store, batch.id, { kind: 'checked', state: 'sticky', afterS: Math.round(1.3 * model) }, 'key-check-1');
    await record(store, batch.id, { kind: 'tasted', overall: 3, axes: { chewy: 'more' }, note: '' }, 'key-taste-1');
    expect((await store.kitchen.read()).timeFactors.effects).toEqual([]);
    await record(store, batch.id, { kind: 'finished' }, 'key-finish-1');
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
    await record(store, batch.id, { kind: 'checked', state: 'sticky', afterS: Math.round(1.4 * model) }, 'key-f-1');
    await record(store, batch.id, { kind: 'finished' }, 'key-f-2');
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
    await record(store, old.id, { kind: 'checked', state: 'clean', afterS: Math.round(real) }, 'key-old-1');
    await record(store, old.id, { kind: 'finished' }, 'key-old-2');
    const found = (await evidence(store)).find((e) => e.batch.id === old.id);
    expect((found?.modelS ?? 0) / real).toBeCloseTo(1, 2);
    const kept = (await store.batches.finished()).find((b) => b.id === old.id);
    expect(kept?.modelVersion).toBe(MODEL_VERSION);
    // Factors of another version are learned again when the kitchen is opened.
    const settings = await store.kitchen.readSettings();
    await store.kitchen.saveSettings(settings.revision, {
      ...settings.value,
      timeFactors: { modelVersion: 1, effects: [], covariance: [] },
    });
    await relearnIfOld(store);
    await store.learner.settled();
    expect((await store.kitchen.read()).timeFactors.modelVersion).toBe(MODEL_VERSION);
  });
});

test('what is taken back of a finished batch is unlearned, and a finish that is taken back too', async () => {
  const batch = await begin();
  const model = batch.snapshot.figures.unlearnedS ?? 0;
  const learned = async () => (await store.kitchen.read()).timeFactors.effects.length;
  await record(store, batch.id, { kind: 'checked', state: 'sticky', afterS: Math.round(1.4 * model) }, 'key-t-1');
  await record(store, batch.id, { kind: 'finished' }, 'key-t-2');
  expect(await learned()).toBeGreaterThan(0);
  await record(store, batch.id, { kind: 'taken-back', of: 'key-t-1' }, 'key-t-3');
  expect(await learned()).toBe(0);
  await record(store, batch.id, { kind: 'taken-back', of: 'key-t-3' }, 'key-t-4');
  expect(await learned()).toBeGreaterThan(0);
  await record(store, batch.id, { kind: 'taken-back', of: 'key-t-2' }, 'key-t-5');
  expect(await learned()).toBe(0);
});

test('cards of plans follow the kitchen they are drawn in, and one that cannot be read has its place', async () => {
  const plan = await store.plans.create(savouryCoconutSlabPlan());
  const broken = await store.plans.create(savouryCoconutSlabPlan());
  await db.write((transaction) =>
    db.sequelize.query('UPDATE plans SET document = ? WHERE id = ?', { replacements: ['[]', broken.id], transaction }),
  );
  const cards = async () => {
    const page = await planCards(store, (await store.kitchenState()).kitchen, {});
    return new Map(page.rows.map((r) => [r.id, r]));
  };
  const before = await cards();
  expect(before.get(broken.id)).toMatchObject({ readable: false, picture: null });
  const drawn = before.get(plan.id)?.picture;
  expect(drawn?.depthM).toBeGreaterThan(0.005);
  await store.plans.save(plan.id, 1, { ...plan.plan, vesselCount: 2 });
  expect((await cards()).get(plan.id)?.picture?.depthM ?? 0).toBeCloseTo((drawn?.depthM ?? 0) / 2, 3);
  // A write that is none of the kitchen's leaves it the very same; one that is does not.
  const { kitchen } = await store.kitchenState();
  await store.plans.create(savouryCoconutSlabPlan());
  expect((await store.kitchenState()).kitchen).toBe(kitchen);
  await store.kitchen.put('steamers', 0, steamer);
  expect((await store.kitchenState()).kitchen.steamers).toHaveLength(1);
});

test('versions say what each changed, by name', async () => {
  const plan = await store.plans.create(savouryCoconutSlabPlan());
  const [line] = plan.plan.batters[0].lines;
  const heavier = {
    ...plan.plan,
    batters: plan.plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l) => (l.id === line.id ? { ...l, massG: l.massG + 1 } : l)),
    })),
  };
  await store.plans.save(plan.id, 1, heavier, 'a');
  await store.plans.save(plan.id, 2, { ...heavier, guests: 30, heat: 'strong' }, 'a');
  await store.plans.save(plan.id, 2, { ...heavier, name: 'Other' }, 'b');
  const found = await versionsOf(store, plan.id);
  if (!found.ok) throw new Error(found.problems[0].sentence);
  expect(found.value.revision).toBe(3);
  expect(found.value.lines.map((l) => [l.revision, l.refused, l.changes])).toEqual([
    [3, true, [`name "${plan.plan.name}" to "Other"`]],
    [3, false, ['guests 8 to 30', 'heat medium to strong']],
    [2, false, [expect.stringMatching(new RegExp(`${line.massG} g to ${line.massG + 1} g$`))]],
    [1, false, []],
  ]);
  expect(await versionsOf(store, 'nothing')).toMatchObject({ ok: false });
});

describe('the demo galley', () => {
  test('loads once into an empty kitchen: four plans, six finished batches, two steamers, and what they taught', async () => {
    expect(await loadDemo(db, Date.parse('2026-06-01T08:00:00Z'))).toBe(true);
    expect(await loadDemo(db, Date.parse('2026-06-01T08:00:00Z'))).toBe(false);
    const kitchen = await store.kitchen.read();
    const cards = (await store.batches.page({ limit: 20 })).rows;
    expect((await store.plans.page({ limit: 20 })).total).toBe(4);
    expect(cards.filter((c) => c.finished)).toHaveLength(6);
    expect(kitchen.steamers).toHaveLength(2);
    expect(kitchen.vessels.length).toBeGreaterThanOrEqual(8);
    expect(kitchen.timeFactors.effects.find((e) => e.kind === 'steamer')?.batches).toBeGreaterThan(1);
    expect(cards.every((c) => c.overall !== null && c.note.length > 3)).toBe(true);
    const past = await store.batches.blends('radish-slab', 50);
    expect(past).toHaveLength(3);
    expect(past[0].shares['rice-flour-fine']).toBeCloseTo(226 / 260, 6);
  }, 60_000);
});

test('settings written to the kitchen come back in it', async () => {
  await store.kitchen.saveSettings(0, { ...kitchenSchema.parse({}), myCups: { tapioca: 133 }, altitudeM: 900 });
  expect(await store.kitchen.read()).toMatchObject({ myCups: { tapioca: 133 }, altitudeM: 900 });
});

describe('what is kept until something is written', () => {
  test('it is read once, and again after a write; a reading that failed is not kept', async () => {
    let reads = 0;
    const ask = () => store.sinceWritten('test', () => Promise.resolve(++reads));
    expect([await ask(), await ask()]).toEqual([1, 1]);
    await store.plans.create(savouryCoconutSlabPlan());
    expect([await ask(), await ask()]).toEqual([2, 2]);
    const broken = () => store.sinceWritten('broken', () => Promise.reject(new Error('no')));
    await expect(broken()).rejects.toThrow('no');
    await expect(store.sinceWritten('broken', () => Promise.resolve('well'))).resolves.toBe('well');
  });
  test('what is written while it is read is in the next answer', async () => {
    const page = () => store.sinceWritten('slow', () => store.plans.page({ limit: 5 }));
    const first = store.sinceWritten('slow', async () => {
      const old = await store.plans.page({ limit: 5 });
      await store.plans.create(savouryCoconutSlabPlan());
      return old;
    });
    const { total } = await first;
    expect((await page()).total).toBe(total + 1);
  });
  test('the pages of home and notebook show each change at once: a new plan, its name, a batch of it', async () => {
    const { total } = (await galleyPage(store)).plans;
    const plan = await store.plans.create({ ...savouryCoconutSlabPlan(), name: 'Fresh from the harbour' });
    const { plans } = await galleyPage(store);
    expect([plans.total, plans.rows[0].name]).toEqual([total + 1, 'Fresh from the harbour']);
    const saved = await store.plans.save(plan.id, plan.revision, { ...plan.plan, name: 'Twice renamed' }, 'writer');
    expect(saved).toHaveProperty('saved');
    expect((await galleyPage(store)).plans.rows[0].name).toBe('Twice renamed');
    const before = (await notebookPage(store)).total;
    const started = await startBatch(store, plan.id);
    if (!started.ok) throw new Error('not started');
    expect((await notebookPage(store)).total).toBe(before + 1);
    expect((await galleyPage(store)).batches[0]).toMatchObject({ id: started.value.id, finished: false });
    await record(store, started.value.id, { kind: 'finished' }, 'key-first-pages');
    expect((await galleyPage(store)).batches[0].finished).toBe(true);
  });
  test('the fridge holds a finished cake for as long as it keeps, two days with shrimp in it, until it is eaten up', async () => {
    const began = await begin();
    const { id } = began;
    expect(began.snapshot.allergens).toContain('crustacean');
    expect((await galleyPage(store)).keeps).toEqual([]);
    await record(store, id, { kind: 'finished' }, 'key-finished');
    const [kept] = (await galleyPage(store)).keeps;
    expect(kept.id).toBe(id);
    const after = await store.batches.get(id);
    const finishedMs = Date.parse((after.ok && after.value.finishedAt) || '');
    expect(Date.parse(kept.until) - finishedMs).toBe(2 * 86_400_000);
    await record(store, id, { kind: 'eaten' }, 'key-eaten-up');
    expect((await galleyPage(store)).keeps).toEqual([]);
    await record(store, id, { kind: 'taken-back', of: 'key-eaten-up' }, 'key-some-left');
    expect((await galleyPage(store)).keeps.map((k) => k.id)).toEqual([id]);
  });
});

test('what learning rests on comes a page at a time, newest first, each once, with what was left out marked', async () => {
  const batch = await begin();
  const model = batch.snapshot.figures.unlearnedS ?? 0;
  const ids: string[] = [];
  for (let i = 0; i < EVIDENCE_A_PAGE + 7; i++) {
    const b = await store.batches.create({ planId: null, planRevision: 1, name: `B ${i}`, snapshot: batch.snapshot });
    await store.batches.append(b.id, { kind: 'checked', state: 'sticky', afterS: model }, `k-${i}`, 0);
    await store.batches.append(b.id, { kind: 'finished' }, `f-${i}`, 0);
    ids.push(b.id);
  }
  store.learner.wake();
  await store.learner.settled();
  await relearn(store, () => ({ batches: [ids[3]] }));
  const first = await evidencePage(store);
  expect([first.rows.length, first.total]).toEqual([EVIDENCE_A_PAGE, ids.length]);
  const rest = await evidencePage(store, first.next);
  expect(rest.next).toBeUndefined();
  const rows = [...first.rows, ...rest.rows];
  expect(new Set(rows.map((r) => r.id))).toEqual(new Set(ids));
  expect(rows.map((r) => r.startedAt)).toEqual(
    rows
      .map((r) => r.startedAt)
      .sort()
      .reverse(),
  );
  expect(rows.filter((r) => r.leftOut || !r.used).map((r) => r.id)).toEqual([ids[3]]);
  // Not ready at the model's own time, as the sentence must survive being sent.
  expect(JSON.parse(JSON.stringify(rows[0])).said).toMatch(/^Not ready at \d+ min, more than 1\.00 times/);
});

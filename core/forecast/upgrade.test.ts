import { readFileSync } from 'node:fs';
import { readPlan, upgradePlan, type Plan } from '../plan';
import { readSnapshot } from '../work/notebook';
import { forecastLight } from '.';
import { emptyKitchen } from '../kitchen';

interface Old {
  readonly name: string;
  readonly plan: {
    readonly addIns: readonly { readonly treatment: string; readonly weighedG?: number }[];
    readonly batters: readonly { readonly pouredOffG?: number }[];
    readonly sauces: readonly unknown[];
    [k: string]: unknown;
  };
  readonly balance: {
    readonly massG: number;
    readonly whole: Readonly<Record<string, number>>;
    readonly batters: readonly {
      readonly id: string;
      readonly dryBlendG: number;
      readonly hydration: number;
      readonly liquidToDry: number;
      readonly topUpG: number;
      readonly reseason: { readonly saltG: number; readonly sugarG: number };
    }[];
  };
}
const OLD = JSON.parse(readFileSync('core/plan/testing/version1.json', 'utf8')) as Old[];
const upgraded = (doc: unknown): Plan => {
  const r = readPlan(doc);
  if (!r.ok) throw new Error(r.problems.map((p) => `${p.path}: ${p.sentence}`).join(' '));
  return r.value;
};
const light = (p: Plan) => {
  const r = forecastLight(p, emptyKitchen());
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value;
};

/** Where version 2 computes another juice on purpose (docs/formats.md): drawn and squeezed without a weighing. */
const drawnAnew = (o: Old) =>
  o.plan.addIns.some((l) => /squeezed|drained/.test(l.treatment) && l.weighedG === undefined);
/** Fruit is now sugared with half of the batter's own sugar, which its syrup carries: the ratios shift within 1 %. */
const sugared = (o: Old) => o.plan.addIns.some((l) => l.treatment === 'sugared');
const poured = (o: Old) => o.plan.batters.some((b) => b.pouredOffG !== undefined);

test('there are fixtures of every family', () => {
  expect(OLD.length).toBeGreaterThan(170);
  expect(new Set(OLD.map((o) => o.plan.family)).size).toBe(18);
});

describe.each(OLD.map((o) => [o.name, o] as const))('%s', (_, o) => {
  const plan = upgraded(o.plan);
  const l = light(plan);
  test('reads as version 2 with every line, and balances as version 1 did', () => {
    expect(plan.version).toBe(2);
    const count = (x: { lines: readonly unknown[] }[]) => x.reduce((a, y) => a + y.lines.length, 0);
    const before = o.plan as unknown as {
      batters: { lines: unknown[] }[];
      addIns: unknown[];
      sauces: { lines: unknown[] }[];
    };
    expect(count(plan.batters) + plan.addIns.length + count(plan.fillings) + count(plan.accompaniments)).toBe(
      count(before.batters) + before.addIns.length + count(before.sauces),
    );
    const { balance: b } = l;
    o.balance.batters.forEach((was, i) => {
      const now = b.batters[i];
      expect(now.dryBlendG).toBeCloseTo(was.dryBlendG, 6);
      if (drawnAnew(o) || sugared(o)) return;
      expect(now.topUpG).toBeCloseTo(was.topUpG, 5);
      expect(now.liquidToDry).toBeCloseTo(was.liquidToDry, 5);
      // Grain now takes up its water by time: after three hours it lacks a ten-thousandth of it.
      expect(now.hydration).toBeCloseTo(was.hydration, 3);
    });
    if (drawnAnew(o)) {
      expect(b.madeG + l.evaluated.account.drawnG).toBeCloseTo(
        o.balance.massG + (o.balance.batters.length > 0 ? drawnBefore(o) : 0),
        3,
      );
      return;
    }
    // What version 1 told to put back after pouring off, version 2 counts as put back.
    const back = poured(o)
      ? o.balance.batters.reduce((a, x) => a + x.reseason.saltG + (x.reseason.sugarG > 0.5 ? x.reseason.sugarG : 0), 0)
      : 0;
    expect(b.madeG).toBeCloseTo(o.balance.massG + back, 1);
    if (poured(o)) return;
    const leftIn = b.madeG - b.massG;
    for (const part of ['water', 'starch', 'sugar', 'fat', 'protein', 'salt'] as const) {
      // In the pan there is what was made less what stays in the bowl, 1 % of a slurry and 2.5 % of a paste.
      expect(b.whole[part]).toBeLessThanOrEqual(o.balance.whole[part] + 1e-6);
      expect(b.whole[part]).toBeGreaterThanOrEqual(o.balance.whole[part] - 0.026 * o.balance.whole[part] - 1e-6);
    }
    expect(leftIn).toBeLessThanOrEqual(0.0251 * b.madeG);
  });
});

/** Juice that version 1 poured away, g: what its lines, its strewn salt and its top-up leave over. */
function drawnBefore(o: Old): number {
  const lines = [
    ...(o.plan.batters as unknown as { lines: { massG: number; drawSaltG?: number }[] }[]).flatMap((b) => b.lines),
    ...(o.plan.addIns as unknown as { massG: number; drawSaltG?: number }[]),
  ];
  const put =
    lines.reduce((a, l) => a + l.massG + (l.drawSaltG ?? 0), 0) + o.balance.batters.reduce((a, b) => a + b.topUpG, 0);
  return put - o.balance.massG;
}

describe('what an upgrade carries over', () => {
  const weighed = OLD.find((o) => o.name === 'radish-slab: juice weighed');
  if (!weighed) throw new Error('no fixture');
  test('a weighed juice becomes a reading of its node, and survives a change of school and back', async () => {
    const { chooseSchool } = await import('../plan');
    const plan = upgraded(weighed.plan);
    expect(plan.readings).toEqual({ 'wilt:radish': { juiceG: 310 } });
    const there = chooseSchool(plan, 'juice', 'draw-discard');
    expect(there.readings).toEqual(plan.readings);
    const back = chooseSchool(there, 'juice', 'wilt-keep');
    expect(light(back).evaluated.byId.get('wilt:radish')?.figures.juiceG).toMatchObject({
      value: 310,
      source: 'measured',
    });
  });
  test('a pouring temperature becomes a reading of the node that pours, for slabs, cups and layers', () => {
    const at = (family: string) => {
      const o = OLD.find((x) => x.name === `${family}: as shipped`);
      return light(upgraded({ ...o?.plan, pourC: 52 })).pour.startC;
    };
    for (const family of ['savoury-coconut-slab', 'dimpled-cups', 'rainbow-layers', 'pan-film-sheets'])
      expect(at(family)).toMatchObject({ value: 52, source: 'measured' });
  });
  test('where school and line disagree, the line wins', () => {
    const o = OLD.find((x) => x.name === 'radish-slab: school says wilt, line says parboiled');
    const plan = upgraded(o?.plan);
    expect(plan.schools.juice).toBe('parboil');
    expect(light(plan).flow.nodes.some((n) => n.id === 'parboil:radish')).toBe(true);
  });
  test('add-ins of rolls become their filling and are no longer batter', () => {
    const rolls = OLD.find((x) => x.name === 'filled-rolls: as shipped');
    const plain = light(upgraded(rolls?.plan));
    const filled = light(
      upgraded({ ...rolls?.plan, addIns: [{ ingredient: 'minced-pork', massG: 300, treatment: 'fried' }] }),
    );
    expect(filled.resolved.plan.fillings[0].lines[0]).toMatchObject({ ingredient: 'minced-pork', massG: 300 });
    expect(filled.fill.depthM).toBeCloseTo(plain.fill.depthM, 12);
    expect(filled.balance.massG).toBeCloseTo(plain.balance.massG, 9);
  });
  test('two lines of one ingredient get ids of their own, in order; upgrading twice changes nothing', () => {
    const sponge = OLD.find((x) => x.name === 'yeast-sponge: as shipped');
    const once = upgradePlan(sponge?.plan);
    expect(upgraded(sponge?.plan).batters[0].lines.map((l) => l.id)).toEqual([
      'rice-flour-fine',
      'tapioca',
      'white-sugar',
      'water',
      'water-2',
      'dry-yeast',
      'oil',
    ]);
    expect(upgradePlan(once)).toBe(once);
  });
  test('a batch begun under version 1 keeps its own steps, and its plan reads', () => {
    const snapshot = {
      plan: weighed.plan,
      steamerId: 's',
      vesselName: 'Tin',
      figures: {
        massG: 1,
        hydration: 1,
        liquidToDry: 1,
        depthM: 0.03,
        saltPct: 1,
        firstCleanPickS: null,
        unlearnedS: null,
        checkAtS: null,
        planForS: null,
        cutReadyAtS: null,
        pieces: null,
      },
      texture: {},
      allergens: [],
      steps: [{ id: '01-weigh', verb: 'Weigh', sentence: 'Weigh everything.', answers: ['done'] }],
    };
    const result = readSnapshot(snapshot);
    if (!result.ok) throw new Error(result.problems[0].sentence);
    const read = result.value;
    expect(read).toMatchObject({
      version: 4,
      kitchen: null,
      modelVersion: 1,
      figures: { standS: null, massG: snapshot.figures.massG },
    });
    expect(readSnapshot({ ...snapshot, version: 5 })).toMatchObject({
      ok: false,
      problems: [{ code: 'newer-version' }],
    });
    expect(read.steps).toMatchObject([{ ...snapshot.steps[0], answers: [{ kind: 'say', words: 'done' }] }]);
    expect(read.plan.version).toBe(2);
    expect(read.weighOut).toEqual([]);
  });
  test('a document of version 3 says which program it needs; two lines with one id are told', () => {
    const plan = upgraded(weighed.plan);
    const later = readPlan({ ...plan, version: 3 });
    expect(!later.ok && later.problems[0]).toMatchObject({ code: 'newer-version', path: 'version' });
    expect(!later.ok && later.problems[0].sentence).toMatch(
      /format version 3 .* newer Idle Ladle; this one reads up to version 2/,
    );
    const twice = { ...plan, addIns: plan.addIns.map((x) => ({ ...x, id: 'same' })) };
    expect(readPlan(twice)).toMatchObject({
      ok: false,
      problems: [{ code: 'id-twice' }, { code: 'id-twice' }, { code: 'id-twice' }],
    });
  });
});

import { formula } from '../testing/made';
import { FAMILIES, formulaOf } from '../families';
import { forecast } from '../forecast';
import { forecastJson } from '../formats';
import { emptyKitchen, kitchenSchema, type Kitchen } from '../kitchen';
import type { Plan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import { LAWS, whyOf, type Why } from '.';

const jsonOf = (plan: Plan, kitchen: Kitchen = emptyKitchen()): unknown => {
  const f = forecast(plan, kitchen, COARSE_GRID);
  if (!f.ok) throw new Error(f.problems[0].sentence);
  return forecastJson(f.value, false);
};
const why = (doc: unknown, path: string): Why => {
  const w = whyOf(doc, path);
  if (!w.ok) throw new Error(w.problems[0].sentence);
  return w.value;
};
const radish = formula('radish-slab');

/** Paths of all numbers and figures of a document. */
function paths(doc: unknown): string[] {
  const found: string[] = [];
  const walk = (v: unknown, p: string) => {
    if (typeof v === 'number') found.push(p);
    else if (typeof v === 'object' && v !== null) for (const [k, x] of Object.entries(v)) walk(x, p ? `${p}.${k}` : k);
  };
  walk(doc, '');
  return found;
}

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s: every figure of its forecast says why', (_, family) => {
  const doc = jsonOf(formulaOf(family));
  // One of each kind: places in a list are alike.
  const kinds = new Map(paths(doc).map((p) => [p.replace(/\.\d+(?=\.|$)/g, '.*'), p]));
  for (const p of kinds.values()) {
    const w = whyOf(doc, p);
    expect(w.ok ? w.value.law.length : p).toBeGreaterThan(5);
  }
});

test('the time to plan for: its law, its inputs with units, its spread in proportion, its source', () => {
  const doc = jsonOf(radish) as {
    heat: { steam: { spread: { low: number; likely: number }; times: { planForS: number } } };
  };
  const w = why(doc, 'heat.steam.times.planForS');
  expect(w).toMatchObject({ unit: 's', source: 'default', value: doc.heat.steam.times.planForS });
  expect(w.inputs[0]).toMatchObject({ path: 'heat.steam.times.firstCleanPickS', unit: 's' });
  const { low, likely } = doc.heat.steam.spread;
  expect(w.spread?.low).toBeCloseTo((w.value * low) / likely, 6);
  expect(why(doc, 'fill.depthM').unit).toBe('m');
  expect(why(doc, 'pour.startC')).toMatchObject({ unit: '°C' });
  expect(why(doc, 'pour.startC').spread?.high).toBeGreaterThan(why(doc, 'pour.startC').value);
});
test('what was learned and what was measured is said, through everything that comes from it', () => {
  const learned = kitchenSchema.parse({
    timeFactors: {
      effects: [{ kind: 'family', key: 'radish-slab', mean: 0.2, batches: 3 }],
      covariance: [0.01],
    },
  });
  const doc = jsonOf(radish, learned);
  expect(why(doc, 'heat.steam.times.totalS').source).toBe('learned');
  expect(why(doc, 'heat.steam.times.unlearnedS').source).toBe('default');
  const measured = kitchenSchema.parse({
    hobs: [{ id: 'hob', name: 'Hob', rings: [{ id: 'r', name: 'Ring', measuredPowerW: { strong: 1400 } }] }],
  });
  const m = why(jsonOf({ ...radish, hob: 'hob', ring: 'r' }, measured), 'heat.powerW');
  expect(m).toMatchObject({ value: 1400, unit: 'W', source: 'measured' });
});
test('a path that names no one figure is refused with what lies there', () => {
  const doc = jsonOf(radish);
  for (const path of ['heat.steam.times', 'heat.steam.time.planForS', 'nonsense', '']) {
    const w = whyOf(doc, path);
    expect(w.ok ? '' : w.problems[0].code).toBe('no-such-figure');
    expect(w.ok ? '' : w.problems[0].sentence).toMatch(/There are, for example: \w/);
  }
});
test('what a law says goes into a figure is there: in the forecast of some family, pressed or open, measured or not', () => {
  const pressed = kitchenSchema.parse({
    hobs: [
      {
        id: 'h',
        name: 'Hob',
        rings: [{ id: 'r', name: 'Ring', measuredPowerW: { strong: 1500, medium: 1000, gentle: 600 } }],
      },
    ],
    steamers: [
      {
        id: 's',
        name: 'Pot',
        tiers: 2,
        innerDiameterM: 0.3,
        clearHeightM: 0.09,
        potDiameterM: 0.28,
        waterDepthM: 0.05,
        pressureTempC: 112,
      },
    ],
  });
  const docs = FAMILIES.flatMap((f) => [
    jsonOf(formulaOf(f)),
    jsonOf({ ...formulaOf(f), readings: { 'boil-up:steamer': { waterMl: 1500 } } }, pressed),
  ]);
  const at = (doc: unknown, path: string) =>
    path.split('.').reduce<unknown>((v, k) => (v as Record<string, unknown> | null | undefined)?.[k], doc);
  // Vessels and their lift-outs are there where there are several.
  const seldom = /^heat\.steam\.vessels\./;
  for (const law of LAWS)
    for (const path of law.from.map((p) => p.replaceAll('#', '0')).filter((p) => !seldom.test(p)))
      expect([law.at, path, docs.some((d) => at(d, path) !== undefined && at(d, path) !== null)]).toEqual([
        law.at,
        path,
        true,
      ]);
});

import { FAMILIES, formulaOf, type Family } from '../families';
import { forecastHeat, forecastLight, heatCache, heatJobs, type LightForecast } from '.';
import { emptyKitchen, kitchenSchema, type Kitchen } from '../kitchen';
import { readPlan, type Plan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import { someOf } from '../testing/runs';
import { MODEL_VERSION } from '../units';

/**
 * Two plans with one hash have one heat: every leaf of every family's formula, and of a kitchen with a ring, a steamer and a room of its own, is moved in
 * turn. Heat comes from the records alone, and the hash is of the records, so what this would find is a record that does not hold what it is asked for.
 */
type Path = readonly (string | number)[];
function leaves(v: unknown, path: Path = []): (readonly [Path, unknown])[] {
  if (typeof v !== 'object' || v === null) return [[path, v]];
  return Object.entries(v).flatMap(([k, x]) => leaves(x, [...path, Array.isArray(v) ? Number(k) : k]));
}
function withLeaf<T>(doc: T, path: Path, value: unknown): T {
  const copy = structuredClone(doc);
  let at = copy as Record<string | number, unknown>;
  for (const k of path.slice(0, -1)) at = at[k] as Record<string | number, unknown>;
  at[path[path.length - 1]] = value;
  return copy;
}
/** Other values that a leaf may take; none where it is an id. */
function moved(v: unknown, key: string | number): readonly unknown[] {
  if (typeof v === 'number') return [Number.isInteger(v) ? Math.round(v * 1.25 + 1) : v * 1.25];
  if (typeof v === 'boolean') return [!v];
  return typeof v === 'string' && /name|words|eater|notes/.test(String(key)) ? [`${v} X`] : [];
}
/** Heat as text; fields by their sum. */
const written = (heat: unknown): string =>
  JSON.stringify(heat, (_, v: unknown) =>
    ArrayBuffer.isView(v) ? Array.from(v as Float64Array).reduce((a, b) => a + b, 0) : v,
  );

/** A kitchen where nothing is as usual. */
const OWN: Kitchen = kitchenSchema.parse({
  ...emptyKitchen(),
  altitudeM: 300,
  hobs: [
    {
      id: 'hob',
      name: 'Hob',
      rings: [
        { id: 'r', name: 'Ring', kind: 'electric', leftoverS: 240, measuredPowerW: { medium: 1050, strong: 1500 } },
      ],
    },
  ],
  steamers: [
    {
      id: 's',
      name: 'Own steamer',
      tiers: 2,
      innerDiameterM: 0.3,
      clearHeightM: 0.09,
      lid: 'woven',
      potDiameterM: 0.28,
      waterDepthM: 0.06,
    },
  ],
  timeFactors: {
    modelVersion: MODEL_VERSION,
    effects: [{ kind: 'steamer', key: 's', mean: 0.1, batches: 2 }],
    covariance: [0.01],
  },
});

/** What plans and kitchens of the same hash differ in, and how many there were. */
function differing(family: Family, kitchen: Kitchen) {
  const plan = formulaOf(family);
  const base = forecastLight(plan, kitchen);
  if (!base.ok) throw new Error(base.problems[0].sentence);
  const { hash } = heatJobs(base.value);
  // Worked out anew each time: what is kept is kept by the hash.
  const heatOf = (light: LightForecast) => written(forecastHeat(light, COARSE_GRID, heatCache(0)));
  const heat = heatOf(base.value);
  let same = 0;
  const found: string[] = [];
  const look = (p: Plan, k: Kitchen, what: string) => {
    const light = forecastLight(p, k);
    if (!light.ok || heatJobs(light.value).hash !== hash) return;
    same += 1;
    if (heatOf(light.value) !== heat) found.push(what);
  };
  for (const [path, v] of leaves(plan))
    for (const w of moved(v, path[path.length - 1])) {
      const read = readPlan(withLeaf(plan, path, w));
      if (read.ok) look(read.value, kitchen, `plan ${path.join('.')}`);
    }
  for (const [path, v] of leaves(kitchen))
    for (const w of moved(v, path[path.length - 1]))
      look(plan, withLeaf(kitchen, path, w), `kitchen ${path.join('.')}`);
  return { same, found };
}

/** Each family in one of them a day, in all of them where there is time. */
const KITCHENS = [OWN, emptyKitchen(), kitchenSchema.parse({ roomC: 29, fridgeC: 7 })];

test.each(FAMILIES.flatMap((f, i) => someOf(KITCHENS, i).map((k) => [f.id, f, k] as const)))(
  '%s: plans and kitchens of one hash have one heat',
  (_, family, kitchen) => {
    const { same, found } = differing(family, kitchen);
    expect(same).toBeGreaterThan(3);
    expect(found).toEqual([]);
  },
);

test('what heat hangs on is in the record: each of these moves the hash', () => {
  const at = (change: (p: Plan) => Plan, kitchen = OWN) => {
    const light = forecastLight(change(formulaOf(FAMILIES[0])), kitchen);
    if (!light.ok) throw new Error(light.problems[0].sentence);
    return heatJobs(light.value).hash;
  };
  const own = at((p) => p);
  const { lining } = FAMILIES[0].schools;
  if (!lining) throw new Error('no lining');
  const steamer = (change: Partial<Kitchen['steamers'][number]>): Kitchen => ({
    ...OWN,
    steamers: [{ ...OWN.steamers[0], ...change }],
  });
  const others = [
    at((p) => ({ ...p, heat: 'strong' })),
    at((p) => ({
      ...p,
      schools: { ...p.schools, lining: lining.options.map((o) => o.id).find((o) => o !== lining.usual) ?? '' },
    })),
    at((p) => ({ ...p, vesselCount: p.vesselCount + 1 })),
    at((p) => ({ ...p, wrap: 'open' })),
    at((p) => p, { ...OWN, roomC: 30 }),
    at((p) => p, { ...OWN, altitudeM: 2000 }),
    at((p) => p, steamer({ lid: 'tight' })),
    at((p) => p, steamer({ waterDepthM: 0.05 })),
    at((p) => p, { ...OWN, timeFactors: emptyKitchen().timeFactors }),
  ];
  expect(others.map((h) => [own, ...others].filter((x) => x === h).length)).toEqual(others.map(() => 1));
});

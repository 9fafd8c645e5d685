import { forecast } from '../forecast';
import { FAMILIES, formulaOf } from '../families';
import { forecastJson, jsonSchemas, readJson } from '../formats';
import { emptyKitchen, kitchenSchema, steamPower, DEFAULT_HOB } from '../kitchen';
import { larderFor } from '../larder';
import { COARSE_GRID } from '../model/steam';
import { planSchema, readKitchen, readPlan, resolvePlan } from '.';

const plan = formulaOf(FAMILIES[0]);

describe('reading', () => {
  test('a plan written out and read back is the same plan', () => {
    for (const f of FAMILIES) {
      const p = formulaOf(f);
      const again = readPlan(JSON.parse(JSON.stringify(p)));
      expect(again.ok && again.value).toEqual(p);
    }
  });
  test('defaults fill in what is left out', () => {
    const small = readPlan({
      format: 'idle-ladle/plan',
      version: 1,
      name: 'S',
      family: 'radish-slab',
      batters: [{ id: 'a', name: 'A', lines: [{ ingredient: 'water', massG: 1 }] }],
    });
    expect(small.ok && small.value).toMatchObject({
      heat: 'medium',
      guests: 8,
      vesselCount: 1,
      addIns: [],
      cooling: [],
      batters: [{ colour: 'porcelain', lines: [{ treatment: 'as-is' }] }],
    });
  });
  test.each([
    ['a name of blanks', { name: '   ' }, 'name', /Give the plan a name/],
    ['a name without end', { name: 'x'.repeat(201) }, 'name', /under 200 letters/],
    ['no batter at all', { batters: [] }, 'batters', /at least one batter/],
    ['half a pan', { vesselCount: 1.5 }, 'vesselCount', /whole number of pans/],
    ['forty layers', { layers: 40 }, 'layers', /Thirty layers/],
    ['a heat that is no word', { heat: 'blazing' }, 'heat', /gentle, medium, strong/],
    [
      'a stage of minus ten minutes',
      { cooling: [{ where: 'fridge', timeS: -600 }] },
      'cooling.0.timeS',
      /cannot be below zero/,
    ],
    [
      'a reading that is no number',
      { readings: { 'pour:cake': { tempC: 'hot' } } },
      'readings.pour:cake.tempC',
      /is a number/,
    ],
    [
      'a cut into crumbs',
      { cut: { shape: 'squares', by: { kind: 'count', pieces: 9000 } } },
      'cut.by.pieces',
      /crumbs/,
    ],
    ['a slice of 1 mm', { sear: { thicknessM: 0.001 } }, 'sear.thicknessM', /falls apart/],
    [
      'a salt of ten grams a spoon',
      { accompaniments: [{ id: 's', name: 'S', lines: [{ ingredient: 'fish-sauce', parts: 1, saltPer15Ml: 10 }] }] },
      'accompaniments.0.lines.0.saltPer15Ml',
      /./,
    ],
    [
      'an ingredient that adds up to 140',
      {
        ingredients: [
          {
            id: 'i',
            name: 'I',
            kind: 'flour',
            bulkDensityGPerMl: 0.5,
            per100: { water: 60, starch: 80, sugars: 0, fat: 0, protein: 0, fibreAsh: 0 },
          },
        ],
      },
      'ingredients.0.per100',
      /make 140.0 g in 100 g, 40.0 too many/,
    ],
  ])('%s is told at its place', (_, change, path, words) => {
    const r = readPlan({ ...plan, ...change });
    expect(r.ok).toBe(false);
    const found = r.ok ? undefined : r.problems.find((p) => p.path === path);
    expect(found?.sentence).toMatch(words);
  });
  test('broken JSON names the line', () => {
    expect(readJson('{\n "a": 1,\n "b" 2\n}')).toMatchObject({
      ok: false,
      problems: [{ code: 'broken-json', sentence: expect.stringMatching(/line 3/) }],
    });
    expect(readJson('{"format":')).toMatchObject({ ok: false, problems: [{ code: 'broken-json' }] });
  });
  test('a kitchen with nothing in it takes every default; one with a bad steamer says where', () => {
    expect(readKitchen(undefined)).toEqual({ ok: true, value: emptyKitchen() });
    expect(
      readKitchen({
        steamers: [{ id: 's', name: 'S', innerDiameterM: 5, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.05 }],
      }),
    ).toMatchObject({ ok: false, problems: [{ path: 'steamers.0.innerDiameterM' }] });
    expect(readKitchen({ hobs: [{ id: 'h', name: 'H', measuredPowerW: { strong: 0 } }] })).toMatchObject({
      ok: false,
      problems: [{ sentence: expect.stringMatching(/will not boil/) }],
    });
  });
});

describe('references', () => {
  test('ids are looked up in the kitchen; things may also be written into the plan; nothing named takes the first on the rack', () => {
    const tin = { id: 'tin', name: 'Tin', shape: 'round', material: 'steel', diameterM: 0.18, heightM: 0.05 } as const;
    const kitchen = kitchenSchema.parse({ vessels: [tin] });
    const byId = resolvePlan(planSchema.parse({ ...plan, vessel: 'tin' }), kitchen, FAMILIES[0]);
    const inline = resolvePlan(planSchema.parse({ ...plan, vessel: { ...tin, diameterM: 0.3 } }), kitchen, FAMILIES[0]);
    const first = resolvePlan(planSchema.parse({ ...plan, vessel: undefined }), kitchen, FAMILIES[0]);
    expect(byId.ok && byId.value.vessel.name).toBe('Tin');
    expect(inline.ok && inline.value.vessel).toMatchObject({ diameterM: 0.3 });
    expect(first.ok && first.value.vessel.id).toBe('tin');
  });
  test("a plan's own ingredient goes before the kitchen's, the kitchen's before the table's; the same lists give the same larder", () => {
    const base = larderFor([], []).get('tapioca');
    if (!base) throw new Error('no tapioca');
    const kitchens = [{ ...base, name: "The kitchen's" }];
    const plans = [{ ...base, name: "The plan's" }];
    expect(larderFor(kitchens, []).get('tapioca')?.name).toBe("The kitchen's");
    expect(larderFor(kitchens, plans).get('tapioca')?.name).toBe("The plan's");
    expect(larderFor(kitchens, plans)).toBe(larderFor(kitchens, plans));
  });
  test('a kettle test replaces the default power of its own dial only, and is called measured', () => {
    const hob = { ...DEFAULT_HOB.rings[0], measuredPowerW: { strong: 1800 } };
    expect(steamPower(hob, 'strong')).toMatchObject({ value: 1800, source: 'measured' });
    expect(steamPower(hob, 'gentle')).toMatchObject({ value: 600, source: 'default' });
  });
});

describe('writing', () => {
  test('the forecast as JSON has no typed arrays, no gaps and, without fields, no fields', () => {
    const f = forecast(plan, emptyKitchen(), COARSE_GRID);
    if (!f.ok) throw new Error('no forecast');
    const whole = JSON.parse(JSON.stringify(forecastJson(f.value)));
    expect(Array.isArray(whole.heat.steam.frames.tempC[0])).toBe(true);
    expect(whole.heat.steam.frames.tempC[0]).toHaveLength(whole.heat.steam.frames.nx * whole.heat.steam.frames.nz);
    const bare = JSON.stringify(forecastJson(f.value, false));
    expect(bare).not.toMatch(/"tempC":\[/);
    // With every node of the flow, what it takes and gives.
    expect(bare.length).toBeLessThan(200_000);
    expect(JSON.parse(bare).flow.nodes.map((n: { id: string }) => n.id)).toContain('thicken:batter');
  });
  test('the published schemas name every top field of the documents', () => {
    const { plan: p, kitchen: k } = jsonSchemas();
    expect(Object.keys(p.properties ?? {})).toEqual(
      expect.arrayContaining(['name', 'family', 'batters', 'addIns', 'vessel', 'cooling', 'cut', 'sear']),
    );
    expect(Object.keys(k.properties ?? {})).toEqual(
      expect.arrayContaining(['altitudeM', 'vessels', 'steamers', 'myCups']),
    );
  });
});

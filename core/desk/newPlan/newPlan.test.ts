import { runs } from '../../testing/runs';
import fc from 'fast-check';
import { FAMILIES } from '../../families';
import { DEFAULT_RING, emptyKitchen, steamerSchema, vesselSchema, type Kitchen, type Vessel } from '../../kitchen';
import { DEMO_HOBS, DEMO_PANS, DEMO_STEAMERS, DEMO_VESSELS } from '../../../db/demo.data';
import { lightOf } from '../../testing/made';
import { gradeRank } from '../../stations/mix';
import { GRAMS_A_HEAD } from '../../forecast';
import { newPlan } from '.';

const galley: Kitchen = {
  ...emptyKitchen(),
  vessels: DEMO_VESSELS,
  steamers: DEMO_STEAMERS,
  hobs: DEMO_HOBS,
  fryingPans: DEMO_PANS,
};
const vessel = (v: object): Vessel => vesselSchema.parse({ count: 1, material: 'steel', ...v });
/** Three odd pans: a deep narrow pot, a wide glass dish, a small loaf. */
const odd: Kitchen = {
  ...emptyKitchen(),
  vessels: [
    vessel({ id: 'a', name: 'Deep saucepan', shape: 'round', diameterM: 0.15, heightM: 0.09 }),
    vessel({
      id: 'b',
      name: 'Oven dish',
      shape: 'rectangular',
      material: 'glass',
      lengthM: 0.23,
      widthM: 0.15,
      heightM: 0.05,
    }),
    vessel({
      id: 'c',
      name: 'Bread tin',
      shape: 'rectangular',
      material: 'aluminium',
      lengthM: 0.22,
      widthM: 0.09,
      heightM: 0.06,
      loaf: true,
    }),
  ],
  steamers: [
    steamerSchema.parse({
      id: 's',
      name: 'Wok steamer',
      innerDiameterM: 0.3,
      clearHeightM: 0.1,
      potDiameterM: 0.3,
      waterDepthM: 0.06,
    }),
  ],
};
const ids = FAMILIES.map((f) => [f.id, f] as const);

describe.each(ids)('%s', (_id, family) => {
  test.each([
    ['an empty rack', emptyKitchen()],
    ['three odd pans', odd],
    ['the galley', galley],
  ])('on %s it cooks without a problem, inside its bands', (_name, kitchen) => {
    const { plan, said } = newPlan(family, kitchen);
    const l = lightOf(plan, kitchen);
    expect(l.problems).toEqual([]);
    expect(l.advice.filter((a) => gradeRank(a.grade) > 0).map((a) => a.sentence)).toEqual([]);
    expect(l.advice.filter((a) => a.id === 'depth')).toEqual([]);
    expect(said.length).toBeGreaterThan(0);
  });
  test.each([1, 300])('for %d guests it takes what the rack holds nearest to it, never what it has not', (guests) => {
    const { plan, said } = newPlan(family, galley, { guests, role: 'side' });
    const l = lightOf(plan, galley);
    expect(l.problems).toEqual([]);
    expect(l.advice.filter((a) => a.id === 'depth')).toEqual([]);
    // The galley has something for every cake but those of foil cups and bowls, which it does not own.
    if (!['roux-raised-cups', 'ground-grain-cups'].includes(family.id))
      expect(said.join(' ')).not.toMatch(/Nothing on/);
    const asked = GRAMS_A_HEAD.side * guests;
    const share = l.balance.massG / asked;
    if (Math.abs(Math.log(share)) > 0.06)
      expect(said.join(' ')).toMatch(share > 0.88 ? /instead of/ : /instead of [\d.]+ k?g \(\d+ batches make it all\)/);
  });
  test.each([4, 10, 24])('for %d guests at a side it is made for them, or says for how many', (guests) => {
    const { plan, said } = newPlan(family, galley, { guests, role: 'side' });
    const l = lightOf(plan, galley);
    expect(l.problems).toEqual([]);
    expect(plan.guests).toBe(guests);
    const need = GRAMS_A_HEAD.side * guests;
    const short = l.balance.massG < 0.97 * need || l.balance.massG > 1.03 * need;
    if (short) expect(said.join(' ')).toMatch(/instead of|less of it/);
    // Moulds, sheets and films are filled load after load: there is no such thing as too little room.
    if (['cups', 'sheets', 'pan-film'].includes(family.cooked)) expect(short).toBe(false);
  });
});

test('films take the coated pan and cups every dish owned; the slab the pans of the rack, none its formula\u2019s own', () => {
  const by = (id: string) => {
    const f = FAMILIES.find((x) => x.id === id);
    if (!f) throw new Error(id);
    return newPlan(f, galley);
  };
  expect(by('pan-film-sheets').plan.fryingPan).toBe('gq-film-pan');
  expect(by('pan-film-sheets').said[0]).toMatch(/films? in small coated pan/);
  const cups = by('dimpled-cups');
  expect(cups.plan.vessel).toBe('gq-cups');
  expect(lightOf(cups.plan, galley).fill.perLoad).toBe(24);
  expect(typeof by('savoury-coconut-slab').plan.vessel).toBe('string');
  expect(by('filled-rolls').plan.vessel).toBe('gq-sheet-tray');
  expect(by('radish-slab').plan).toMatchObject({ hob: 'gq-hob', ring: 'front', fryingPan: 'gq-griddle' });
});
test('two sets of twelve dishes are one of twenty-four: the same loads, whichever of them the plan names', () => {
  const cups = FAMILIES.find((f) => f.id === 'dimpled-cups');
  const dishes = DEMO_VESSELS.find((v) => v.id === 'gq-cups');
  if (!cups || !dishes) throw new Error('the galley has dishes');
  const halves = [
    { ...dishes, id: 'blue', name: 'Blue dishes', count: 12 },
    { ...dishes, id: 'white', name: 'White dishes', count: 12 },
    // A little wider: another set, with minutes of its own.
    vessel({ ...dishes, id: 'wide', name: 'Wide dishes', count: 6, diameterM: 0.07 }),
  ];
  const kitchen = { ...galley, vessels: halves };
  const { plan } = newPlan(cups, kitchen);
  const whole = newPlan(cups, galley).plan;
  expect(lightOf(plan, kitchen).fill).toMatchObject({ perLoad: 24, loads: lightOf(whole, galley).fill.loads });
  expect(lightOf({ ...plan, vessel: 'white' }, kitchen).fill.perLoad).toBe(24);
});
test('an empty rack says so, once, and which vessel was taken', () => {
  const { said } = newPlan(FAMILIES[0], emptyKitchen());
  expect(said[0]).toMatch(/^Nothing is on the rack yet: planned for round tin, \d+ cm/);
});

test('over generated racks every new plan cooks without a problem', () => {
  const pan = fc.record({
    shape: fc.constantFrom('round', 'rectangular'),
    a: fc.integer({ min: 50, max: 320 }),
    b: fc.integer({ min: 60, max: 240 }),
    h: fc.integer({ min: 10, max: 120 }),
    count: fc.integer({ min: 1, max: 12 }),
    material: fc.constantFrom('steel', 'aluminium', 'ceramic', 'glass', 'foil'),
  });
  fc.assert(
    fc.property(
      fc.constantFrom(...FAMILIES),
      fc.array(pan, { maxLength: 5 }),
      fc.integer({ min: 160, max: 400 }),
      fc.integer({ min: 45, max: 150 }),
      fc.integer({ min: 1, max: 300 }),
      (family, pans, across, clear, guests) => {
        const kitchen: Kitchen = {
          ...emptyKitchen(),
          hobs: [{ id: 'h', name: 'H', rings: [DEFAULT_RING] }],
          steamers: [
            steamerSchema.parse({
              id: 's',
              name: 'S',
              innerDiameterM: across / 1000,
              clearHeightM: clear / 1000,
              potDiameterM: across / 1000,
              waterDepthM: 0.06,
            }),
          ],
          vessels: pans.map((p, i) =>
            vesselSchema.parse({
              id: `v${i}`,
              name: `Pan ${i}`,
              material: p.material,
              count: p.count,
              heightM: p.h / 1000,
              ...(p.shape === 'round'
                ? { shape: 'round', diameterM: p.a / 1000 }
                : { shape: 'rectangular', lengthM: p.a / 1000, widthM: p.b / 1000 }),
            }),
          ),
        };
        const { plan } = newPlan(family, kitchen, { guests });
        expect(lightOf(plan, kitchen).problems.map((p) => p.sentence)).toEqual([]);
      },
    ),
    { numRuns: runs(100), seed: 4 },
  );
});

import fc from 'fast-check';
import { steamerSchema, vesselSchema, type Vessel } from '../../kitchen';
import { boxGrid, roundGrid } from '../heat';
import {
  choosePans,
  type PanUse,
  depthForVolume,
  diameterFromWater,
  fillOf,
  releaseAdvice,
  spanOf,
  vesselShape,
  volumeAtDepth,
} from '.';

const steamer = steamerSchema.parse({
  id: 's',
  name: 'S',
  tiers: 2,
  innerDiameterM: 0.3,
  clearHeightM: 0.08,
  potDiameterM: 0.3,
  waterDepthM: 0.06,
});
const pan = (id: string, mm: number, more: Partial<Vessel> = {}): Vessel =>
  vesselSchema.parse({ id, name: id, shape: 'round', material: 'steel', diameterM: mm / 1000, heightM: 0.05, ...more });

const need = (volumeMl: number, rise: number, bandMm: readonly [number, number]) =>
  ({ use: 'pans', volumeMl, rise, bandMm, steamer }) as const;

describe('choosing pans', () => {
  const rack = [
    pan('small', 120, { count: 4 }),
    pan('middle', 200),
    pan('wide', 280),
    pan('too wide', 340),
    pan('too tall', 200, { heightM: 0.12 }),
  ];
  test('the first choice lies in the band with the fewest loads; nothing that does not fit is offered', () => {
    const choices = choosePans(rack, need(1000, 1.03, [25, 50]));
    expect(choices[0].vessel.id).toBe('middle');
    expect(choices[0].fill.loads).toBe(1);
    expect(choices.map((c) => c.vessel.id)).not.toEqual(expect.arrayContaining(['too wide']));
    expect(choices.map((c) => c.vessel.id)).not.toContain('too tall');
    for (const c of choices) {
      expect(c.fill.fits).toBe(true);
      expect(c.fill.headroomM).toBeGreaterThanOrEqual(0);
    }
  });
  test('a big batter is split over as many small pans as the rack has, or not at all', () => {
    const only = choosePans([pan('small', 120, { count: 4 })], need(1500, 1.03, [25, 50]));
    expect(only[0]).toMatchObject({ count: 4 });
    expect(choosePans([pan('small', 120, { count: 2 })], need(2500, 1.03, [25, 50]))).toEqual([]);
  });
  test('moulds are for cups and trays for sheets: neither is ever offered for a slab, nor a pan for a cup', () => {
    const all = [
      pan('dish', 65, { heightM: 0.02, count: 12 }),
      pan('tin', 200),
      pan('tray', 240, { heightM: 0.012, count: 2 }),
    ];
    const use = (kind: PanUse, volumeMl: number, bandMm: readonly [number, number]) =>
      choosePans(all, { use: kind, volumeMl, rise: 1.03, bandMm, steamer }).map((c) => c.vessel.id);
    expect(use('moulds', 600, [5, 12])).toEqual(['dish']);
    expect(use('sheets', 900, [1.5, 3])).toEqual(['tray']);
    expect(use('pans', 1200, [25, 50])).toEqual(['tin']);
    const [cups] = choosePans(all, { use: 'moulds', volumeMl: 600, rise: 1.03, bandMm: [5, 12], steamer });
    // 600 ml at 8.5 mm in 33 cm² are 21 fills, twelve dishes at a time.
    expect(cups).toMatchObject({ count: 21, inBand: true });
    expect(cups.fill.loads).toBe(Math.ceil(21 / cups.fill.perLoad));
  });
  test('too much for the pan there is: the pan to its band, the rest in small moulds at the same time', () => {
    const few = [pan('dish', 65, { heightM: 0.05, count: 12 }), pan('tin', 180)];
    const [c] = choosePans(few, need(1700, 1.03, [25, 50]));
    expect(c.vessel.id).toBe('tin');
    expect(c.also?.vessel.id).toBe('dish');
    const total = c.fill.volumeEachMl * c.count + (c.also?.eachMl ?? 0) * (c.also?.count ?? 0);
    expect(total).toBeCloseTo(1700, 6);
  });
  test('lime keeps out of aluminium', () =>
    expect(
      choosePans([pan('tin', 200, { material: 'aluminium' }), pan('dish', 200, { material: 'ceramic' })], {
        ...need(1200, 1.03, [25, 50]),
        avoid: ['aluminium'],
      }).map((c) => c.vessel.id),
    ).toEqual(['dish']));
  test('a sponge that rises by half needs the headroom', () => {
    expect(choosePans([pan('middle', 200)], need(1200, 1.03, [20, 50]))).toHaveLength(1);
    expect(choosePans([pan('middle', 200)], need(1200, 1.5, [20, 50]))).toHaveLength(0);
  });
});

test('a water test gives the size: 1571 g filled 50 mm high is 200 mm across', () => {
  const d = diameterFromWater(1571, 0.05);
  expect(d.ok && d.value).toBeCloseTo(0.2, 4);
  expect(diameterFromWater(0, 0.05)).toMatchObject({ ok: false, problems: [{ code: 'water-test' }] });
  expect(diameterFromWater(50_000, 0.01)).toMatchObject({ ok: false, problems: [{ code: 'water-test' }] });
});

test('release: paper lifts, silicone peels, a sticky cake in stoneware wants care, a plain one in tin a film of oil', () => {
  expect(releaseAdvice('steel', 3, true)).toMatch(/paper sling lifts/);
  expect(releaseAdvice('silicone', 9, false)).toMatch(/peel/);
  expect(releaseAdvice('ceramic', 6, false)).toMatch(/quite cold/);
  expect(releaseAdvice('aluminium', 8, false)).toMatch(/use a paper sling/);
  expect(releaseAdvice('aluminium', 3, false)).toMatch(/thin film of oil/);
});

test('more batter is never shallower, and two pans hold half the depth of a straight one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 50, max: 4000, noNaN: true }),
      fc.double({ min: 50, max: 4000, noNaN: true }),
      (a, b) => {
        expect(depthForVolume(pan('p', 200), Math.max(a, b))).toBeGreaterThanOrEqual(
          depthForVolume(pan('p', 200), Math.min(a, b)),
        );
      },
    ),
  );
  expect(fillOf(pan('p', 200, { count: 2 }), 2, steamer, 1000, 1.03).depthM).toBeCloseTo(
    fillOf(pan('p', 200), 1, steamer, 1000, 1.03).depthM / 2,
    9,
  );
});

test('the span of a square with rounded corners is its diagonal less what the corners take', () => {
  const square = vesselSchema.parse({
    id: 'q',
    name: 'Q',
    shape: 'rectangular',
    material: 'steel',
    lengthM: 0.2,
    widthM: 0.2,
    heightM: 0.05,
    cornerRadiusM: 0.03,
  });
  expect(spanOf(square)).toBeCloseTo(0.2 * Math.SQRT2 - 2 * 0.03 * (Math.SQRT2 - 1), 9);
});

describe('heat grids of real vessels hold the vessel’s volume', () => {
  const vessels: readonly Vessel[] = [
    pan('tapered', 280, { baseDiameterM: 0.23 } as Partial<Vessel>),
    vesselSchema.parse({ id: 'b', name: 'Bowl', shape: 'bowl', material: 'steel', diameterM: 0.16, heightM: 0.06 }),
    vesselSchema.parse({
      id: 'd',
      name: 'Dish',
      shape: 'dish',
      material: 'ceramic',
      diameterM: 0.22,
      baseDiameterM: 0.14,
      heightM: 0.03,
    }),
  ];
  test.each(vessels.map((v) => [v.name, v] as const))('%s, within 1 %', (_, v) => {
    const depth = v.heightM * 0.8;
    const grid = roundGrid(vesselShape(v).halfWidthAt, depth, 24, 32);
    expect((grid.volume.reduce((a, b) => a + b, 0) * 1e6) / volumeAtDepth(v, depth)).toBeCloseTo(1, 2);
  });
  test('a tapered loaf in a quarter box, within 1 %, and its walls with their slope', () => {
    const loaf = vesselSchema.parse({
      id: 'l',
      name: 'Loaf',
      shape: 'rectangular',
      material: 'steel',
      lengthM: 0.22,
      widthM: 0.11,
      baseLengthM: 0.2,
      baseWidthM: 0.09,
      heightM: 0.06,
      loaf: true,
    });
    const shape = vesselShape(loaf);
    if (!shape.halfAt) throw new Error('no half sizes');
    const grid = boxGrid(shape.halfAt, 0.05, 16, 16, 26);
    expect((4 * grid.volume.reduce((a, b) => a + b, 0) * 1e6) / volumeAtDepth(loaf, 0.05)).toBeCloseTo(1, 2);
    const walls = 4 * grid.faces.filter((f) => f.side === 'wall').reduce((s, f) => s + f.areaM2, 0);
    const slope = Math.hypot(0.05, (0.05 / 0.06) * 0.01);
    const meanGirth = 2 * (0.2 + 0.09 + (0.05 / 0.06) * 0.02);
    expect(walls / (meanGirth * slope)).toBeCloseTo(1, 1);
  });
});

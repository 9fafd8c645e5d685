import { formula } from '@/core/testing/made';
import fc from 'fast-check';
import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen, kitchenSchema, vesselSchema, type Vessel } from '@/core/kitchen';
import { cakeAt, lifeOf } from '@/core/work/timeline';
import { COARSE_GRID } from '@/core/model/steam';
import { volumeAtDepth } from '@/core/model/vessel';
import { sayScale, sectionFrame } from '../section/sectionFrame';
import { bowlFor, clearOver, depthIn, mixedShare, potFor } from './bowl';
import { nextPans } from './nextPans';
import { rollOf, spiral } from './roll';
import { sittingFrame } from './sittingFrame';
import { loadMoment } from './steamMoment';
import { stackIn, overWater, loadsIn } from '@/core/stations/steam/cooking';

const made = (id: string, kitchen = emptyKitchen()) => {
  const f = FAMILIES.find((x) => x.id === id);
  const r = f && forecast(formulaOf(f), kitchen, COARSE_GRID);
  if (!r?.ok) throw new Error(`no forecast of ${id}`);
  return r.value;
};

describe('a sheet rolled round its filling', () => {
  const sizes = fc.record({
    lengthM: fc.double({ min: 0.1, max: 0.4, noNaN: true }),
    thickM: fc.double({ min: 0.0008, max: 0.004, noNaN: true }),
    filling: fc.double({ min: 0, max: 0.0012, noNaN: true }),
  });
  test('keeps the area of its sheet and of what is in it', () => {
    fc.assert(
      fc.property(sizes, ({ lengthM, thickM, filling }) => {
        const r = rollOf(lengthM, thickM, filling);
        expect(Math.PI * (r.outerM ** 2 - r.coreM ** 2)).toBeCloseTo(lengthM * thickM, 10);
        expect(r.outerM).toBeGreaterThan(r.coreM);
      }),
    );
  });
  test('its line is as long as the sheet, within what a spiral of flat turns gives', () => {
    fc.assert(
      fc.property(sizes, ({ lengthM, thickM, filling }) => {
        const line = spiral(rollOf(lengthM, thickM, filling), 200);
        const along = line.slice(1).reduce((a, [x, y], i) => a + Math.hypot(x - line[i][0], y - line[i][1]), 0);
        expect(Math.abs(along / lengthM - 1)).toBeLessThan(0.06);
      }),
    );
  });
});

describe('batters in their bowls', () => {
  test('a bowl of the drawing holds the batter at a bit over half its height, whatever the batch', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 20_000, noNaN: true }), (ml) => {
        const bowl = bowlFor(ml);
        const depth = depthIn(bowl, ml);
        expect(volumeAtDepth(bowl, depth)).toBeCloseTo(ml, 3);
        expect(depth / bowl.heightM).toBeCloseTo(0.55, 3);
      }),
    );
    expect(volumeAtDepth(potFor(3000), potFor(3000).heightM)).toBeCloseTo(3000, 0);
  });
  test('clear liquid grows at the speed of the law, 5 mm when the stir is due, and never under the bed', () => {
    expect(clearOver(0.1, 600, 600)).toBeCloseTo(0.005, 9);
    expect(clearOver(0.1, 600, 1200)).toBeCloseTo(0.01, 9);
    expect(clearOver(0.04, 60, 1e6)).toBeCloseTo(0.022, 9);
    expect(clearOver(0.04, Infinity, 900)).toBe(0);
  });
  test('the bowl fills as the steps go: nothing at the first, all of it at the pour, never less than before', () => {
    const f = made('radish-slab');
    const life = lifeOf(f);
    const at = (s: number) => mixedShare(f, life, 'batter', s);
    expect(at(0)).toBe(0);
    const pour = life.laid.find((l) => l.step.id === 'pour:cake');
    expect(at(pour?.fromS ?? 0)).toBeCloseTo(1, 6);
    let last = 0;
    for (let s = 0; s < life.spanS; s += 120) {
      expect(at(s)).toBeGreaterThanOrEqual(last - 1e-9);
      last = at(s);
    }
  });
});

describe('where it sits', () => {
  const f = made('radish-slab');
  test('layers stand in the pan as high as the last one that is in', () => {
    const l = made('rainbow-layers');
    const pours = stackIn(l.heat)?.pours ?? [];
    expect(pours.length).toBeGreaterThan(3);
    const at = (timeS: number) => {
      const g = sittingFrame(l.light, l.heat, timeS, 280, 250);
      return (g.pot.top - 3 - g.pans[0].fillTop) / g.scale;
    };
    expect(at(pours[2].atS + 1)).toBeCloseTo(pours[2].toM, 6);
    expect(at(pours[pours.length - 1].atS + 1)).toBeCloseTo(l.light.fill.depthM, 3);
    expect(at(0)).toBeCloseTo(l.light.fill.depthM, 6);
  });
  test('everything stands to one scale: the pan in the steamer, the steamer on the pot', () => {
    const g = sittingFrame(f.light, f.heat, 0, 300, 260);
    const { steamer, vessel } = f.light.resolved;
    expect((2 * g.tiers[0].half) / g.scale).toBeCloseTo(steamer.innerDiameterM, 6);
    expect((2 * g.pot.half) / g.scale).toBeCloseTo(steamer.potDiameterM, 6);
    expect((g.tiers[0].floor - g.tiers[0].top) / g.scale).toBeCloseTo(steamer.clearHeightM, 6);
    expect((g.pot.top - 3 - g.pans[0].top) / g.scale).toBeCloseTo(vessel.heightM, 6);
    expect((g.pot.top - 3 - g.pans[0].fillTop) / g.scale).toBeCloseTo(f.light.fill.depthM, 6);
    expect(g.pans.every((p) => p.x - p.half >= g.cx - g.tiers[0].half - 1)).toBe(true);
  });
  test('the water is what the water plan says: it sinks by what boils away, and never under nothing', () => {
    const water = overWater(f.heat)?.water;
    if (!water) throw new Error('no water');
    const at = (s: number) => sittingFrame(f.light, f.heat, s, 300, 260);
    expect(at(0).waterMl).toBeCloseTo(water.startMl, 6);
    expect(at(0).waterMl - at(600).waterMl).toBeCloseTo(water.boilOffMlPerMin * 10, 6);
    expect(at(600).waterY).toBeGreaterThan(at(0).waterY);
    expect(at(1e6).waterMl).toBe(0);
  });
});

describe('the next pans of the rack', () => {
  const tin = (id: string, diameterM: number, heightM = 0.06): Vessel =>
    vesselSchema.parse({ id, name: id, shape: 'round', material: 'steel', diameterM, heightM });
  test('are the nearest smaller and larger that hold the batter and go into the steamer', () => {
    const kitchen = kitchenSchema.parse({
      vessels: [tin('tiny', 0.08, 0.02), tin('small', 0.19), tin('own', 0.2), tin('larger', 0.21), tin('huge', 0.6)],
    });
    const plan = formula('savoury-coconut-slab');
    const r = plan && forecast({ ...plan, vessel: 'own' }, kitchen, COARSE_GRID);
    if (!r?.ok) throw new Error('no forecast');
    const [smaller, larger] = nextPans(r.value.light, kitchen);
    expect([smaller?.vessel.id, larger?.vessel.id]).toEqual(['small', 'larger']);
    expect(smaller?.depthM).toBeGreaterThan(r.value.light.fill.depthM);
    expect(larger?.depthM).toBeLessThan(r.value.light.fill.depthM);
  });
});

test('a load in a run of loads stands as long in the steam as it has been there', () => {
  const f = made('dimpled-cups');
  const life = lifeOf(f);
  const fill = life.laid.find((l) => l.step.id === 'fill:cake');
  const bars = loadsIn(f.heat)?.bars ?? [];
  const heated = bars.find((b) => b.what === 'preheat')?.toS ?? 0;
  const second = bars.filter((b) => b.what === 'steam')[1];
  if (!fill || !second) throw new Error('no loads');
  const state = cakeAt(life, f, fill.fromS + second.fromS - heated + 60);
  expect(state && loadMoment(f, state)).toEqual({ timeS: expect.closeTo(60, 3) as number, raw: false });
});

describe('a drawing’s scale', () => {
  test('is told as one to so much: a millimetre on a page is 96/25.4 units', () => {
    expect(sayScale((1000 * 96) / 25.4)).toBe('1 : 1');
    expect(sayScale((500 * 96) / 25.4)).toBe('1 : 2');
    expect(sayScale((21_000 * 96) / 25.4)).toBe('21 : 1');
  });
  test('a vessel fits its room, both ways, and a place is read back where it was drawn', () => {
    const v = vesselSchema.parse({
      id: 'v',
      name: 'V',
      shape: 'round',
      material: 'steel',
      diameterM: 0.2,
      heightM: 0.06,
    });
    for (const width of [300, 700, 1200]) {
      const f = sectionFrame(v, 0.06, { width, mostY: 150, side: 60, head: 40, foot: 30 });
      expect(0.2 * f.scale).toBeLessThanOrEqual(width - 120 + 1e-9);
      expect(0.06 * f.scale).toBeLessThanOrEqual(150 + 1e-9);
      expect(f.zAt(f.y(0.031))).toBeCloseTo(0.031, 9);
    }
    // In a place narrower than the clear space at its sides it is still drawn, small.
    const small = sectionFrame(v, 0.06, { width: 100, mostY: 150, side: 60, head: 40, foot: 30 });
    expect(0.2 * small.scale).toBeCloseTo(50, 9);
  });
});

import fc from 'fast-check';
import { vesselSchema, type Vessel } from '../../kitchen';
import { brimMl, depthForVolume, perTierOf, vesselShape, volumeAtDepth, fillOf } from '.';
import { DEFAULT_STEAMER } from '../../kitchen';

const base = { id: 'v', name: 'Vessel', material: 'steel' as const };
const VESSELS: readonly Vessel[] = [
  { ...base, shape: 'round', diameterM: 0.2, heightM: 0.06 },
  { ...base, shape: 'round', diameterM: 0.24, baseDiameterM: 0.18, heightM: 0.05 },
  { ...base, shape: 'rectangular', lengthM: 0.25, widthM: 0.18, heightM: 0.05, cornerRadiusM: 0.02 },
  {
    ...base,
    shape: 'rectangular',
    lengthM: 0.22,
    widthM: 0.11,
    baseLengthM: 0.2,
    baseWidthM: 0.09,
    heightM: 0.07,
    loaf: true,
  },
  { ...base, shape: 'bowl', diameterM: 0.16, heightM: 0.06 },
  { ...base, shape: 'dish', diameterM: 0.22, baseDiameterM: 0.12, heightM: 0.03 },
].map((v) => vesselSchema.parse(v));

describe('volume', () => {
  test('cylinder, frustum, box and spherical cap in closed form', () => {
    expect(brimMl(VESSELS[0])).toBeCloseTo(Math.PI * 100 * 6, 6);
    expect(brimMl(VESSELS[1])).toBeCloseTo(((Math.PI * 5) / 3) * (144 + 108 + 81), 6);
    expect(brimMl(VESSELS[2])).toBeCloseTo((25 * 18 - (4 - Math.PI) * 4) * 5, 6);
    // cap: π h (3a² + h²)/6
    expect(brimMl(VESSELS[4])).toBeCloseTo((Math.PI * 6 * (3 * 64 + 36)) / 6, 6);
  });
  test('the closed form is the integral of the area, for every shape', () => {
    for (const v of VESSELS) {
      const s = vesselShape(v);
      const n = 20000;
      let sum = 0;
      for (let i = 0; i < n; i++) sum += (s.areaAt(((i + 0.5) / n) * v.heightM) * v.heightM) / n;
      expect((sum * 1e6) / brimMl(v)).toBeCloseTo(1, 4);
    }
  });
  test('depth for volume is the inverse of volume at depth, to 0.01 mm', () => {
    fc.assert(
      fc.property(fc.constantFrom(...VESSELS), fc.double({ min: 0.001, max: 1, noNaN: true }), (v, share) => {
        const depth = share * v.heightM;
        expect(Math.abs(depthForVolume(v, volumeAtDepth(v, depth)) - depth)).toBeLessThan(1e-5);
      }),
    );
  });
});

describe('filling', () => {
  test('a batter bigger than the pan is a problem that names how many pans would do', () => {
    const f = fillOf(VESSELS[0], 1, { ...DEFAULT_STEAMER }, 2500, 1.03);
    expect(f.problems.map((p) => p.code)).toContain('pan-too-small');
    expect(f.problems[0].sentence).toMatch(/use 2 of them/);
  });
  test('a pan wider than the steamer does not go in', () => {
    expect(perTierOf(VESSELS[0], { ...DEFAULT_STEAMER, innerDiameterM: 0.18 })).toBe(0);
  });
  test('seven small dishes lie in a circle three times as wide', () => {
    const dish = vesselSchema.parse({ ...base, shape: 'round', diameterM: 0.08, heightM: 0.02 });
    expect(perTierOf(dish, { ...DEFAULT_STEAMER, innerDiameterM: 0.255 })).toBe(7);
  });
});

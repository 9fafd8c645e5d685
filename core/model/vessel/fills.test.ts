import fc from 'fast-check';
import { DEFAULT_STEAMER, type Vessel } from '../../kitchen';
import {
  fillOf,
  leastFillMl,
  liningFor,
  liningSvg,
  liningWords,
  measuredFill,
  steamGap,
  volumeAtDepth,
  widestRoundM,
} from '.';

const round = (diameterM: number, more: Partial<Vessel> = {}): Vessel =>
  ({
    id: 'v',
    name: 'Tin',
    shape: 'round',
    material: 'steel',
    heightM: 0.05,
    count: 1,
    provenance: 'measured',
    ...more,
    diameterM,
  }) as Vessel;
const square = (side: number): Vessel => ({
  id: 's',
  name: 'Square',
  shape: 'rectangular',
  material: 'steel',
  lengthM: side,
  widthM: side,
  heightM: 0.05,
  cornerRadiusM: 0,
  loaf: false,
  count: 1,
  provenance: 'measured',
});
const steamer = { ...DEFAULT_STEAMER, innerDiameterM: 0.28 };

describe('the steam gap', () => {
  test('10 mm round it, or an eighth of the tier free, lets all of it by', () => {
    expect(steamGap(round(0.2), steamer, 1).topShare).toBe(1);
    // 0.27 inside + 0.0014 of wall: 4.3 mm of ring, 6 % of the area free.
    const tight = steamGap(round(0.27), steamer, 1);
    expect(tight.ringM).toBeCloseTo(0.0043, 4);
    expect(tight.topShare).toBeCloseTo(tight.freeArea / 0.12, 6);
    expect(tight.shut).toBe(false);
  });
  test('a square whose corners touch leaves the sides open', () => {
    const s = steamGap(square(0.197), steamer, 1);
    expect(s.ringM).toBeLessThan(0.003);
    expect(s.freeArea).toBeGreaterThan(0.3);
    expect(s.topShare).toBe(1);
  });
  test('under 3 mm all round is refused, with the widest that works; that one passes', () => {
    const f = fillOf(round(0.276), 1, steamer, 800, 1.03);
    expect(f.problems.map((p) => p.code)).toEqual(['no-steam-gap']);
    expect(f.problems[0].sentence).toMatch(/a round one up to 261 mm works/);
    expect(steamGap(round(widestRoundM(steamer, { material: 'steel' })), steamer, 1).topShare).toBeCloseTo(1, 6);
  });
  test('a pan in between is advice, and a pot-cooked cake asks for no steamer at all', () => {
    expect(fillOf(round(0.27), 1, steamer, 800, 1.03).advice.map((a) => a.code)).toEqual(['steam-gap']);
    expect(fillOf(round(0.4), 1, undefined, 2000, 1)).toMatchObject({ problems: [], loads: 1 });
  });
});

describe('fill in, number out', () => {
  test('two soup spoons of 12 ml a dish of 600 ml batter: 25 dishes', () =>
    expect(measuredFill(round(0.06), 600, 24, 1.03)).toMatchObject({ count: 25, leftMl: 0, covers: true }));
  test('depth and volume agree, and whole dishes and what is left make the batter', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.03, max: 0.2, noNaN: true }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.double({ min: 10, max: 4000, noNaN: true }),
        (d, each, all) => {
          const v = round(d, { heightM: 0.4 });
          const f = measuredFill(v, all, each, 1.03);
          expect(volumeAtDepth(v, f.depthM)).toBeCloseTo(each, 1);
          expect(f.count * each + f.leftMl).toBeCloseTo(all, 6);
        },
      ),
    ));
  test('too little leaves the base showing, too much runs over as it rises', () => {
    const v = round(0.06, { heightM: 0.02 });
    // π · 30² mm² · 1 mm = 2.83 ml.
    expect(leastFillMl(v)).toBeCloseTo(2.83, 2);
    expect(measuredFill(v, 600, 1, 1).covers).toBe(false);
    expect(measuredFill(v, 600, 50, 1.5).overflows).toBe(true);
  });
});

describe('lining', () => {
  test('a round tin of 200 mm, 40 mm of batter: a circle of 198 and a strip of 648 by 50', () => {
    const pieces = liningFor(round(0.2), 0.04);
    expect(liningWords(pieces)).toBe('a circle 198 mm across and a strip 648 mm by 50 mm');
  });
  test('a square takes two slings that cross, each as long as the sides it climbs and its handles', () => {
    const [a, b] = liningFor(square(0.2), 0.03);
    expect(a).toMatchObject({ kind: 'sling', lengthM: 0.36, widthM: 0.198 });
    expect(b).toEqual(a);
  });
  test('the drawing is at true scale: millimetres in, millimetres out', () => {
    const svg = liningSvg(liningFor(round(0.2), 0.04), 'Lining <test>');
    expect(svg).toMatch(/^<svg [^>]*width="668mm" height="\d+mm" viewBox="0 0 668 /);
    expect(svg).toContain('r="99"');
    expect(svg).toContain('Lining &lt;test>'.replace('>', '&gt;'));
    expect(svg).toContain('this bar is 50 mm');
  });
});

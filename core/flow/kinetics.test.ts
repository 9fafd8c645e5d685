import fc from 'fast-check';
import { planSchema } from '../plan';
import { resolvedIn } from '../testing/made';
import { viscosityOfWord } from '../model/batter';
import {
  consistencyOf,
  emptyStream,
  flowLines,
  heldAt,
  mergeStreams,
  gellingOf,
  partsOfStream,
  pieceShareOf,
  setDegreeOf,
  splitStream,
  starchSharesOf,
  streamMass,
  thickenTo,
  type Thickened,
  viscosityOf,
  volumeOf,
  waited,
  watersOf,
  WIDTH,
  type FlowLine,
  type Stream,
} from '.';

const r = resolvedIn(
  planSchema.parse({
    format: 'idle-ladle/plan',
    version: 2,
    name: 'K',
    family: 'taro-slab',
    batters: [
      {
        id: 'b',
        name: 'B',
        lines: [
          { ingredient: 'rice-flour-fine', massG: 100 },
          { ingredient: 'tapioca', massG: 100 },
          { ingredient: 'water', massG: 100 },
          { ingredient: 'radish', massG: 100 },
          { ingredient: 'winter-squash', massG: 100, treatment: 'mashed' },
        ],
      },
    ],
  }),
);
const lines: readonly FlowLine[] = flowLines(r, undefined);

/** A stream of grams by line, free unless told. */
function stream(grams: Readonly<Record<string, number>>, tempC = 21, piece: readonly string[] = []): Stream {
  const s = emptyStream(lines.length, tempC);
  lines.forEach((l, i) => {
    const at = i * WIDTH + (piece.includes(l.id) ? 7 : 0);
    for (let k = 0; k < 7; k++) s.g[at + k] = (grams[l.id] ?? 0) * l.perGram[k];
  });
  return { ...s, from: 0, to: lines.length };
}
const slurry = stream({ 'rice-flour-fine': 200, tapioca: 40, water: 600 });

describe('thickening to a look', () => {
  const to = (mPas: number, s: Stream = slurry, watts = 600) => thickenTo(lines, s, mPas, watts, 100);
  test('a thicker look is never cooler, never sooner and never less set', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 60_000, noNaN: true }),
        fc.double({ min: 50, max: 60_000, noNaN: true }),
        (a, b) => {
          const [thin, thick] = [to(Math.min(a, b)), to(Math.max(a, b))];
          expect(thick.tempC).toBeGreaterThanOrEqual(thin.tempC);
          expect(thick.timeS).toBeGreaterThanOrEqual(thin.timeS);
          expect(setDegreeOf(lines, thick.stream)).toBeGreaterThanOrEqual(setDegreeOf(lines, thin.stream));
        },
      ),
      { numRuns: 60 },
    );
  });
  /** Forty steps, and that nothing turns round or jumps on the way. */
  const steps = (of: (x: number) => Thickened) => Array.from({ length: 40 }, (_, i) => of(i / 39));
  const smooth = (all: readonly Thickened[], sign: 1 | -1) => {
    for (let i = 1; i < all.length; i++) {
      expect(sign * (all[i].tempC - all[i - 1].tempC)).toBeGreaterThan(-0.05);
      expect(Math.abs(all[i].tempC - all[i - 1].tempC)).toBeLessThan(1.5);
    }
  };
  const ribbons = viscosityOfWord('thick batter that ribbons');
  const grams = (g: number, ratio = 2.5) => {
    const dry = g / (1 + ratio);
    return stream({ 'rice-flour-fine': (5 / 6) * dry, tapioca: dry / 6, water: g - dry });
  };
  test('by size: it warms alike up to what the ring gives, then slower; taken off never hotter, never sooner, without a jump', () => {
    const all = steps((x) => to(ribbons, grams(150 * 40 ** x)));
    smooth(all, -1);
    for (let i = 1; i < all.length; i++) expect(all[i].timeS).toBeGreaterThan(all[i - 1].timeS - 0.1);
    expect(all[10].timeS).toBeCloseTo(all[0].timeS, 1);
    expect(all[39].timeS).toBeGreaterThan(2 * all[0].timeS);
  });
  test('by power: never slower, never cooler, without a jump, and no pot takes more than a low flame gives', () => {
    const all = steps((x) => to(ribbons, grams(1500), 250 + 2500 * x));
    smooth(all, 1);
    for (let i = 1; i < all.length; i++) expect(all[i].timeS).toBeLessThan(all[i - 1].timeS + 0.1);
    expect(all[39].timeS).toBeCloseTo(all[20].timeS, 6);
  });
  test('by ratio: the wetter, the hotter and the longer, without a jump', () => {
    const all = steps((x) => to(ribbons, grams(1000, 2.2 + 1.8 * x)));
    smooth(all, 1);
    for (let i = 1; i < all.length; i++) expect(all[i].timeS).toBeGreaterThan(all[i - 1].timeS - 0.1);
  });
  test('low heat warms a pot by 5 to 8 °C a minute, and its bottom sets first: a paste is taken off at 60 to 68 °C', () => {
    const done = to(ribbons, grams(1000));
    expect((60 * (done.tempC - 21)) / done.timeS).toBeGreaterThan(5);
    expect((60 * (done.tempC - 21)) / done.timeS).toBeLessThan(8);
    expect(done.tempC).toBeGreaterThan(60);
    expect(done.tempC).toBeLessThan(68);
  });
  test('the viscosity it reports is the stream’s own', () => {
    const done = to(8000);
    expect(viscosityOf(lines, done.stream)).toBeCloseTo(done.viscosityMPas ?? NaN, 3);
    expect(done.reached).toBe(true);
  });
  test('tapioca swells before rice', () => {
    const done = to(8000).stream;
    expect(done.swelling[2]).toBeGreaterThan(done.swelling[0]);
  });
  test('water alone never thickens, and it says so', () => {
    const done = to(1000, stream({ water: 500 }));
    expect(done.reached).toBe(false);
    expect(done.tempC).toBeLessThan(100);
  });
});

describe('waiting and holding', () => {
  test('held twice for a minute is held for two, hotter sets more, and cold does nothing', () => {
    const two = heldAt(lines, heldAt(lines, slurry, 76, 60), 76, 60);
    expect(setDegreeOf(lines, two)).toBeCloseTo(setDegreeOf(lines, heldAt(lines, slurry, 76, 120)), 9);
    expect(setDegreeOf(lines, heldAt(lines, slurry, 80, 60))).toBeGreaterThan(
      setDegreeOf(lines, heldAt(lines, slurry, 74, 60)),
    );
    expect(setDegreeOf(lines, heldAt(lines, slurry, 30, 3600))).toBe(0);
  });
  test('a hot batter swells while it waits; a warm one only cools', () => {
    const hot = waited(lines, { ...slurry, tempC: 75 }, 21, 1200, false);
    expect(hot.tempC).toBeLessThan(60);
    expect(setDegreeOf(lines, hot)).toBeGreaterThan(0.02);
    expect(setDegreeOf(lines, waited(lines, { ...slurry, tempC: 40 }, 21, 1200, false))).toBe(0);
  });
});

describe('what is asked of a stream', () => {
  test('waters by hand: 240 g dry, 600 g of added water and of liquid', () => {
    expect(watersOf(lines, slurry)).toEqual({
      dryG: expect.closeTo(240, 6),
      addedWaterG: expect.closeTo(600, 6),
      liquidG: expect.closeTo(600, 6),
    });
  });
  test('pieces count by what cooks out of them, mash with all of its water, and neither is liquid', () => {
    const s = stream({ 'rice-flour-fine': 100, radish: 200, 'winter-squash': 100 }, 21, ['radish']);
    const w = watersOf(lines, s);
    expect(w.liquidG).toBe(0);
    expect(w.addedWaterG).toBeCloseTo(0.15 * 200 * (94.5 / 99.9) + 100 * (88 / 99.9), 0);
    expect(pieceShareOf(s)).toBeGreaterThan(0.4);
  });
  test('shares of starch by kind, and a midpoint between those of the kinds', () => {
    const shares = starchSharesOf(lines, slurry);
    expect((shares.rice ?? 0) + (shares.tapioca ?? 0)).toBeCloseTo(1, 12);
    expect(gellingOf(lines, slurry).midpointC).toBeGreaterThan(73);
    expect(gellingOf(lines, slurry).midpointC).toBeLessThan(78);
  });
  test('splitting and merging gives the same stream back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (x) => {
        const [a, b] = splitStream({ ...slurry, tempC: 50, gasMl: 30 }, x);
        const whole = mergeStreams(lines, [a, b]);
        expect(streamMass(whole)).toBeCloseTo(streamMass(slurry), 9);
        expect(whole.tempC).toBeCloseTo(50, 9);
        expect(whole.gasMl).toBeCloseTo(30, 9);
      }),
    );
  });
  test('mash thickens: dry matter × 4 counts as swollen; a slurry and its paste are two different things', () => {
    const mash = stream({ 'winter-squash': 500 });
    const dryG = 500 * (1 - 88 / 99.9);
    expect(consistencyOf(lines, mash).phi).toBeCloseTo((4 * dryG) / volumeOf(partsOfStream(mash)), 2);
    expect(consistencyOf(lines, slurry).words).toBe('thin milk');
    expect(consistencyOf(lines, thickenTo(lines, slurry, 8000, 600, 100).stream).words).toBe(
      'thick batter that ribbons',
    );
    expect(consistencyOf(lines, thickenTo(lines, slurry, 8000, 600, 100).stream).stirEveryS).toBe(Infinity);
  });
});

import fc from 'fast-check';
import { INGREDIENT_TABLE } from '../../larder';
import {
  absorptionFromDrain,
  blendTexture,
  drainTimeFor,
  solveBlend,
  TEXTURE_AXES,
  type SolverInput,
  type SolverStarch,
} from '.';

const starch = (id: string, more: Partial<SolverStarch> = {}): SolverStarch => {
  const i = INGREDIENT_TABLE.find((x) => x.id === id);
  if (!i?.starchKind) throw new Error(id);
  return {
    id,
    name: i.name,
    kind: i.starchKind,
    starch: i.per100.starch / 100,
    water: i.per100.water / 100,
    protein: i.per100.protein / 100,
    min: 0,
    max: 1,
    ...more,
  };
};
const perDry = { sugar: 0.05, fat: 0.1, protein: 0, other: 0.03 };
const cost = (input: SolverInput, shares: readonly number[], h: number) => {
  const t = blendTexture(input, shares, h);
  return TEXTURE_AXES.reduce((s, a) => s + (input.target[a] === undefined ? 0 : (t[a] - input.target[a]) ** 2), 0);
};
const solved = (input: SolverInput) => {
  const r = solveBlend(input);
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value;
};

describe('blend solver', () => {
  test('never worse than brute force on a 2 % grid of three starches by more than 1 % (and 0.001)', () => {
    const axis = fc.double({ min: 1, max: 9, noNaN: true });
    fc.assert(
      fc.property(
        axis,
        axis,
        axis,
        fc.constantFrom(
          ['rice-flour-fine', 'tapioca', 'glutinous-flour'],
          ['rice-flour-fine', 'maize-starch', 'tapioca'],
          ['wheat-starch', 'potato-starch', 'mung-starch'],
        ),
        (firm, chewy, clear, ids) => {
          const input: SolverInput = {
            starches: ids.map((id) => starch(id)),
            target: { firm, chewy, clear },
            weights: {},
            hydration: [2, 3.5],
            perDry,
          };
          let brute = Infinity;
          for (let a = 0; a <= 50; a++)
            for (let b = 0; a + b <= 50; b++)
              for (let h = 0; h <= 10; h++)
                brute = Math.min(brute, cost(input, [a / 50, b / 50, (50 - a - b) / 50], 2 + 0.15 * h));
          expect(solved(input).best.cost).toBeLessThanOrEqual(brute * 1.01 + 0.001);
        },
      ),
      {
        numRuns: 12,
        examples: [
          // Shares that settle at the middle hydration, far from the best.
          [6.02115, 1.85822, 1.47894, ['rice-flour-fine', 'tapioca', 'glutinous-flour']],
          // An axis held at nothing, so that a small step brings nothing: alone, and with the hydration.
          [4.125, 1, 1, ['rice-flour-fine', 'tapioca', 'glutinous-flour']],
          [4.59, 1, 1, ['rice-flour-fine', 'tapioca', 'glutinous-flour']],
          [9, 1, 3.512, ['rice-flour-fine', 'tapioca', 'glutinous-flour']],
        ],
      },
    );
  });
  test('shares are never negative, sum to one and keep within stock and bounds', () => {
    const input: SolverInput = {
      starches: [
        starch('rice-flour-fine', { max: 0.5 }),
        starch('tapioca', { max: 0.3 }),
        starch('maize-starch', { min: 0.1 }),
      ],
      target: { chewy: 9 },
      weights: {},
      hydration: [2, 3],
      perDry,
    };
    const { best, alternatives } = solved(input);
    for (const b of [best, ...alternatives]) {
      expect(b.shares.reduce((x, y) => x + y, 0)).toBeCloseTo(1, 6);
      b.shares.forEach((x, i) => {
        expect(x).toBeGreaterThanOrEqual(input.starches[i].min - 1e-9);
        expect(x).toBeLessThanOrEqual(input.starches[i].max + 1e-9);
      });
    }
  });
  test('a blend is found again: the texture of a known blend leads back to its texture', () => {
    const input: SolverInput = {
      starches: ['rice-flour-fine', 'tapioca', 'maize-starch', 'glutinous-flour'].map((id) => starch(id)),
      target: {},
      weights: {},
      hydration: [2.5, 2.5],
      perDry,
    };
    const known = blendTexture(input, [0.7, 0.2, 0.1, 0], 2.5);
    expect(solved({ ...input, target: known }).best.cost).toBeLessThan(0.05);
  });
  test('two alternatives differ from the best and say what they give up', () => {
    const { best, alternatives } = solved({
      starches: INGREDIENT_TABLE.filter((i) => i.kind === 'starch').map((i) => starch(i.id)),
      target: { firm: 5, chewy: 6, clear: 6 },
      weights: {},
      hydration: [2, 3],
      perDry,
    });
    expect(alternatives).toHaveLength(2);
    for (const a of alternatives) {
      expect(a.shares.reduce((s, x, i) => s + Math.abs(x - best.shares[i]), 0)).toBeGreaterThan(0.08);
      expect(a.givesUp.length).toBeGreaterThan(5);
    }
  });
  test('nothing to blend, too little stock, contradictory bounds and no target are told in words', () => {
    const base: SolverInput = { starches: [], target: { firm: 5 }, weights: {}, hydration: [2, 3], perDry };
    expect(solveBlend(base)).toMatchObject({ ok: false, problems: [{ code: 'no-starch' }] });
    expect(solveBlend({ ...base, starches: [starch('tapioca', { max: 0.4 })] })).toMatchObject({
      ok: false,
      problems: [{ code: 'bounds-cannot-sum', sentence: expect.stringContaining('40 %') }],
    });
    expect(
      solveBlend({ ...base, starches: [starch('tapioca', { min: 0.7 }), starch('maize-starch', { min: 0.6 })] }),
    ).toMatchObject({ ok: false, problems: [{ code: 'bounds-cannot-sum' }] });
    expect(solveBlend({ ...base, starches: [starch('tapioca')], target: {} })).toMatchObject({
      ok: false,
      problems: [{ code: 'no-target' }],
    });
  });
});

describe('drain test', () => {
  test('a drain test that agrees with the model leaves the absorption as it is; a slower one raises it', () => {
    const [phi, serum] = [0.3, 1.2];
    const eta = serum * (1 - phi / 0.58) ** (-2.5 * 0.58);
    const same = absorptionFromDrain(drainTimeFor(eta), phi, serum, 1.25);
    expect(same.ok && same.value).toBeCloseTo(1.25, 6);
    const slow = absorptionFromDrain(drainTimeFor(eta * 4), phi, serum, 1.25);
    expect(slow.ok && slow.value).toBeGreaterThan(1.3);
    expect(absorptionFromDrain(0.5, phi, serum, 1.25)).toMatchObject({
      ok: false,
      problems: [{ code: 'drain-too-fast' }],
    });
  });
});

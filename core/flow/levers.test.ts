import fc from 'fast-check';
import { formula, lightOf } from '../testing/made';
import { applyLever, leversTo, liquidToDryFor, viscosityAt } from '.';

describe('levers and the pour scale', () => {
  const plan = formula('savoury-coconut-slab');
  const l = lightOf(plan);
  const b = l.balance.batters[0];
  // The slurry is mixed with half of the liquid: a raw one is what the scale speaks of.
  const raw = lightOf({ ...plan, schools: { intoPan: 'raw' } });
  const c = raw.consistency[0];
  test('by hand: 920 g liquid on 255 g dry to 4 : 1 wants 100 g water, or 25 g less dry blend', () => {
    const [water, flour] = leversTo(b, 4);
    expect(water.grams).toBeCloseTo(100, 6);
    expect(flour.grams).toBeCloseTo(-25, 6);
  });
  test('either lever, once pressed, reaches the target', () => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 6, noNaN: true }), (target) => {
        for (const lever of leversTo(b, target))
          expect(lightOf(applyLever(plan, 0, lever, l.resolved.larder)).balance.batters[0].liquidToDry).toBeCloseTo(
            target,
            6,
          );
      }),
      { numRuns: 40 },
    );
  });
  test('a plan without wanted liquid gets a water line of its own id', () => {
    const dry = { ...plan, batters: plan.batters.map((x) => ({ ...x, wantedLiquidG: undefined })) };
    const next = applyLever(dry, 0, { what: 'water', grams: 300, sentence: '' }, l.resolved.larder);
    expect(next.batters[0].lines.at(-1)).toEqual({ id: 'water', ingredient: 'water', massG: 300, treatment: 'as-is' });
  });
  test('the place of a landmark on the scale has that viscosity', () => {
    const { balance } = raw;
    const at = liquidToDryFor(balance.batters[0], c.phi, c.serumMPas, 10) ?? NaN;
    expect(viscosityAt(balance.batters[0], c.phi, c.serumMPas, at)).toBeCloseTo(10, 3);
    expect(viscosityAt(balance.batters[0], c.phi, c.serumMPas, balance.batters[0].liquidToDry)).toBeCloseTo(
      c.viscosityMPas ?? NaN,
      6,
    );
  });
});

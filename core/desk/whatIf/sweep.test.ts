import { whole } from '../../units';
import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../../families';
import { forecastHeat, forecastLight } from '../../forecast';
import { lightOf, formula } from '../../testing/made';
import { runs } from '../../testing/runs';
import { along, leverNow, leversOf, planWith, quick, quickWith, takeLever, withLever } from '.';
import { overWater } from '../../stations/steam';

const lights = FAMILIES.map((f) => lightOf(formulaOf(f)));

test('a quantity asked for is the quantity had, and what it does not touch stays', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...lights),
      fc.nat(9),
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      (light, n, at) => {
        const levers = leversOf(light);
        const lever = levers[n % levers.length];
        const value = lever.range[0] + at * (lever.range[1] - lever.range[0]);
        const after = forecastLight(withLever(light, lever.id, value), light.resolved.kitchen);
        if (!after.ok) throw new Error(after.problems[0].sentence);
        const is = leverNow(after.value, lever.id) ?? NaN;
        expect(Math.abs(is - value)).toBeLessThan(2e-3 * Math.max(1, value));
        const dry = (l: typeof light) => l.balance.batters[0].dryBlendG;
        if (lever.id !== 'depth') expect(dry(after.value) / dry(light)).toBeCloseTo(1, 3);
        if (lever.id === 'power' || lever.id === 'depth')
          expect(leverNow(after.value, 'hydration')).toBeCloseTo(leverNow(light, 'hydration') ?? 0, 2);
      },
    ),
    { numRuns: runs(150), seed: 4 },
  );
});

test('of two quantities asked for both are had, whichever is named first', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...lights),
      fc.nat(9),
      fc.nat(9),
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
      (light, n, m, at) => {
        const levers = leversOf(light);
        const [a, b] = [levers[n % levers.length], levers[m % levers.length]];
        if (a.id === b.id) return;
        const asked = [a, b].map((l) => [l.id, l.range[0] + at * (l.range[1] - l.range[0])] as const);
        const plan = planWith(light, asked);
        const after = plan && forecastLight(plan, light.resolved.kitchen);
        if (!after?.ok) throw new Error('it cannot be read');
        for (const [id, value] of asked)
          expect(Math.abs((leverNow(after.value, id) ?? NaN) - value)).toBeLessThan(3e-3 * Math.max(1, value));
      },
    ),
    { numRuns: runs(150), seed: 8 },
  );
});

test('a deeper pour takes longer, more power does not; minutes agree with the whole forecast within a few per cent', () => {
  const light = lightOf(formula('savoury-coconut-slab'));
  const minutes = (id: 'depth' | 'power', values: readonly number[]) =>
    values.map((v) => whole(quickWith(light, [[id, v]]))?.minutesS ?? NaN);
  const deep = minutes('depth', along([22, 50], 6));
  expect(deep).toEqual(deep.toSorted((a, b) => a - b));
  const power = minutes('power', along([0.4, 1.8], 6));
  expect(power).toEqual(power.toSorted((a, b) => b - a));
  const full = overWater(forecastHeat(light))?.times?.firstCleanPickS.value ?? NaN;
  expect((whole(quick(light.resolved.document, light.resolved.kitchen))?.minutesS ?? NaN) / full).toBeCloseTo(1, 1);
});

test('what cannot work says why instead of a figure; power is taken as the nearest heat of the dial', () => {
  const light = lightOf(formula('savoury-coconut-slab'));
  expect(whole(quickWith(light, [['depth', 400]]))).toMatchObject({
    minutesS: null,
    problem: expect.stringMatching(/holds/),
  });
  expect(takeLever(light, 'power', 0.7).heat).toBe('gentle');
  expect(takeLever(light, 'power', 1.45).heat).toBe('strong');
});

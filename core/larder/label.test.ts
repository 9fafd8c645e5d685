import { compositionFromLabel, labelEnergyKJ } from '.';

const flour = { energyKJ: 1500, fatG: 1, carbohydrateG: 80, sugarsG: 0.5, fibreG: 1.5, proteinG: 6.5, saltG: 0.01 };

test('a rice flour label becomes a composition: starch is carbohydrate less sugars, water what is left', () => {
  const c = compositionFromLabel(flour);
  expect(c.ok && c.value.starch).toBeCloseTo(79.5, 9);
  expect(c.ok && c.value.water).toBeCloseTo(100 - 1 - 80 - 1.5 - 6.5 - 0.01, 9);
});
test('energy by hand: 17·86.5 + 37 + 8·1.5 = 1519.5 kJ', () => expect(labelEnergyKJ(flour)).toBeCloseTo(1519.5, 9));
test.each([
  [{ ...flour, saltG: 400 }, 'salt-or-sodium', /1.00 g salt/],
  [{ ...flour, sugarsG: 90 }, 'sugars-over-carbohydrate', /part of carbohydrate/],
  [
    { ...flour, carbohydrateG: 120, energyKJ: undefined },
    'over-100',
    /^carbohydrate 120 \+ protein 6.5 .* make 129.0 g in 100 g; .*too high by at least 29/,
  ],
  [{ ...flour, energyKJ: 359 }, 'energy-off', /kcal, enter kJ/],
  [{ ...flour, energyKJ: 900 }, 'energy-off', /check the figures/],
])('a label that cannot be is told why', (label, code, words) => {
  const r = compositionFromLabel(label);
  expect(r).toMatchObject({ ok: false, problems: [{ code, sentence: expect.stringMatching(words) }] });
});

import fc from 'fast-check';
import { inUnits, measuredNames, readAmount, sayFraction, shownUnit } from '.';

const value = (t: string) => {
  const r = readAmount(t);
  return r.kind === 'amount' ? r.value : r.kind;
};

describe('amounts as a cook types them', () => {
  test.each([
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['½', 0.5],
    ['1½', 1.5],
    ['1 ½', 1.5],
    ['1 1/2', 1.5],
    ['3/4', 0.75],
    ['⅛', 0.125],
    ['0,250', 0.25],
    ['1,250,000', 1250000],
    ['1,250.5', 1250.5],
    ['1.250,5', 1250.5],
    ['12 500', 12500],
    ['250', 250],
    ['-½', -0.5],
    ['-1 1/2', -1.5],
    ['−3', -3],
    ['1-1/2', 1.5],
    ['１００', 100],
  ])('%s is %d', (text, wanted) => expect(value(text)).toBe(wanted));
  test('what could be two numbers asks', () => {
    expect(readAmount('1,250')).toMatchObject({ kind: 'ask', readings: [1.25, 1250] });
    expect(readAmount('12,500')).toMatchObject({ kind: 'ask', readings: [12.5, 12500] });
  });
  test('a number being typed is never a wrong number: 1,2 and 1,25 are decimals, "1 1/" is not one yet', () => {
    expect(value('1,2')).toBe(1.2);
    expect(value('1,25')).toBe(1.25);
    expect(value('1 1/')).toBe('bad');
    expect(value('1/0')).toBe('bad');
    expect(value('two')).toBe('bad');
    expect(value('')).toBe('empty');
  });
  test('every eighth, quarter and third that is shown is read back as the same number', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.constantFrom(8, 4, 3, 2, 1), (n, d) => {
        const x = n / d;
        expect(Math.abs(Number(value(sayFraction(x))) - x)).toBeLessThan(0.005);
      }),
    ));
  test('one and a half is shown with its sign', () => {
    expect(sayFraction(1.5)).toBe('1½');
    expect(sayFraction(0.125)).toBe('⅛');
    expect(sayFraction(2)).toBe('2');
    expect(sayFraction(0.2)).toBe('0.2');
  });
});

describe('the cook’s own units', () => {
  const us = { mass: 'oz', length: 'in', temp: 'F' } as const;
  test('a sentence is said in ounces, inches and °F', () =>
    expect(inUnits('Pour 100 g, 25.4 mm deep, at 60 °C; 82 %, 40 ml.', us)).toBe(
      'Pour 3.5 oz, 1 in deep, at 140 °F; 82 %, 40 ml.',
    ));
  test('what is weighed on a fine scale stays in grams', () =>
    expect(inUnits('Dry yeast 0.8 g, fine salt 9.6 g', us)).toBe('Dry yeast 0.8 g, fine salt 0.34 oz'));
  test('a range shares its unit', () => {
    expect(inUnits('60 to 21 °C within 2 h', us)).toBe('140 to 70 °F within 2 h');
    expect(inUnits('22 to 55 mm', { ...us, length: 'cm' })).toBe('2.2 to 5.5 cm');
    expect(inUnits('5 to 12 mm', { mass: 'g', length: 'cm', temp: 'C' })).toBe('5 to 12 mm');
  });
  test('a name with a measure in it stays as it was given, whatever stands round it', () => {
    const names = measuredNames(['Square tin, 24 cm', 'Tin (24 cm), deep', 'Square tin', 'Square tin, 24 cm, deep']);
    expect(names).toEqual(['Square tin, 24 cm', 'Tin (24 cm), deep', 'Square tin, 24 cm, deep']);
    expect(inUnits('Pour 100 g into square tin, 24 cm, 25.4 mm deep.', { ...us, names })).toBe(
      'Pour 3.5 oz into square tin, 24 cm, 1 in deep.',
    );
    expect(inUnits('Square tin, 24 cm, deep: 24 cm, at 60 °C', { ...us, names })).toBe(
      'Square tin, 24 cm, deep: 9.4 in, at 140 °F',
    );
    expect(inUnits('Oil the square tin (24 cm), 60 mm high.', { ...us, names })).toBe(
      'Oil the square tin (24 cm), 2.4 in high.',
    );
    expect(inUnits('"Tin (24 cm), deep" is 60 mm tall', { ...us, names })).toBe('"Tin (24 cm), deep" is 2.4 in tall');
  });
  test('a field shown in another unit goes there and back without drift', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(['g', us], ['mm', us], ['°C', us], ['mm', { ...us, length: 'cm' as const }] as const),
        fc.double({ min: 0, max: 50000, noNaN: true }),
        ([unit, choice], x) => {
          const s = shownUnit(unit as string, choice as typeof us);
          if (!s) throw new Error('shown as it is');
          expect((x * s.scale + s.offset - s.offset) / s.scale).toBeCloseTo(x, 6);
        },
      ),
    ));
  test('per cent, minutes and millilitres stay', () => {
    expect(shownUnit('%', us)).toBeUndefined();
    expect(shownUnit('ml', us)).toBeUndefined();
  });
});

import fc from 'fast-check';
import { formula } from '../testing/made';
import { FAMILIES, formulaOf } from '../families';
import {
  chooseSchool,
  freshLineId,
  lineIds,
  planSchema,
  readingAt,
  readPlan,
  scalePlan,
  usualDrawSalt,
  weighingOf,
  withReading,
  type Plan,
  type SchoolQuestion,
} from '.';

const radish = formula('radish-slab');

describe('line ids', () => {
  test('a line without an id is named by its ingredient, the second of a kind by a number; given ones stay', () => {
    const plan = planSchema.parse({
      format: 'idle-ladle/plan',
      version: 2,
      name: 'X',
      family: 'radish-slab',
      batters: [
        {
          id: 'b',
          name: 'B',
          lines: [
            { ingredient: 'water', massG: 1 },
            { id: 'mine', ingredient: 'water', massG: 2 },
            { ingredient: 'water', massG: 3 },
          ],
        },
      ],
      addIns: [{ ingredient: 'water', massG: 4 }],
    });
    expect(plan.batters[0].lines.map((l) => l.id)).toEqual(['water', 'mine', 'water-2']);
    expect(plan.addIns[0].id).toBe('water-3');
  });
  test('every shipped formula, in every school, has an id for each line, and no two alike', () => {
    for (const f of FAMILIES)
      for (const [q, s] of Object.entries(f.schools))
        for (const o of s.options) {
          const plan = chooseSchool(formulaOf(f), q as SchoolQuestion, o.id);
          expect(lineIds(plan).has('')).toBe(false);
          expect(readPlan(plan).ok).toBe(true);
        }
  });
  test('a fresh id is free', () => {
    expect(freshLineId(new Set(['oil', 'oil-2']), 'oil')).toBe('oil-3');
    expect(freshLineId(new Set(), 'oil')).toBe('oil');
  });
});

describe('readings', () => {
  test('a line’s weighing goes where its treatment makes a node; what has nothing to weigh has no place', () => {
    const at = (treatment: Plan['addIns'][number]['treatment']) => weighingOf({ id: 'x', treatment });
    expect(at('wilted')).toEqual({ node: 'wilt:x', slot: 'juiceG' });
    expect(at('squeezed-boiled')).toEqual({ node: 'squeeze:x', slot: 'juiceG' });
    expect(at('soaked-alkali')).toEqual({ node: 'slake:x', slot: 'uptakeG' });
    expect(at('fried')).toBeUndefined();
  });
  test('written down, read, and taken back without a trace', () => {
    const place = { node: 'pour:cake', slot: 'tempC' };
    const there = withReading(withReading(radish, place, 52), { ...place, slot: 'leftG' }, 12);
    expect(readingAt(there, place)).toBe(52);
    const one = withReading(there, place, undefined);
    expect(one.readings).toEqual({ 'pour:cake': { leftG: 12 } });
    expect(withReading(one, { ...place, slot: 'leftG' }, undefined)).toEqual(radish);
  });
});

describe('scaling', () => {
  test('grams weighed follow the batch; degrees, seconds and millimetres do not', () => {
    const read: Plan = {
      ...radish,
      readings: { 'wilt:radish': { juiceG: 300, waitedS: 700 }, 'pour:cake': { tempC: 52, depthMm: 40 } },
    };
    expect(scalePlan(read, 2).readings).toEqual({
      'wilt:radish': { juiceG: 600, waitedS: 700 },
      'pour:cake': { tempC: 52, depthMm: 40 },
    });
  });
  test('sauces follow the guests unless they are made by the batch or the pack; fillings and colours follow the cake', () => {
    const plan: Plan = {
      ...radish,
      accompaniments: [
        { ...radish.accompaniments[0], amount: { by: 'head', grams: 10 } },
        { ...radish.accompaniments[0], id: 'b', amount: { by: 'batch', grams: 100 } },
        { ...radish.accompaniments[0], id: 'c', amount: { by: 'pack', packs: 1 } },
      ],
      fillings: [
        {
          id: 'f',
          name: 'F',
          doneness: 'ready',
          lines: [{ id: 'l', ingredient: 'egg', massG: 50, treatment: 'as-is' }],
        },
      ],
      colours: [
        {
          id: 'c',
          name: 'C',
          colour: 'pandan',
          lines: [{ id: 'm', ingredient: 'pandan-juice', massG: 5, treatment: 'as-is', drawSaltG: 1, frySaltG: 2 }],
        },
      ],
    };
    const three = scalePlan(plan, 3);
    expect(three.accompaniments.map((a) => a.amount)).toEqual([
      { by: 'head', grams: 10 },
      { by: 'batch', grams: 300 },
      { by: 'pack', packs: 3 },
    ]);
    expect(three.fillings[0].lines[0].massG).toBe(150);
    expect(three.colours[0].lines[0]).toMatchObject({ massG: 15, drawSaltG: 3, frySaltG: 6 });
  });
  test('there and back is the same plan, to rounding', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 9, noNaN: true }), (by) => {
        const back = scalePlan(scalePlan(radish, by), 1 / by);
        back.batters[0].lines.forEach((l, i) => expect(l.massG).toBeCloseTo(radish.batters[0].lines[i].massG, 6));
        expect(back.batters[0].wantedLiquidG).toBeCloseTo(radish.batters[0].wantedLiquidG ?? NaN, 6);
      }),
      { numRuns: 30 },
    );
  });
});

describe('schools change what belongs to them and nothing else', () => {
  test('the minutes of one juice school are not those of another', () => {
    const drawn = chooseSchool(radish, 'juice', 'draw-discard');
    expect(radish.addIns[0].drawS).toBe(720);
    expect(drawn.addIns[0].drawS).toBeUndefined();
    expect(drawn.addIns.slice(1)).toEqual(radish.addIns.slice(1));
    expect(usualDrawSalt('squeezed-boiled', 1000)).toBeUndefined();
    expect(usualDrawSalt('drained', 1000)).toBe(20);
  });
  test('choosing the school that stands changes no line', () => {
    expect(chooseSchool(radish, 'juice', 'wilt-keep').addIns).toEqual(radish.addIns);
  });
  test('cooling schools set the stages, and keep the hours in the fridge and in ice', () => {
    const where = (choice: string) => chooseSchool(radish, 'cooling', choice).cooling.map((s) => [s.where, s.timeS]);
    expect(where('fridge')).toEqual([['fridge', 14_400]]);
    expect(where('ice-bath')).toEqual([
      ['counter', 600],
      ['ice-bath', 14_400],
      ['fridge', 14_400],
    ]);
    expect(where('counter-fridge')).toEqual([
      ['counter', 3600],
      ['fridge', 14_400],
    ]);
    const warm = formula('dimpled-cups');
    expect(chooseSchool(warm, 'cooling', 'fridge').cooling).toEqual([]);
  });
  test('pouring off starts at a fifth of the liquid and keeps what was written before', () => {
    const cups = formula('dimpled-cups');
    expect(chooseSchool(cups, 'rest', 'pour-off').batters[0].pouredOffG).toBe(174);
    const mine = { ...cups, batters: cups.batters.map((b) => ({ ...b, pouredOffG: 90 })) };
    expect(chooseSchool(mine, 'rest', 'pour-off').batters[0].pouredOffG).toBe(90);
  });
});

import { FAMILIES, type Family, formulaOf } from '../families';
import { thicknessWord } from '../model/batter';
import { chooseSchool, type Plan, type SchoolQuestion } from '../plan';
import { formula, lightOf, madeOf, told } from '../testing/made';
import type { Forecast } from '.';
import { answerWords } from '../steps';
import { someOf } from '../testing/runs';
import { keepChilled } from '../model/rest';
import { inUnits, measuredNames, spokenName } from '../units';

interface Case {
  readonly name: string;
  readonly family: Family;
  readonly plan: Plan;
}
/** Every family as shipped, and with every single school (`npm test`: every third). */
const CASES: readonly Case[] = FAMILIES.flatMap((family) => {
  const plan = formulaOf(family);
  return [
    { name: `${family.id}: as shipped`, family, plan },
    ...someOf(
      Object.entries(family.schools).flatMap(([q, s]) =>
        s.options.map((o) => ({
          name: `${family.id}: ${q} ${o.id}`,
          family,
          plan: chooseSchool(plan, q as SchoolQuestion, o.id),
        })),
      ),
    ),
  ];
});
const READY = ['thicken', 'cook-through', 'to-the-mark', 'scald', 'mix', 'grind'] as const;

/** Everything that is said to the cook, without the heat's own figures where it was not computed. */
const said = (f: Forecast): string[] =>
  [
    ...f.steps.flatMap((s) => [
      s.verb,
      s.sentence,
      s.lookFor,
      s.taste,
      ...(s.answers ?? []).flatMap(answerWords),
      ...(s.timeline ?? []).map((m) => m.words),
      ...s.cautions,
      ...s.amounts.map((a) => a.name),
      ...(s.carried ?? []).map((c) => c.name),
    ]),
    ...f.light.advice.map((a) => a.sentence),
    ...f.light.problems.map((p) => p.sentence),
    f.light.pour.words,
  ].filter((x) => x !== undefined);

const WRONG = [
  /NaN/,
  /undefined/,
  /null/,
  /\[object/,
  /(^|[^\d])-0(\D|$)/,
  /Infinity/,
  / {2}/,
  / ,/,
  /\.\./,
  /\(\)/,
  /\b1 (days|pieces|loads|layers|cups|sheets|films|guests|things|pans|moulds|times|rolls)\b/,
  /\b(the|of|with|into|over) [.,:;]/,
  /: \./,
  /\bthe the\b/,
];

/** What a unit is of, and how much: g, m or °C. */
const OF = {
  g: ['mass', (x: number) => x],
  kg: ['mass', (x: number) => 1000 * x],
  oz: ['mass', (x: number) => 28.349523 * x],
  lb: ['mass', (x: number) => 453.59237 * x],
  mm: ['length', (x: number) => x / 1000],
  cm: ['length', (x: number) => x / 100],
  in: ['length', (x: number) => 0.0254 * x],
  '°C': ['temp', (x: number) => x],
  '°F': ['temp', (x: number) => (x - 32) / 1.8],
} as const;
/** Under so much a figure is rounded to more than a twentieth of itself: g, m, °C. */
const LEAST = { mass: 8, length: 0.004, temp: 12 } as const;
/** The measured figures of a sentence; a word "in" after a number is an inch only where no other word follows it as one of place. */
const figuresIn = (text: string) =>
  [
    ...text.matchAll(
      /(\d+(?:\.\d+)?) (kg|g|oz|lb|mm|cm|°C|°F|in(?! (?:all|one|two|its|the|a|an|cold|warm|hot|small|turns?|every|each|between|\d)\b))(?![\w/])/g,
    ),
  ].map(([, n, unit]) => {
    const [is, to] = OF[unit as keyof typeof OF];
    return { is, value: to(Number(n)) };
  });

describe.each(CASES.map((c) => [c.name, c] as const))('%s', (_, { family, plan }) => {
  const f = madeOf(plan, undefined, false);
  test('nothing said has a hole, a sign without a number, or one of many', () => {
    for (const w of WRONG) expect(said(f).filter((s) => w.test(s))).toEqual([]);
    expect(said(f).filter((s) => s.trim() === '')).toEqual([]);
  });
  test('in ounces, inches and °F every figure is the same amount, in the order it was said', () => {
    const { vessel, steamer, fryingPan, also } = f.light.resolved;
    const names = measuredNames([vessel, steamer, fryingPan, ...also.map((a) => a.vessel)].map((x) => x.name));
    const units = { mass: 'oz', length: 'in', temp: 'F', names } as const;
    const without = (text: string) =>
      names
        .flatMap((n) => [n, spokenName(n)])
        .reduce((t, n) => t.replaceAll(new RegExp(n.replace(/[().]/g, '\\$&'), 'gi'), ''), text);
    const otherwise = said(f).filter((sentence) => {
      const [before, after] = [figuresIn(without(sentence)), figuresIn(without(inUnits(sentence, units)))];
      const same = before.every(
        ({ value, is }, i) =>
          after[i]?.is === is && Math.abs(after[i].value - value) < 0.06 * Math.max(Math.abs(value), LEAST[is]),
      );
      return after.length !== before.length || !same;
    });
    expect(otherwise).toEqual([]);
  });
  test('amounts are of something, times are not negative, and every line enters once and in full', () => {
    const byPath = new Map<string, number>();
    for (const s of f.steps) {
      expect(s.handsOnS).toBeGreaterThanOrEqual(0);
      expect(s.waitS).toBeGreaterThanOrEqual(0);
      expect(Object.is(s.waitS, -0) || Object.is(s.handsOnS, -0)).toBe(false);
      for (const a of s.amounts) {
        expect(a.massG).toBeGreaterThan(0);
        if (a.path) byPath.set(a.path, (byPath.get(a.path) ?? 0) + a.massG);
      }
    }
    for (const l of f.light.flow.lines)
      if (l.role !== 'source' && l.massG > 0) expect(byPath.get(l.path)).toBeCloseTo(l.massG, 6);
  });
  test('each step comes after what it needs, and ids are the nodes of the flow', () => {
    const seen = new Set<string>();
    for (const s of f.steps) {
      for (const a of s.after) expect(seen.has(a)).toBe(true);
      seen.add(s.id);
    }
    expect(f.steps.map((s) => s.id)).toEqual(f.light.flow.nodes.map((n) => n.id));
    expect(f.steps[f.steps.length - 1].verb).toBe('Serve');
  });
  test('the word computed and the look the family asks for agree', () => {
    for (const b of plan.batters) {
      const asked = family.pours((q) => f.light.resolved.plan.schools[q], b.id);
      const node = [...f.evaluated.nodes]
        .reverse()
        .find((n) => n.node.about === b.id && READY.includes(n.node.op as (typeof READY)[number]));
      expect(thicknessWord(node?.figures.viscosityMPas?.value)).toBe(asked.word);
      const key = asked.word.split(' ').at(-1) ?? '';
      expect(asked.look.toLowerCase()).toContain(
        key === 'ribbons' ? 'ribbon' : key === 'batter' ? 'pancake batter' : key,
      );
    }
  });
  test('what pours is never called a dough', () => {
    expect(f.light.pour.consistency.words).not.toBe('dough');
  });
});

describe('with its heat', () => {
  test.each(FAMILIES.map((x) => [x.name, x] as const))(
    '%s says nothing wrong either, and its label counts the water',
    (_, family) => {
      const f = madeOf(formulaOf(family));
      for (const w of WRONG) expect(said(f).filter((s) => w.test(s))).toEqual([]);
      const { byWeight, addInsByWeight, massG } = f.light.balance;
      expect([...byWeight, ...addInsByWeight].reduce((a, x) => a + x.massG, 0)).toBeCloseTo(massG, 1);
      for (let i = 1; i < byWeight.length; i++) expect(byWeight[i].massG).toBeLessThanOrEqual(byWeight[i - 1].massG);
      const served = f.evaluated.account;
      expect(served.inG).toBeCloseTo(
        served.servedG + served.drawnG + served.pouredOffG + served.boiledAwayG + served.leftG,
        9,
      );
    },
  );
  test('pours of a layered cake are moments of their step, each with its grams and colour', () => {
    const f = madeOf(formula('two-tone-layers'));
    const step = f.steps.find((s) => s.id === 'layer:cake');
    expect(step?.timeline).toHaveLength(7);
    expect(step?.timeline?.[1].words).toMatch(/^Pour 2: bean, \d+ g \(a ladle of \d+ ml\), stirred first; tacky after/);
    const at = step?.timeline?.map((m) => m.atS) ?? [];
    expect([...at].sort((a, b) => a - b)).toEqual(at);
    expect(f.weighOut.map((w) => w.name)).toEqual(['Plain coconut', 'Bean']);
    expect(f.weighOut[1].amounts.find((a) => a.name.startsWith('Split mung'))?.massG).toBe(310);
  });
  test('two batters each have their own mixing, thickness and midpoint', () => {
    const l = lightOf(formula('two-tone-layers'));
    expect(l.consistency.map((c) => c.words)).toEqual(['single cream', 'double cream']);
    expect(l.gellings).toHaveLength(2);
    expect(l.gellings[0].midpointC).not.toBeCloseTo(l.gellings[1].midpointC, 1);
  });
});

describe('what is said of the mouthful', () => {
  test('cake, topping and sauce count together: hand-worked for the coconut slab', () => {
    const l = lightOf(formula('savoury-coconut-slab'));
    const { balance: b, evaluated } = l;
    const topping = evaluated.byId.get('make:topping')?.outs[0];
    const grams = (topping?.g.reduce((a, x, i) => (i % 7 === 6 ? a : a + x), 0) ?? 0) + b.massG;
    const salt = (topping?.g.reduce((a, x, i) => (i % 7 === 6 ? a + x : a), 0) ?? 0) + b.whole.salt;
    expect(b.plate.saltPct).toBeCloseTo((100 * salt) / grams, 9);
    expect(b.plate.massG).toBeCloseTo(grams / 8, 9);
  });
  test('a bland cake under a salt dip is not called bland; the same without it is', () => {
    const plan = formula('dimpled-cups');
    const bland = {
      ...plan,
      batters: plan.batters.map((x) => ({
        ...x,
        lines: x.lines.map((y) => (y.ingredient === 'fine-salt' ? { ...y, massG: 1 } : y)),
      })),
    };
    expect(told(lightOf(bland))).not.toMatch(/Salt is/);
    expect(told(lightOf({ ...bland, accompaniments: [] }))).toMatch(/Salt is 0\.\d\d % of the cake; .*add/);
  });
});

describe('accompaniments by head, piece, batch and pack', () => {
  const fruit = formula('fruit-chew-cake');
  const sauce = (amount: (typeof fruit.accompaniments)[number]['amount']) => {
    const l = lightOf({ ...fruit, accompaniments: fruit.accompaniments.map((a) => ({ ...a, amount })) });
    return { l, g: l.flow.lines.filter((x) => x.role === 'accompaniment').reduce((a, x) => a + x.massG, 0) };
  };
  test('40 g a head for 8; 10 g a piece; 250 g in all; one can of 400 g in 20 of 23 parts', () => {
    expect(sauce({ by: 'head', grams: 40 }).g).toBeCloseTo(320, 6);
    const byPiece = sauce({ by: 'piece', grams: 10 });
    expect(byPiece.g).toBeCloseTo(10 * byPiece.l.pieces, 6);
    expect(sauce({ by: 'batch', grams: 250 }).g).toBeCloseTo(250, 6);
    expect(sauce({ by: 'pack', packs: 1 }).g).toBeCloseTo((400 * 23) / 20, 6);
  });
});

test('keeping rules agree: the stricter figure is kept, and said why', () => {
  expect(keepChilled(3, []).words).toBe('3 days at 5 °C or colder');
  expect(keepChilled(1, ['egg']).words).toBe('1 day at 5 °C or colder');
  expect(keepChilled(7, ['crustacean'])).toEqual({
    days: 2,
    words: '2 days at 5 °C or colder, as there is seafood in it',
  });
});

test('a can of the same batter in small cups beside the pan takes its grams from it', () => {
  const plan = formula('yeast-sponge');
  const cup = {
    id: 'cup',
    name: 'Cup',
    shape: 'round',
    material: 'ceramic',
    diameterM: 0.07,
    heightM: 0.05,
    count: 4,
    provenance: 'measured',
  } as const;
  const l = lightOf({ ...plan, alsoVessels: [{ id: 'a', vessel: cup, count: 4, massEachG: 60 }] });
  expect(l.fill.others).toMatchObject([{ name: 'Cup', count: 4, massEachG: 60 }]);
  expect(l.fill.depthM).toBeLessThan(lightOf(plan).fill.depthM);
  expect(
    madeOf({ ...plan, alsoVessels: [{ id: 'a', vessel: cup, count: 4, massEachG: 60 }] }, undefined, false).steps.find(
      (s) => s.id === 'pour:cake',
    )?.sentence,
  ).toMatch(/60 g into each of the 4 further vessels \(cup\), \d+ mm deep/);
  expect(
    lightOf({ ...plan, alsoVessels: [{ id: 'a', vessel: cup, count: 40, massEachG: 60 }] }).problems.map((p) => p.code),
  ).toContain('too-much-elsewhere');
});

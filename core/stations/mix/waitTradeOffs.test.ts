import { dryOf } from '../../flow';
import { chooseSchool, treated, treatmentsFor, weighed, withJuiceSchool, type Line, type Plan } from '../../plan';
import { larderOf } from '../../larder';
import { formula, lightOf, madeOf } from '../../testing/made';
import { waitCosts } from './waitTradeOffs';

const radish = formula('radish-slab');
const squeezed = chooseSchool(radish, 'juice', 'draw-discard');
const lineOf = (plan: Plan): Line => {
  const l = plan.addIns.find((x) => x.ingredient === 'radish');
  if (!l) throw new Error('radish');
  return l;
};
const withLine = (plan: Plan, change: Partial<Line>): Plan => ({
  ...plan,
  addIns: plan.addIns.map((l) => (l.ingredient === 'radish' ? { ...l, ...change } : l)),
});
const cost = (plan: Plan, op: string) => waitCosts(lightOf(plan)).find((w) => w.op === op);

describe('schools and lines agree', () => {
  test('the drawing salt follows the vegetable', () => {
    const l = lineOf(squeezed);
    expect(weighed(l, l.massG * 2).drawSaltG).toBeCloseTo(2 * (l.drawSaltG ?? 0), 2);
    expect(weighed({ ...l, drawSaltG: undefined }, 10)).toMatchObject({ massG: 10 });
  });
  test('a treatment at the line sets the school; a strength of squeezing is kept when its school is chosen again', () => {
    const hard = withJuiceSchool(withLine(squeezed, { treatment: 'squeezed-hard' }));
    expect(hard.schools.juice).toBe('draw-discard');
    expect(lineOf(chooseSchool(hard, 'juice', 'draw-discard')).treatment).toBe('squeezed-hard');
    expect(withJuiceSchool(withLine(squeezed, { treatment: 'squeezed-boiled' })).schools.juice).toBe('squeeze-boil');
    const boiled = treated(lineOf(squeezed), 'squeezed-boiled');
    expect(boiled.drawSaltG).toBeUndefined();
    const made = lightOf(withJuiceSchool(withLine(squeezed, { ...boiled, drawSaltG: undefined })));
    expect(made.flow.nodes.map((n) => n.id)).toContain('simmer:radish');
  });
  test('a line offers only what makes sense', () => {
    const of = (id: string) =>
      treatmentsFor(
        larderOf().get(id) ??
          (() => {
            throw new Error(id);
          })(),
      );
    expect(of('radish')).toContain('squeezed-hard');
    expect(of('taro')).not.toContain('squeezed-hard');
    expect(of('fine-salt')).toEqual(['as-is']);
    expect(of('dry-yeast')).toContain('bloomed');
    expect(of('baking-powder')).toEqual(['as-is']);
    expect(of('banana')).toContain('sugared');
    expect(of('pandan-leaf')[0]).toBe('infused');
    expect(of('long-grain-rice')).toContain('soaked-alkali');
    expect(of('mung-beans-cooked')).toContain('mashed');
    expect(of('mung-beans-dry')[0]).toBe('soaked');
    for (const scent of ['spring-onion', 'chives', 'shallot', 'garlic', 'chilli', 'mustard-greens'])
      expect([scent, of(scent).filter((t) => /squeezed|drained|wilted/.test(t))]).toEqual([scent, []]);
    for (const juicy of ['carrot', 'cucumber', 'yam-bean', 'winter-squash'])
      expect([juicy, of(juicy)]).toEqual([juicy, expect.arrayContaining(['squeezed-by-hand'])]);
    expect(
      treatmentsFor(
        larderOf().get('fine-salt') ??
          (() => {
            throw new Error();
          })(),
        'fried',
      ),
    ).toContain('fried');
  });
});

describe('before a wait is cut short', () => {
  test('drawing: pulp or shreds by hand reach four fifths of what salt can add after 1.6 τ, 13 min for shreds', () => {
    const w = cost(squeezed, 'draw');
    expect(w?.gives).toBe('juice');
    expect((w?.shortestS ?? 0) / 60).toBeGreaterThanOrEqual(12.5);
    expect((w?.shortestS ?? 0) / 60).toBeLessThanOrEqual(13.5);
    expect(w?.sentence).toMatch(/^30 min draws \d+ g of juice; half as long \d+ g/);
  });
  test('a weighing does not hide what the wait does', () => {
    const read = { ...squeezed, readings: { 'squeeze:radish': { juiceG: 222 } } };
    expect(cost(read, 'draw')?.shortestS).toBe(cost(squeezed, 'draw')?.shortestS);
  });
  test('wilting, soaking, resting, fermenting and cooling each say what they give', () => {
    expect(cost(radish, 'wilt')?.gives).toBe('juice');
    // All of the clock it takes, as the line says it.
    expect(cost(radish, 'wilt')?.sentence).toMatch(/^12 min draws/);
    expect(cost(radish, 'soak')?.sentence).toMatch(/hard middle/);
    expect(cost(formula('dimpled-cups'), 'rest')?.gives).toBe('crumb');
    expect(cost(formula('yeast-sponge'), 'ferment')?.sentence).toMatch(/100 % of the rise by then/);
    const f = madeOf(radish);
    expect(waitCosts(f.light, f.heat).find((w) => w.gives === 'hold')?.sentence).toMatch(/edge/);
  });
  test('the minutes a dried thing soaks are its own, not those it is fried for', () => {
    const long = {
      ...radish,
      addIns: radish.addIns.map((l) => (l.ingredient === 'dried-mushroom' ? { ...l, soakS: 7200 } : l)),
    };
    const node = (p: Plan, id: string) => lightOf(p).evaluated.byId.get(id);
    expect(node(long, 'soak:dried-mushroom')?.waitS).toBe(7200);
    expect(dryOf(lightOf(long).evaluated, 'dried-mushroom')).toBeLessThan(
      dryOf(lightOf(radish).evaluated, 'dried-mushroom') ?? 0,
    );
    expect(node(long, 'fry:add-ins')?.waitS).toBe(node(radish, 'fry:add-ins')?.waitS);
    expect(node(long, 'fry:add-ins')?.handsS).toBe(node(radish, 'fry:add-ins')?.handsS);
  });
  test('a soak of dried mushrooms cut in half takes more of the dry', () => {
    const half = { ...radish, waits: { 'soak:dried-mushroom': 300 } };
    const dry = (p: Plan) => lightOf(p).evaluated.byId.get('soak:dried-mushroom')?.figures.dryG.value ?? 0;
    expect(dry(half)).toBeGreaterThan(dry(radish) * 1.3);
  });
});

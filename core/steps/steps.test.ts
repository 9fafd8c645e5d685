import { FAMILIES, type Family } from '../families';
import { composeForecast, forecastHeat, forecastLight } from '../forecast';
import { emptyKitchen } from '../kitchen';
import { COARSE_GRID } from '../steam';
import { CAUTIONS, cautionsOf, totalsOf } from '.';
import type { Plan } from '../plan';

const family = (id: string): Family => {
  const f = FAMILIES.find((x) => x.id === id);
  if (!f) throw new Error(id);
  return f;
};
const made = (plan: Plan) => {
  const light = forecastLight(plan, emptyKitchen());
  if (!light.ok) throw new Error(light.problems[0].sentence);
  return composeForecast(light.value, forecastHeat(light.value, COARSE_GRID));
};
const verbs = (plan: Plan) => made(plan).steps.map((s) => s.verb);

describe('steps of the radish slab by school', () => {
  const plan = family('radish-slab').formula();
  test('wilted, drawn or parboiled: one of them, never two', () => {
    const ways = { 'wilt-keep': 'Wilt', 'draw-discard': 'Draw', parboil: 'Parboil' } as const;
    const treatments = { 'wilt-keep': 'wilted', 'draw-discard': 'squeezed-by-hand', parboil: 'parboiled' } as const;
    for (const [school, verb] of Object.entries(ways)) {
      const addIns = plan.addIns.map((l) =>
        l.ingredient === 'radish'
          ? {
              ...l,
              treatment: treatments[school as keyof typeof treatments],
              drawSaltG: school === 'draw-discard' ? 20 : undefined,
            }
          : l,
      );
      const list = verbs({ ...plan, addIns, schools: { juice: school } });
      expect(list.filter((v) => Object.values(ways).includes(v as 'Wilt'))).toEqual([verb]);
    }
  });
  test('part-cooking adds a thickening step before the pour; served plain, nothing is seared', () => {
    expect(verbs({ ...plan, schools: { ...plan.schools, intoPan: 'part-cooked' } }).indexOf('Thicken')).toBeGreaterThan(
      0,
    );
    expect(verbs(plan)).not.toContain('Thicken');
    expect(verbs({ ...plan, schools: { ...plan.schools, serve: 'plain' } })).not.toContain('Sear');
    expect(verbs(plan)).toContain('Sear');
  });
  test('the weigh step lists every line and the top-up', () => {
    const weigh = made(plan).steps.find((s) => s.verb === 'Weigh');
    expect(weigh?.amounts.map((a) => a.name)).toEqual(
      expect.arrayContaining(['Rice flour, wet-milled fine', 'Fine salt', 'Water, to top up']),
    );
    expect(weigh?.amounts.find((a) => a.name === 'Water, to top up')?.massG).toBeCloseTo(
      made(plan).light.balance.batters[0].topUpG,
      9,
    );
  });
  test('what is kept back for the top is not folded in, and is strewn on', () => {
    const steps = made(plan).steps;
    const folded = steps.find((s) => s.verb === 'Fold in')?.amounts.find((a) => a.name === 'Cured pork sausage');
    const top = steps.find((s) => s.verb === 'Top')?.amounts.find((a) => a.name === 'Cured pork sausage');
    expect((folded?.massG ?? 0) + (top?.massG ?? 0)).toBeCloseTo(60, 9);
    expect(top?.massG).toBeCloseTo(15, 9);
  });
});

describe('order and time', () => {
  test.each(FAMILIES.map((f) => [f.name, f] as const))(
    '%s: each step follows the one before it, and the totals are their sum',
    (_, f) => {
      const m = made(f.formula());
      m.steps.forEach((s, i) => expect(s.after).toEqual(i === 0 ? [] : [m.steps[i - 1].id]));
      expect(new Set(m.steps.map((s) => s.id)).size).toBe(m.steps.length);
      expect(totalsOf(m.steps)).toEqual(m.totals);
    },
  );
  test('the check comes where the forecast says: steam waits until check, check waits until 1.2 × first clean pick', () => {
    const m = made(family('savoury-coconut-slab').formula());
    const t = m.heat?.steam?.times;
    expect(m.steps.find((s) => s.verb === 'Steam')?.waitS).toBe(Math.round(t?.checkAtS ?? 0));
    expect(m.steps.find((s) => s.verb === 'Check')?.waitS).toBe(
      Math.round(1.2 * (t?.firstCleanPickS.value ?? 0) - (t?.checkAtS ?? 0)),
    );
  });
  test('yeast waits for the ferment time of its dose and room', () => {
    const m = made(family('yeast-sponge').formula());
    expect(m.steps.find((s) => s.verb === 'Ferment')?.waitS).toBe(Math.round(m.light.ferment?.timeS ?? 0));
  });
  test('pouring off tells the salt to put back', () => {
    const cups = family('dimpled-cups').formula();
    const plan = {
      ...cups,
      schools: { rest: 'pour-off' },
      batters: cups.batters.map((b) => ({ ...b, pouredOffG: 200 })),
    };
    const step = made(plan).steps.find((s) => s.verb === 'Pour off');
    expect(step?.sentence).toMatch(/Pour off 200 g .* re-season with 1\.1 g salt/);
  });
});

describe('cautions', () => {
  test('every caution a family names is written, and short', () => {
    for (const f of FAMILIES) for (const id of f.cautions) expect(CAUTIONS[id]).toBeDefined();
    for (const c of Object.values(CAUTIONS)) expect(c.length).toBeLessThan(210);
  });
  test('the dangers that matter are on the families they belong to', () => {
    expect(family('alkali-rice-jelly').cautions).toContain('alkali');
    expect(family('taro-slab').cautions).toContain('taro');
    for (const id of ['sticky-sweet-cake', 'two-tone-layers', 'fruit-chew-cake'])
      expect(family(id).cautions).toContain('choking');
    for (const id of ['filled-rolls', 'noodle-sheets', 'pan-film-sheets'])
      expect(family(id).cautions).toContain('wet-sheets');
    for (const id of ['yeast-sponge', 'roux-raised-cups', 'ground-grain-cups'])
      expect(family(id).cautions).toContain('ferment');
    for (const f of FAMILIES) expect(cautionsOf(f.cautions)).toHaveLength(f.cautions.length);
  });
  test('each is said once in the steps, at the step where it can happen', () => {
    const steps = made(family('taro-slab').formula()).steps;
    expect(steps.find((s) => s.verb === 'Grate')?.cautions[0]).toMatch(/gloves/);
    expect(steps.find((s) => s.verb === 'Steam')?.cautions[0]).toMatch(/Steam burns/);
    const all = steps.flatMap((s) => s.cautions);
    expect(new Set(all).size).toBe(all.length);
  });
});

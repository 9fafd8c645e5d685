import { DEMO_APPLIANCES, DEMO_HOBS, DEMO_POTS } from '../../db/demo.data';
import { emptyKitchen, type Kitchen, type Pot } from '../kitchen';
import { scalePlan } from '../plan';
import { formula, madeOf } from '../testing/made';
import { gearFor } from './gear';

const pot = (id: string, capacityMl: number, material: Pot['material'] = 'steel', kind: Pot['kind'] = 'pot'): Pot => ({
  id,
  name: id,
  kind,
  capacityMl,
  material,
});
const chosen = (...args: Parameters<typeof gearFor>) => {
  const found = gearFor(...args);
  return found && [found.gear.id, found.goes];
};

describe('the best of the rack for so much', () => {
  const rack = [pot('small', 1600), pot('big', 5000), pot('tin', 3000, 'aluminium'), pot('wok', 9000, 'steel', 'wok')];
  const POTS = [['pot'], ['wok']] as const;
  test('the smallest that holds it three quarters full: 1200 ml is the small one, 1201 the next', () => {
    expect(chosen(rack, POTS, 1200)).toEqual(['small', 1]);
    expect(chosen(rack, POTS, 1201)).toEqual(['tin', 1]);
    expect(chosen(rack, POTS, 2300)).toEqual(['big', 1]);
  });
  test('a lesser kind before two goes, then the largest in goes: 9000 · 0.6 = 5400 ml at a time', () => {
    expect(chosen(rack, POTS, 5000)).toEqual(['wok', 1]);
    expect(chosen(rack, POTS, 11_000)).toEqual(['wok', 3]);
  });
  test('what it must not meet is left out, and no pot is no answer', () => {
    expect(chosen(rack, POTS, 2000, (m) => m === 'aluminium')).toEqual(['big', 1]);
    expect(gearFor([], POTS, 100)).toBeUndefined();
    expect(gearFor(rack, [['blender']], 100)).toBeUndefined();
  });
});

describe('said at the step', () => {
  const kitchen: Kitchen = { ...emptyKitchen(), hobs: DEMO_HOBS, pots: DEMO_POTS, appliances: DEMO_APPLIANCES };
  const sentences = (id: string, by = 1, k = kitchen): Record<string, string> =>
    Object.fromEntries(madeOf(scalePlan(formula(id), by), k, false).steps.map((s) => [s.id.split(':')[0], s.sentence]));
  test('with its ring, in one sentence', () => {
    expect(sentences('radish-slab').wilt).toMatch(/Use the big wok on the front ring at 5\.$/);
    expect(sentences('taro-slab', 1, emptyKitchen()).parboil).not.toMatch(/Use/);
  });
  test('what is simmered, streamed into and thickened stays in one pot that holds it all', () => {
    const s = sentences('savoury-coconut-slab', 1.2);
    const pots = ['melt', 'stream-in', 'thicken'].map((op) => /Use (the [^.]*?)(?: on|\.)/.exec(s[op] ?? '')?.[1]);
    expect(pots).toEqual(['the enamel pot (5 l)', 'the enamel pot (5 l)', 'the enamel pot (5 l)']);
  });
  test('lime keeps out of the aluminium saucepan; a small blender takes it in goes', () => {
    const s = sentences('alkali-rice-jelly');
    expect(s['cook-through']).toMatch(/Use the enamel pot \(5 l\)/);
    expect(sentences('stirred-set-pudding', 0.4)['cook-through']).toMatch(/Use the light saucepan/);
    // 1.5 l two thirds full takes 0.99 l at a time.
    const ground = madeOf(scalePlan(formula('ground-grain-cups'), 4), kitchen, false).steps.find((x) =>
      /Grind/.test(x.verb),
    );
    const g =
      (ground?.carried ?? []).reduce((a, x) => a + x.massG, 0) +
      (ground?.amounts ?? []).reduce((a, x) => a + x.massG, 0);
    expect(ground?.sentence).toContain(`in ${Math.ceil(g / 1.1 / 990)} goes: it holds 1.5 l.`);
  });
  test('what is only mashed needs no ring and no pot', () =>
    expect(sentences('two-tone-layers').paste).toMatch(/smooth\.$/));
});

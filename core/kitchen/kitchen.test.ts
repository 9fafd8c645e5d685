import { formula, lightOf, madeOf } from '../testing/made';
import { DEFAULT_RING, emptyKitchen, hobSchema, kitchenSchema, leftoverOf, sayRing, steamPower, type Kitchen } from '.';

const gas = {
  id: 'front',
  name: 'Front ring',
  kind: 'gas' as const,
  marks: { medium: '5' },
  measuredPowerW: { medium: 1180 },
};
const plate = { id: 'plate', name: 'Plate', kind: 'electric' as const, marks: {}, measuredPowerW: {} };
const kitchen: Kitchen = { ...emptyKitchen(), hobs: [{ id: 'h', name: 'Hob', rings: [gas, plate] }] };

describe('rings', () => {
  test('a hob of version 1 is read: so many rings, its power on the first', () => {
    const hob = hobSchema.parse({ id: 'h', name: 'H', rings: 2, measuredPowerW: { strong: 1500 } });
    expect(hob.rings.map((r) => r.name)).toEqual(['Ring 1', 'Ring 2']);
    expect(steamPower(hob.rings[0], 'strong')).toMatchObject({ value: 1500, source: 'measured' });
    expect(steamPower(hob.rings[1], 'strong')).toMatchObject({ value: 1500, source: 'default' });
    expect(kitchenSchema.parse({ version: 1, hobs: [{ id: 'h', name: 'H', rings: 4 }] }).version).toBe(2);
  });
  test('is spoken by the cook’s own mark, else by the heat word', () => {
    expect(sayRing(gas, 'medium')).toBe('front ring at 5');
    expect(sayRing(gas, 'strong')).toBe('front ring, strong heat');
  });
  test('an electric plate goes on heating, gas and induction stop', () => {
    expect([gas, plate, { ...plate, kind: 'induction' as const }].map(leftoverOf)).toEqual([0, 240, 0]);
    expect(leftoverOf({ ...plate, leftoverS: 90 })).toBe(90);
  });
  test('the plan steams on the ring it names, with that ring’s own power; one that is gone falls back to the first', () => {
    const plan = { ...formula('radish-slab'), heat: 'medium' as const };
    expect(lightOf(plan, kitchen).env.mediumW).toBe(1180);
    expect(lightOf({ ...plan, ring: 'plate' }, kitchen).env.mediumW).toBe(1100);
    expect(lightOf({ ...plan, ring: 'gone' }, kitchen).resolved.ring.id).toBe('front');
    expect(lightOf(plan).resolved.ring).toEqual(DEFAULT_RING);
  });
  test('every step on the ring says which, and how high; a cook without a hob hears the heat word', () => {
    for (const family of [
      'radish-slab',
      'savoury-coconut-slab',
      'dimpled-cups',
      'pan-film-sheets',
      'stirred-set-pudding',
    ]) {
      const on = madeOf({ ...formula(family), heat: 'medium' }, kitchen, false).steps.filter((s) =>
        s.resources.includes('ring'),
      );
      expect(on.length).toBeGreaterThan(0);
      for (const s of on.filter((x) => x.verb !== 'Check')) expect(s.sentence).toMatch(/front ring/i);
    }
    expect(madeOf(formula('radish-slab'), undefined, false).steps.some((s) => /front ring/.test(s.sentence))).toBe(
      false,
    );
  });
  test('what thickens on an electric plate is moved off it', () => {
    const plan = { ...formula('savoury-coconut-slab'), ring: 'plate' };
    const thicken = madeOf(plan, kitchen, false).steps.find((s) => s.verb === 'Thicken');
    expect(thicken?.sentence).toMatch(/stays hot for 4 min: move the pot off it/);
  });
});

test('pots, appliances and scoops say what is wrong with them', () => {
  const r = kitchenSchema.safeParse({ pots: [{ id: 'p', name: '', capacityMl: 5 }] });
  expect(r.error?.issues.map((i) => i.message)).toEqual(['Give it a name.', 'Use at least 50 ml.']);
});

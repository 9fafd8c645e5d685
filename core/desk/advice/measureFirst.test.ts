import { forecastHeat } from '../../forecast';
import { emptyKitchen } from '../../kitchen';
import { withReading } from '../../plan';
import { formula, lightOf } from '../../testing/made';
import { measurings } from './measureFirst';
import { overWater } from '../../stations/steam';

const kitchen = emptyKitchen();
const of = (id: string, byCups = false, plan = formula(id)) => {
  const light = lightOf(plan, kitchen);
  return { light, heat: forecastHeat(light), list: measurings(light, forecastHeat(light), kitchen, byCups) };
};

describe('what to measure first', () => {
  test('each narrows what it says, and the one that is worth most comes first', () => {
    for (const id of ['radish-slab', 'yeast-sponge', 'dimpled-cups']) {
      const { list } = of(id);
      expect(list.length).toBeGreaterThan(0);
      for (const m of list)
        for (const n of [m.minutes, m.salt, m.hydration, m.thickness]) if (n) expect(n.to).toBeLessThan(n.from);
    }
  });
  test('a ruler halves what is not known of the depth: √(σ² − d² + (d/2)²), by hand', () => {
    const { heat, list } = of('radish-slab');
    const ruler = list.find((m) => m.id === 'depth');
    const spread = overWater(heat)?.spread;
    const clean = overWater(heat)?.times?.firstCleanPickS;
    if (!spread || !clean) throw new Error('no heat');
    const sigma = clean.sd / clean.value;
    const left = Math.sqrt(sigma ** 2 - spread.parts.depth ** 2 + (spread.parts.depth / 2) ** 2);
    expect(ruler?.minutes?.from).toBeCloseTo(1.2816 * clean.sd, 6);
    expect(ruler?.minutes?.to).toBeCloseTo(1.2816 * clean.value * left, 6);
  });
  test('what was weighed is not asked for again, and the parts add up to the whole spread', () => {
    const { light, list, heat } = of('radish-slab');
    const juice = list.find((m) => m.id === 'wilt:radish.juiceG');
    expect(juice?.how).toMatchObject({ by: 'reading', unit: 'g' });
    const weighed = withReading(light.resolved.document, { node: 'wilt:radish', slot: 'juiceG' }, 300);
    expect(of('radish-slab', false, weighed).list.map((m) => m.id)).not.toContain('wilt:radish.juiceG');
    const spread = overWater(heat)?.spread;
    expect(Math.hypot(...Object.values(spread?.parts ?? {}))).toBeCloseTo(spread?.sigma ?? 0, 12);
  });
  test('a cup is asked for where the cook measures by cups; a kettle where the ring is not known', () => {
    expect(of('radish-slab').list.some((m) => m.how.by === 'cup')).toBe(false);
    expect(of('radish-slab', true).list.some((m) => m.how.by === 'cup')).toBe(true);
    const { light, heat } = of('dimpled-cups');
    expect(measurings(light, heat, kitchen).some((m) => m.how.by === 'kettle')).toBe(true);
    const ring = { ...light.resolved.ring, measuredPowerW: { strong: 1500, medium: 1100, gentle: 600 } };
    const known = lightOf({ ...formula('dimpled-cups'), hob: { ...light.resolved.hob, rings: [ring] } }, kitchen);
    expect(measurings(known, forecastHeat(known), kitchen).some((m) => m.how.by === 'kettle')).toBe(false);
  });
});

/** @jest-environment jsdom */
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { FAMILIES, formulaOf } from '@/core/families';
import { forecast, type Forecast } from '@/core/forecast';
import { DEFAULT_STEAMER, kitchenSchema, vesselSchema } from '@/core/kitchen';
import { cakeAt, lifeOf, momentOf } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { COARSE_GRID } from '@/core/model/steam';
import { volumeAtDepth } from '@/core/model/vessel';
import { heatTowards } from './DialHandle';
import { Stage } from './Stage';
import { stackIn } from '@/core/stations/steam/cooking';

const tin = (id: string, name: string, diameterM: number) =>
  vesselSchema.parse({ id, name, shape: 'round', material: 'steel', diameterM, heightM: 0.06, count: 30 });
const kitchen = kitchenSchema.parse({
  vessels: [
    tin('tin-20', 'Round tin, 20 cm', 0.2),
    tin('tin-22', 'Round tin, 22 cm', 0.22),
    tin('cup', 'Small cup', 0.07),
  ],
  steamers: [DEFAULT_STEAMER, { ...DEFAULT_STEAMER, id: 'wide', name: 'Wide steamer', innerDiameterM: 0.34 }],
});
const made = (id: string, change: Partial<Plan> = {}): Forecast => {
  const family = FAMILIES.find((f) => f.id === id);
  const r = family && forecast({ ...formulaOf(family), vessel: 'tin-20', ...change }, kitchen, COARSE_GRID);
  if (!r?.ok) throw new Error(`no forecast of ${id}`);
  return r.value;
};
// Nothing paints a canvas here.
HTMLCanvasElement.prototype.getContext = () => null;
afterEach(cleanup);

/** The stage at a station of a plan; what is changed on it is collected. */
function stage(f: Forecast, station: string) {
  const life = lifeOf(f);
  const atS = momentOf(life, station);
  const state = cakeAt(life, f, atS);
  if (!state) throw new Error('no life');
  const { document: plan } = f.light.resolved;
  const plans: Plan[] = [];
  render(
    <Stage
      plan={plan}
      forecast={f}
      kitchen={kitchen}
      life={life}
      atS={atS}
      state={state}
      heating={false}
      edit={(_key, change) => plans.push(change(plan))}
    />,
  );
  return { plans, plan };
}
const gramsOf = (p: Plan) => p.batters[0].lines.reduce((a, l) => a + l.massG, 0);

test('the surface goes up and down by a millimetre, everything in the batter in proportion', () => {
  const f = made('savoury-coconut-slab');
  const { plans, plan } = stage(f, 'steam');
  const surface = screen.getByRole('slider', { name: 'Depth of the batter' });
  expect(surface.getAttribute('aria-valuetext')).toMatch(/mm$/);
  fireEvent.keyDown(surface, { key: 'ArrowUp' });
  fireEvent.keyDown(surface, { key: 'PageDown' });
  const { vessel } = f.light.resolved;
  const depthM = f.light.fill.depthM;
  const toM = (by: number) => Math.round((depthM + by) / 0.0005) * 0.0005;
  for (const [i, by] of [0.001, -0.005].entries())
    expect(gramsOf(plans[i]) / gramsOf(plan)).toBeCloseTo(
      volumeAtDepth(vessel, toM(by)) / volumeAtDepth(vessel, depthM),
      9,
    );
  const share = (p: Plan) => p.batters[0].lines.map((l) => l.massG / gramsOf(p));
  share(plans[0]).forEach((s, i) => expect(s).toBeCloseTo(share(plan)[i], 9));
});
test('a tin that is full is not filled over its rim by keys', () => {
  const f = made('savoury-coconut-slab');
  const { plans } = stage(f, 'steam');
  const surface = screen.getByRole('slider', { name: 'Depth of the batter' });
  for (let i = 0; i < 3; i++) fireEvent.keyDown(surface, { key: 'PageUp' });
  const most =
    volumeAtDepth(f.light.resolved.vessel, 0.06) / volumeAtDepth(f.light.resolved.vessel, f.light.fill.depthM);
  for (const p of plans) expect(gramsOf(p) / gramsOf(f.light.resolved.document)).toBeLessThanOrEqual(most + 1e-9);
});
test('layers go one more and one fewer; water goes in and out at the pour scale', () => {
  const f = made('rainbow-layers');
  const { plans, plan } = stage(f, 'steam');
  const layers = screen.getByRole('slider', { name: 'Layers' });
  expect(layers.getAttribute('aria-valuenow')).toBe(String(stackIn(f.heat)?.pours.length));
  fireEvent.keyDown(layers, { key: 'ArrowUp' });
  fireEvent.keyDown(layers, { key: 'ArrowDown' });
  expect(plans.map((p) => p.layers)).toEqual([10, 8]);
  const pour = screen.getByRole('slider', { name: /^Water in the batter/ });
  fireEvent.keyDown(pour, { key: 'ArrowDown' });
  fireEvent.keyDown(pour, { key: 'PageUp' });
  const water = (p: Plan) => (p.batters[0].wantedLiquidG ?? 0) + gramsOf(p);
  expect(water(plans[2]) - water(plan)).toBeCloseTo(5, 6);
  expect(water(plans[3]) - water(plan)).toBeCloseTo(-25, 6);
});
test('of two batters the one that is chosen stands at the pour scale, and takes the water', () => {
  const { plans, plan } = stage(made('two-tone-layers'), 'mix');
  const pour = () => screen.getByRole('slider', { name: /^Water in the batter/ });
  const first = pour().getAttribute('aria-valuetext');
  fireEvent.change(screen.getByRole('combobox', { name: 'Batter at the pour scale' }), {
    target: { value: plan.batters[1].id },
  });
  expect(pour().getAttribute('aria-valuetext')).not.toBe(first);
  fireEvent.keyDown(pour(), { key: 'ArrowDown' });
  expect(plans[0].batters[0]).toEqual(plan.batters[0]);
  const liquid = (p: Plan) => JSON.stringify([p.batters[1].wantedLiquidG, p.batters[1].lines.map((l) => l.massG)]);
  expect(liquid(plans[0])).not.toBe(liquid(plan));
});
test('the dial is turned by keys as far as it goes, and towards where it is dragged', () => {
  const { plans } = stage(made('savoury-coconut-slab', { heat: 'medium' }), 'steam');
  const dial = screen.getByRole('slider', { name: 'Dial, turned' });
  expect(dial.getAttribute('aria-valuetext')).toBe('medium');
  fireEvent.keyDown(dial, { key: 'ArrowUp' });
  fireEvent.keyDown(dial, { key: 'ArrowLeft' });
  expect(plans.map((p) => p.heat)).toEqual(['strong', 'gentle']);
  cleanup();
  const { plans: none } = stage(made('savoury-coconut-slab', { heat: 'strong' }), 'steam');
  fireEvent.keyDown(screen.getByRole('slider', { name: 'Dial, turned' }), { key: 'ArrowUp' });
  expect(none).toEqual([]);
  // To the left it is low, up and a little right in the middle, to the right high; straight down is nearest to high.
  expect([heatTowards(-10, -4), heatTowards(2, -10), heatTowards(10, 1), heatTowards(3, 10)]).toEqual([
    'gentle',
    'medium',
    'strong',
    'strong',
  ]);
});
test('lid, dial, pan and steamer are chosen where they are drawn', () => {
  const { plans } = stage(made('savoury-coconut-slab'), 'steam');
  const choose = (name: string, value: string) =>
    fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });
  choose('Lid and guard', 'none');
  choose('Dial', 'gentle');
  choose('Pan in the steamer', 'tin-22');
  choose('Steamer and its water', 'wide');
  expect(plans.map((p) => [p.schools.dripGuard, p.heat, p.vessel, p.steamer])).toEqual([
    ['none', plans[0].heat, 'tin-20', plans[0].steamer],
    [plans[1].schools.dripGuard, 'gentle', 'tin-20', plans[1].steamer],
    [plans[2].schools.dripGuard, plans[2].heat, 'tin-22', plans[2].steamer],
    [plans[3].schools.dripGuard, plans[3].heat, 'tin-20', 'wide'],
  ]);
});
test('the next pan of the rack is a press away, with the depth this batter has in it', () => {
  const { plans } = stage(made('savoury-coconut-slab'), 'vessel');
  const next = screen.getByRole('button', { name: /^Round tin, 22 cm: \d+ mm/ });
  fireEvent.click(next);
  expect(plans[0].vessel).toBe('tin-22');
  expect(gramsOf(plans[0])).toBe(gramsOf(made('savoury-coconut-slab').light.resolved.document));
});
test.each([
  ['radish-slab', 'mix', /^In the bowl: /],
  ['radish-slab', 'steam', /cut through the middle.*cold spot is at \d+/],
  ['radish-slab', 'sear', /^Load \d of \d, .* side/],
  ['radish-slab', 'serve', /^A plate: .* pieces/],
  ['dimpled-cups', 'steam', /^\d+ of \d+ .* at a time/],
  ['filled-rolls', 'steam', /a sheet [\d.]+ mm thick/],
  ['pan-film-sheets', 'steam', /a film [\d.]+ mm thick/],
  ['stirred-set-pudding', 'steam', /with the batter \d+ mm deep, at \d+ °C/],
] as const)('%s at %s is drawn, and its text says what is drawn', (id, station, words) => {
  stage(made(id, id === 'dimpled-cups' ? { vessel: 'cup' } : {}), station);
  const drawn = [...screen.queryAllByRole('img'), ...screen.queryAllByRole('group')].map(
    (e) => e.getAttribute('aria-label') ?? '',
  );
  expect(drawn.some((label) => words.test(label))).toBe(true);
  expect(drawn.join(' ')).not.toMatch(/NaN|undefined|Infinity/);
});

/** @jest-environment jsdom */
import { cleanup, render, screen } from '@testing-library/react';
import { lifeOf, momentOf, STATIONS } from '@/core/work/timeline';
import { formula, madeOf } from '@/core/testing/made';
import { acrossOf } from '@/core/model/vessel';
import { PairStage, type OfPair } from './PairStage';

// Nothing paints a canvas here.
HTMLCanvasElement.prototype.getContext = () => null;
afterEach(cleanup);

const of = (id: string, change: (p: ReturnType<typeof formula>) => ReturnType<typeof formula> = (p) => p): OfPair => {
  const forecast = madeOf(change(formula(id)));
  return { name: forecast.light.family.name, forecast, life: lifeOf(forecast) };
};
const radish = of('radish-slab');
const taro = of('taro-slab');
const cups = of('dimpled-cups');

/** How wide the pan's body is drawn: from its depth bracket back to the middle, twice, less the gap. */
const halfPan = (svg: Element): number => {
  const bracket = svg.querySelector('path[stroke="var(--ink)"][fill="none"][d*="h8M"]')?.getAttribute('d') ?? '';
  return Number(/^M([\d.]+),/.exec(bracket)?.[1]) - 8 - Number(svg.getAttribute('viewBox')?.split(' ')[2]) / 2;
};

test('two pans stand on one base line at one scale', () => {
  const { container } = render(<PairStage pair={[radish, taro]} atS={momentOf(radish.life, 'steam')} />);
  const [a, b] = container.querySelectorAll('svg[aria-label*="batter"]');
  const across = [radish, taro].map((p) => acrossOf(p.forecast.light.resolved.vessel));
  expect(halfPan(a) / halfPan(b)).toBeCloseTo(across[0] / across[1], 2);
  expect(a.getAttribute('viewBox')).toBe(b.getAttribute('viewBox'));
});

test('trays of cups that differ are drawn at the scale of the one that fits less', () => {
  const { vessel } = cups.forecast.light.resolved;
  if (vessel.shape === 'rectangular') throw new Error('cups are round');
  const larger = of('dimpled-cups', (p) => ({ ...p, vessel: { ...vessel, diameterM: 1.5 * vessel.diameterM } }));
  const { container } = render(<PairStage pair={[cups, larger]} atS={momentOf(cups.life, 'steam')} />);
  const scales = [...container.querySelectorAll('text')]
    .map((t) => /to scale (.*)$/.exec(t.textContent)?.[1])
    .filter((s) => s !== undefined);
  expect(scales).toHaveLength(2);
  expect(scales[0]).toBe(scales[1]);
});

test.each(STATIONS)('at %s both are what they then are, and nothing of them can be taken hold of', (station) => {
  render(<PairStage pair={[radish, cups]} atS={momentOf(radish.life, station)} />);
  expect(screen.getAllByRole('figure')).toHaveLength(2);
  expect(screen.queryAllByRole('slider')).toEqual([]);
  expect(screen.getAllByRole('figure').every((f) => f.querySelector('svg') !== null)).toBe(true);
});

/** @jest-environment jsdom */
import { cleanup, render } from '@testing-library/react';
import { FAMILIES } from '@/core/families';
import type { Forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { cakeAt, lifeOf, momentOf, STATIONS, type CakeState, type Life } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { formula, madeOf } from '@/core/testing/made';
import { someOf } from '@/core/testing/runs';
import { METRIC, type UnitChoice } from '@/core/units';
import { NamesKept, UnitsProvider } from '../kit';
import { CakeView } from './CakeView';
import { Stage } from './Stage';

// Nothing paints a canvas here.
HTMLCanvasElement.prototype.getContext = () => null;
afterEach(cleanup);

/** How wide a sign of the drawings' letters is on the whole, as a share of its height. */
const SIGN = 0.52;
/** Letters may stand so far over the edge, drawing units: it is cut off there. */
const OVER = 2;

/** With long names, on which words must give way. */
const named = (plan: Plan): Plan => ({
  ...plan,
  batters: plan.batters.map((b) => ({
    ...b,
    name: `${b.name} for the novices and everybody who rowed on Sunday morning`,
  })),
});
/** Moments of a life: each station's own, and the edges and middles of stretches. */
const momentsOf = (life: Life): readonly number[] => [
  ...STATIONS.map((s) => momentOf(life, s)),
  ...someOf(life.segments).flatMap(({ fromS, toS }) => (toS > fromS ? [fromS + 1, (fromS + toS) / 2, toS - 1] : [])),
];
/** A stage on which the needle goes from moment to moment. */
function stageOf(f: Forecast, life: Life, narrow: boolean, units: UnitChoice = METRIC) {
  const { container, rerender } = render(null);
  const { vessel, steamer, fryingPan } = f.light.resolved;
  return (atS: number, state: CakeState): HTMLElement => {
    const shared = { forecast: f, life, atS, state, edit: () => undefined };
    rerender(
      <UnitsProvider units={units}>
        <NamesKept names={[vessel, steamer, fryingPan].map((x) => x.name)}>
          {narrow ? (
            <CakeView {...shared} show="heat" width={358} mostY={96} />
          ) : (
            <Stage {...shared} plan={f.light.resolved.document} kitchen={emptyKitchen()} heating={false} />
          )}
        </NamesKept>
      </UnitsProvider>,
    );
    return container;
  };
}

interface Box {
  readonly words: string;
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
}
/** Where a drawing's words stand, in its own units; capitals and figures are three quarters as high as their size. */
function boxOf(text: SVGTextElement): Box {
  const words = text.textContent;
  const size = Number(text.getAttribute('font-size'));
  const wide = SIGN * size * words.length;
  const left = { start: 0, middle: wide / 2, end: wide }[text.getAttribute('text-anchor') ?? 'start'] ?? 0;
  let [x, y] = [Number(text.getAttribute('x')) - left, Number(text.getAttribute('y'))];
  for (let up = text.parentElement; up && up.tagName !== 'svg'; up = up.parentElement) {
    const by = /^translate\((-?[\d.]+)[ ,]+(-?[\d.]+)/.exec(up.getAttribute('transform') ?? '');
    x += Number(by?.[1] ?? 0);
    y += Number(by?.[2] ?? 0);
  }
  return { words, x: [x, x + wide], y: [y - 0.75 * size, y] };
}
const meet = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]) => Math.min(b, d) - Math.max(a, c);

describe.each(FAMILIES.map((f, n) => [f.id, n] as const))('%s on its stage, at every moment', (id, n) => {
  const f = madeOf(named(formula(id)));
  const life = lifeOf(f);
  const looks = someOf(['on a page', 'on a phone', 'in ounces'] as const, n);
  for (const look of looks.filter((l) => l !== 'in ounces'))
    test(`${look}: figures are figures, words stay inside and apart, and each drawing has its text`, () => {
      const drawn = stageOf(f, life, look === 'on a phone');
      for (const atS of momentsOf(life)) {
        const state = cakeAt(life, f, atS);
        if (!state) throw new Error(`nothing at ${atS} s`);
        const container = drawn(atS, state);
        const where = `${state.is} at ${Math.round(atS)} s`;
        expect([where, /NaN|undefined|Infinity|null/.exec(container.innerHTML)?.[0]]).toEqual([where, undefined]);
        const pictures = [...container.querySelectorAll('svg')].filter((s) => s.hasAttribute('viewBox'));
        expect([where, pictures.length > 0]).toEqual([where, true]);
        expect([where, pictures.every((s) => (s.getAttribute('aria-label') ?? '').length > 10)]).toEqual([where, true]);
        for (const s of pictures) {
          const wide = Number(s.getAttribute('viewBox')?.split(' ')[2]);
          const boxes = [...s.querySelectorAll('text')].map(boxOf);
          const said = (t: Box) => `"${t.words}" from ${t.x[0].toFixed(0)} to ${t.x[1].toFixed(0)}`;
          const faults = boxes.flatMap((t, i) => [
            ...(t.x[0] < -OVER || t.x[1] > wide + OVER ? [`${where}: ${said(t)} of ${wide}`] : []),
            ...boxes
              .slice(0, i)
              .filter((o) => meet(o.x, t.x) > OVER && meet(o.y, t.y) > OVER)
              .map((o) => `${where}: ${said(t)} over ${said(o)}`),
          ]);
          expect(faults).toEqual([]);
        }
      }
    });
  if (looks.includes('in ounces'))
    test('in ounces, inches and °F its drawings say no other unit', () => {
      const drawn = stageOf(f, life, false, { ...METRIC, mass: 'oz', length: 'in', temp: 'F' });
      const { vessel, steamer, fryingPan } = f.light.resolved;
      const names = [vessel, steamer, fryingPan].map((x) => x.name);
      for (const atS of momentsOf(life)) {
        const state = cakeAt(life, f, atS);
        if (!state) throw new Error(`nothing at ${atS} s`);
        const container = drawn(atS, state);
        const said = [...container.querySelectorAll('svg, text, span, button, [aria-valuetext]')].flatMap((e) => [
          e.tagName === 'svg' ? '' : e.textContent,
          e.getAttribute('aria-label') ?? '',
          e.getAttribute('aria-valuetext') ?? '',
        ]);
        const left = said
          .map((words) => names.reduce((w, name) => w.replaceAll(name, ''), words))
          .flatMap((words) => [...words.matchAll(/.{0,30}?(\d+(?:\.\d+)?)\s?(g|kg|mm|cm|°C)(?![\w/])/g)])
          .filter(([, n, unit]) => unit !== 'g' || Number(n) >= 3);
        expect([state.is, left.map((m) => m[0])]).toEqual([state.is, []]);
      }
    });
});

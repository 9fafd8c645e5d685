import type { Fix } from '../../stations/mix';
import { larderOf } from '../../larder';
import { weighed, type Line, type Plan } from '../../plan';
import { becoming } from './becoming';
import type { Around, Row } from './way.types';

/** The plan with the lines of its batters that pass a test scaled, and what is wanted of liquid with them. */
function scaledLines(plan: Plan, by: number, test: (l: Line) => boolean, wanted: boolean): Plan {
  return {
    ...plan,
    batters: plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l) => (test(l) ? weighed(l, Math.round(l.massG * by * 100) / 100) : l)),
      ...(wanted && b.wantedLiquidG !== undefined
        ? { wantedLiquidG: Math.round(b.wantedLiquidG * by * 100) / 100 }
        : {}),
    })),
  };
}
/** The larder of the kitchen with what the plan carries: there also where the plan cannot be read. */
export const larderIn = ({ look: { plan }, kitchen }: Around) =>
  larderOf([...kitchen.ingredients, ...plan.ingredients]);
const rows = (x: Around, by: readonly number[], words: (pct: number) => string, kind: string, wanted: boolean): Row => {
  const larder = larderIn(x);
  return by.map((f): Fix =>
    becoming(
      words(Math.round(100 * Math.abs(f - 1))),
      x.look.plan,
      scaledLines(x.look.plan, f, (l) => larder.get(l.ingredient)?.kind === kind, wanted),
    ),
  );
};

/** More liquid in every batter, a tenth at a time. */
export const moreLiquid = (x: Around): Row =>
  rows(x, [1.1, 1.2, 1.35, 1.5], (pct) => `${pct} % more liquid`, 'liquid', true);
/** Less of it. */
export const lessLiquid = (x: Around): Row =>
  rows(x, [0.9, 0.8, 0.7, 0.6, 0.5], (pct) => `${pct} % less liquid`, 'liquid', true);
/** Less sugar. */
export const lessSugar = (x: Around): Row => rows(x, [0.85, 0.7, 0.55], (pct) => `${pct} % less sugar`, 'sugar', false);

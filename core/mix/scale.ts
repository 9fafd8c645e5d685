import type { Line, Plan } from '../plan';

const line = (l: Line, by: number): Line => ({
  ...l,
  massG: l.massG * by,
  ...(l.weighedG === undefined ? {} : { weighedG: l.weighedG * by }),
  ...(l.drawSaltG === undefined ? {} : { drawSaltG: l.drawSaltG * by }),
});

/**
 * A plan scaled by a factor: every mass follows, yeast and salt included; times are left to be recomputed, never multiplied.
 * Sauces follow the guests, not the cake.
 * @param by factor, > 0
 */
export function scalePlan(plan: Plan, by: number): Plan {
  return {
    ...plan,
    batters: plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l) => line(l, by)),
      ...(b.wantedLiquidG === undefined ? {} : { wantedLiquidG: b.wantedLiquidG * by }),
      ...(b.pouredOffG === undefined ? {} : { pouredOffG: b.pouredOffG * by }),
    })),
    addIns: plan.addIns.map((l) => line(l, by)),
  };
}

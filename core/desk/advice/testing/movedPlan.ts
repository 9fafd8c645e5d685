import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../../../families';
import type { Line, Plan } from '../../../plan';

/** A shipped formula with some lines, its liquid, its count and its layers moved by a factor. */
export const movedPlan: fc.Arbitrary<Plan> = fc
  .tuple(
    fc.constantFrom(...FAMILIES),
    fc.array(fc.tuple(fc.nat(30), fc.double({ min: 0.2, max: 3, noNaN: true })), { minLength: 1, maxLength: 3 }),
    fc.double({ min: 0.5, max: 2, noNaN: true }),
    fc.integer({ min: -3, max: 6 }),
  )
  .map(([family, factors, liquid, more]): Plan => {
    const plan = formulaOf(family);
    const all = [...plan.batters.flatMap((b) => b.lines), ...plan.addIns];
    const by = new Map(factors.map(([n, f]) => [all[n % all.length].id, f]));
    const scaled = (l: Line): Line => ({ ...l, massG: l.massG * (by.get(l.id) ?? 1) });
    return {
      ...plan,
      vesselCount: Math.max(1, plan.vesselCount + (plan.vesselCount > 3 ? more : 0)),
      layers: plan.layers === undefined ? undefined : Math.max(2, plan.layers + more),
      addIns: plan.addIns.map(scaled),
      batters: plan.batters.map((b) => ({
        ...b,
        lines: b.lines.map(scaled),
        ...(b.wantedLiquidG === undefined ? {} : { wantedLiquidG: b.wantedLiquidG * liquid }),
      })),
    };
  });

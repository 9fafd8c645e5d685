import type { Line } from './lineSchema';
import type { Plan } from './schema';

const scaled = (l: Line, by: number): Line => ({
  ...l,
  massG: l.massG * by,
  ...(l.drawSaltG === undefined ? {} : { drawSaltG: l.drawSaltG * by }),
  ...(l.frySaltG === undefined ? {} : { frySaltG: l.frySaltG * by }),
});

/** A reading in grams follows the batch; degrees, seconds and the ruler's millimetres do not. */
const scaledReadings = (readings: Plan['readings'], by: number): Plan['readings'] =>
  Object.fromEntries(
    Object.entries(readings).map(([node, slots]) => [
      node,
      Object.fromEntries(Object.entries(slots).map(([slot, x]) => [slot, slot.endsWith('G') ? x * by : x])),
    ]),
  );

/**
 * A plan scaled by a factor: every mass follows, yeast, salt and weighed grams included; times are left to be recomputed, never multiplied.
 * Sauces follow the guests, not the cake, unless they are made by the batch or the pack.
 * @param by factor, > 0
 */
export function scalePlan(plan: Plan, by: number): Plan {
  return {
    ...plan,
    batters: plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l) => scaled(l, by)),
      ...(b.wantedLiquidG === undefined ? {} : { wantedLiquidG: b.wantedLiquidG * by }),
      ...(b.pouredOffG === undefined ? {} : { pouredOffG: b.pouredOffG * by }),
    })),
    addIns: plan.addIns.map((l) => scaled(l, by)),
    fillings: plan.fillings.map((f) => ({ ...f, lines: f.lines.map((l) => scaled(l, by)) })),
    colours: plan.colours.map((c) => ({ ...c, lines: c.lines.map((l) => scaled(l, by)) })),
    accompaniments: plan.accompaniments.map((a) =>
      a.amount.by === 'batch'
        ? { ...a, amount: { by: 'batch', grams: a.amount.grams * by } }
        : a.amount.by === 'pack'
          ? { ...a, amount: { by: 'pack', packs: a.amount.packs * by } }
          : a,
    ),
    readings: scaledReadings(plan.readings, by),
  };
}

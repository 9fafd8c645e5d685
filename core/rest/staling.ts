/** Where a cake is kept. */
export type Keeping = 'chilled' | 'room' | 'frozen';

export interface StalingInput {
  /** The "hardens" axis of the blend, 0–10. */
  readonly hardens: number;
  readonly firm: number;
  readonly chewy: number;
  /** Share of amylose in the starch, 0–1. */
  readonly amylose: number;
}
export interface StalingPoint {
  readonly days: number;
  readonly hardness: number;
  readonly chew: number;
}

const AMYLOSE_S = 3 * 3600;
const DAY_S = 86_400;
/** Amylopectin at 4 °C: Avrami n = 1, half done in about a day and a half. */
const RATE_4C = Math.LN2 / (1.5 * DAY_S);
const WIDTH_C = 14;
const KEEP_C: Readonly<Record<Keeping, number>> = { chilled: 4, room: 22, frozen: -18 };

/** Recrystallising rate of amylopectin, 1/s: highest near 4 °C, near nothing above 60 °C and when frozen. */
export function recrystallisingRate(tempC: number): number {
  if (tempC <= -5 || tempC >= 60) return 0;
  return RATE_4C * Math.exp(-(((tempC - 4) / WIDTH_C) ** 2));
}

/**
 * Firmness and chew over days: the amylose part sets in hours, the amylopectin part recrystallises (Avrami, n = 1); both lift hardness by the
 * blend's "hardens" axis. Re-steaming above 65 °C sets the clock back to the start.
 * @returns one point each six hours
 */
export function staling(input: StalingInput, keeping: Keeping, days = 5): readonly StalingPoint[] {
  const rate = recrystallisingRate(KEEP_C[keeping]);
  return Array.from({ length: days * 4 + 1 }, (_, i) => {
    const t = (i / 4) * DAY_S;
    const set = input.amylose * (1 - Math.exp(-t / AMYLOSE_S)) + (1 - input.amylose) * (1 - Math.exp(-rate * t));
    const gain = (input.hardens / 10) * set;
    return {
      days: i / 4,
      hardness: Math.min(10, input.firm + gain * (10 - input.firm)),
      chew: Math.max(0, input.chewy * (1 - 0.6 * gain)),
    };
  });
}

/** Days until it is this much harder than fresh; the end of the list when it never is. */
export function daysUntilHarder(points: readonly StalingPoint[], by = 1.2): number {
  const first = points[0]?.hardness ?? 0;
  return points.find((p) => p.hardness > first + by)?.days ?? points[points.length - 1]?.days ?? 0;
}

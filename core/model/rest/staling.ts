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

/** How it is wrapped while it keeps: under film, open, or in a box. */
export type Wrap = 'film' | 'open' | 'box';

/**
 * What the wrap does, house figures: an open top dries on the first day and toughens; under film moisture evens out and the cake is a little
 * softer after a day; a box lies between.
 */
const WRAPS: Readonly<Record<Wrap, { readonly dries: number; readonly evens: number }>> = {
  film: { dries: 0, evens: 0.06 },
  box: { dries: 0.12, evens: 0.03 },
  open: { dries: 0.35, evens: 0 },
};

/** How it cooled, from the steam on: seconds and mean °C. */
export type Cooled = readonly { readonly timeS: number; readonly meanC: number }[];

/** Amylose sets below this, °C. */
const AMYLOSE_SETS_C = 60;

/** ∫ rate dt of both parts over the cooling as it was computed, up to a time; then as it is kept. */
function setBy(timeS: number, cooled: Cooled, keptC: number): { amylose: number; amylopectin: number } {
  let amylose = 0;
  let amylopectin = 0;
  let at = 0;
  for (let i = 1; i < cooled.length && at < timeS; i++) {
    const to = Math.min(timeS, cooled[i].timeS);
    const mean = (cooled[i - 1].meanC + cooled[i].meanC) / 2;
    if (mean < AMYLOSE_SETS_C) amylose += (to - at) / AMYLOSE_S;
    amylopectin += recrystallisingRate(mean) * (to - at);
    at = to;
  }
  const rest = Math.max(0, timeS - at);
  return {
    amylose: amylose + rest / AMYLOSE_S,
    amylopectin: amylopectin + recrystallisingRate(keptC) * rest,
  };
}

/**
 * Firmness and chew over days: the amylose part sets in hours, the amylopectin part recrystallises (Avrami, n = 1); both lift hardness by the
 * blend's "hardens" axis, along the cooling as it was computed and then where it is kept. Re-steaming above 65 °C sets the clock back to the
 * start.
 * @param cooled the cooling; none: kept where it is from the start
 * @returns one point each six hours
 */
export function staling(
  input: StalingInput,
  keeping: Keeping,
  days = 5,
  wrap: Wrap = 'film',
  cooled: Cooled = [],
): readonly StalingPoint[] {
  const { dries, evens } = WRAPS[wrap];
  return Array.from({ length: days * 4 + 1 }, (_, i) => {
    const t = (i / 4) * DAY_S;
    const by = setBy(t, cooled, KEEP_C[keeping]);
    const set = input.amylose * (1 - Math.exp(-by.amylose)) + (1 - input.amylose) * (1 - Math.exp(-by.amylopectin));
    const firstDay = keeping === 'frozen' ? 0 : 1 - Math.exp((-2 * t) / DAY_S);
    const gain = Math.min(1, Math.max(0, (input.hardens / 10) * set + (dries - evens) * firstDay));
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

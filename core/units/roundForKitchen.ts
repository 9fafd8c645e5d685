/** How finely a kitchen measures an ingredient: yeast and alkali to 0.1 g, the rest to 1 g or 5 g. */
export type Fineness = 'ordinary' | 'fine';

export interface Rounded {
  readonly value: number;
  /** Signed error of the rounding, share of the true amount. */
  readonly error: number;
  /** True when the error is above 3 % and must be said. */
  readonly mustSay: boolean;
}

const SAID_ABOVE = 0.03;

const rounded = (exact: number, value: number): Rounded => {
  const error = exact === 0 ? 0 : value / exact - 1;
  return { value, error, mustSay: Math.abs(error) > SAID_ABOVE };
};

/** Nearest multiple of `step`. */
const toStep = (x: number, step: number): number => Number((Math.round(x / step) * step).toFixed(6));

/**
 * Grams as a kitchen scale shows them: 0.1 g for yeast and alkali (and anything under 10 g), 1 g under 100 g, 5 g above.
 * Falls back to the next finer step when rounding would cost more than 3 %.
 * @example roundGrams(268).value // 270
 */
export function roundGrams(massG: number, fineness: Fineness = 'ordinary'): Rounded {
  const [step, finer] =
    fineness === 'fine' || Math.abs(massG) < 10 ? ([0.1] as const) : Math.abs(massG) < 100 ? [1, 0.1] : [5, 1];
  const r = rounded(massG, toStep(massG, step));
  return r.mustSay && finer !== undefined ? rounded(massG, toStep(massG, finer)) : r;
}

/** Volume to the nearest ¼ teaspoon (below 15 ml, in teaspoons) or ⅛ cup (in cups). */
export function roundSpoonOrCup(amount: number, unit: 'tsp' | 'tbsp' | 'cup'): Rounded {
  return rounded(amount, toStep(amount, unit === 'cup' ? 0.125 : 0.25));
}

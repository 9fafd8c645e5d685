/**
 * Minutes of fermenting, s: t = t₀ (dose₀/dose)^0.8 · 2^((28 − T)/9), t₀ = 60 min at 1 % dry yeast on the dry blend, valid 18–38 °C;
 * sugar above 25 % of the water phase slows it × (1 + 2 (s − 0.25)). Ground grain with little yeast: t₀ = 8 h.
 * @param dosePct dry yeast, % of the dry blend
 * @returns seconds, or undefined outside the valid range
 */
export function fermentTime(
  dosePct: number,
  tempC: number,
  sugarPhase: number,
  groundGrain = false,
): number | undefined {
  if (dosePct <= 0 || tempC < 18 || tempC > 38) return undefined;
  const t0 = (groundGrain ? 480 : 60) * 60;
  return t0 * (1 / dosePct) ** 0.8 * 2 ** ((28 - tempC) / 9) * (1 + 2 * Math.max(0, sugarPhase - 0.25));
}

/** Where the batter should land for yeast, °C, and the temperature it must never pass. */
export const YEAST_C = { low: 36, high: 40, never: 43 } as const;

/**
 * Yeast: cardinal temperature model with inflection (Rosso, Lobry and Flandrois 1993), T_min 2, T_opt 34, T_max 44 °C,
 * scaled so that 1 % dry yeast on the dry blend takes 60 min at 28 °C (ground grain with little yeast: 8 h).
 */
const T_MIN = 2;
const T_OPT = 34;
const T_MAX = 44;

/** Where the batter should land for yeast, °C, the temperature it must never pass, and where yeast dies. */
export const YEAST_C = { low: 36, high: 40, never: 43, dies: 46 } as const;

const shape = (t: number): number => {
  if (t <= T_MIN || t >= T_MAX) return 0;
  const a = (t - T_MAX) * (t - T_MIN) ** 2;
  const b = (T_OPT - T_MIN) * ((T_OPT - T_MIN) * (t - T_OPT) - (T_OPT - T_MAX) * (T_OPT + T_MIN - 2 * t));
  return a / b;
};
const AT_28 = shape(28);

/** Rate of fermenting relative to 28 °C; 0 outside 2 to 44 °C. */
export const yeastRate = (tempC: number): number => shape(tempC) / AT_28;

export interface FermentInput {
  /** Dry yeast, % of the dry blend. */
  readonly dosePct: number;
  /** Sugar ÷ (sugar + water). */
  readonly sugarPhase: number;
  readonly groundGrain: boolean;
  /** Temperature at a time from the start, °C. */
  readonly tempC: (timeS: number) => number;
}

const LONGEST_S = 48 * 3600;
const STEPS_EACH = 24;

/**
 * Seconds until the batter has risen: ∫ r(T(t)) dt = t₀ (1 %/dose)^0.8 (1 + 2 max(0, s − 0.25)).
 * @returns undefined when there is no yeast, it is too hot or cold for it, or it takes over two days
 */
export function fermentTimeS({ dosePct, sugarPhase, groundGrain, tempC }: FermentInput): number | undefined {
  if (dosePct <= 0 || tempC(0) > YEAST_C.dies) return undefined;
  const need = (groundGrain ? 480 : 60) * 60 * (1 / dosePct) ** 0.8 * (1 + 2 * Math.max(0, sugarPhase - 0.25));
  const dt = need / STEPS_EACH;
  let done = 0;
  for (let t = 0; t < LONGEST_S; t += dt) {
    const rate = yeastRate(tempC(t + dt / 2));
    if (done + rate * dt >= need) return t + (need - done) / rate;
    done += rate * dt;
  }
  return undefined;
}

/** Gas from baking powder: about 65 ml a gram (12 % carbon dioxide), a third at once and the rest hot. */
export const POWDER_GAS_ML_PER_G = 65;
export const POWDER_AT_ONCE = 1 / 3;
/** Share of the gas that knocking back drives out. */
export const KNOCKED_OUT = 0.6;

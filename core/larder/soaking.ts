import type { Ingredient } from './ingredientSchema';

/** Soaking runs twice as fast for every so many degrees (house figure after kitchen weighings). */
const DOUBLES_C = 15;
const AT_C = 20;

/** Time constant of water uptake at a water temperature, s: τ(T) = τ₂₀·2^(−(T − 20)/15). */
const tauAt = (tau20S: number, waterC: number): number => tau20S * 2 ** (-(waterC - AT_C) / DOUBLES_C);

/** Taken for what has no figure of its own: as rice. */
const USUAL = { gPerG: 0.3, tauS: 1200 } as const;

/** How dried things are usually soaked: so long, in water that a hand bears. */
export const USUAL_SOAK: Soak = { timeS: 1500, waterC: 45 };

/** A dried thing whose table entry is the soaked one: the plan gives its soaked weight. */
export const isSoaked = (i: Ingredient): boolean => i.uptake?.as === 'soaked';

/** Full uptake, g/g, and its time constant in water of a temperature, s. */
export const soakOf = (i: Ingredient, waterC: number): { readonly uptake: number; readonly tauS: number } => ({
  uptake: i.uptake?.gPerG ?? USUAL.gPerG,
  tauS: tauAt(i.uptake?.tauS ?? USUAL.tauS, waterC),
});

/**
 * Water taken up after a time, g a gram of dry: u = u∞ (1 − e^(−t/τ)); undefined for what does not soak.
 * @param waterC temperature the water is kept at, °C
 */
export function uptakeAfter(i: Ingredient, timeS: number, waterC: number): number | undefined {
  const u = i.uptake;
  if (!u) return undefined;
  return u.tauS === undefined ? u.gPerG : u.gPerG * (1 - Math.exp(-Math.max(0, timeS) / tauAt(u.tauS, waterC)));
}

/** How long and in what water something soaks; absent: fully. */
export interface Soak {
  readonly timeS: number;
  readonly waterC: number;
}
const taken = (i: Ingredient, soak: Soak | undefined): number =>
  soak === undefined ? (i.uptake?.gPerG ?? 0) : (uptakeAfter(i, soak.timeS, soak.waterC) ?? 0);

/** Soaked grams of a dry mass, fully soaked (or cooked) or after a soak, g. */
export const soakedFromDry = (i: Ingredient, dryG: number, soak?: Soak): number => dryG * (1 + taken(i, soak));
/** Dry grams that give a soaked mass, fully soaked or after a soak, g. */
export const dryFromSoaked = (i: Ingredient, soakedG: number, soak?: Soak): number => soakedG / (1 + taken(i, soak));

import { GAS_R, KELVIN, saturationPa, saturationSlope } from '../units';

/**
 * Thermal properties of a food from its composition: Choi & Okos (1986).
 * Each component has k (W/m·K), ρ (kg/m³) and c (J/kg·K) as quadratics in T (°C), valid −40…150 °C.
 * Mixture: 1/ρ = Σ xᵢ/ρᵢ ; k = Σ φᵢ kᵢ with volume shares φᵢ = ρ xᵢ/ρᵢ ; c = Σ xᵢ cᵢ.
 */
export interface MassShares {
  readonly water: number;
  readonly protein: number;
  readonly fat: number;
  /** Starch and sugars. */
  readonly carbohydrate: number;
  readonly fibre: number;
  readonly ash: number;
}

type Quadratic = readonly [number, number, number];
interface ComponentLaw {
  readonly k: Quadratic;
  readonly rho: Quadratic;
  readonly c: Quadratic;
}

const LAWS: Readonly<Record<keyof MassShares, ComponentLaw>> = {
  water: {
    k: [0.57109, 1.7625e-3, -6.7036e-6],
    rho: [997.18, 3.1439e-3, -3.7574e-3],
    c: [4176.2, -9.0864e-2, 5.4731e-3],
  },
  protein: { k: [0.17881, 1.1958e-3, -2.7178e-6], rho: [1329.9, -0.5184, 0], c: [2008.2, 1.2089, -1.3129e-3] },
  fat: { k: [0.18071, -2.7604e-4, -1.7749e-7], rho: [925.59, -0.41757, 0], c: [1984.2, 1.4733, -4.8008e-3] },
  carbohydrate: { k: [0.20141, 1.3874e-3, -4.3312e-6], rho: [1599.1, -0.31046, 0], c: [1548.8, 1.9625, -5.9399e-3] },
  fibre: { k: [0.18331, 1.2497e-3, -3.1683e-6], rho: [1311.5, -0.36589, 0], c: [1845.9, 1.8306, -4.6509e-3] },
  ash: { k: [0.32962, 1.4011e-3, -2.9069e-6], rho: [2423.8, -0.28063, 0], c: [1092.6, 1.8896, -3.6817e-3] },
};
const PARTS = Object.keys(LAWS) as readonly (keyof MassShares)[];
const at = (q: Quadratic, t: number): number => q[0] + t * (q[1] + t * q[2]);

export interface ThermalProperties {
  /** Conductivity, W/(m·K). */
  readonly k: number;
  /** Density, kg/m³. */
  readonly rho: number;
  /** Specific heat, J/(kg·K). */
  readonly c: number;
}

const SEA_LEVEL_PA = 101_325;
/** Still air, W/(m·K). */
const AIR_K = 0.03;
/** Vapour in air: diffusion at 25 °C, m²/s, its exponent, and heat of vaporisation, J/mol. */
const DIFFUSION = 2.6e-5;
const DIFFUSION_EXPONENT = 1.8;
const LATENT_MOL = 42_000;
/** What closed bubbles let through of it, and the most that Stefan flow multiplies it. */
const CLOSED = 0.6;
const STEFAN_MOST = 15;

/**
 * Conductivity of a wet bubble, W/(m·K): air, and vapour that evaporates at its hot side and condenses at its cold one,
 * 0.6·(D·L/(R·T))·(dp/dT)·P/(P − p) (after Krischer).
 * @param pressurePa of the surroundings, Pa
 */
export function poreConductivity(tempC: number, pressurePa = SEA_LEVEL_PA): number {
  const kelvin = tempC + KELVIN;
  const d = DIFFUSION * (kelvin / 298) ** DIFFUSION_EXPONENT;
  const p = saturationPa(tempC);
  const stefan = p < pressurePa ? Math.min(STEFAN_MOST, pressurePa / (pressurePa - p)) : STEFAN_MOST;
  return AIR_K + CLOSED * ((d * LATENT_MOL) / (GAS_R * kelvin)) * saturationSlope(tempC) * stefan;
}

/** A material with inclusions of another, the first continuous: Maxwell–Eucken, W/(m·K). @param share volume of the inclusions, 0–1 */
export const maxwell = (k: number, within: number, share: number): number =>
  (k * (2 * k + within - 2 * share * (k - within))) / (2 * k + within + share * (k - within));

/**
 * Properties at one temperature, with trapped gas of volume share ε: ρ and nothing else by (1 − ε), k by Maxwell–Eucken with wet bubbles
 * in a continuous food.
 * @param shares mass shares, summing to 1
 * @param tempC temperature, °C
 * @param gasShare ε, 0–0.9
 * @param pressurePa of the surroundings, Pa
 */
export function thermalProperties(
  shares: MassShares,
  tempC: number,
  gasShare = 0,
  pressurePa = SEA_LEVEL_PA,
): ThermalProperties {
  let specificVolume = 0;
  let kTimesVolume = 0;
  let c = 0;
  for (const part of PARTS) {
    const x = shares[part];
    if (x === 0) continue;
    const law = LAWS[part];
    const v = x / at(law.rho, tempC);
    specificVolume += v;
    kTimesVolume += v * at(law.k, tempC);
    c += x * at(law.c, tempC);
  }
  const rho = 1 / specificVolume;
  const k = kTimesVolume / specificVolume;
  if (gasShare <= 0) return { k, rho, c };
  return { k: maxwell(k, poreConductivity(tempC, pressurePa), gasShare), rho: rho * (1 - gasShare), c };
}

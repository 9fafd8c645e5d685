import { KELVIN, LATENT_WARM, saturationPa } from '../../units';

/** Stefan–Boltzmann constant, W/(m²·K⁴). */
const SIGMA = 5.670374e-8;
/** Emissivity of a cake, of bare metal, and of every other wall. */
export const EMISSIVITY = { cake: 0.95, metal: 0.2, wall: 0.9 } as const;
/**
 * Free convection round a warm body, laminar, in air: h = C·(ΔT/L)^¼, W/(m²·K) (McAdams 1954). A top and a base have L = area ÷ perimeter
 * (Lloyd and Moran 1974), a wall its height. For a plate of 20 cm that is 2.8·ΔT^¼ above, 1.2 below, 3.0 at the side.
 */
const FREE = { top: 1.32, wall: 1.42, base: 0.59 } as const;
/** Forced convection along a plate, laminar: h = 0.664·(k/L)·Re^½·Pr^⅓ (Pohlhausen 1921), W/(m²·K) at 1 m/s along 1 m of air at 40 °C. */
const FORCED = 0.664 * 0.0271 * Math.sqrt(1 / 1.7e-5) * Math.cbrt(0.71);
export const freeFactor = (side: keyof typeof FREE, lengthM: number): number => FREE[side] * lengthM ** -0.25;
/** Air at room temperature: density, kg/m³, specific heat, J/(kg·K); Lewis number of water vapour in it, to the two thirds. */
const AIR_RHO = 1.2;
const AIR_C = 1006;
const LEWIS = 0.9;
const VAPOUR_R = 461.5;
/** One less the ratio of the molar masses of water and air. */
const LIGHTER = 0.378;
const SEA_LEVEL_PA = 101_325;
/** A wet top's wetness, and what it falls to as it skins, in a time constant, s. */
const WET = 0.5;
const SKINNED = 0.3;
const SKINS_S = 3600;

/** Density of water vapour at saturation, kg/m³. */
const vapour = (tempC: number): number => saturationPa(tempC) / (VAPOUR_R * (tempC + KELVIN));

/** Share of a wet top that gives off vapour as freely as water, after so long uncovered. */
export const wetness = (uncoveredS: number): number =>
  SKINNED + (WET - SKINNED) * Math.exp(-Math.max(0, uncoveredS) / SKINS_S);

export interface Air {
  readonly tempC: number;
  /** Relative humidity, 0–1. */
  readonly humidity: number;
  /** Coefficient of blown air, W/(m²·K); absent: no fan. */
  readonly blownH?: number;
  /** Draught, m/s; absent: none. */
  readonly draughtMs?: number;
}

/** A face in air: emissivity, share that is wet, and what free convection is times ΔT^¼, W/(m²·K^1.25). */
export interface Face {
  readonly emissivity: number;
  readonly wet: number;
  readonly free: number;
  /** Length that air passes along it, m. */
  readonly alongM: number;
}

/** What of a film is the air's and the face's own, whatever the surface: worked out once. */
function lossLaw(air: Air, face: Omit<Face, 'wet'>): (surfaceC: number, wet: number) => number {
  const airPa = air.humidity * saturationPa(air.tempC);
  const airVapour = air.humidity * vapour(air.tempC);
  const airK2 = (air.tempC + KELVIN) * (air.tempC + KELVIN);
  const forced = air.draughtMs === undefined ? 0 : FORCED * Math.sqrt(air.draughtMs / face.alongM);
  const forced3 = forced * forced * forced;
  const radiating = face.emissivity * SIGMA;
  const evaporating = LATENT_WARM / (AIR_RHO * AIR_C * LEWIS);
  return (surfaceC, wet) => {
    const rise = surfaceC - air.tempC;
    const k = surfaceC + KELVIN;
    const surfacePa = wet > 0 ? saturationPa(surfaceC) : 0;
    let convection = air.blownH;
    if (convection === undefined) {
      // Moist air is light: what rises over a wet face counts its vapour too (virtual temperature).
      const moist = wet > 0 ? wet * Math.max(0, surfacePa - airPa) : 0;
      const lift = Math.max(Math.abs(rise + (LIGHTER * moist * k) / SEA_LEVEL_PA), 0.05);
      const free = face.free * Math.sqrt(Math.sqrt(lift));
      // Free and forced together: the cube root of the sum of their cubes (Churchill 1977).
      convection = forced3 > 0 ? Math.cbrt(free * free * free + forced3) : free;
    }
    const radiation = radiating * (k * k * k * k - airK2 * airK2);
    const evaporation =
      wet > 0 ? wet * convection * evaporating * Math.max(0, surfacePa / (VAPOUR_R * k) - airVapour) : 0;
    return radiation + convection * rise + evaporation;
  };
}

/** Heat from a surface to air round it, W/m²: radiation, convection, and evaporation by Lewis where it is wet. */
export const lossTo = (air: Air, surfaceC: number, face: Face): number => lossLaw(air, face)(surfaceC, face.wet);

type Film = { readonly filmH: number; readonly ambientC: number };

/** A loss as a film and a temperature, linearised about a surface temperature: q ≈ h·(T − T_far). */
function filmOf(loss: (surfaceC: number, wet: number) => number, surfaceC: number, wet: number): Film {
  const d = 0.25;
  const q = loss(surfaceC, wet);
  const filmH = Math.max(0.5, (loss(surfaceC + d, wet) - loss(surfaceC - d, wet)) / (2 * d));
  return { filmH, ambientC: surfaceC - q / filmH };
}
export const airFilm = (air: Air, surfaceC: number, face: Face): Film => filmOf(lossLaw(air, face), surfaceC, face.wet);

/** Surface temperatures, °C, and wetnesses that are told apart; and the temperatures that are kept, others are worked out each time. */
const STEP_C = 0.25;
const STEP_WET = 0.02;
const KEPT_C = { from: -40, to: 160 } as const;
const KEPT = (KEPT_C.to - KEPT_C.from) / STEP_C + 1;

/**
 * Films of one side by surface temperature and wetness, each worked out once: a cooling asks for the same few hundred over and over. A film
 * linearised a quarter of a degree off is the same to a thousandth.
 */
export function filmsIn(air: Air, face: Omit<Face, 'wet'>): (surfaceC: number, wet: number) => Film {
  const loss = lossLaw(air, face);
  const byWet: ((Film | undefined)[] | undefined)[] = [];
  return (surfaceC, wet) => {
    const t = Math.round(surfaceC / STEP_C);
    const w = Math.round(wet / STEP_WET);
    let known = byWet[w];
    if (!known) byWet[w] = known = new Array<Film | undefined>(KEPT).fill(undefined);
    const place = t - KEPT_C.from / STEP_C;
    const kept = known[place];
    if (kept) return kept;
    const made = filmOf(loss, t * STEP_C, w * STEP_WET);
    if (place >= 0 && place < KEPT) known[place] = made;
    return made;
  };
}

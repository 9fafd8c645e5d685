/** Absolute zero, °C. */
export const KELVIN = 273.15;
/** Molar gas constant, J/(mol·K). */
export const GAS_R = 8.314462618;
/** Latent heat of vaporisation of water at 100 °C, J/kg. */
export const LATENT_STEAM = 2_257_000;
/** The same at 50 °C, of what dries in air, J/kg. */
export const LATENT_WARM = 2_382_000;
/** Specific heat of water, J/(kg·K). */
export const WATER_J_KG_K = 4186;

/**
 * Boiling point of water by altitude, °C (house line: 100 − 0.0034·metres).
 * @example boilingPointC(1000) // 96.6
 */
export const boilingPointC = (altitudeM: number): number => 100 - 0.0034 * altitudeM;

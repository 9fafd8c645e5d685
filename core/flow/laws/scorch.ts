import { browningRate } from '../../model/batter';

/** Base of a usual pot, m², and conductivity of a paste, W/(m·K). */
const POT_BASE_M2 = 0.03;
const PASTE_K = 0.5;

/**
 * Seconds until what the spoon leaves on the bottom of the pot is golden, then scorched: a film that grows with thickness carries half of the
 * ring's heat, and browns by the law of searing at the temperature of its underside. House model.
 */
export function scorchS(viscosityMPas: number, powerW: number, boilC: number): number {
  const filmM = 0.0003 * Math.max(1, viscosityMPas / 1000) ** 0.2;
  const bottomC = boilC + ((0.5 * powerW) / POT_BASE_M2) * (filmM / PASTE_K);
  return 1 / browningRate(bottomC);
}

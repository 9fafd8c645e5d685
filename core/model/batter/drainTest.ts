import { bad, good, problem, type Result } from '../../units';
import { PHI_MAX } from './consistency';

/** House orifice relation for a 15 ml spoon: seconds until the stream breaks to drops, t = t₀ + c·η, t₀ = 1.5 s (water), c = 0.03 s per mPa·s. */
const EMPTY_S = 1.5;
const PER_MPAS = 0.03;

/** Viscosity a drain time speaks of, mPa·s. Error: `drain-too-fast` below the time of water. */
export function viscosityFromDrain(timeS: number): Result<number> {
  if (!(timeS > EMPTY_S))
    return bad(
      problem(
        'drain-too-fast',
        'drainS',
        `A spoon of water takes about ${EMPTY_S} s; time it again from the tilt until the stream breaks to drops.`,
      ),
    );
  return good((timeS - EMPTY_S) / PER_MPAS);
}

/** The drain time this batter should show, s. */
export const drainTimeFor = (viscosityMPas: number): number => EMPTY_S + PER_MPAS * viscosityMPas;

/**
 * Absorption of a flour calibrated from a drain test: φ from η by the inverse of Krieger & Dougherty,
 * φ = φm(1 − (η/η₀)^(−1/(2.5 φm))), and absorption in proportion to φ. A house test, kept within 0.9–3.
 * @param phi the model's volume share with the flour's present absorption
 * @param absorption the flour's present absorption
 */
export function absorptionFromDrain(timeS: number, phi: number, serumMPas: number, absorption: number): Result<number> {
  const eta = viscosityFromDrain(timeS);
  if (!eta.ok) return eta;
  if (phi <= 0) return bad(problem('no-flour', 'drainS', 'There is no flour in this batter to calibrate.'));
  if (eta.value <= serumMPas)
    return bad(
      problem(
        'drain-too-fast',
        'drainS',
        `This liquid alone would take ${drainTimeFor(serumMPas).toFixed(1)} s; time it again, or check that the flour is stirred up.`,
      ),
    );
  const there = PHI_MAX * (1 - (eta.value / serumMPas) ** (-1 / (2.5 * PHI_MAX)));
  return good(Math.min(3, Math.max(0.9, (absorption * there) / phi)));
}

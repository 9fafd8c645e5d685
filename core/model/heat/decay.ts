/** Beyond this the series below is not used. */
const SERIES_TO = 8;
const [S3, S4, S5, S6, S7, S8, S9] = [1 / 6, 1 / 24, 1 / 120, 1 / 720, 1 / 5040, 1 / 40320, 1 / 362880];

/**
 * Share gone after x time constants, 1 − e^(−x), x ≥ 0, to 10⁻¹²: Taylor's series of e^y − 1 at y = −x/32, doubled five times by
 * E(2y) = E(y)·(2 + E(y)). Several times as fast as the library's exponential, which is called once a cell and step.
 */
export function decayShare(x: number): number {
  if (!(x < SERIES_TO)) return 1 - Math.exp(-x);
  const y = x * (-1 / 32);
  const y2 = y * y;
  const y4 = y2 * y2;
  let e = y * (1 + y * 0.5) + y * y2 * (S3 + y * S4) + y * y4 * (S5 + y * S6 + y2 * (S7 + y * S8 + y2 * S9));
  e *= 2 + e;
  e *= 2 + e;
  e *= 2 + e;
  e *= 2 + e;
  e *= 2 + e;
  return -e;
}

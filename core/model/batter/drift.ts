/**
 * Temperature of a bowl of batter over a wait: dT/dt = −(T − place)/τ. House time constants for 1 kg in a bowl, stirred now and then:
 * uncovered 27 min at 75 °C, 38 at 60, 55 at 40 (convection, radiation, evaporation); covered, warming or chilled about 100 min; × (m/1 kg)^(1/3).
 */
const UNCOVERED_MIN: readonly (readonly [number, number])[] = [
  [20, 80],
  [40, 55],
  [60, 38],
  [75, 27],
  [95, 18],
];
const SLOW_MIN = 100;
/** Steps of the wait, each at most this long, s. */
const STEP_S = 240;
const MOST_STEPS = 32;

/** Time constant of 1 kg, uncovered and warmer than its place, s. */
export function uncoveredTauS(tempC: number): number {
  const p = UNCOVERED_MIN;
  if (tempC <= p[0][0]) return p[0][1] * 60;
  for (let i = 1; i < p.length; i++) {
    if (tempC <= p[i][0]) {
      const u = (tempC - p[i - 1][0]) / (p[i][0] - p[i - 1][0]);
      return (p[i - 1][1] + u * (p[i][1] - p[i - 1][1])) * 60;
    }
  }
  return p[p.length - 1][1] * 60;
}

/**
 * Temperature after a wait, °C.
 * @param covered a cloth or lid on the bowl
 */
export function driftedC(fromC: number, placeC: number, timeS: number, massG: number, covered: boolean): number {
  if (timeS <= 0 || massG <= 0) return fromC;
  const bulk = Math.cbrt(massG / 1000);
  if (covered || fromC <= placeC) return placeC + (fromC - placeC) * Math.exp(-timeS / (SLOW_MIN * 60 * bulk));
  let t = fromC;
  const steps = Math.min(MOST_STEPS, Math.max(2, Math.ceil(timeS / STEP_S)));
  const dt = timeS / steps;
  for (let i = 0; i < steps; i++) {
    // Midpoint rule: the time constant of the temperature half a step on.
    const half = placeC + (t - placeC) * Math.exp(-dt / 2 / (uncoveredTauS(t) * bulk));
    const tau = uncoveredTauS(half) * bulk;
    t = placeC + (t - placeC) * Math.exp(-dt / tau);
  }
  return t;
}

/** Seconds of waiting until a temperature is reached, s; undefined when it never is. */
export function waitToReachS(
  fromC: number,
  toC: number,
  placeC: number,
  massG: number,
  covered: boolean,
): number | undefined {
  if (fromC <= toC) return 0;
  if (toC <= placeC) return undefined;
  const bulk = Math.cbrt(massG / 1000);
  let t = fromC;
  let s = 0;
  while (t > toC && s < 24 * 3600) {
    const tau = (covered ? SLOW_MIN * 60 : uncoveredTauS(t)) * bulk;
    t = placeC + (t - placeC) * Math.exp(-30 / tau);
    s += 30;
  }
  return s;
}

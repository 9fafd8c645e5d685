/** Most evaluations of {@link rootOf}. */
const MOST = 40;

/**
 * Where a function that rises passes through nothing between two places: false position, each end that stays halved (the Illinois method,
 * Dowell and Jarratt 1971). An end at which it has already passed is the answer.
 * @param within so near, in x
 */
export function rootOf(f: (x: number) => number, from: number, to: number, within: number): number {
  let [low, high] = [from, to];
  let [atLow, atHigh] = [f(low), f(high)];
  if (atLow >= 0) return low;
  if (atHigh <= 0) return high;
  let side = 0;
  let x = low;
  for (let i = 0; i < MOST && high - low > within; i++) {
    const was = x;
    x = (low * atHigh - high * atLow) / (atHigh - atLow);
    const at = f(x);
    if (at === 0 || Math.abs(x - was) < within / 2) return x;
    if (at < 0) {
      [low, atLow] = [x, at];
      if (side < 0) atHigh /= 2;
      side = -1;
    } else {
      [high, atHigh] = [x, at];
      if (side > 0) atLow /= 2;
      side = 1;
    }
  }
  return x;
}

/** The 90 % point of the standard normal distribution: from one standard deviation to the ends of a 10–90 % interval. */
export const Z80 = 1.2816;

/** Standard normal density. */
export const normalPdf = (x: number): number => Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI);

/** Standard normal distribution function, via erf by Abramowitz & Stegun (1964) 7.1.26, |error| < 1.5e-7. */
export function normalCdf(x: number): number {
  if (x === Infinity) return 1;
  if (x === -Infinity) return 0;
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const erf =
    1 -
    t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp(-z * z);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Its inverse, by bisection, to 1e-6; 0 and 1 give ∓8. */
export function normalQuantile(p: number): number {
  let low = -8;
  let high = 8;
  for (let i = 0; i < 44; i++) {
    const mid = (low + high) / 2;
    if (normalCdf(mid) < p) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** Chance that what is as often sooner as later than a median is there by a time, log-normal. @param sigma of the logarithm */
export const chanceBy = (timeS: number, median: number, sigma: number): number =>
  timeS <= 0 ? 0 : normalCdf(Math.log(timeS / Math.max(median, 1)) / Math.max(sigma, 1e-6));

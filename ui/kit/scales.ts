/** A straight scale between two ranges, and back. */
export interface Scale {
  (v: number): number;
  readonly invert: (at: number) => number;
}

const between = (from: readonly [number, number], to: readonly [number, number], v: number): number =>
  to[0] + ((v - from[0]) / (from[1] - from[0])) * (to[1] - to[0]);

/** Maps a domain onto a range in a straight line. @param domain two values that differ @param range where they are drawn */
export const linear = (domain: readonly [number, number], range: readonly [number, number]): Scale =>
  Object.assign((v: number) => between(domain, range, v), { invert: (at: number) => between(range, domain, at) });

/** The same by ratios, held at its ends. @param domain two values over 0 */
export function logarithmic(domain: readonly [number, number], range: readonly [number, number]): Scale {
  const logs = [Math.log(domain[0]), Math.log(domain[1])] as const;
  const [least, most] = [Math.min(...domain), Math.max(...domain)];
  const held = (v: number) => Math.min(most, Math.max(least, v));
  return Object.assign((v: number) => between(logs, range, Math.log(held(v))), {
    invert: (at: number) => held(Math.exp(between(range, logs, at))),
  });
}

/** A drawing coordinate as it is written into a page: to a hundredth of a unit. */
export const drawn = (v: number): number => Math.round(v * 100) / 100;

/** SVG path data with its numbers as they are {@link drawn}. @example path`M${x},${y}H${to}` */
export const path = (words: TemplateStringsArray, ...at: readonly number[]): string =>
  words.reduce((all, w, i) => `${all}${drawn(there(at[i - 1]))}${w}`);

/** Points as an open SVG path. */
export const pathOf = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${drawn(x)},${drawn(y)}`).join('');
import { there } from '@/core/units';

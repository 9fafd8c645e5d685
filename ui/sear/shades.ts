import { there } from '@/core/units';
import { BROWNING } from '@/core/model/sear';

/** What a crust looks like, by how far it has browned. */
const SHADES: readonly (readonly [number, string])[] = [
  [0, '#F4F0E4'],
  [BROWNING.pale, '#EBD9A8'],
  [BROWNING.golden, '#D9A94E'],
  [BROWNING.deep, '#A8672A'],
  [BROWNING.scorched, '#5A3216'],
];

/** The colour of a crust at a browning, mixed between its neighbours. */
export const shadeOf = (b: number): string => {
  const i = SHADES.findIndex(([at]) => at >= b);
  if (i < 0) return there(SHADES[SHADES.length - 1])[1];
  if (i === 0) return there(SHADES[0])[1];
  const [[a, from], [z, to]] = [there(SHADES[i - 1]), there(SHADES[i])];
  return `color-mix(in srgb, ${to} ${Math.round((100 * (b - a)) / (z - a))}%, ${from})`;
};
/** The colour of a crust that was seared as far as asked. */
export const searedAs = (colour: keyof typeof BROWNING): string => shadeOf(BROWNING[colour]);

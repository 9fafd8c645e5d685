import { sayGrams } from './units';
import type { Family } from './families';
import type { PlanBalance } from './flow';
import { massOf } from './mix';

/** A plate saltier than this tastes of salt whatever the family, %. */
const PLATE_SALT_MOST = 1.5;

/** What leaves its band, in grams. Salt is judged on the plate: cake, topping and sauce together. */
export function adviceFor(family: Family, balance: PlanBalance): string[] {
  const out: string[] = [];
  const first = balance.batters[0];
  const [lo, hi] = family.liquidToDry;
  if (first.liquidToDry > 0 && first.liquidToDry < lo * 0.97)
    out.push(
      `Stiffer than this family runs (${first.liquidToDry.toFixed(2)} where ${lo} to ${hi} is usual): ${sayGrams((lo - first.liquidToDry) * first.dryBlendG)} more liquid reaches the band.`,
    );
  if (first.liquidToDry > hi * 1.03)
    out.push(
      `Looser than this family runs (${first.liquidToDry.toFixed(2)} where ${lo} to ${hi} is usual): ${sayGrams(first.liquidG / hi - first.dryBlendG)} more dry blend reaches the band.`,
    );
  for (const [id, [from, to]] of Object.entries(family.blend)) {
    const share = 100 * (first.shares[id] ?? 0);
    if (share > to + 1)
      out.push(`${Math.round(share)} % ${id.replaceAll('-', ' ')} is above this family's ${from} to ${to} %.`);
  }
  if (family.saltPct && balance.massG > 0) {
    const [least, usual] = family.saltPct;
    const most = Math.max(usual * 1.15, PLATE_SALT_MOST);
    const { saltPct } = balance.plate;
    const cake = balance.salt.pctOfTotal;
    const beside = balance.beside.length > 0 ? `, ${saltPct.toFixed(2)} % with what it is eaten with` : '';
    const off = (pct: number) => ((pct - cake) / 100) * balance.massG;
    if (saltPct < least * 0.85)
      out.push(
        `Salt is ${cake.toFixed(2)} % of the cake${beside}; ${least} to ${usual} % is usual: add ${sayGrams(off((least + usual) / 2))}.`,
      );
    else if (saltPct > most || cake > usual * 1.6)
      out.push(
        `Salt is ${cake.toFixed(2)} % of the cake${beside}; ${least} to ${usual} % is usual: take out ${sayGrams(Math.max(0, -off((least + usual) / 2)))}.`,
      );
  }
  const pieces = massOf(balance.pieces);
  if (family.binderMin && pieces > 0 && balance.pieceVolumeShare > 0.45) {
    const need = family.binderMin * pieces - first.dryBlendG;
    if (need > 1) out.push(`Too many pieces to hold a cut: ${sayGrams(need)} more flour would bind them.`);
  }
  return out;
}

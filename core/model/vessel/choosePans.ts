import { sayMm } from '../../units';
import { kindsOf, MOST_VESSELS, type Steamer, type Vessel } from '../../kitchen';
import { fillOf, type Fill } from './fill';
import { brimMl, depthForVolume, topAreaOf, volumeAtDepth } from './shape';

/** What is poured: one cake in pans, small moulds filled load after load, thin sheets one by one. */
export type PanUse = 'pans' | 'moulds' | 'sheets';

export interface PanNeed {
  readonly use: PanUse;
  readonly volumeMl: number;
  readonly rise: number;
  readonly bandMm: readonly [number, number];
  /** Absent: nothing has to go into a steamer. */
  readonly steamer: Steamer | undefined;
  /** Materials it must not meet. */
  readonly avoid?: readonly Vessel['material'][];
}

export interface PanChoice {
  readonly vessel: Vessel;
  readonly count: number;
  readonly fill: Fill;
  readonly why: string;
  /** True where it lies in the depth band. */
  readonly inBand: boolean;
  /** The rest of the batter in small moulds at the same time. */
  readonly also?: { readonly vessel: Vessel; readonly count: number; readonly eachMl: number };
}

/** A mould holds at most this, ml; a cake pan at least this. */
const MOULD_MOST_ML = 260;
const PAN_LEAST_ML = 240;
/** A sheet wants at least so much floor, m², and walls no higher than this. */
const SHEET_LEAST_M2 = 0.012;
const SHEET_WALL_M = 0.045;

const isMould = (v: Vessel): boolean => brimMl(v) <= MOULD_MOST_ML;
const isTray = (v: Vessel): boolean =>
  (v.shape === 'rectangular' || v.shape === 'round') && topAreaOf(v) >= SHEET_LEAST_M2 && v.heightM <= SHEET_WALL_M;
const suits: Readonly<Record<PanUse, (v: Vessel) => boolean>> = {
  moulds: isMould,
  sheets: isTray,
  pans: (v) => brimMl(v) >= PAN_LEAST_ML && v.heightM > 0.02,
};
/** A vessel of the kind that is poured into so, of a material that the batter may meet. */
export const holdsSuch = (v: Vessel, { use, avoid }: Pick<PanNeed, 'use' | 'avoid'>): boolean =>
  suits[use](v) && !avoid?.includes(v.material);
const offBand = (mm: number, [low, high]: readonly [number, number]): number =>
  mm < low - 1e-9 ? low - mm : mm > high + 1e-9 ? mm - high : 0;
const loadWords = (loads: number): string => (loads === 1 ? 'one load' : `${loads} loads`);

/** How many moulds or sheets a batter makes at the middle of the depth band. */
const countAt = (v: Vessel, { volumeMl, bandMm }: PanNeed): number =>
  Math.max(1, Math.round(volumeMl / Math.max(volumeAtDepth(v, (bandMm[0] + bandMm[1]) / 2000), 1e-9)));

interface Ranked {
  readonly choice: PanChoice;
  readonly rank: number;
}

function ranked(v: Vessel, count: number, need: PanNeed): Ranked | undefined {
  const fill = fillOf(v, count, need.steamer, need.volumeMl, need.rise);
  if (!fill.fits || fill.headroomM < -1e-9) return undefined;
  const mm = fill.depthM * 1000;
  const off = offBand(mm, need.bandMm);
  const middle = (need.bandMm[0] + need.bandMm[1]) / 2;
  // Outside the band weighs most, then loads, then steam held back; a whole set of moulds saves loads, a wide tray sheets.
  const rank =
    (100 * off) / middle +
    (fill.loads - 1) * (need.use === 'pans' ? 20 : 0.5) +
    40 * (1 - (fill.gap?.topShare ?? 1)) +
    (need.use === 'pans' ? (20 * Math.abs(mm - middle)) / middle + count * 0.5 : 0) +
    (need.use === 'sheets' ? count * 0.3 + v.heightM * 100 : 0);
  const depth = `${sayMm(fill.depthM)} deep${off > 0 ? (mm < need.bandMm[0] ? ', shallow' : ', deep') : ''}`;
  const why =
    need.use === 'sheets'
      ? `${count} sheets, ${sayMm(fill.depthM)} thick, ${fill.perLoad} at a time`
      : need.use === 'moulds'
        ? `${count} of them, ${depth}, ${fill.perLoad} at a time, ${loadWords(fill.loads)}`
        : `${depth}, ${loadWords(fill.loads)}`;
  return { choice: { vessel: v, count, fill, why, inBand: off === 0 }, rank };
}

/** Too much for every pan of the rack: the best one filled to the band, and the rest in small moulds beside it. */
function mixedChoice(rack: readonly Vessel[], need: PanNeed): PanChoice | undefined {
  const moulds = rack.filter((v) => holdsSuch(v, { ...need, use: 'moulds' }));
  let best: PanChoice | undefined;
  for (const v of rack.filter((x) => holdsSuch(x, need))) {
    const mostM = Math.min(need.bandMm[1] / 1000, v.heightM / need.rise) * 0.98;
    const inPans = volumeAtDepth(v, mostM) * v.count;
    const rest = need.volumeMl - inPans;
    if (rest <= 0) continue;
    const fill = fillOf(v, v.count, need.steamer, inPans, need.rise);
    if (!fill.fits) continue;
    for (const m of moulds) {
      const depthM = Math.min(mostM, (0.9 * m.heightM) / need.rise);
      const eachMl = volumeAtDepth(m, depthM);
      const count = Math.ceil(rest / eachMl);
      const small = fillOf(m, count, need.steamer, rest, need.rise);
      if (count > m.count || !small.fits || (best && best.fill.volumeEachMl * best.count > inPans)) continue;
      best = {
        vessel: v,
        count: v.count,
        fill,
        inBand: true,
        also: { vessel: m, count, eachMl: rest / count },
        why: `${sayMm(fill.depthM)} deep, and ${count} of ${m.name.toLowerCase()} with the rest, ${sayMm(depthForVolume(m, rest / count))}`,
      };
    }
  }
  return best;
}

/**
 * The rack's vessels and counts for a batter, best first: those of a fitting kind that go into the steamer and hit the depth band with the
 * fewest loads, then nearest to its middle. Where no pan alone holds it in its band, a pan with small moulds beside it is among them.
 * @returns at most `most` choices; empty when nothing on the rack holds it
 */
export function choosePans(rack: readonly Vessel[], need: PanNeed, most = 5): readonly PanChoice[] {
  const kinds = kindsOf(rack);
  const found = kinds
    .filter((v) => holdsSuch(v, need))
    .flatMap((v): Ranked[] => {
      const counts =
        need.use === 'pans'
          ? Array.from({ length: v.count }, (_, i) => i + 1)
          : [countAt(v, need)].filter((n) => n <= MOST_VESSELS);
      const all = counts.flatMap((n) => ranked(v, n, need) ?? []);
      const best = all.sort((a, b) => a.rank - b.rank)[0];
      return best ? [best] : [];
    })
    .sort((a, b) => a.rank - b.rank)
    .map((x) => x.choice);
  const mixed = need.use === 'pans' && !found.some((c) => c.inBand) ? mixedChoice(kinds, need) : undefined;
  return [...(mixed ? [mixed] : []), ...found].slice(0, most);
}

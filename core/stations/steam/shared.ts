import { COARSE_GRID, singlePour, type SinglePour, type SteamRoom } from '../../model/steam';
import { type Turns, there } from '../../units';
import { ALONE, type SteamContext, type Taken } from './context';

/** A group of equal vessels on one tier; tiers count from the water up. */
export interface Group {
  readonly count: number;
  readonly tier: number;
  readonly pour: (room: SteamRoom) => SinglePour;
}

/** Never less than this share of the steam is left for those who come after. */
const LEAST_LEFT = 0.03;

/** Heat taken at a time, W; 0 once the record ends. */
export function takenAt(taken: Taken, timeS: number): number {
  let low = 0;
  let high = taken.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (there(taken[mid])[0] < timeS) low = mid + 1;
    else high = mid;
  }
  return taken[low]?.[1] ?? 0;
}

/** What so many equal vessels leave of a power over time. */
export const leftOver =
  (powerW: (t: number) => number, taken: Taken, count: number): ((t: number) => number) =>
  (t) =>
    Math.max(LEAST_LEFT * powerW(t), powerW(t) - count * takenAt(taken, t));

/**
 * Steam left for each group of vessels in one chamber: a tier takes what it asks for, the next one up what is left; vessels on one tier share,
 * each finding what its neighbours leave, in two rounds on a coarse grid.
 * @returns for each group, the room it stands in
 */
export function* shareSteam(
  room: SteamRoom,
  groups: readonly Group[],
  context: SteamContext = ALONE,
): Turns<readonly SteamRoom[]> {
  const before = (t: number): number => context.taken.reduce((w, x) => w + takenAt(x, t), 0);
  const own = (w: (t: number) => number, bodies: number): SteamRoom => ({
    ...room,
    bodies,
    powerW: (t) => Math.max(LEAST_LEFT * room.powerW(t), w(t)),
  });
  const alone = (t: number) => room.powerW(t) - before(t);
  if (groups.length === 1) return [own(alone, there(groups[0]).count)];
  const takes: Taken[] = groups.map(() => []);
  const all = groups.reduce((a, g) => a + g.count, 0);
  const leftFor = (i: number, first: boolean) => (t: number) =>
    groups.reduce((w, g, j) => {
      if (j === i || g.tier > there(groups[i]).tier) return w;
      // Neighbours that are not worked out yet take their share.
      if (first && g.tier === there(groups[i]).tier && j > i) return w - (w * g.count) / all;
      return w - g.count * takenAt(there(takes[j]), t);
    }, alone(t));
  // Where no tier holds two kinds, one round from the bottom up is enough.
  const neighbours = new Set(groups.map((g) => g.tier)).size < groups.length;
  for (const first of neighbours ? [true, false] : [false])
    for (const [i, g] of [...groups.entries()].sort((a, b) => a[1].tier - b[1].tier)) {
      const pour = g.pour(own(leftFor(i, first), g.count));
      takes[i] = (yield* singlePour({ ...pour, stand: undefined }, 0.2, COARSE_GRID)).flux;
    }
  return groups.map((g, i) => own(leftFor(i, false), g.count));
}

import { bad, good, problem, type Result } from '../../units';
import { blendTexture, costFunction, type SolverInput, type SolverStarch } from './blendCost';
import { TEXTURE_AXES, type Texture, type TextureAxis } from './texture';

export interface Blend {
  readonly shares: readonly number[];
  readonly hydration: number;
  readonly cost: number;
  readonly texture: Texture;
  /** What it gives up against the target, or against the best. */
  readonly givesUp: string;
}

const AXIS_NAMES: Readonly<Record<TextureAxis, string>> = {
  firm: 'firmness',
  chewy: 'chew',
  sticky: 'stickiness',
  clear: 'clearness',
  cleanBite: 'clean bite',
  hardens: 'hardening in the cold',
};

/** A cost this small is not tasted; the descent stops there. */
const GOOD_ENOUGH = 1e-6;

const STEPS = [0.2, 0.06, 0.015, 0.004, 0.001];

/** Puts shares within their bounds and at a sum of 1, by filling up or taking away in proportion to the room left. */
function feasible(starches: readonly SolverStarch[], wish: readonly number[]): number[] {
  const x = starches.map((s, i) => Math.min(s.max, Math.max(s.min, wish[i])));
  for (let pass = 0; pass < 30; pass++) {
    const lack = 1 - x.reduce((a, b) => a + b, 0);
    if (Math.abs(lack) < 1e-12) break;
    const room = starches.map((s, i) => (lack > 0 ? s.max - x[i] : x[i] - s.min));
    const all = room.reduce((a, b) => a + b, 0);
    if (all <= 0) break;
    for (let i = 0; i < x.length; i++)
      x[i] += ((lack * room[i]) / all) * (Math.abs(lack) > all ? all / Math.abs(lack) : 1);
  }
  return x;
}

/** Pairwise exchange between starches with shrinking steps, hydration moved likewise; ends where no exchange helps. */
function descend(
  input: SolverInput,
  costOf: (x: readonly number[], h: number) => number,
  start: readonly number[],
  startHydration: number,
): { x: number[]; h: number; cost: number } {
  const x = feasible(input.starches, start);
  let h = startHydration;
  let cost = costOf(x, h);
  const [hLo, hHi] = input.hydration;
  const n = x.length;
  for (const step of STEPS) {
    for (let round = 0; round < 40; round++) {
      let better = false;
      for (let i = 0; i < n; i++)
        for (let j = 0; j < n; j++) {
          if (i === j) continue;
          const d = Math.min(step, x[i] - input.starches[i].min, input.starches[j].max - x[j]);
          if (d <= 1e-9) continue;
          x[i] -= d;
          x[j] += d;
          const c = costOf(x, h);
          if (c < cost - 1e-12) {
            cost = c;
            better = true;
          } else {
            x[i] += d;
            x[j] -= d;
          }
        }
      for (const dir of [-1, 1]) {
        const to = Math.min(hHi, Math.max(hLo, h + dir * step * (hHi - hLo)));
        const c = costOf(x, to);
        if (c < cost - 1e-12) {
          cost = c;
          h = to;
          better = true;
        }
      }
      if (!better || cost < GOOD_ENOUGH) break;
    }
  }
  return { x, h, cost };
}

/** With more starches than this in a blend, the smallest is left out when that costs next to nothing: fewer bags on the counter. */
const FEW = 3;
const NEXT_TO_NOTHING = 0.02;

interface Found {
  readonly x: readonly number[];
  readonly h: number;
  readonly cost: number;
}

function fewerBags(input: SolverInput, all: Found): Found {
  let found = all;
  let starches = input.starches;
  for (;;) {
    const used = found.x.flatMap((x, i) => (x > 1e-6 && starches[i].min < 1e-9 ? [i] : []));
    if (found.x.filter((x) => x > 1e-6).length <= FEW || used.length === 0) return found;
    const least = used.reduce((a, b) => (found.x[b] < found.x[a] ? b : a));
    const fewer = starches.map((s, i) => (i === least || found.x[i] <= 1e-6 ? { ...s, max: s.min } : s));
    if (fewer.reduce((a, s) => a + s.max, 0) < 1) return found;
    const next = descendFrom({ ...input, starches: fewer }, found.x, found.h);
    if (next.cost > found.cost + NEXT_TO_NOTHING) return found;
    found = next;
    starches = fewer;
  }
}

const descendFrom = (input: SolverInput, x: readonly number[], h: number) => descend(input, costFunction(input), x, h);

function solveWithAll(input: SolverInput): Found {
  const n = input.starches.length;
  const cost = costFunction(input);
  const [low, high] = input.hydration;
  const shares: (readonly number[])[] = [
    new Array<number>(n).fill(1 / n),
    ...(input.from ? [input.from] : []),
    ...input.starches.map((_, k) => input.starches.map((__, i) => (i === k ? 0.8 : 0.2 / Math.max(1, n - 1)))),
  ];
  // Shares and hydration pull on each other, so each start is tried dry, between and wet.
  const starts = [(low + high) / 2, low, high].flatMap((h) => shares.map((s) => ({ s, h })));
  let best = descend(input, cost, starts[0].s, starts[0].h);
  for (let k = 1; k < starts.length && best.cost > GOOD_ENOUGH; k++) {
    const next = descend(input, cost, starts[k].s, starts[k].h);
    if (next.cost < best.cost) best = next;
  }
  return leapt(input, cost, best);
}

/** Exchanges that a descent may have stood before. */
const LEAPS = [0.02, 0.04, 0.07, 0.1, 0.14, 0.2, 0.3, 0.45] as const;

/** An axis that is held at nothing says nothing of a small step, so larger ones are tried from where the descent ended, and it goes on from there. */
function leapt(input: SolverInput, costOf: (x: readonly number[], h: number) => number, from: Found): Found {
  const { starches } = input;
  const [low, high] = input.hydration;
  let best = from;
  for (let pass = 0; pass < 12 && best.cost > GOOD_ENOUGH; pass++) {
    let found: Found | undefined;
    for (let i = 0; i < starches.length; i++)
      for (let j = 0; j < starches.length; j++)
        for (const by of LEAPS) {
          if (i === j || best.x[i] - by < starches[i].min || best.x[j] + by > starches[j].max) continue;
          const x = best.x.map((share, k) => share + (k === j ? by : 0) - (k === i ? by : 0));
          for (const h of new Set([best.h, low, (best.h + low) / 2, high, (best.h + high) / 2])) {
            const cost = costOf(x, h);
            if (cost < (found ?? best).cost - 1e-9) found = { x, h, cost };
          }
        }
    if (!found) break;
    best = descend(input, costOf, found.x, found.h);
  }
  return best;
}

function whatItGivesUp(input: SolverInput, t: Texture, against?: Texture): string {
  let worst: { axis: TextureAxis; off: number } | undefined;
  for (const axis of TEXTURE_AXES) {
    const want = against ? against[axis] : input.target[axis];
    if (want === undefined || input.target[axis] === undefined) continue;
    const off = t[axis] - want;
    if (!worst || Math.abs(off) > Math.abs(worst.off)) worst = { axis, off };
  }
  if (!worst || Math.abs(worst.off) < 0.25) return against ? 'much the same texture' : 'nothing to speak of';
  return `${Math.abs(worst.off).toFixed(1)} ${worst.off > 0 ? 'more' : 'less'} ${AXIS_NAMES[worst.axis]}${against ? ' than the best' : ' than you asked'}`;
}

const distance = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((s, x, i) => s + Math.abs(x - b[i]), 0);

/**
 * Blend that minimises Σ w (axis − target)² over shares ≥ 0 that sum to 1 and the hydration, within bounds; with two alternatives that
 * differ most from it among the nearest solutions that leave a starch out or bring another in.
 * Errors: `no-starch` (nothing to blend), `bounds-cannot-sum` (limits leave less, or force more, than a whole), `no-target`.
 */
export function solveBlend(input: SolverInput): Result<{ best: Blend; alternatives: readonly Blend[] }> {
  const { starches } = input;
  if (starches.length === 0)
    return bad(
      problem(
        'no-starch',
        'starches',
        'There is nothing to blend: tick at least one flour or starch that is in the cupboard.',
      ),
    );
  if (Object.keys(input.target).length === 0)
    return bad(problem('no-target', 'target', 'Say what it should be like: set at least one texture slider.'));
  const least = starches.reduce((s, x) => s + x.min, 0);
  const most = starches.reduce((s, x) => s + x.max, 0);
  if (most < 1 - 1e-9)
    return bad(
      problem(
        'bounds-cannot-sum',
        'starches',
        `These reach only ${Math.round(most * 100)} % of the blend: the stock is too small. Tick another starch, or make ${Math.round(most * 100)} % of the cake.`,
      ),
    );
  if (least > 1 + 1e-9)
    return bad(
      problem(
        'bounds-cannot-sum',
        'starches',
        `The least shares add up to ${Math.round(least * 100)} %; lower one of them.`,
      ),
    );
  const best = fewerBags(input, solveWithAll(input));
  const blend = (r: Found, against?: Texture): Blend => {
    const texture = blendTexture(input, r.x, r.h);
    return { shares: r.x, hydration: r.h, cost: r.cost, texture, givesUp: whatItGivesUp(input, texture, against) };
  };
  const first = blend(best);
  const pool: Found[] = [];
  starches.forEach((s, k) => {
    const without = starches.map((t, i) => (i === k ? { ...t, max: t.min } : t));
    const withMore = starches.map((t, i) =>
      i === k ? { ...t, min: Math.min(t.max, Math.max(t.min, best.x[k] + 0.25)) } : t,
    );
    const list = best.x[k] > s.min + 0.05 ? without : withMore;
    if (list.reduce((a, t) => a + t.max, 0) >= 1 && list.reduce((a, t) => a + t.min, 0) <= 1)
      pool.push(fewerBags({ ...input, starches: list }, descendFrom({ ...input, starches: list }, best.x, best.h)));
  });
  pool.sort((a, b) => a.cost - b.cost);
  const near = pool.filter((p) => distance(p.x, best.x) > 0.08).slice(0, Math.max(4, Math.ceil(pool.length / 2)));
  const chosen: Found[] = [];
  while (chosen.length < 2) {
    const left = near.filter((p) => !chosen.includes(p) && chosen.every((c) => distance(c.x, p.x) > 0.05));
    if (left.length === 0) break;
    const apart = (p: Found) => Math.min(distance(p.x, best.x), ...chosen.map((c) => distance(c.x, p.x)));
    chosen.push(left.reduce((a, b) => (apart(b) > apart(a) ? b : a)));
  }
  return good({ best: first, alternatives: chosen.map((c) => blend(c, first.texture)) });
}

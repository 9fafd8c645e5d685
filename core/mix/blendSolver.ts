import { bad, good, problem, type Result } from '../units';
import type { StarchKind } from '../larder';
import { correctAxes, STARCH_TEXTURE, TEXTURE_AXES, type Texture, type TextureAxis } from './texture';

export interface SolverStarch {
  readonly id: string;
  readonly name: string;
  readonly kind: StarchKind;
  /** Mass shares of the flour as weighed. */
  readonly starch: number;
  readonly water: number;
  readonly protein: number;
  /** Doublings of its grain over fine flour; absent: fine. */
  readonly coarse?: number;
  /** Bounds on its share of the dry blend, 0–1 (family and stock together). */
  readonly min: number;
  readonly max: number;
}

export interface SolverInput {
  readonly starches: readonly SolverStarch[];
  readonly target: Partial<Texture>;
  readonly weights: Partial<Record<TextureAxis, number>>;
  /** Added water ÷ dry blend. */
  readonly hydration: readonly [number, number];
  /** Grams per gram of dry blend that come with the rest of the batter. */
  readonly perDry: { readonly sugar: number; readonly fat: number; readonly protein: number; readonly other: number };
  /** Where the descent may also start from: today's shares. */
  readonly from?: readonly number[];
}

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

/** Texture of a blend at a hydration, for the solver and the blend field. */
export function blendTexture(
  input: Pick<SolverInput, 'starches' | 'perDry'>,
  shares: readonly number[],
  hydration: number,
): Texture {
  const axes = axesOf(input, shares, hydration, new Float64Array(6));
  return { firm: axes[0], chewy: axes[1], sticky: axes[2], clear: axes[3], cleanBite: axes[4], hardens: axes[5] };
}

function axesOf(
  { starches, perDry }: Pick<SolverInput, 'starches' | 'perDry'>,
  shares: readonly number[],
  hydration: number,
  axes: Float64Array,
): Float64Array {
  let starch = 0;
  let water = hydration;
  let protein = perDry.protein;
  let coarse = 0;
  axes.fill(0);
  for (let i = 0; i < starches.length; i++) {
    const s = starches[i];
    const g = shares[i] * s.starch;
    if (shares[i] === 0) continue;
    starch += g;
    water += shares[i] * s.water;
    protein += shares[i] * s.protein;
    coarse += shares[i] * (s.coarse ?? 0);
    const own = STARCH_TEXTURE[s.kind];
    for (let a = 0; a < 6; a++) axes[a] += g * own[a];
  }
  for (let a = 0; a < 6; a++) axes[a] /= starch || 1;
  const { sugar, fat } = perDry;
  const total = 1 + hydration + sugar + fat + perDry.other;
  correctAxes(
    axes,
    starch / (starch + water + sugar),
    sugar / (sugar + water),
    (100 * fat) / total,
    (100 * protein) / total,
    coarse,
  );
  return axes;
}

/** The cost of a blend, Σ w (axis − target)², without making anything new. */
function costFunction(input: SolverInput): (x: readonly number[], h: number) => number {
  const wants = TEXTURE_AXES.flatMap((axis, i) => {
    const want = input.target[axis];
    return want === undefined ? [] : [[i, want, input.weights[axis] ?? 1] as const];
  });
  const axes = new Float64Array(6);
  return (x, h) => {
    axesOf(input, x, h, axes);
    let cost = 0;
    for (const [i, want, weight] of wants) cost += weight * (axes[i] - want) * (axes[i] - want);
    return cost;
  };
}

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

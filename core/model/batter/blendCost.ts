import type { StarchKind } from '../../larder';
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
export function costFunction(input: SolverInput): (x: readonly number[], h: number) => number {
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

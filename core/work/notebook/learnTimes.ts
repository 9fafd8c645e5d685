import { BATCH_SIGMA, EFFECT_KINDS, EFFECT_SIGMA, type EffectKind, type TimeFactors } from '../../kitchen';
import { MODEL_VERSION, normalCdf, normalPdf } from '../../units';
import { LATE, type SeenBatch } from './seen';

/** Newton's steps, and what ends them. */
const MOST_STEPS = 40;
const ENOUGH = 1e-9;
/** Longest step of one effect. */
const LONGEST = 0.5;
/** Below this the probability of what was seen is taken by its nearest end. */
const LEAST = 1e-9;
/** Plans that are kept apart: the ones seen last. */
const MOST_PLANS = 60;

/** The bounds of what was seen about the model's time × e^x, of the logarithm. */
function logBounds(b: SeenBatch, x: number): readonly [number, number] {
  const m = Math.log(b.modelS) + x;
  return [
    b.notBeforeS > 0 ? Math.log(b.notBeforeS) - m : -Infinity,
    Number.isFinite(b.notAfterS) ? Math.log(Math.max(b.notAfterS, 1)) - m : Infinity,
  ];
}

/**
 * Slope and curvature, in x, of the logarithm of the probability that log T = log modelS + x + noise lay within bounds. The log-probability is
 * concave: an interval of a normal.
 */
function pull(b: SeenBatch, x: number): readonly [number, number] {
  const [low, high] = logBounds(b, x).map((end) => end / BATCH_SIGMA) as [number, number];
  const p = normalCdf(high) - normalCdf(low);
  const per = 1 / BATCH_SIGMA ** 2;
  if (p < LEAST) {
    // So far off that only the nearer end counts, as if it had been seen there.
    const end = low > 0 ? low : high;
    return [end / BATCH_SIGMA, -per];
  }
  const [dl, dh] = [low === -Infinity ? 0 : normalPdf(low), high === Infinity ? 0 : normalPdf(high)];
  const first = (dl - dh) / p;
  const second = ((low === -Infinity ? 0 : low * dl) - (high === Infinity ? 0 : high * dh)) / p - first * first;
  return [first / BATCH_SIGMA, Math.min(0, second) * per];
}

/** Share of entries that are taken as written down wrongly, and how such a one scatters: it says nothing of the cake. */
const WRONG = { share: 0.05, sigma: 1 } as const;
/** A late first look says that the cake was ready by then, and hardly more. */
const LATE_COUNTS = 0.03;
const isLate = (b: SeenBatch, x: number): boolean => b.notBeforeS <= 0 && b.notAfterS >= LATE * b.modelS * Math.exp(x);
/** How often the entries are weighed anew, and when they are weighed well enough. */
const MOST_WEIGHINGS = 12;
const SAME_WEIGHT = 1e-4;

/** How much an entry counts where the logarithm of the factor is x: as likely as it is right, and little where nobody looked earlier. */
function weightOf(b: SeenBatch, x: number): number {
  if (isLate(b, x)) return LATE_COUNTS;
  const [low, high] = logBounds(b, x);
  const within = (sigma: number) => Math.max(1e-12, normalCdf(high / sigma) - normalCdf(low / sigma));
  const right = (1 - WRONG.share) * within(BATCH_SIGMA);
  return right / (right + WRONG.share * within(WRONG.sigma));
}

/** Cholesky's factor of a symmetric positive matrix, dense, rows; in place. */
function factor(a: Float64Array[], n: number): void {
  for (let j = 0; j < n; j++) {
    let d = a[j][j];
    for (let k = 0; k < j; k++) d -= a[j][k] * a[j][k];
    a[j][j] = Math.sqrt(Math.max(d, 1e-12));
    for (let i = j + 1; i < n; i++) {
      let s = a[i][j];
      for (let k = 0; k < j; k++) s -= a[i][k] * a[j][k];
      a[i][j] = s / a[j][j];
    }
  }
}
function solve(l: Float64Array[], b: Float64Array): Float64Array {
  const n = b.length;
  const x = b.slice();
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) x[i] -= l[i][k] * x[k];
    x[i] /= l[i][i];
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) x[i] -= l[k][i] * x[k];
    x[i] /= l[i][i];
  }
  return x;
}

interface Effect {
  readonly kind: EffectKind;
  readonly key: string;
  batches: number;
}

/** Every effect that was seen, and which of them each batch has. */
function effectsOf(seen: readonly SeenBatch[]): { effects: Effect[]; of: number[][] } {
  const effects: Effect[] = [];
  const places = new Map<string, number>();
  const plans = new Set<string>();
  for (let i = seen.length - 1; i >= 0 && plans.size < MOST_PLANS; i--) plans.add(seen[i].who.plan);
  const of = seen.map(({ who }) =>
    EFFECT_KINDS.flatMap((kind) => {
      const key = who[kind];
      if (kind === 'plan' && !plans.has(key)) return [];
      const name = `${kind}\n${key}`;
      let at = places.get(name);
      if (at === undefined) {
        at = effects.length;
        places.set(name, at);
        effects.push({ kind, key, batches: 0 });
      }
      effects[at].batches++;
      return [at];
    }),
  );
  return { effects, of };
}

const round = (x: number): number => Math.round(x * 1e6) / 1e6;

/** Mode by Newton's method of what is weighed so, from u on, in place; and the curvature there. */
function modeOf(
  { effects, of }: ReturnType<typeof effectsOf>,
  seen: readonly SeenBatch[],
  weights: readonly number[],
  u: Float64Array,
): Float64Array[] {
  const n = effects.length;
  const prior = effects.map((e) => 1 / EFFECT_SIGMA[e.kind] ** 2);
  let curvature: Float64Array[] = [];
  for (let step = 0; step < MOST_STEPS; step++) {
    const slope = Float64Array.from(u, (x, i) => -x * prior[i]);
    curvature = effects.map((_, i) => {
      const row = new Float64Array(n);
      row[i] = prior[i];
      return row;
    });
    seen.forEach((b, q) => {
      const [first, second] = pull(b, sumOf(u, of[q]));
      for (const i of of[q]) {
        slope[i] += weights[q] * first;
        for (const j of of[q]) curvature[i][j] -= weights[q] * second;
      }
    });
    factor(curvature, n);
    const by = solve(curvature, slope);
    const most = by.reduce((m, x) => Math.max(m, Math.abs(x)), 0);
    const part = Math.min(1, LONGEST / Math.max(most, 1e-12));
    for (let i = 0; i < n; i++) u[i] += part * by[i];
    if (most < ENOUGH) break;
  }
  return curvature;
}
const sumOf = (u: Float64Array, of: readonly number[]): number => of.reduce((s, i) => s + u[i], 0);

/**
 * Joint learning of times: log F = steamer + heat in it + family + plan, independent normal priors, every batch an interval in which it was
 * ready, with its own scatter, a twentieth of them written down wrongly. Laplace's approximation: mode by Newton's method, the entries weighed anew
 * by what they come to there (expectation and maximisation), covariance from the curvature. One batch moves other families only by what they share.
 * @param seen oldest first
 */
export function learnTimes(seen: readonly SeenBatch[]): TimeFactors {
  const found = effectsOf(seen);
  const { effects, of } = found;
  const n = effects.length;
  if (n === 0) return { modelVersion: MODEL_VERSION, effects: [], covariance: [] };
  const u = new Float64Array(n);
  const weigh = () => seen.map((b, q) => weightOf(b, sumOf(u, of[q])));
  // From where all of them are right: what is odd among many stands out there, and the first of its kind does not.
  let weights: readonly number[] = seen.map((b) => (isLate(b, 0) ? LATE_COUNTS : 1));
  let curvature = modeOf(found, seen, weights, u);
  for (let round = 0; round < MOST_WEIGHINGS; round++) {
    const next = weigh();
    const moved = next.reduce((m, w, q) => Math.max(m, Math.abs(w - weights[q])), 0);
    if (moved < SAME_WEIGHT) break;
    weights = next;
    curvature = modeOf(found, seen, weights, u);
  }
  const covariance: number[] = [];
  const columns = effects.map((_, i) =>
    solve(
      curvature,
      Float64Array.from({ length: n }, (_x, k) => (k === i ? 1 : 0)),
    ),
  );
  for (let i = 0; i < n; i++) for (let j = 0; j <= i; j++) covariance.push(round(columns[j][i]));
  return {
    modelVersion: MODEL_VERSION,
    effects: effects.map((e, i) => ({ kind: e.kind, key: e.key, mean: round(u[i]), batches: e.batches })),
    covariance,
  };
}

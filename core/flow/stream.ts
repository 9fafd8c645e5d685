import { STARCH_KINDS } from '../larder';
import type { Parts } from '../model/batter';
import type { FlowLine, Phase } from './flow';

/** Places of the parts in a stream's array: then fat, protein; salt is an of-which of fibre and ash and is not summed. */
export const [WATER, STARCH, SUGAR, , , FIBRE_ASH, SALT] = [0, 1, 2, 3, 4, 5, 6];
export const PART_COUNT = 7;
export const WIDTH = 2 * PART_COUNT;
/** Kinds of starch, in the order of a stream's set and swelling. */
export const KINDS = STARCH_KINDS.length;

/**
 * What runs between two operations: grams by line, phase and part; temperature; gas; and how far each kind of starch is set and
 * swollen. Thickness, hydration and density are functions of it and are never stored on it.
 */
export interface Stream {
  /** Grams: `g[line·14 + (piece ? 7 : 0) + part]`. */
  readonly g: Float64Array;
  /** Lines outside `from` to `to` (exclusive) hold nothing: loops keep within. */
  readonly from: number;
  readonly to: number;
  readonly tempC: number;
  /** Gas held in bubbles, ml. */
  readonly gasMl: number;
  /** Set degree by starch kind, 0–1. */
  readonly set: Float64Array;
  /** Swelling degree by starch kind, 0–1. */
  readonly swelling: Float64Array;
}

export const emptyStream = (lines: number, tempC = 20): Stream => ({
  g: new Float64Array(lines * WIDTH),
  from: 0,
  to: 0,
  tempC,
  gasMl: 0,
  set: new Float64Array(KINDS),
  swelling: new Float64Array(KINDS),
});

/** Grams of a stream, g. */
export function streamMass({ g, from, to }: Stream): number {
  let m = 0;
  for (let i = from * WIDTH; i < to * WIDTH; i += PART_COUNT)
    m += g[i] + g[i + 1] + g[i + 2] + g[i + 3] + g[i + 4] + g[i + 5];
  return m;
}

/** Sums of a stream's parts, g: all of it, or one phase. */
export function partsOfStream({ g, from, to }: Stream, phase?: Phase): Parts {
  const sum = { water: 0, starch: 0, sugar: 0, fat: 0, protein: 0, fibreAsh: 0, salt: 0 };
  const skip = phase === 'piece' ? PART_COUNT : 0;
  const step = phase === undefined ? PART_COUNT : WIDTH;
  for (let i = from * WIDTH + skip; i < to * WIDTH; i += step) {
    sum.water += g[i];
    sum.starch += g[i + 1];
    sum.sugar += g[i + 2];
    sum.fat += g[i + 3];
    sum.protein += g[i + 4];
    sum.fibreAsh += g[i + 5];
    sum.salt += g[i + 6];
  }
  return sum;
}

/** Specific heats near 40 °C by part, J/(g·K), of Choi & Okos; salt's share of the ash is counted with it. */
const HEAT_40 = [4.181, 1.618, 1.618, 2.036, 2.055, 1.911];

/** Heat capacity of a gram of parts, J/(g·K). */
export const capacityPerGram = (per: Float64Array): number =>
  per[0] * HEAT_40[0] +
  per[1] * HEAT_40[1] +
  per[2] * HEAT_40[2] +
  per[3] * HEAT_40[3] +
  per[4] * HEAT_40[4] +
  per[5] * HEAT_40[5];

/** Heat capacity of a stream, J/K. */
export function capacityOf({ g, from, to }: Stream): number {
  let c = 0;
  for (let i = from * WIDTH; i < to * WIDTH; i += PART_COUNT)
    c +=
      g[i] * HEAT_40[0] +
      g[i + 1] * HEAT_40[1] +
      g[i + 2] * HEAT_40[2] +
      g[i + 3] * HEAT_40[3] +
      g[i + 4] * HEAT_40[4] +
      g[i + 5] * HEAT_40[5];
  return c;
}

/** Free starch of each kind, g, into `out`. */
export function starchByKind(
  lines: readonly FlowLine[],
  { g, from, to }: Stream,
  out = new Float64Array(KINDS),
): Float64Array {
  out.fill(0);
  for (let l = from; l < to; l++) {
    const { starchKinds, starchShares } = lines[l];
    for (let q = 0; q < starchKinds.length; q++) out[starchKinds[q]] += starchShares[q] * g[l * WIDTH + STARCH];
  }
  return out;
}

/**
 * Streams put together: grams add, temperature by heat capacities (T = Σ m c T ÷ Σ m c), set and swelling by each kind's starch.
 * @param extra heat capacity and temperature of what they are mixed in (a bowl), J/K and °C
 */
export function mergeStreams(
  lines: readonly FlowLine[],
  streams: readonly Stream[],
  extra?: { readonly capacity: number; readonly tempC: number },
): Stream {
  if (streams.length === 1 && !extra) return streams[0];
  const g = new Float64Array(lines.length * WIDTH);
  const set = new Float64Array(KINDS);
  const swelling = new Float64Array(KINDS);
  const sum = new Float64Array(KINDS);
  const here = new Float64Array(KINDS);
  let c = extra?.capacity ?? 0;
  let ct = c * (extra?.tempC ?? 0);
  let gasMl = 0;
  let from = lines.length;
  let to = 0;
  for (const s of streams) {
    if (s.from < s.to) {
      from = Math.min(from, s.from);
      to = Math.max(to, s.to);
    }
    for (let i = s.from * WIDTH; i < s.to * WIDTH; i++) g[i] += s.g[i];
    const cs = capacityOf(s);
    c += cs;
    ct += cs * s.tempC;
    gasMl += s.gasMl;
    starchByKind(lines, s, here);
    for (let k = 0; k < KINDS; k++) {
      sum[k] += here[k];
      set[k] += here[k] * s.set[k];
      swelling[k] += here[k] * s.swelling[k];
    }
  }
  for (let k = 0; k < KINDS; k++)
    if (sum[k] > 0) {
      set[k] /= sum[k];
      swelling[k] /= sum[k];
    }
  return { g, from: Math.min(from, to), to, tempC: c > 0 ? ct / c : (streams[0]?.tempC ?? 20), gasMl, set, swelling };
}

/** A stream parted by a share of everything: what is taken, and the rest. */
export function splitStream(s: Stream, share: number): readonly [Stream, Stream] {
  const x = Math.min(1, Math.max(0, share));
  const n = s.g.length;
  const a = new Float64Array(n);
  const b = new Float64Array(n);
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i++) {
    a[i] = s.g[i] * x;
    b[i] = s.g[i] - a[i];
  }
  return [
    { ...s, g: a, gasMl: s.gasMl * x },
    { ...s, g: b, gasMl: s.gasMl * (1 - x) },
  ];
}

/** A stream parted by a share for each place of its array: what is taken, and the rest. The gas stays with the rest. */
export function divideStream(
  s: Stream,
  shareAt: (line: number, phase: Phase, part: number) => number,
): readonly [Stream, Stream] {
  const a = new Float64Array(s.g.length);
  const b = new Float64Array(s.g.length);
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i++) {
    const v = s.g[i];
    if (v === 0) continue;
    const k = i % WIDTH;
    const x = Math.min(
      1,
      Math.max(0, shareAt((i - k) / WIDTH, k >= PART_COUNT ? 'piece' : 'free', k >= PART_COUNT ? k - PART_COUNT : k)),
    );
    a[i] = v * x;
    b[i] = v - a[i];
  }
  return [
    { ...s, g: a, gasMl: 0 },
    { ...s, g: b },
  ];
}

/** Everything of a stream in one phase: mashed and ground things flow, grated ones are pieces. */
export function inPhase(s: Stream, phase: Phase): Stream {
  const g = new Float64Array(s.g.length);
  const to = phase === 'piece' ? PART_COUNT : 0;
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i += WIDTH)
    for (let k = 0; k < PART_COUNT; k++) g[i + to + k] = s.g[i + k] + s.g[i + PART_COUNT + k];
  return { ...s, g };
}

export const atTemp = (s: Stream, tempC: number): Stream => (s.tempC === tempC ? s : { ...s, tempC });

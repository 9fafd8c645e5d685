import { STARCH_KINDS } from '../larder';
import type { Parts } from '../mix';
import type { FlowLine } from './flow';

/** Composition parts in the order of a stream's array; salt is an of-which of fibre and ash and is not summed. */
export const PARTS = ['water', 'starch', 'sugar', 'fat', 'protein', 'fibreAsh', 'salt'] as const;
export const [WATER, STARCH, SUGAR, FAT, PROTEIN, FIBRE_ASH, SALT] = [0, 1, 2, 3, 4, 5, 6];
export const PART_COUNT = 7;
/** Of each line a stream holds what flows with the batter (free) and what stays in pieces. */
export type Phase = 'free' | 'piece';
export const WIDTH = 2 * PART_COUNT;
const KINDS = STARCH_KINDS.length;

/**
 * What runs between two operations: grams by line, phase and part; temperature; gas; and how far each kind of starch is set and
 * swollen. Thickness, hydration and density are functions of it and are never stored on it.
 */
export interface Stream {
  /** Grams: `g[line·14 + (piece ? 7 : 0) + part]`. */
  readonly g: Float64Array;
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
  tempC,
  gasMl: 0,
  set: new Float64Array(KINDS),
  swelling: new Float64Array(KINDS),
});

/** Grams of a stream, g. */
export function streamMass({ g }: Stream): number {
  let m = 0;
  for (let i = 0; i < g.length; i += PART_COUNT) m += g[i] + g[i + 1] + g[i + 2] + g[i + 3] + g[i + 4] + g[i + 5];
  return m;
}

/** Sums of a stream's parts, g: all of it, or one phase. */
export function partsOfStream({ g }: Stream, phase?: Phase): Parts {
  const sum = new Float64Array(PART_COUNT);
  const from = phase === 'piece' ? PART_COUNT : 0;
  const to = phase === 'free' ? PART_COUNT : WIDTH;
  for (let i = 0; i < g.length; i += WIDTH)
    for (let k = from; k < to; k++) sum[k >= PART_COUNT ? k - PART_COUNT : k] += g[i + k];
  return {
    water: sum[WATER],
    starch: sum[STARCH],
    sugar: sum[SUGAR],
    fat: sum[FAT],
    protein: sum[PROTEIN],
    fibreAsh: sum[FIBRE_ASH],
    salt: sum[SALT],
  };
}

/** Specific heats near 40 °C by part, J/(g·K), of Choi & Okos; salt's share of the ash is counted with it. */
const HEAT_40 = [4.181, 1.618, 1.618, 2.036, 2.055, 1.911];

/** Heat capacity of a stream, J/K. */
export function capacityOf({ g }: Stream): number {
  let c = 0;
  for (let i = 0; i < g.length; i += PART_COUNT)
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
export function starchByKind(lines: readonly FlowLine[], { g }: Stream, out = new Float64Array(KINDS)): Float64Array {
  out.fill(0);
  for (let l = 0; l < lines.length; l++) {
    const k = lines[l].starch;
    if (k >= 0) out[k] += g[l * WIDTH + STARCH];
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
  for (const s of streams) {
    for (let i = 0; i < g.length; i++) g[i] += s.g[i];
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
  return { g, tempC: c > 0 ? ct / c : (streams[0]?.tempC ?? 20), gasMl, set, swelling };
}

/** A stream parted by a share of everything: what is taken, and the rest. */
export function splitStream(s: Stream, share: number): readonly [Stream, Stream] {
  const x = Math.min(1, Math.max(0, share));
  const a = s.g.map((v) => v * x);
  const b = s.g.map((v, i) => v - a[i]);
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
  for (let i = 0; i < s.g.length; i++) {
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
  for (let i = 0; i < g.length; i += WIDTH)
    for (let k = 0; k < PART_COUNT; k++) g[i + to + k] = s.g[i + k] + s.g[i + PART_COUNT + k];
  return { ...s, g };
}

export const atTemp = (s: Stream, tempC: number): Stream => (s.tempC === tempC ? s : { ...s, tempC });

/** Grams of one part in a stream, both phases, g. */
export const massOfPart = (s: Stream, part: (typeof PARTS)[number]): number => partsOfStream(s)[part];

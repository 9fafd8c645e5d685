import type { Gelling } from '../model/heat';
import { STARCH_KINDS } from '../larder';
import { driftedC, heldSet, heldSwelling } from '../model/batter';
import type { FlowLine } from './flow';
import { kindGels, shiftOf } from './look';
import { atTemp, partsOfStream, starchByKind, streamMass, type Stream } from './stream';

const KINDS = STARCH_KINDS.length;

export interface Kinds {
  /** Indices of the starch kinds that flow in a stream, and how they gel there. */
  readonly kinds: readonly number[];
  readonly gellings: readonly Gelling[];
}

const scratch = new Float64Array(KINDS);

export function kindsIn(lines: readonly FlowLine[], s: Stream): Kinds {
  const g = starchByKind(lines, s, scratch);
  const parts = partsOfStream(s, 'free');
  const shift = shiftOf(parts);
  const kinds: number[] = [];
  const gellings: Gelling[] = [];
  for (let k = 0; k < KINDS; k++)
    if (g[k] > 0) {
      kinds.push(k);
      gellings.push(kindGels(k, parts, shift));
    }
  return { kinds, gellings };
}

/** Sets and swells in place, at one temperature for a time. */
export function hold(
  { kinds, gellings }: Kinds,
  set: Float64Array,
  swelling: Float64Array,
  tempC: number,
  timeS: number,
): void {
  for (let i = 0; i < kinds.length; i++) {
    const k = kinds[i];
    set[k] = heldSet(set[k], tempC, gellings[i], timeS);
    swelling[k] = heldSwelling(swelling[k], tempC, gellings[i], timeS);
  }
}

/** A stream held at one temperature for a time: each starch sets and swells by its own kinetics. */
export function heldAt(lines: readonly FlowLine[], s: Stream, tempC: number, timeS: number): Stream {
  const set = s.set.slice();
  const swelling = s.swelling.slice();
  hold(kindsIn(lines, s), set, swelling, tempC, timeS);
  return { ...s, tempC, set, swelling };
}

/** Below this a batter neither sets nor swells worth counting, °C. */
export const QUIET_C = 45;
const WAIT_STEPS = 6;

/** A stream waiting in a bowl: it drifts to its place, and swells while it is hot. */
export function waited(lines: readonly FlowLine[], s: Stream, placeC: number, timeS: number, covered: boolean): Stream {
  if (timeS <= 0) return s;
  const m = streamMass(s);
  if (s.tempC < QUIET_C) return atTemp(s, driftedC(s.tempC, placeC, timeS, m, covered));
  const kinds = kindsIn(lines, s);
  const set = s.set.slice();
  const swelling = s.swelling.slice();
  let tempC = s.tempC;
  for (let i = 0; i < WAIT_STEPS; i++) {
    const next = driftedC(tempC, placeC, timeS / WAIT_STEPS, m, covered);
    hold(kinds, set, swelling, (tempC + next) / 2, timeS / WAIT_STEPS);
    tempC = next;
  }
  return { ...s, tempC, set, swelling };
}

/** All of a stream's starch set and swollen: cooked through. */
export const cookedThrough = (s: Stream, tempC: number): Stream => ({
  ...s,
  tempC,
  set: s.set.map(() => 1),
  swelling: s.swelling.map(() => 1),
});

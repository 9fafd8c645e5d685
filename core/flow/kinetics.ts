import type { Gelling } from '../model/heat';
import { STARCH_KINDS } from '../larder';
import { driftedC, heldSet, heldSwelling, packedViscosity, STARCH_DENSITY, swollenVolume } from '../model/batter';
import type { FlowLine } from './flow';
import { kindGels, packingOf, shiftOf } from './look';
import { atTemp, capacityOf, partsOfStream, STARCH, starchByKind, streamMass, WIDTH, type Stream } from './stream';

const KINDS = STARCH_KINDS.length;

interface Kinds {
  /** Indices of the starch kinds that flow in a stream, and how they gel there. */
  readonly kinds: readonly number[];
  readonly gellings: readonly Gelling[];
}

const scratch = new Float64Array(KINDS);

function kindsIn(lines: readonly FlowLine[], s: Stream): Kinds {
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
function hold(
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
const QUIET_C = 45;
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

export interface Thickened {
  readonly stream: Stream;
  readonly timeS: number;
  readonly tempC: number;
  /** Viscosity it was taken off at, mPa·s; undefined for a dough. */
  readonly viscosityMPas: number | undefined;
  /** False where it never gets as thick as wanted below the boil. */
  readonly reached: boolean;
}

const STEP_S = 10;
const LONGEST_S = 40 * 60;
/** It is stirred and kept below the boil, °C under it. */
const UNDER_BOIL_C = 4;

/**
 * Stirred on the ring until it is as thick as wanted: heated at a net power, each starch swelling by its own kinetics, until the
 * viscosity at its temperature is reached.
 * @param powerW net power into the pot, W
 * @param wantedMPas viscosity to reach, mPa·s
 */
export function thickenTo(
  lines: readonly FlowLine[],
  s: Stream,
  wantedMPas: number,
  powerW: number,
  boilC: number,
): Thickened {
  const here = kindsIn(lines, s);
  const { kinds } = here;
  const { swollen, serumMPas, volumeMl } = packingOf(lines, s);
  // Volume shares of each kind raw and wholly swollen; what else has swollen (mash) stays as it is.
  const rawOf = kinds.map(() => 0);
  const swollenOf = kinds.map((k) => swollenVolume(STARCH_KINDS[k]));
  lines.forEach((line, l) => {
    line.starchKinds.forEach((k, q) => {
      const i = kinds.indexOf(k);
      if (i >= 0) rawOf[i] += ((line.starchShares[q] * s.g[l * WIDTH + STARCH]) / STARCH_DENSITY) * line.absorption;
    });
  });
  const grams = starchByKind(lines, s);
  kinds.forEach((k, i) => {
    rawOf[i] /= Math.max(volumeMl, 1e-9);
    swollenOf[i] *= grams[k] / STARCH_DENSITY / Math.max(volumeMl, 1e-9);
  });
  const besides = swollen - kinds.reduce((a, k, i) => a + swollenOf[i] * s.swelling[k], 0);
  const set = s.set.slice();
  const swelling = s.swelling.slice();
  const at = (t: number) =>
    packedViscosity({
      raw: kinds.reduce((a, k, i) => a + rawOf[i] * (1 - swelling[k]), 0),
      swollen: besides + kinds.reduce((a, k, i) => a + swollenOf[i] * swelling[k], 0),
      serumMPas,
      tempC: t,
    });
  const rise = powerW / Math.max(capacityOf(s), 1e-9);
  const top = boilC - UNDER_BOIL_C;
  let t = s.tempC;
  let timeS = 0;
  let eta = at(t);
  const thick = () => eta === undefined || eta >= wantedMPas;
  // A raw dough thins as it warms and then thickens: it counts as thick enough only once some of it has swollen.
  let still = 0;
  while (!(thick() && (eta !== undefined || swelling.some((w) => w > 0.1))) && timeS < LONGEST_S) {
    t = Math.min(top, t + rise * STEP_S);
    hold(here, set, swelling, t, STEP_S);
    timeS += STEP_S;
    const before = eta;
    eta = at(t);
    still = t >= top && eta !== undefined && before !== undefined && eta < before * 1.002 ? still + 1 : 0;
    if (still > 12) break;
  }
  return { stream: { ...s, tempC: t, set, swelling }, timeS, tempC: t, viscosityMPas: eta, reached: thick() };
}

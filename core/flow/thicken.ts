import { STARCH_KINDS } from '../larder';
import {
  filmC,
  inFilmS,
  packedViscosity,
  STARCH_DENSITY,
  stirredMostC,
  swollenVolume,
  warmingCPerS,
} from '../model/batter';
import type { FlowLine } from './flow';
import { hold, kindsIn, QUIET_C } from './kinetics';
import { packingOf } from './look';
import { capacityOf, STARCH, starchByKind, WIDTH, type Stream } from './stream';

export interface Thickened {
  readonly stream: Stream;
  readonly timeS: number;
  readonly tempC: number;
  /** Viscosity it was taken off at, mPa·s; undefined for a dough. */
  readonly viscosityMPas: number | undefined;
  /** False where it never gets as thick as wanted below the boil. */
  readonly reached: boolean;
}

/** A step, s: while it is cold, and once something swells. */
const STEP_S = { cold: 20, warm: 5 } as const;
const LONGEST_S = 40 * 60;
/** Halvings of the last step. */
const HALVINGS = 14;

interface State {
  readonly timeS: number;
  readonly tempC: number;
  readonly set: Float64Array;
  readonly swelling: Float64Array;
  /** Undefined for a dough. */
  readonly etaMPas: number | undefined;
}

/**
 * Stirred on the ring until it is as thick as wanted: it warms as the flame is kept, each starch swelling by its own kinetics, in the bulk and in
 * the hot film on the pot's bottom that the spoon folds in, until the viscosity at its temperature is reached.
 * @param ringW what the ring gives at most, W; low, and turned down for a small pot
 * @param wantedMPas viscosity to reach, mPa·s
 */
export function thickenTo(
  lines: readonly FlowLine[],
  s: Stream,
  wantedMPas: number,
  ringW: number,
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
  const top = stirredMostC(boilC);
  const perS = warmingCPerS(capacityOf(s), ringW);
  /** Goes on from where it was for a time. */
  const after = (was: State, forS: number): State => {
    const tempC = Math.min(top, was.tempC + perS * forS);
    const [set, swelling] = [was.set.slice(), was.swelling.slice()];
    hold(here, set, swelling, (was.tempC + tempC) / 2, forS);
    hold(here, set, swelling, filmC(boilC), inFilmS(was.tempC, tempC, boilC));
    const etaMPas = packedViscosity({
      raw: kinds.reduce((a, k, i) => a + rawOf[i] * (1 - swelling[k]), 0),
      swollen: besides + kinds.reduce((a, k, i) => a + swollenOf[i] * swelling[k], 0),
      serumMPas,
      tempC,
    });
    return { timeS: was.timeS + forS, tempC, set, swelling, etaMPas };
  };
  // A raw dough thins as it warms and then thickens: it counts as thick enough only once some of it has swollen.
  const isThick = ({ etaMPas, swelling }: State) =>
    (etaMPas === undefined || etaMPas >= wantedMPas) && (etaMPas !== undefined || swelling.some((w) => w > 0.1));
  /** Taken off at the look, not at the end of a step. */
  const lookReached = (from: State, stepS: number): State => {
    let [low, high] = [0, stepS];
    for (let i = 0; i < HALVINGS; i++) {
      const mid = (low + high) / 2;
      if (isThick(after(from, mid))) high = mid;
      else low = mid;
    }
    return after(from, high);
  };
  let now = after({ timeS: 0, tempC: s.tempC, set: s.set, swelling: s.swelling, etaMPas: undefined }, 0);
  let still = 0;
  while (!isThick(now) && now.timeS < LONGEST_S) {
    const stepS = now.tempC < QUIET_C ? STEP_S.cold : STEP_S.warm;
    const next = after(now, stepS);
    if (isThick(next)) {
      now = lookReached(now, stepS);
      break;
    }
    const idle =
      next.tempC >= top &&
      next.etaMPas !== undefined &&
      now.etaMPas !== undefined &&
      next.etaMPas < now.etaMPas * 1.001;
    still = idle ? still + 1 : 0;
    now = next;
    if (still > 24) break;
  }
  const { timeS, tempC, set, swelling, etaMPas } = now;
  return {
    stream: { ...s, tempC, set, swelling },
    timeS,
    tempC,
    viscosityMPas: etaMPas,
    reached: etaMPas === undefined || etaMPas >= wantedMPas,
  };
}

import type { Gelling } from '../model/heat';
import { STARCH_KINDS, thermalProperties, type StarchKind } from '../larder';
import {
  gellingIn,
  gellingMidpoint,
  gellingShiftC,
  massOf,
  packedViscosity,
  plainMidpointC,
  serumViscosity,
  settlingSpeed,
  STARCH_DENSITY,
  sugarLift,
  swollenVolume,
  thermalShares,
  thicknessWord,
  type Consistency,
  type Parts,
} from '../model/batter';
import type { FlowLine } from './flow';
import { PART_COUNT, partsOfStream, STARCH, starchByKind, streamMass, WATER, WIDTH, type Stream } from './stream';

/** Volume of parts at 25 °C, ml. */
export const volumeOf = (p: Parts): number => {
  const m = massOf(p);
  return m <= 0 ? 0 : (m / thermalProperties(thermalShares(p), 25).rho) * 1000;
};

/** Sugar ÷ (sugar + water). */
export const sugarPhaseOf = (p: Parts): number => (p.sugar + p.water > 0 ? p.sugar / (p.sugar + p.water) : 0);

/** Share of the gelling starch by kind, 0–1. */
export function starchSharesOf(lines: readonly FlowLine[], s: Stream): Partial<Record<StarchKind, number>> {
  const grams = starchByKind(lines, s);
  const sum = grams.reduce((a, g) => a + g, 0);
  const out: Partial<Record<StarchKind, number>> = {};
  if (sum > 0) for (let k = 0; k < grams.length; k++) if (grams[k] > 0) out[STARCH_KINDS[k]] = grams[k] / sum;
  return out;
}

/** What sugar, salt and scarce water add to each starch's midpoint in this stream, °C. */
export function shiftOf(p: Parts): number {
  return gellingShiftC(
    sugarPhaseOf(p),
    p.water > 0 ? (100 * p.salt) / p.water : 0,
    p.starch > 0 ? p.water / p.starch : 10,
  );
}

/** Midpoint of one starch kind in a stream, °C, given {@link shiftOf}. */
export const midpointIn = (kind: number, shiftC: number): number => plainMidpointC(STARCH_KINDS[kind]) + shiftC;

/** What surrounds the starch of parts. */
const around = (p: Parts) => ({
  sugarPhase: sugarPhaseOf(p),
  waterToStarch: p.starch > 0 ? p.water / p.starch : 10,
  sugarToStarch: p.starch > 0 ? p.sugar / p.starch : 0,
});

/** How one starch kind gels in a stream. @param shiftC by {@link shiftOf} */
export const kindGels = (kind: number, p: Parts, shiftC: number): Gelling =>
  gellingIn(midpointIn(kind, shiftC), around(p), shiftC);

/** How what flows in a stream gels. */
export function gellingOf(lines: readonly FlowLine[], s: Stream): Gelling {
  const p = partsOfStream(s, 'free');
  return gellingIn(midpointOf(lines, p, s), around(p), shiftOf(p));
}

function midpointOf(lines: readonly FlowLine[], p: Parts, s: Stream): number {
  return gellingMidpoint({
    starchShares: starchSharesOf(lines, s),
    sugarPhase: sugarPhaseOf(p),
    saltInWaterPct: p.water > 0 ? (100 * p.salt) / p.water : 0,
    waterToStarch: p.starch > 0 ? p.water / p.starch : 10,
  });
}

/** Set degree of a stream over all of its free starch, 0–1. */
export function setDegreeOf(lines: readonly FlowLine[], s: Stream): number {
  const grams = starchByKind(lines, s);
  let g = 0;
  let sum = 0;
  for (let k = 0; k < grams.length; k++) {
    g += grams[k] * s.set[k];
    sum += grams[k];
  }
  return sum > 0 ? g / sum : 0;
}

export interface Waters {
  /** Flours, starches and grains as weighed, g. */
  readonly dryG: number;
  /** Water from all sources but the dry blend's own moisture, pieces by what cooks out, g. */
  readonly addedWaterG: number;
  /** What counts whole as liquid: liquids, top-up, kept juice, g. */
  readonly liquidG: number;
}

/** Dry blend, added water and liquid of a stream: hydration = added ÷ dry, liquid : dry = liquid ÷ dry. */
export function watersOf(lines: readonly FlowLine[], s: Stream): Waters {
  let dryG = 0;
  let addedWaterG = 0;
  let liquidG = 0;
  for (let l = s.from; l < s.to; l++) {
    const line = lines[l];
    const at = l * WIDTH;
    let free = 0;
    for (let k = 0; k < 6; k++) free += s.g[at + k];
    if (line.dry) {
      dryG += free;
      for (let k = 0; k < 6; k++) dryG += s.g[at + PART_COUNT + k];
      continue;
    }
    addedWaterG += s.g[at + WATER] + line.cooksOut * s.g[at + PART_COUNT + WATER];
    if (line.liquid) liquidG += free;
    else if (line.juicy && !line.mash) liquidG += free;
  }
  return { dryG, addedWaterG, liquidG };
}

/** Swollen volume of mashed dry matter, ml a gram: roots and squash by the house figure, beans by what they hold when cooked. */
const ROOT_SWELLS = 4;
const BEAN_SWELLS = 2;

interface Packing {
  readonly raw: number;
  readonly swollen: number;
  readonly serumMPas: number;
  readonly sugarPhase: number;
  readonly volumeMl: number;
}

/** Volume shares of raw and swollen grains in what flows of a stream. */
export function packingOf(lines: readonly FlowLine[], s: Stream): Packing {
  const p = partsOfStream(s, 'free');
  const volumeMl = volumeOf(p);
  if (volumeMl <= 0) return { raw: 0, swollen: 0, serumMPas: 1, sugarPhase: 0, volumeMl: 0 };
  let raw = 0;
  let swollen = 0;
  let gelling = 0;
  for (let l = s.from; l < s.to; l++) {
    const line = lines[l];
    const at = l * WIDTH;
    const { starchKinds, starchShares } = line;
    if (starchKinds.length > 0) {
      const starch = s.g[at + STARCH];
      if (starch <= 0) continue;
      gelling += starch;
      for (let q = 0; q < starchKinds.length; q++) {
        const k = starchKinds[q];
        const w = s.swelling[k];
        const ml = (starchShares[q] * starch) / STARCH_DENSITY;
        raw += ml * line.absorption * (1 - w);
        swollen += ml * swollenVolume(STARCH_KINDS[k]) * w;
      }
    } else if (line.mash) {
      const coconut = line.kind === 'coconut';
      let solids = 0;
      // Dry matter; of grated coconut only what is neither sugar nor fat.
      for (let k = 1; k < 6; k++) if (!(coconut && (k === 2 || k === 3))) solids += s.g[at + k];
      // Grated coconut is grain, mashed roots and beans are a swollen pulp.
      if (coconut) raw += solids / 1.4;
      else swollen += (line.kind === 'protein' ? BEAN_SWELLS : ROOT_SWELLS) * solids;
    }
  }
  const sugarPhase = sugarPhaseOf(p);
  const fatShare = p.fat / 0.915 / Math.max(volumeMl - gelling / STARCH_DENSITY, 1e-9);
  return {
    raw: raw / volumeMl,
    swollen: swollen / volumeMl,
    serumMPas: serumViscosity(Math.min(0.9, sugarPhase), Math.min(fatShare, 0.5)),
    sugarPhase,
    volumeMl,
  };
}

/** Viscosity of what flows of a stream, mPa·s; undefined for a dough. */
export function viscosityOf(lines: readonly FlowLine[], s: Stream): number | undefined {
  const { raw, swollen, serumMPas } = packingOf(lines, s);
  return packedViscosity({ raw, swollen, serumMPas, tempC: s.tempC });
}

/**
 * Consistency of what flows of a stream, at its own temperature. Settling: mass-weighted over the starches' sizes, and slower as
 * grains swell, so no share is a cliff.
 * @param bowlDepthM depth it stands in
 */
export function consistencyOf(lines: readonly FlowLine[], s: Stream, bowlDepthM = 0.1): Consistency {
  const { raw, swollen, serumMPas, sugarPhase } = packingOf(lines, s);
  const viscosityMPas = packedViscosity({ raw, swollen, serumMPas, tempC: s.tempC });
  const delta = Math.max(50, 500 - sugarLift(sugarPhase));
  let speed = 0;
  let sum = 0;
  for (let l = s.from; l < s.to; l++) {
    const line = lines[l];
    const starch = s.g[l * WIDTH + STARCH];
    const { starchKinds, starchShares } = line;
    if (starchKinds.length === 0 || starch <= 0) continue;
    let swollenHere = 0;
    for (let q = 0; q < starchKinds.length; q++) swollenHere += starchShares[q] * s.swelling[starchKinds[q]];
    speed += starch * settlingSpeed(line.grainUm, Math.min(raw, 0.9), serumMPas, delta) * (1 - swollenHere);
    sum += starch;
  }
  const held = Math.max(0, 1 - swollen / 0.3);
  const v = sum > 0 ? (speed / sum) * held : 0;
  const every = v > 0 ? (0.05 * bowlDepthM) / v : Infinity;
  return {
    phi: raw + swollen,
    viscosityMPas,
    serumMPas,
    words: thicknessWord(viscosityMPas),
    stirEveryS: every > 12 * 3600 ? Infinity : every,
  };
}

/** Share of a stream's volume that is pieces, 0–1. */
export function pieceShareOf(s: Stream): number {
  const pieces = volumeOf(partsOfStream(s, 'piece'));
  const free = volumeOf(partsOfStream(s, 'free'));
  return pieces + free > 0 ? pieces / (pieces + free) : 0;
}

export { streamMass };

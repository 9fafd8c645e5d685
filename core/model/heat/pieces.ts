import { doubles } from './arena';
import type { Pieces } from './conduction.types';
import { decayShare } from './decay';
import { BEFORE, HEAT, PIECES, PIECES_BEFORE, TEMP, type Field } from './field';

/**
 * Pieces in a material, eliminated from their cells like walls. dP/dt = (T − P)/τ; where T goes straight over a step, with z = dt/τ and
 * φ = 1 − (1 − e^−z)/z,
 *   P₁ − P₀ = φ·(T₁ − T₀) + (1 − e^−z)·(T₀ − P₀):
 * φ of the pieces' capacity goes with its cell, and what they lagged behind is taken from it, half before the step and half after.
 */
export interface LaggingPieces {
  /** The cells' capacity grows by what of the pieces goes with them. */
  readonly join: () => void;
  /** Half of what they lagged behind is taken from their cells. */
  readonly push: () => void;
  /** Their temperature as the step ends. */
  readonly follow: () => void;
}

/** Share of a body's capacity that goes with its cells over z time constants. */
const follows = (z: number, gone: number): number => (z > 1e-4 ? 1 - gone / z : z / 2);

export function lagging(f: Field, { share, tauS }: Pieces, dt: number): LaggingPieces {
  const a = doubles;
  const { size, pitch } = f;
  const temp = TEMP * pitch;
  const before = BEFORE * pitch;
  const heat = HEAT * pitch;
  const pieces = PIECES * pitch;
  const piecesBefore = PIECES_BEFORE * pitch;
  const z = dt / tauS;
  const gone = decayShare(z);
  const phi = follows(z, gone);
  const ofOwn = share / (1 - share);
  const joined = 1 + ofOwn * phi;
  // Of the lag, °C, what a cell loses in each half, °C.
  const half = (0.5 * ofOwn * gone) / joined;
  return {
    join: () => {
      for (let c = 0; c < size; c++) a[heat + c] *= joined;
    },
    push: () => {
      for (let c = 0; c < size; c++) a[temp + c] -= half * (a[before + c] - a[piecesBefore + c]);
    },
    follow: () => {
      for (let c = 0; c < size; c++) {
        const was = a[before + c];
        const p = a[piecesBefore + c];
        a[pieces + c] = p + phi * (a[temp + c] - was) + gone * (was - p);
      }
    },
  };
}

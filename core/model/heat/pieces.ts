import { doubles } from './arena';
import type { Pieces } from './conduction.types';
import { PIECES, TEMP, type Field } from './field';

/**
 * Exchange between a material and the pieces in it over a step, exactly, for constant capacities: their difference dies away with
 * τ·(1 − share), their mean stays.
 */
export function exchange(f: Field, { share, tauS }: Pieces, dt: number): void {
  const a = doubles;
  const left = Math.exp(-dt / (tauS * (1 - share)));
  const temp = TEMP * f.pitch;
  const pieces = PIECES * f.pitch;
  for (let c = 0; c < f.size; c++) {
    const t = a[temp + c];
    const p = a[pieces + c];
    const mean = (1 - share) * t + share * p;
    const apart = (t - p) * left;
    a[temp + c] = mean + share * apart;
    a[pieces + c] = mean - (1 - share) * apart;
  }
}

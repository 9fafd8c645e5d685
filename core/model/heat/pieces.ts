import type { Pieces } from './conduction.types';

/**
 * Exchange between a material and the pieces in it over a step, exactly, for constant capacities: their difference dies away with
 * τ·(1 − share), their mean stays.
 */
export function exchange(temp: Float64Array, piecesTemp: Float64Array, { share, tauS }: Pieces, dt: number): void {
  const left = Math.exp(-dt / (tauS * (1 - share)));
  for (let c = 0; c < temp.length; c++) {
    const mean = (1 - share) * temp[c] + share * piecesTemp[c];
    const apart = (temp[c] - piecesTemp[c]) * left;
    temp[c] = mean + share * apart;
    piecesTemp[c] = mean - (1 - share) * apart;
  }
}

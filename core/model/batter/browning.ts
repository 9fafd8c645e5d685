import { GAS_R, KELVIN } from '../../units';

/** Browning rate, 1/s: (1/60)·e^(−100 000/R·(1/T − 1/433.15)), T in K. */
export const browningRate = (tempC: number): number =>
  (1 / 60) * Math.exp((-100_000 / GAS_R) * (1 / (tempC + KELVIN) - 1 / 433.15));

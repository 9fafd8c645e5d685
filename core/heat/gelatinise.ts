import { GAS_R, KELVIN } from '../units';
import { tabulate, type Lookup } from './lookup';

/** Activation energy of gelatinisation, J/mol (after Suzuki and others, 1976, for rice). */
const ACTIVATION = 80_000;
const REFERENCE_K = 368.15;
const WIDTH_C = 1.8;

/** Share that gels in the end at T: Geq = 1/(1 + e^(−(T − Tm)/1.8)). */
export const equilibriumGel = (tempC: number, midpointC: number): number =>
  1 / (1 + Math.exp(-(tempC - midpointC) / WIDTH_C));

/** Rate, 1/s: k = (1/20 s)·e^(−80 000/R·(1/T − 1/368.15)). */
export const gelRate = (tempC: number): number =>
  (1 / 20) * Math.exp((-ACTIVATION / GAS_R) * (1 / (tempC + KELVIN) - 1 / REFERENCE_K));

export interface GelLaw {
  readonly equilibrium: Lookup;
  readonly rate: Lookup;
}

/** The law for one gelling midpoint, tabulated each 0.25 °C. */
export const gelLaw = (midpointC: number): GelLaw => ({
  equilibrium: tabulate((t) => equilibriumGel(t, midpointC), 0.25),
  rate: tabulate(gelRate, 0.25),
});

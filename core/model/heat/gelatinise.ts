import { GAS_R, KELVIN } from '../../units';
import { tabulate, type Lookup } from './lookup';

/** Activation energy of gelatinisation, J/mol (after Suzuki and others, 1976, for rice). */
const ACTIVATION = 80_000;
const REFERENCE_K = 368.15;
/** Width of gelling in plenty of water, °C. */
export const PLAIN_WIDTH_C = 1.8;

/** How a batter gels: midpoint and width, °C, the midpoint in plenty of plain water, °C, rate as a share of that in plain water, and what of it melts later, at a higher midpoint. */
export interface Gelling {
  readonly midpointC: number;
  readonly widthC: number;
  readonly plainC: number;
  readonly rate: number;
  readonly lateShare: number;
  readonly lateC: number;
}

/** As in plenty of water, without sugar. */
export const plainGelling = (midpointC: number): Gelling => ({
  midpointC,
  widthC: PLAIN_WIDTH_C,
  plainC: midpointC,
  rate: 1,
  lateShare: 0,
  lateC: midpointC,
});

const sigmoid = (tempC: number, midpointC: number, widthC: number): number =>
  1 / (1 + Math.exp(-(tempC - midpointC) / widthC));

/** Share that gels in the end at T: Geq = 1/(1 + e^(−(T − Tm)/w)), of what melts late at its own midpoint. */
export const equilibriumGel = (tempC: number, g: Gelling): number =>
  (1 - g.lateShare) * sigmoid(tempC, g.midpointC, g.widthC) +
  (g.lateShare > 0 ? g.lateShare * sigmoid(tempC, g.lateC, g.widthC) : 0);

/** Rate in plain water, 1/s: k = (1/20 s)·e^(−80 000/R·(1/T − 1/368.15)). */
export const gelRate = (tempC: number): number =>
  (1 / 20) * Math.exp((-ACTIVATION / GAS_R) * (1 / (tempC + KELVIN) - 1 / REFERENCE_K));

export interface GelLaw {
  readonly equilibrium: Lookup;
  readonly rate: Lookup;
}

/** The law of one batter, tabulated each 0.25 °C. */
export const gelLaw = (g: Gelling): GelLaw => ({
  equilibrium: tabulate((t) => equilibriumGel(t, g), 0.25),
  rate: tabulate((t) => g.rate * gelRate(t), 0.25),
});

import { WATER_J_KG_K } from '../../units';

/** A pressure pot's cycle, s: up to pressure, held there, and its slow release, in which the cake boils on inside. */
export interface PressureCycle {
  readonly comeUpS: number;
  readonly holdS: number;
  readonly releaseS: number;
}

/** Pot and trivet, kg of steel as water, and air driven out before it closes, s. */
const POT_AS_WATER_KG = 0.35;
const VENT_S = 60;
/** Slow release, s: as long again as it takes to lose its pressure. */
const SLOW_S = 720;
const QUICK_S = 60;

/** Up to pressure from the boil: pot, water and cake warmed by the ring's power. */
export function comeUpS(waterMl: number, cakeKg: number, fromC: number, toC: number, powerW: number): number {
  const held = (waterMl / 1000 + POT_AS_WATER_KG + 0.6 * cakeKg) * WATER_J_KG_K;
  return VENT_S + (held * Math.max(0, toC - fromC)) / Math.max(powerW, 1);
}

/** How long the release takes, s. */
export const releaseS = (how: 'slow' | 'quick'): number => (how === 'slow' ? SLOW_S : QUICK_S);

import { LATENT_STEAM } from '../units';
import type { Steamer } from '../kitchen';

const LEAK: Readonly<Record<Steamer['lid'], number>> = { tight: 0.45, cloth: 0.65, woven: 0.8 };
const KEEP_DEPTH_M = 0.015;
const BELOW_RACK_M = 0.01;

export interface WaterPlan {
  /** Water to start with, ml; its surface stays 1 cm below the rack. */
  readonly startMl: number;
  readonly boilOffMlPerMin: number;
  /** First top-up, s after the boil; undefined when none is needed. */
  readonly firstTopUpS: number | undefined;
  readonly topUps: number;
  /** When each top-up falls, s, kept clear of the moments when something is poured. */
  readonly timesS: readonly number[];
  readonly topUpMl: number;
}

/**
 * Water for a steaming: boil-off = power ÷ 2257 kJ/kg × leak of the lid; top up with boiling water before the depth falls under 1.5 cm.
 * @param totalS steam on, s
 * @param busyS moments when the lid is up for a pour, s: a top-up that would fall within a minute of one is made a minute before it
 */
export function waterPlan(steamer: Steamer, powerW: number, totalS: number, busyS: readonly number[] = []): WaterPlan {
  const area = (Math.PI / 4) * steamer.potDiameterM ** 2;
  const startDepth = Math.max(KEEP_DEPTH_M, steamer.waterDepthM - BELOW_RACK_M);
  const rate = ((powerW / LATENT_STEAM) * LEAK[steamer.lid]) / 958;
  const usable = area * (startDepth - KEEP_DEPTH_M);
  const lasts = usable / rate;
  const topUps = totalS <= lasts || usable <= 0 ? 0 : Math.ceil((totalS - lasts) / lasts);
  const timesS = Array.from({ length: topUps }, (_, i) => clearOf(lasts * (i + 1), busyS));
  return {
    startMl: area * startDepth * 1e6,
    boilOffMlPerMin: rate * 60e6,
    firstTopUpS: topUps > 0 ? timesS[0] : undefined,
    topUps,
    timesS,
    topUpMl: usable * 1e6,
  };
}

const APART_S = 60;
const clearOf = (t: number, busy: readonly number[]): number =>
  busy.reduceRight((at, b) => (Math.abs(at - b) < APART_S ? Math.max(0, b - APART_S) : at), t);

/**
 * Net power from a kettle test: V litres from T₁ to the boil in t seconds, m c ΔT/t, W.
 * @example kettleTestPower(1, 20, 100, 300) // ≈ 1115
 */
export function kettleTestPower(litres: number, fromC: number, boilC: number, timeS: number): number {
  return (litres * 0.998 * 4186 * (boilC - fromC)) / timeS;
}

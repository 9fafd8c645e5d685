import {
  LATENT_STEAM,
  problem,
  sayDuration,
  sayMm,
  sayWater,
  WATER_J_KG_K,
  type Problem,
  type ConcernCode,
} from '../../units';
import type { Lid, Steamer } from '../../kitchen';
import { LOST } from './air';

/** A pressure pot shut tight lets hardly any out. */
const LOST_SEALED = 0.03;
/** Water is topped up before it stands lower than this, and never comes nearer to the rack than that, m. */
const KEEP_DEPTH_M = 0.015;
const BELOW_RACK_M = 0.01;
/** A pot that wants boiling water more often than this is too shallow, s. */
const OFTEN_S = 900;
/** Density of boiling water, kg/m³, and what a litre takes to warm, J/(l·K). */
const BOILING_RHO = 958;
const LITRE_J_K = WATER_J_KG_K * 0.998;
/** As many top-ups as are worth listing. */
const MOST_LISTED = 24;

export interface WaterInput {
  readonly steamer: Omit<Steamer, 'id' | 'name'>;
  /** How it is closed. */
  readonly lid: Lid;
  /** Steam power at a time, W, and what the cakes take of it in all, J. */
  readonly powerW: (timeS: number) => number;
  readonly takenJ: number;
  /** Boiling, s, from the first steam until the fire goes off. */
  readonly totalS: number;
  /** Net power while it comes to the boil, W; of the water, °C. */
  readonly boilUpW: number;
  readonly tapC: number;
  readonly boilC: number;
  /** Water that the cook put in, ml; absent: up to 1 cm under the rack. */
  readonly filledMl?: number;
  /** Moments when the lid is up for a pour, s. */
  readonly busyS?: readonly number[];
}

export interface WaterPlan {
  /** Water to start with, ml; its surface stays 1 cm below the rack. */
  readonly startMl: number;
  /** Net power while it comes to the boil, W; from the tap, and from a boiling kettle, s. */
  readonly boilUpW: number;
  readonly boilUpS: number;
  readonly fromKettleS: number;
  readonly boilOffMlPerMin: number;
  /** From the boil until it stands too low, and until it is dry, if nobody tops it up, s. */
  readonly lastsS: number;
  readonly dryS: number;
  /** First top-up, s after the boil; undefined when none is needed. */
  readonly firstTopUpS: number | undefined;
  readonly topUps: number;
  /** When each top-up falls, s, kept clear of the moments when something is poured; the first 24. */
  readonly timesS: readonly number[];
  readonly topUpMl: number;
  /** What is left at the end, ml. */
  readonly leftMl: number;
  readonly problems: readonly Problem<ConcernCode>[];
}

/** Water out of the kettle has this much left to go before it steams, °C. */
const KETTLE_SHORT_C = 8;

/** Mean power over a steaming, W. */
function meanPower(powerW: (t: number) => number, totalS: number): number {
  const n = 48;
  let sum = 0;
  for (let i = 0; i < n; i++) sum += powerW(((i + 0.5) / n) * totalS);
  return sum / n;
}

/**
 * Water for a steaming. Boil-off = (power − what condenses on the cake) ÷ 2257 kJ/kg × what the lid loses; boil-up = litres × 4.19 kJ × ΔT ÷
 * net power; boiling water is added before the depth falls under 1.5 cm.
 * Problems: a pot too shallow for its rack, water that touches the rack, a pot that boils dry at once, top-ups oftener than one in 15 min.
 */
export function waterPlan(input: WaterInput): WaterPlan {
  const { steamer, totalS } = input;
  const area = (Math.PI / 4) * steamer.potDiameterM ** 2;
  const most = steamer.waterDepthM - BELOW_RACK_M;
  const startMl = input.filledMl ?? area * Math.max(0, most) * 1e6;
  const startM = startMl / 1e6 / area;
  const meanW = totalS > 0 ? meanPower(input.powerW, totalS) : input.powerW(0);
  const surplusW = Math.max(0.05 * meanW, meanW - (totalS > 0 ? input.takenJ / totalS : 0));
  const lost = steamer.pressureTempC === undefined ? LOST[input.lid] : LOST_SEALED;
  const rate = Math.max(1e-12, ((surplusW / LATENT_STEAM) * lost) / BOILING_RHO);
  const dryS = (startM * area) / rate;
  const lastsS = Math.max(0, startM - KEEP_DEPTH_M) * (area / rate);
  // A top-up fills it to where it may stand, not merely to where it began.
  const topUpMl = Math.max(0, most - KEEP_DEPTH_M) * area * 1e6;
  const everyS = topUpMl / 1e6 / rate;
  const needed = totalS > lastsS;
  const can = topUpMl > 0 && everyS >= 1;
  const topUps = needed && can ? Math.ceil((totalS - lastsS) / everyS) : 0;
  const timesS = Array.from({ length: Math.min(topUps, MOST_LISTED) }, (_, i) =>
    clearOf(lastsS + everyS * i, input.busyS ?? []),
  );
  const litres = startMl / 1000;
  const boilUpS = (litres * LITRE_J_K * Math.max(0, input.boilC - input.tapC)) / Math.max(input.boilUpW, 1);
  const fromKettleS = (litres * LITRE_J_K * KETTLE_SHORT_C) / Math.max(input.boilUpW, 1);
  return {
    startMl,
    boilUpW: input.boilUpW,
    boilUpS,
    fromKettleS: Math.min(boilUpS, fromKettleS),
    boilOffMlPerMin: rate * 60e6,
    lastsS,
    dryS,
    firstTopUpS: topUps > 0 ? timesS[0] : undefined,
    topUps,
    timesS,
    topUpMl,
    leftMl: Math.max(0, startMl + topUps * topUpMl - rate * totalS * 1e6),
    problems: problemsOf({ steamer, areaM2: area, startM, most, lastsS, dryS, everyS, needed, can, totalS }),
  };
}

interface Judged {
  readonly steamer: Omit<Steamer, 'id' | 'name'>;
  readonly areaM2: number;
  readonly startM: number;
  readonly most: number;
  readonly lastsS: number;
  readonly dryS: number;
  readonly everyS: number;
  readonly needed: boolean;
  readonly can: boolean;
  readonly totalS: number;
}

function problemsOf(w: Judged): Problem<ConcernCode>[] {
  const { steamer } = w;
  const list: Problem<ConcernCode>[] = [];
  if (w.most < KEEP_DEPTH_M)
    list.push(
      problem(
        'pot-too-shallow',
        'steamer',
        `The steamer has ${sayMm(steamer.waterDepthM)} under its rack, and ${sayMm(KEEP_DEPTH_M + BELOW_RACK_M)} is the least: raise the rack (foil rolls, an upturned cup) or take a deeper pot.`,
      ),
    );
  else if (w.startM < KEEP_DEPTH_M - 1e-9)
    list.push(
      problem(
        'too-little-water',
        'readings.boil-up:steamer.waterMl',
        `The water stands ${sayMm(w.startM)} deep in the steamer, and ${sayMm(KEEP_DEPTH_M)} is the least: pour in at least ${sayWater(KEEP_DEPTH_M * w.areaM2 * 1e6)}.`,
      ),
    );
  if (w.startM > steamer.waterDepthM)
    list.push(
      problem(
        'water-over-rack',
        'readings.boil-up:steamer.waterMl',
        `The water stands ${sayMm(w.startM)} deep and its rack lies at ${sayMm(steamer.waterDepthM)}: pour off down to ${sayMm(Math.max(0, w.most))}, or the cake boils instead of steaming.`,
      ),
    );
  if (w.dryS < Math.min(w.totalS, OFTEN_S) || (w.needed && !w.can))
    list.push(
      problem(
        'boils-dry',
        'steamer',
        `The steamer boils dry after ${sayDuration(w.dryS)} and ${sayDuration(w.totalS)} are wanted: more water to start with, a deeper pot, or a lower heat.`,
      ),
    );
  if (w.needed && w.can && w.everyS < OFTEN_S)
    list.push(
      problem(
        'tops-up-too-often',
        'steamer',
        `The steamer wants ${sayWater(Math.max(0, w.most - KEEP_DEPTH_M) * w.areaM2 * 1e6)} of boiling water every ${sayDuration(w.everyS)}, and one in 15 minutes is as often as a lid should come up: a deeper pot, a tighter lid, or a lower heat.`,
      ),
    );
  return list;
}

const APART_S = 60;
const clearOf = (t: number, busy: readonly number[]): number =>
  busy.reduceRight((at, b) => (Math.abs(at - b) < APART_S ? Math.max(0, b - APART_S) : at), t);

/**
 * Net power from a kettle test: V litres from T₁ to the boil in t seconds, m c ΔT/t, W.
 * @example kettleTestPower(1, 20, 100, 300) // ≈ 1115
 */
export function kettleTestPower(litres: number, fromC: number, boilC: number, timeS: number): number {
  return (litres * LITRE_J_K * (boilC - fromC)) / timeS;
}

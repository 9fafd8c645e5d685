import type { Expected, StampedEvent } from '../notebook';
import { boilingPointC } from '../../units';
import { steamingOf } from './steaming';

/** One reading of a probe in the cake: seconds in the steam, °C, put right by the check in boiling water. */
export interface ProbeReading {
  readonly timeS: number;
  readonly tempC: number;
}
/** The cold spot as it was forecast: seconds, its °C, the cake's mean °C. */
export type Warming = readonly (readonly [number, number, number, ...(readonly number[])])[];

/** A probe sits this share of the way from the cold spot to the mean, with one standard deviation: nobody hits the coldest place. */
const PLACED = { mean: 0.12, sd: 0.12 } as const;
/** One standard deviation of a reading about what it should be, °C: noise, and what the model has wrong from one reading to the next. */
const READING_SD_C = 1;
/** A reading follows the cake so long after, s. */
const LAG_S = 8;
/** What the temperature does not tell of when a pick is clean, of the logarithm of the time. */
export const PICK_SIGMA = 0.035;
/** Readings nearer than this share of the steaming hang together, since what the model has wrong changes as slowly as the cake warms: the later
 * one counts for less. */
const APART = 1 / 30;
/** A reading that jumps this far from the last in this time is no cake, °C and s. */
const JUMP_C = 25;
const JUMP_S = 20;
const NODES = 161;
const REACH = 4;

/** A value of the forecast at a time, held beyond its end. */
function warmingAt(w: Warming): (timeS: number) => readonly [number, number] {
  return (t) => {
    let low = 0;
    let high = w.length - 1;
    if (t <= w[0][0]) return [w[0][1], w[0][2]];
    if (t >= w[high][0]) return [w[high][1], w[high][2]];
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (w[mid][0] <= t) low = mid;
      else high = mid;
    }
    const x = (t - w[low][0]) / (w[high][0] - w[low][0]);
    return [w[low][1] + x * (w[high][1] - w[low][1]), w[low][2] + x * (w[high][2] - w[low][2])];
  };
}

/** Readings that a cake can have given: none out of bounds, none after a jump that no cake makes until it has held for two readings. */
export function plausible(readings: readonly ProbeReading[], steamC: number): readonly ProbeReading[] {
  const kept: ProbeReading[] = [];
  let odd: ProbeReading | undefined;
  for (const r of readings) {
    if (!(r.tempC > -5 && r.tempC < steamC + 6) || r.timeS < 0) continue;
    const last = kept.at(-1);
    const jumps = (from: ProbeReading) => Math.abs(r.tempC - from.tempC) > JUMP_C && r.timeS - from.timeS < JUMP_S * 3;
    if (last && jumps(last) && !(odd && !jumps(odd))) {
      odd = r;
      continue;
    }
    odd = undefined;
    kept.push(r);
  }
  return kept;
}

/** Farther than this from anything the cake can have there, at any pace within so many standard deviations, the probe is not in it, °C. */
const OUTSIDE_C = 10;
const OUTSIDE_SDS = 3;
const paces = (prior: number): Float64Array =>
  Float64Array.from({ length: NODES }, (_, i) => (REACH * prior * (2 * i - NODES + 1)) / (NODES - 1));
/** What a pick adds is not in the temperature: the factor's own spread is the rest. */
const paceSigma = ({ sigma }: Expected): number => Math.sqrt(Math.max(1e-6, sigma ** 2 - PICK_SIGMA ** 2));

/** Readings that are of this cake: none of a probe that lies on the counter, or stands in the steam. */
export function inCake(readings: readonly ProbeReading[], warming: Warming, before: Expected): readonly ProbeReading[] {
  if (warming.length < 2) return [];
  const at = warmingAt(warming);
  const slow = Math.exp(OUTSIDE_SDS * paceSigma(before));
  const fast = 1 / slow;
  return readings.filter(
    ({ timeS, tempC }) => tempC > at(timeS / slow)[0] - OUTSIDE_C && tempC < at(timeS / fast)[1] + OUTSIDE_C,
  );
}

/**
 * What a probe's curve says of this batch's own pace: a filter over the factor on the forecast's time, each with its own estimate of where the probe
 * sits (a Kalman filter for that one state at every factor of a grid; Rao-Blackwellised). Before a reading it is what was expected.
 * @param warming of the cold spot, as forecast @param before when it should be clean @returns when it should be clean by what the probe has read
 */
export function probed(all: readonly ProbeReading[], warming: Warming, before: Expected): Expected {
  const readings = inCake(all, warming, before);
  if (readings.length === 0) return before;
  const at = warmingAt(warming);
  const prior = paceSigma(before);
  const mean = new Float64Array(NODES).fill(PLACED.mean);
  const variance = new Float64Array(NODES).fill(PLACED.sd ** 2);
  const logs = paces(prior);
  const weight = logs.map((x) => -0.5 * (x / prior) ** 2);
  let lastS = -Infinity;
  for (const { timeS, tempC } of readings) {
    const apart = Math.min(1, Math.max(0.02, (timeS - lastS) / (APART * before.medianS)));
    lastS = timeS;
    for (let i = 0; i < NODES; i++) {
      const [cold, whole] = at(Math.max(0, timeS - LAG_S) / Math.exp(logs[i]));
      const h = whole - cold;
      const r = READING_SD_C ** 2 / apart;
      const s = h * h * variance[i] + r;
      const innovation = tempC - (cold + mean[i] * h);
      weight[i] += (-0.5 * (innovation * innovation)) / s - 0.5 * Math.log(s);
      const gain = (variance[i] * h) / s;
      mean[i] += gain * innovation;
      variance[i] *= 1 - gain * h;
    }
  }
  const top = Math.max(...weight);
  let sum = 0;
  let first = 0;
  let second = 0;
  for (let i = 0; i < NODES; i++) {
    const w = Math.exp(weight[i] - top);
    sum += w;
    first += w * logs[i];
    second += w * logs[i] * logs[i];
  }
  const m = first / sum;
  const step = (2 * REACH * prior) / (NODES - 1);
  const sd = Math.sqrt(Math.max(step * step * 0.25, second / sum - m * m));
  return { medianS: before.medianS * Math.exp(m), sigma: Math.hypot(sd, PICK_SIGMA) };
}

/** Off by more than this in boiling water, a probe is better not trusted, °C. */
const TRUST_C = 4;
/** What a probe in boiling water shows, in words, and what its readings are put right by, °C. */
export function probeCheck(readC: number, boilC: number): { readonly offsetC: number; readonly sentence: string } {
  const offsetC = readC - boilC;
  const off = Math.abs(offsetC);
  const by = `${off.toFixed(1)} °C ${offsetC > 0 ? 'too much' : 'too little'}`;
  return {
    offsetC,
    sentence:
      off < 0.5
        ? `The probe is right: ${readC.toFixed(1)} °C in water that boils at ${boilC.toFixed(1)} °C.`
        : off <= TRUST_C
          ? `The probe shows ${by} in boiling water: its readings are put right by that.`
          : `The probe shows ${by} in boiling water: that is far off. Dip it deeper, clear of the base; if it stays, use another.`,
  };
}

/** What a probe in the cake of a batch has read since it went into the steam, put right by the last check in boiling water. */
export function probeReadings(events: readonly StampedEvent[]): readonly ProbeReading[] {
  const steaming = steamingOf(events);
  if (!steaming) return [];
  const check = events.findLast((e) => e.kind === 'probe-checked');
  const offsetC = check?.kind === 'probe-checked' ? check.readC - check.boilC : 0;
  return plausible(
    events.flatMap((e) =>
      e.kind === 'probed' ? [{ timeS: (Date.parse(e.at) - steaming.beganMs) / 1000, tempC: e.tempC - offsetC }] : [],
    ),
    boilingPointC(0),
  );
}

import type { DeviceLine } from '@/core/devices';
import { seeded } from '@/core/units';
import type { Ask } from './ask';
import { pourSteam } from '@/core/stations/steam/cooking';

/** Grams a hand pours in a second, and how far off it stops, as a share. */
const POUR_G_PER_S = 45;
const OFF_SHARE = 0.006;
/** A scale is steady this long after the last grain, s. */
const STEADY_S = 1.2;
/** Noise of a scale, g, and how far it wanders in a minute. */
const SCALE = { noiseG: 0.15, driftGPerMin: 0.3 } as const;
/** Noise of a probe, °C, how long it lags, s, and how far it may be off. */
const PROBE = { noiseC: 0.35, lagS: 8, offC: 0.8 } as const;
/** What a batch's own pace may be off by, of its logarithm. */
const PACE_SD = 0.15;

/**
 * A scale, a probe and a hob that answer what the step in hand asks for. The probe follows the forecast of the running cake at a pace of its own that
 * nobody is told, lags and is noisy; the hob follows the knob.
 */
export function simulatedDevices(seed: number) {
  const next = seeded(seed);
  const normal = () => Math.sqrt(-2 * Math.log(Math.max(1e-12, next()))) * Math.cos(2 * Math.PI * next());
  const pace = Math.exp(PACE_SD * normal());
  const sits = 0.12 + 0.08 * normal();
  const off = PROBE.offC * normal();
  let onScaleG = 0;
  let driftG = 0;
  let pouring: { readonly line: string; readonly untilG: number } | undefined;
  let restedS = 0;
  let showsC = 21;

  const cakeC = ({ steam }: Ask): number | undefined => {
    const history = pourSteam(steam?.forecast.heat)?.history;
    if (!steam || !history) return undefined;
    const t = steam.forS / pace;
    const found = history.findIndex(([s]) => s >= t);
    const i = Math.max(1, found);
    const at = found < 0 ? history.at(-1) : history[i];
    if (!at) return undefined;
    const before = history[i - 1] ?? at;
    const x = at[0] > before[0] ? Math.min(1, Math.max(0, (t - before[0]) / (at[0] - before[0]))) : 1;
    const cold = before[1] + x * (at[1] - before[1]);
    const mean = before[2] + x * (at[2] - before[2]);
    return cold + sits * (mean - cold);
  };
  return {
    /** The pace that nobody is told: the cake takes so many times as long as forecast. */
    hidden: { pace, probeOffC: off },
    /** What they say after some time, s of the kitchen's clock, told at a moment of it. */
    tick(ask: Ask, dtS: number, handS: number): readonly DeviceLine[] {
      const lines: DeviceLine[] = [];
      driftG += (SCALE.driftGPerMin * normal() * Math.sqrt(handS)) / 60;
      if (ask.weigh && pouring?.line !== ask.weigh.line) {
        pouring = { line: ask.weigh.line, untilG: onScaleG + ask.weigh.targetG * (1 + OFF_SHARE * normal()) };
        restedS = 0;
      }
      if (!ask.weigh) {
        pouring = undefined;
        onScaleG = 0;
      }
      if (pouring && onScaleG < pouring.untilG) {
        // The hand slows down towards the end.
        const left = pouring.untilG - onScaleG;
        onScaleG = Math.min(pouring.untilG, onScaleG + Math.max(0.5, Math.min(POUR_G_PER_S * handS, left * 0.6)));
        restedS = 0;
      } else restedS += handS;
      lines.push({
        kind: 'scale',
        device: 'bench scale',
        grams: Math.round(10 * (onScaleG + driftG + SCALE.noiseG * normal())) / 10,
        stable: restedS >= STEADY_S,
      });
      const aims = cakeC(ask) ?? ask.boilC ?? 21;
      showsC += (aims - showsC) * (1 - Math.exp(-dtS / PROBE.lagS));
      lines.push({
        kind: 'probe',
        device: 'probe',
        tempC: Math.round(10 * (showsC + off + PROBE.noiseC * normal())) / 10,
      });
      lines.push({ kind: 'hob', device: 'hob', setting: ask.heat });
      return lines;
    },
  };
}

import { figure, problem, sayDuration, type Figure, type Problem } from './units';
import { steamPower } from './kitchen';
import {
  cleanPickSpread,
  COARSE_GRID,
  comeUpS,
  phaseAt,
  sayTimes,
  scaledBy,
  releaseS,
  singlePour,
  steamTimes,
  waterPlan,
  type FieldFrames,
  type PourGrid,
  type PourResult,
  type SinglePour,
  type WaterPlan,
} from './steam';
import { loadsOf } from './forecastLoads';
import { boilOf, courseOf, pourOfPlan, standOf, steamerFactor, steamingPower } from './steamSetting';
import type { HeatForecast, LightForecast, SteamForecast } from './forecast.types';
import type { ConductionRun } from './heat';

/** What a steaming gives, and the fields it ends with: what rests goes on from there. */
export type Steaming = Omit<HeatForecast, 'rest' | 'sear'> & { readonly run: ConductionRun | undefined };

/** Water is told for so long a boil where the cake never sets, s. */
export const UNKNOWN_S = 3600;

/**
 * Two loaded tiers share the steam, the upper one after the lower: the lower takes what it asks for, the upper what is left.
 * The upper tier is the slower, so it is the one that is forecast. One loaded tier: the setting as it is.
 */
function upperTier(light: LightForecast, setting: SinglePour, power: Figure): SinglePour {
  const { plan } = light.resolved;
  const inLoad = Math.min(plan.vesselCount, light.fill.perLoad);
  const lower = Math.min(light.fill.perTier, inLoad);
  const above = inLoad - lower;
  if (above <= 0) return setting;
  const { flux } = singlePour({ ...setting, powerW: power.value / lower, stand: undefined }, 0.2, COARSE_GRID);
  const left = (t: number): number => {
    const at = flux.find(([s]) => s >= t);
    return Math.max(0.05 * power.value, power.value - lower * (at?.[1] ?? 0)) / above;
  };
  return { ...setting, powerW: left };
}

/** A time of the model on the cook's clock: what was learned of the steamer stretches the steaming, not the standing. */
export const clockS = (t: number, factor: number, steamedS: number): number =>
  t <= steamedS ? t * factor : steamedS * factor + (t - steamedS);

export const onClock = (frames: FieldFrames, factor: number, steamedS: number): FieldFrames => ({
  ...frames,
  timesS: frames.timesS.map((t) => clockS(t, factor, steamedS)),
});

/** Power that brings the water to the boil: full, unless only the steaming heat of this ring was measured. */
export function boilUpPower(light: LightForecast): Figure {
  const strong = steamPower(light.resolved.ring, 'strong');
  const own = steamingPower(light);
  return strong.source === 'measured' || own.source !== 'measured' ? strong : own;
}

/** Water of a plan for so long a boil, s. @param takenJ what the cakes take of the steam */
export function waterOf(
  light: LightForecast,
  totalS: number,
  takenJ: number,
  busyS: readonly number[] = [],
): WaterPlan {
  const { steamer, kitchen, plan } = light.resolved;
  const course = courseOf(light);
  const watts = steamingPower(light).value;
  return waterPlan({
    steamer,
    powerW: (t) => watts * (course ? phaseAt(course, t).power : 1),
    takenJ,
    totalS,
    boilUpW: boilUpPower(light).value,
    tapC: kitchen.roomC,
    boilC: boilOf(light),
    filledMl: plan.readings['boil-up:steamer']?.waterMl,
    busyS,
  });
}

/** A pressure pot's cycle for a pour that would take so long in its steam, s. */
function pressureOf(light: LightForecast, steadyS: number, water: WaterPlan): SteamForecast['pressure'] {
  const { steamer, plan } = light.resolved;
  if (steamer.pressureTempC === undefined) return undefined;
  const power = steamingPower(light);
  const up = comeUpS(water.startMl, light.balance.massG / 1000, boilOf(light), steamer.pressureTempC, power.value);
  const release = releaseS(plan.pressureRelease);
  // While it comes up and lets go the steam is on average half way to pressure: that time counts for half.
  const holdS = Math.max(300, steadyS - 0.5 * up - (plan.pressureRelease === 'slow' ? 0.5 * release : 0));
  const open = { ...pourOfPlan(light, power), steamC: boilOf(light), stand: undefined };
  const beside = singlePour(open, 0, COARSE_GRID);
  return { comeUpS: up, holdS, releaseS: release, openS: beside.firstCleanPickS };
}

/** Marks of first clean pick never reached. */
const NEVER_WORDS = (light: LightForecast): string =>
  light.midpointC + 5 > boilOf(light)
    ? `The middle never gets hot enough to set (it needs about ${Math.round(light.midpointC + 5)} °C). More water, less sugar, or a hotter steamer.`
    : 'The middle never gets hot enough as the heat is set: keep it on for longer, turn it up, or pour it shallower.';

export function steamSingle(light: LightForecast, size: PourGrid): Steaming {
  const power = steamingPower(light);
  const upper = upperTier(light, pourOfPlan(light, power), power);
  const pour = singlePour(upper, 0.2, size);
  const factor = steamerFactor(light);
  const f = factor.value;
  const clean = pour.firstCleanPickS;
  const found = clean === undefined ? undefined : cleanPickSpread(upper, clean, startSpread(light));
  const spread = found && scaledBy(found, f);
  const sd = spread === undefined ? 0 : spread.likely * Math.hypot(spread.sigma, factor.sd);
  const { family } = light;
  const times =
    clean === undefined
      ? undefined
      : timed(steamTimes(clean, factor, standOf(light), family.noLaterFactor, family.noSoonerThanS), sd);
  const loads = times ? loadsOf(light, times.planForS, pour.run) : undefined;
  const vessels = light.resolved.plan.vesselCount + light.fill.others.reduce((a, o) => a + o.count, 0);
  const onS = loads?.steamerS ?? times?.planForS ?? UNKNOWN_S;
  const taken = steamingHeat(pour) * vessels;
  const first = waterOf(light, onS, taken);
  const pressure = times && pressureOf(light, times.planForS, first);
  const shown = times && pressure ? underPressure(times, pressure) : times;
  const water = pressure ? waterOf(light, pressure.comeUpS + pressure.holdS, taken) : first;
  return {
    steam: {
      times: shown,
      spread,
      pressure,
      coldSpot: pour.coldSpot,
      history: pour.history.map(([t, ...rest]) => [clockS(t, f, pour.steamedS), ...rest] as const),
      frames: onClock(pour.frames, f, pour.steamedS),
      powerLimitedS: pour.powerLimitedS * f,
      water,
      energyError: pour.energyError,
      words: shown ? timeWords(shown, pressure, spread?.mayNeverSet ?? false) : NEVER_WORDS(light),
    },
    powerW: power,
    layers: undefined,
    loads,
    film: undefined,
    pot: undefined,
    problems: [...water.problems, ...neverSets(light, clean)],
    run: pour.run,
  };
}

/** Heat taken while the fire was on, J. */
const steamingHeat = (pour: PourResult): number =>
  pour.flux.reduce((a, [t, w], i) => a + w * (t - (pour.flux[i - 1]?.[0] ?? 0)), 0);

const timed = (t: NonNullable<SteamForecast['times']>, sd: number): NonNullable<SteamForecast['times']> => ({
  ...t,
  firstCleanPickS: figure(t.firstCleanPickS.value, t.firstCleanPickS.source, sd),
});

/** What is not known of the start: temperature, °C, set degree, and depth as a share. */
export const startSpread = (light: LightForecast) => ({
  tempC: Math.max(1, light.pour.startC.sd),
  set: light.pour.startSetSd,
  depth: light.fill.measured ? 0.02 : 0.04,
});

/** A pressure pot is not looked into: the check comes when it is open again. */
function underPressure(
  t: NonNullable<SteamForecast['times']>,
  p: NonNullable<SteamForecast['pressure']>,
): NonNullable<SteamForecast['times']> {
  const planForS = p.comeUpS + p.holdS;
  return {
    ...t,
    planForS,
    standS: p.releaseS,
    totalS: planForS + p.releaseS,
    checkAtS: planForS + p.releaseS,
    noLaterThanS: Math.max(t.noLaterThanS, planForS + p.releaseS),
  };
}

function timeWords(
  t: NonNullable<SteamForecast['times']>,
  pressure: SteamForecast['pressure'],
  mayNeverSet: boolean,
): string {
  if (pressure)
    return `Up to pressure in ${sayDuration(pressure.comeUpS)}, hold for ${sayDuration(pressure.holdS)}, let it go down for ${sayDuration(pressure.releaseS)}${pressure.openS === undefined ? '' : `; an open steamer takes ${sayDuration(pressure.openS)}`}.`;
  return `Check at ${sayDuration(t.checkAtS)}; ${sayTimes(t)}.${mayNeverSet ? ' It may never set: a little colder or deeper and the middle stays soft.' : ''}`;
}

function neverSets(light: LightForecast, clean: number | undefined): Problem[] {
  return clean === undefined ? [problem('never-sets', 'heat', NEVER_WORDS(light))] : [];
}

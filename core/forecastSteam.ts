import { figure, problem, sayDuration, type Figure, type Problem } from './units';
import { steamPower } from './kitchen';
import {
  cleanPickSpread,
  COARSE_GRID,
  comeUpS,
  dewC,
  sayTimes,
  scaledBy,
  readyIn,
  releaseS,
  singlePour,
  PLAN,
  steamTimes,
  takesUp,
  waterPlan,
  type FieldFrames,
  type PourGrid,
  type PourResult,
  type SinglePour,
  type StartSpread,
  type SteamRoom,
  type SteamTimes,
  type WaterPlan,
} from './steam';
import { loadsOf } from './forecastLoads';
import { setsAt } from './mix';
import { shareSteam, type Group } from './sharedSteam';
import { ALONE, type SteamContext } from './steamContext';
import {
  boilOf,
  coverIn,
  dripsOn,
  pourOfPlan,
  powerOf,
  readyOf,
  roomOf,
  standOf,
  timeFactorOf,
  steamingPower,
  together,
} from './steamSetting';
import { volumeAtDepth } from './vessel';
import type { HeatForecast, LightForecast, SteamForecast, VesselSteam } from './forecast.types';
import type { ConductionRun } from './heat';

/** What a steaming gives, and the fields it ends with: what rests goes on from there. */
export type Steaming = Omit<HeatForecast, 'rest' | 'sear'> & { readonly run: ConductionRun | undefined };

/** Water is told for so long a boil where the cake never sets, s. */
export const UNKNOWN_S = 3600;

/** The vessels of a load by kind and tier: so many of the plan's own from the bottom up, then the further ones where there is a tier for them. */
function groupsOf(light: LightForecast): { readonly groups: readonly (Group & Named)[]; readonly own: number } {
  const { fill } = light;
  const { steamer } = light.resolved;
  const inLoad = together(light);
  const lower = Math.max(1, Math.min(fill.perTier, inLoad));
  const above = inLoad - lower;
  const name = light.resolved.vessel.name;
  const own = (room: SteamRoom) => pourOfPlan(light, room);
  const further = steamer.tiers > 1 ? 1 : 0;
  const ours = [
    { name, count: lower, tier: 0, depthM: fill.depthM, pour: own },
    ...(above > 0 ? [{ name, count: above, tier: 1, depthM: fill.depthM, pour: own }] : []),
  ];
  const theirs = [
    ...fill.others.map((o) => ({
      name: o.name,
      count: o.count,
      tier: further,
      depthM: o.depthM,
      pour: (room: SteamRoom): SinglePour => ({
        ...pourOfPlan(light, room),
        vessel: o.vessel,
        material: o.vessel.material,
        depthM: o.cookedM,
        topShare: 1,
      }),
    })),
  ];
  return { groups: [...ours, ...theirs], own: ours.length };
}
interface Named {
  readonly name: string;
  readonly depthM: number;
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
  return waterPlan({
    steamer,
    lid: coverIn(light).lid,
    powerW: powerOf(light),
    takenJ,
    totalS,
    boilUpW: boilUpPower(light).value,
    tapC: kitchen.roomC,
    boilC: boilOf(light),
    filledMl: plan.readings['boil-up:steamer']?.waterMl,
    busyS,
  });
}

/**
 * What of its time counts as steaming at pressure: while it comes up the steam is half way there on average; while it lets go the cake, hot
 * outside already, boils on.
 */
const COUNTS = { comeUp: 0.5, release: 0.75 } as const;

/** A pressure pot's cycle for a pour that would take so long in its steam, s. */
function pressureOf(light: LightForecast, steadyS: number, water: WaterPlan): SteamForecast['pressure'] {
  const { steamer, plan } = light.resolved;
  if (steamer.pressureTempC === undefined) return undefined;
  const power = steamingPower(light);
  const up = comeUpS(water.startMl, light.balance.massG / 1000, boilOf(light), steamer.pressureTempC, power.value);
  const release = releaseS(plan.pressureRelease);
  const holdS = Math.max(
    300,
    steadyS - COUNTS.comeUp * up - (plan.pressureRelease === 'slow' ? COUNTS.release * release : 0),
  );
  const room = { ...roomOf(light, together(light)), steamC: boilOf(light) };
  const open = { ...pourOfPlan(light, room), ready: readyIn(boilOf(light)), stand: undefined };
  const beside = singlePour(open, 0, COARSE_GRID);
  return {
    comeUpS: up,
    holdS,
    releaseS: release,
    openS: beside.firstCleanPickS === undefined ? undefined : PLAN * beside.firstCleanPickS,
  };
}

/** What a cook can do where first clean pick is never reached. @param airEnd air in the steam at the end, mole fraction */
export function neverWords(light: LightForecast, airEnd: number): string {
  const sets = setsAt(light.gelling);
  const boilC = light.resolved.steamer.pressureTempC ?? boilOf(light);
  if (sets > boilC - 1)
    return `The middle never gets hot enough to set (it needs about ${Math.round(sets)} °C). More water, less sugar, or a hotter steamer.`;
  const steamC = dewC(boilC, airEnd);
  if (steamC < Math.max(sets, readyOf(light).tempC ?? 0) + 1)
    return `There is so much air in the steam (${Math.round(100 * airEnd)} %) that it is only ${Math.round(steamC)} °C hot: shut the lid tight, wrap it in a cloth, or turn the heat up.`;
  return 'The middle never gets hot enough as the heat is set: keep it on for longer, turn it up, or pour it shallower.';
}

/** Water on the top of one cake, g: what condenses there, and what drips from a bare lid. */
function puddleOf(light: LightForecast, onTopG: number, steamedS: number): SteamForecast['puddle'] {
  const { vessel } = light.resolved;
  const { depthM } = light.fill;
  const step = 0.0005;
  const areaM2 = (volumeAtDepth(vessel, depthM + step) - volumeAtDepth(vessel, depthM)) / 1e6 / step;
  const dripsG = 1000 * dripsOn(light) * areaM2 * steamedS;
  const takenUpG = Math.min(onTopG + dripsG, 1000 * takesUp(steamedS) * areaM2);
  return { onTopG, dripsG, takenUpG, leftM: (onTopG + dripsG - takenUpG) / 1e6 / areaM2 };
}

export function steamSingle(light: LightForecast, size: PourGrid, context: SteamContext = ALONE): Steaming {
  const power = steamingPower(light);
  const { groups, own } = groupsOf(light);
  const rooms = shareSteam(roomOf(light, 1), groups, context);
  const factor = timeFactorOf(light);
  const f = factor.value;
  const { family } = light;
  const pours = groups.map((g, i) => ({ ...g.pour(rooms[i]), openingsS: context.openingsS }));
  const runs = pours.map((p) => singlePour(p, 0.2, size));
  /** Of the plan's own vessels, the ones that are done last: those highest up. */
  const pour = runs[own - 1];
  const clean = pour.firstCleanPickS;
  const found = clean === undefined ? undefined : cleanPickSpread(pours[own - 1], clean, startSpread(light));
  const spread = found && scaledBy(found, f);
  const sd = spread === undefined ? 0 : spread.likely * Math.hypot(spread.sigma, factor.sd);
  const timesOf = (cleanS: number | undefined): SteamTimes | undefined =>
    cleanS === undefined
      ? undefined
      : timed(steamTimes(cleanS, factor, standOf(light), family.noLaterFactor, family.noSoonerThanS), sd);
  const times = timesOf(clean);
  const loads = times ? loadsOf(light, times.planForS, pour.run) : undefined;
  const vessels: VesselSteam[] = groups.map((g, i) => ({
    name: g.name,
    count: g.count,
    tier: g.tier,
    depthM: g.depthM,
    times: timesOf(runs[i].firstCleanPickS),
  }));
  const longestS = vessels.reduce((s, v) => Math.max(s, v.times?.planForS ?? 0), 0);
  const onS = loads?.steamerS ?? (times ? longestS : UNKNOWN_S);
  const inLoad = groups.reduce((a, g) => a + g.count, 0);
  const all = light.resolved.plan.vesselCount + light.fill.others.reduce((a, o) => a + o.count, 0);
  const taken = runs.reduce((j, r, i) => j + steamingHeat(r) * groups[i].count, 0) * (all / inLoad);
  const first = waterOf(light, onS, taken);
  const pressure = times && pressureOf(light, times.planForS, first);
  const shown = times && pressure ? underPressure(times, pressure) : times;
  const water = pressure ? waterOf(light, pressure.comeUpS + pressure.holdS, taken) : first;
  return {
    steam: {
      times: shown,
      spread,
      pressure,
      // Cups, sheets and pans in turn are lifted out by their sets: the loads say when.
      vessels: groups.length > 1 && !loads ? vessels : [],
      coldSpot: pour.coldSpot,
      history: pour.history.map(([t, ...rest]) => [clockS(t, f, pour.steamedS), ...rest] as const),
      frames: onClock(pour.frames, f, pour.steamedS),
      shortS: pour.shortS * f,
      air: pour.air,
      puddle: puddleOf(light, pour.onTopG, pour.steamedS),
      taken: runs.map((r, i) => r.flux.map(([t, w]) => [t, w * groups[i].count] as const)),
      water,
      energyError: Math.max(...runs.map((r) => r.energyError)),
      words: shown ? timeWords(shown, pressure, spread?.mayNeverSet ?? false) : neverWords(light, pour.air.end),
    },
    powerW: power,
    layers: undefined,
    loads,
    film: undefined,
    pot: undefined,
    problems: [...water.problems, ...neverSets(light, clean, pour.air.end)],
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

/** Depth by ruler and as computed, one standard deviation as a share. */
export const DEPTH_SD = { measured: 0.02, default: 0.04 } as const;

/** What is not known of the start: temperature, °C, set degree, depth and power as shares. */
export function startSpread(light: LightForecast): StartSpread {
  const power = steamingPower(light);
  return {
    tempC: Math.max(1, light.pour.startC.sd),
    set: light.pour.startSetSd,
    depth: light.fill.measured ? DEPTH_SD.measured : DEPTH_SD.default,
    power: power.sd / Math.max(power.value, 1),
  };
}

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

function neverSets(light: LightForecast, clean: number | undefined, airEnd: number): Problem[] {
  return clean === undefined ? [problem('never-sets', 'heat', neverWords(light, airEnd))] : [];
}

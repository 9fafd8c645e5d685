import { boilingPointC, figure, sayDuration, type Figure } from './units';
import { STEAM_FILM, steamPower } from './kitchen';
import { schoolOf } from './families';
import { conduct, type ConductionRun } from './heat';
import {
  cakeMaterial,
  cleanPickSpread,
  COARSE_GRID,
  FINE_GRID,
  layerRun,
  pipeline,
  pourGrid,
  singlePour,
  steamTimes,
  waterPlan,
  type PourGrid,
  type SinglePour,
  type SteamSetting,
} from './steam';
import { cool } from './rest';
import { searOf } from './forecastSear';
import { heatCache, heatJobs, type HeatCache } from './heatJobs';
import type { HeatForecast, LightForecast, RestForecast } from './forecast.types';

/** True when the plan holds something that the heat solver can work on. */
export const canHeat = (light: LightForecast): boolean =>
  light.fill.depthM > 0.0008 &&
  light.fill.depthM <= light.resolved.vessel.heightM &&
  light.balance.batters.some((b) => b.dryBlendG > 0) &&
  !light.problems.some((p) => p.code === 'absurd-amount' || p.code === 'layer-too-thin');

/** A cake that was cooked through in the pot: one temperature, all of it set. */
function fromThePot(light: LightForecast): ConductionRun {
  const { vessel } = light.resolved;
  const side = { filmH: 9, outerR: 0, innerR: 0, capacity: 0, ambientC: light.pour.startC.value };
  return conduct({
    grid: pourGrid(vessel, light.fill.depthM, COARSE_GRID),
    materials: [cakeMaterial(light.balance.whole, 0, light.midpointC)],
    initialC: light.pour.startC.value,
    initialG: 1,
    wallC: light.resolved.kitchen.roomC,
    sides: { base: side, wall: side, top: side },
  });
}

function restOf(light: LightForecast, from: ConductionRun): RestForecast | undefined {
  const { plan, vessel, kitchen } = light.resolved;
  if (plan.cooling.length === 0) return undefined;
  return cool({
    from,
    vessel,
    depthM: light.fill.depthM,
    material: cakeMaterial(light.balance.whole, light.family.gasShare, light.midpointC),
    wall: { material: vessel.material, paper: plan.paper },
    stages: plan.cooling,
    kitchen,
    releaseC: light.family.releaseC,
    cutC: light.family.cutC,
  });
}

/** The factor learned for this steamer at this heat, or 1. */
export function steamerFactor(light: LightForecast): Figure {
  const learned = light.resolved.steamer.learned[light.resolved.plan.heat];
  return learned && learned.checks > 0 ? figure(learned.median, 'learned') : figure(1);
}

/** What a steaming shares whatever is in the pan: films, walls, power for one vessel, steam temperature. */
function steamSetting(light: LightForecast, power: Figure): SteamSetting & { readonly powerW: number } {
  const { plan, kitchen, vessel, steamer } = light.resolved;
  const steamC = steamer.pressureTempC ?? boilingPointC(kitchen.altitudeM);
  const preheated = light.family.cooked === 'cups' || light.family.cooked === 'sheets';
  return {
    mouldC: preheated ? steamC - 5 : kitchen.roomC,
    material: vessel.material,
    paper: plan.paper || schoolOf(light.family, plan.schools, 'lining') === 'paper',
    foil: schoolOf(light.family, plan.schools, 'dripGuard') === 'foil',
    filmH: STEAM_FILM[plan.heat],
    topShare: light.fill.gap?.topShare ?? 1,
    steamC,
    powerW: power.value / Math.min(plan.vesselCount, light.fill.perLoad),
  };
}

/** Colours of the layers: the plan's own for one batter split, else each batter's. */
export function layerBatters(light: LightForecast): readonly {
  readonly name: string;
  readonly colour: string;
  readonly balance: LightForecast['balance']['batters'][number];
  readonly share: number;
  readonly stirEveryS: number;
  readonly midpointC: number;
}[] {
  const { plan } = light.resolved;
  if (plan.batters.length === 1 && plan.colours.length > 1) {
    return plan.colours.map(({ name, colour }) => ({
      name,
      colour,
      balance: light.balance.batters[0],
      share: 1 / plan.colours.length,
      stirEveryS: light.consistency[0].stirEveryS,
      midpointC: light.midpoints[0],
    }));
  }
  return plan.batters.map((b, i) => ({
    name: b.name,
    colour: b.colour,
    balance: light.balance.batters[i],
    share: 1,
    stirEveryS: light.consistency[i].stirEveryS,
    midpointC: light.midpoints[i],
  }));
}

function heatLayers(light: LightForecast, power: Figure): Steaming {
  const { plan, steamer, vessel } = light.resolved;
  const factor = steamerFactor(light);
  const done = layerRun({
    ...steamSetting(light, power),
    vessel,
    vesselCount: plan.vesselCount,
    startC: light.pour.startC.value,
    layers: plan.layers ?? light.family.layers?.[0] ?? 5,
    batters: layerBatters(light).map((b) => ({
      name: b.name,
      colour: b.colour,
      material: cakeMaterial(b.balance.parts, light.family.gasShare, b.midpointC),
      massG: b.balance.massG * b.share,
      volumeMl: b.balance.volumeMl * b.share,
      stirEveryS: b.stirEveryS,
    })),
  });
  const f = factor.value;
  const none = { xM: 0, zM: light.fill.depthM / 2 };
  const words = done
    ? `${done.pours.length} layers in ${sayDuration(done.totalS * f)}: about ${sayDuration((done.pours[0]?.waitS ?? 0) * f)} for the first, ${sayDuration(Math.max(...done.pours.slice(1, -1).map((p) => p.waitS), 0) * f)} for the slowest between, the last ${sayDuration(done.lastS * f)}.`
    : 'A layer never sets: use fewer or thinner layers, less sugar, or a hotter steamer.';
  const times = done
    ? steamTimes(done.totalS, factor, light.family.restInSteamerS, light.family.noLaterFactor)
    : undefined;
  return {
    powerW: power,
    pipeline: undefined,
    steam: {
      // For a stack only the last layer can be checked: just before the end, and no longer than its own time over.
      times:
        times && done
          ? {
              ...times,
              checkAtS: (done.totalS - 0.15 * done.lastS) * f,
              planForS: (done.totalS + 0.2 * done.lastS) * f + light.family.restInSteamerS,
              noLaterThanS: (done.totalS + 2 * done.lastS) * f,
            }
          : undefined,
      spread: undefined,
      coldSpot: done?.coldSpot ?? none,
      history: [],
      frames: done?.frames ?? {
        nx: 1,
        nz: 1,
        halfWidthM: 0.1,
        edgesXM: [0, 0.1],
        edgesZM: [0, light.fill.depthM],
        depthM: light.fill.depthM,
        timesS: [0],
        tempC: [new Float32Array([20])],
        gel: [new Float32Array([0])],
      },
      powerLimitedS: 0,
      water: waterPlan(
        steamer,
        power.value,
        done?.totalS ?? 3600,
        done?.pours.map((p) => p.atS),
      ),
      energyError: 0,
      words,
    },
    layers: done
      ? {
          pours: done.pours.map((p) => ({ ...p, atS: p.atS * f, waitS: p.waitS * f, tooLateS: p.tooLateS * f })),
          totalS: done.totalS * f,
          lastS: done.lastS * f,
          words,
        }
      : undefined,
    run: done?.run,
  };
}

/** Seconds of the hands and the counter in one load of cups or sheets. */
const CUP_FILL_S = 4;
const SHEET_FILL_S = 25;

/** Repeated loads as a pipeline, for cups and sheets, or when more pans are wanted than go in. */
function loadsOf(light: LightForecast, steamS: number): HeatForecast['pipeline'] {
  const { plan, vessel } = light.resolved;
  const sheets = light.family.cooked === 'sheets';
  const cups = light.family.cooked === 'cups';
  if (!sheets && !cups) return undefined;
  const perSet = Math.max(1, Math.min(light.fill.perTier, vessel.count, plan.vesselCount));
  return pipeline({
    pieces: plan.vesselCount,
    perSet,
    sets: Math.max(1, Math.floor(vessel.count / perSet)),
    places: light.resolved.steamer.tiers,
    parts: {
      preheatS: cups ? 120 : 30,
      oilS: sheets ? 10 : 3 * perSet,
      fillS: sheets ? SHEET_FILL_S : CUP_FILL_S * perSet,
      steamS,
      coolS: sheets ? 60 : 180,
      releaseS: sheets ? 30 : 5 * perSet,
    },
  });
}

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
  const flux = singlePour({ ...setting, powerW: power.value / lower }, 0.2, COARSE_GRID).flux;
  const left = (t: number): number => {
    const at = flux.find(([s]) => s >= t);
    return Math.max(0.05 * power.value, power.value - lower * (at?.[1] ?? 0)) / above;
  };
  return { ...setting, powerW: left };
}

/** What a steaming gives, and the fields it ends with: what rests goes on from there. */
type Steaming = Omit<HeatForecast, 'rest' | 'sear'> & { readonly run: ConductionRun | undefined };

function steamingOf(light: LightForecast, size: PourGrid): Steaming {
  const { plan, vessel, steamer, ring } = light.resolved;
  const power = steamPower(ring, plan.heat);
  if (light.family.cooked === 'pan-film')
    return {
      steam: undefined,
      powerW: power,
      layers: undefined,
      pipeline: undefined,
      run: undefined,
    };
  if (light.family.cooked === 'pot')
    return {
      steam: undefined,
      powerW: power,
      layers: undefined,
      pipeline: undefined,
      run: fromThePot(light),
    };
  if (light.family.cooked === 'layers') return heatLayers(light, power);
  const setting: SinglePour = {
    ...steamSetting(light, power),
    parts: light.balance.whole,
    midpointC: light.midpointC,
    gasShare: light.family.gasShare,
    vessel,
    depthM: light.fill.depthM,
    startC: light.pour.startC.value,
    startG: light.pour.startG,
  };
  const upper = upperTier(light, setting, power);
  const pour = singlePour(upper, 0.2 + light.family.restInSteamerS / 3600, size);
  const factor = steamerFactor(light);
  const spread = pour.firstCleanPickS === undefined ? undefined : cleanPickSpread(upper, pour.firstCleanPickS);
  const times =
    pour.firstCleanPickS === undefined
      ? undefined
      : steamTimes(pour.firstCleanPickS, factor, light.family.restInSteamerS, light.family.noLaterFactor);
  const steamOn = (times?.planForS ?? 3600) * light.fill.loads;
  const words = times
    ? `Check at ${sayDuration(times.checkAtS)}; plan for ${sayDuration(times.planForS)}.`
    : `The middle never gets hot enough to set (it needs about ${Math.round(light.midpointC + 5)} °C). More water, less sugar, or a hotter steamer.`;
  return {
    steam: {
      times,
      spread: spread && {
        low: spread.low * factor.value,
        likely: spread.likely * factor.value,
        high: spread.high * factor.value,
      },
      coldSpot: pour.coldSpot,
      history: pour.history,
      frames: pour.frames,
      powerLimitedS: pour.powerLimitedS,
      water: waterPlan(steamer, power.value, steamOn),
      energyError: pour.energyError,
      words,
    },
    powerW: power,
    layers: undefined,
    pipeline: times ? loadsOf(light, times.planForS) : undefined,
    run: pour.run,
  };
}

/**
 * Steaming, cooling and searing of a plan. Undefined when there is nothing to heat (an empty or overflowing pan).
 * @param cache answers of earlier jobs, by hash
 */
export function forecastHeat(
  light: LightForecast,
  size: PourGrid = FINE_GRID,
  cache: HeatCache = heatCache(0),
): HeatForecast | undefined {
  if (!canHeat(light)) return undefined;
  const jobs = heatJobs(light);
  const grid = `${size.nr}.${size.nz}`;
  const { run, ...steaming } = cache.get(`${jobs.steam.hash}/${grid}`, () => steamingOf(light, size));
  return {
    ...steaming,
    rest: run && cache.get(`${jobs.rest.hash}/${grid}`, () => restOf(light, run)),
    sear: cache.get(jobs.sear.hash, () => searOf(light)),
  };
}

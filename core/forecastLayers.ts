import { figure, problem, sayDuration, type Figure } from './units';
import { layerBatters, layersIn } from './layerBatters';
import {
  cakeMaterial,
  layerRun,
  scaledBy,
  stackSpread,
  type FieldFrames,
  type LayerInput,
  type LayerRun,
  type SteamTimes,
} from './steam';
import { leftOver } from './sharedSteam';
import { onClock, startSpread, UNKNOWN_S, waterOf, type Steaming } from './forecastSteam';
import {
  boilOf,
  dripsOn,
  powerOf,
  readyOf,
  roomOf,
  standOf,
  standingSides,
  steamSetting,
  steamingPower,
  timeFactorOf,
  together,
} from './steamSetting';
import type { LightForecast } from './forecast.types';

/** Layers on layers: each pour with its window, and the end by the one rule. */
export function steamLayers(light: LightForecast): Steaming {
  const { plan, vessel, kitchen } = light.resolved;
  const power = steamingPower(light);
  const factor = timeFactorOf(light);
  const f = factor.value;
  const standS = standOf(light);
  const inLoad = together(light);
  const lower = Math.max(1, Math.min(light.fill.perTier, inLoad));
  const setting = steamSetting(light, roomOf(light, lower));
  const onLowest: LayerInput = {
    ...setting,
    vessel,
    vesselCount: plan.vesselCount,
    startC: light.pour.startC.value,
    layers: layersIn(light),
    kitchenC: kitchen.roomC,
    dripsKgM2S: dripsOn(light),
    ready: readyOf(light),
    stand: { timeS: standS, sides: standingSides(light, setting.foil, kitchen) },
    batters: layerBatters(light).map((b) => ({
      name: b.name,
      colour: b.colour,
      gelling: b.gelling,
      material: cakeMaterial(
        { parts: b.balance.parts, gasShare: light.body.gasShare, gelling: b.gelling },
        boilOf(light),
      ),
      massG: b.balance.massG * b.share,
      volumeMl: b.balance.volumeMl * b.share,
      stirEveryS: b.stirEveryS,
    })),
  };
  const below = layerRun(onLowest);
  // A second tier finds what the first leaves; it is the slower, so it is the one that is forecast.
  const above = inLoad - lower;
  const input =
    above > 0 && below
      ? { ...onLowest, room: roomOf(light, above, leftOver(powerOf(light), below.flux, lower)) }
      : onLowest;
  const done = input === onLowest ? below : layerRun(input);
  const found = done && stackSpread(input, done.totalS, startSpread(light));
  const spread = found && scaledBy(found, f);
  const sd = spread ? spread.likely * Math.hypot(spread.sigma, factor.sd) : 0;
  const times = done ? stackTimes(done, figure(f, factor.source, sd), standS, light.family.noSoonerThanS) : undefined;
  const words = done
    ? `${done.pours.length} layers in ${sayDuration(done.totalS * f)}: about ${sayDuration((done.pours[0]?.waitS ?? 0) * f)} for the first, ${sayDuration(Math.max(...done.pours.slice(1, -1).map((p) => p.waitS), 0) * f)} for the slowest between, the last ${sayDuration(done.lastS * f)}.`
    : NEVER;
  const busy = done?.pours.map((p) => p.atS * f) ?? [];
  const water = waterOf(light, times?.planForS ?? UNKNOWN_S, (done?.steamJ ?? 0) * plan.vesselCount, busy);
  return {
    powerW: power,
    loads: undefined,
    film: undefined,
    pot: undefined,
    problems: [...water.problems, ...(done ? [] : [problem('never-sets', 'layers', NEVER)])],
    steam: {
      times,
      spread,
      pressure: undefined,
      coldSpot: done?.coldSpot ?? { xM: 0, zM: light.fill.depthM / 2 },
      history: [],
      frames: done ? onClock(done.frames, f, done.steamedS) : noFrames(light),
      vessels: [],
      shortS: 0,
      air: { most: 0, end: 0 },
      puddle: { onTopG: 0, dripsG: 0, takenUpG: 0, leftM: 0 },
      taken: [],
      water,
      energyError: done?.energyError ?? 0,
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

const NEVER = 'A layer never sets: use fewer or thinner layers, less sugar, or a hotter steamer.';

/**
 * For a stack only the last layer can be checked: just before the end, and its own time over again is too long.
 * @param factor what was learned, with one standard deviation of the whole time, s
 */
function stackTimes(done: LayerRun, factor: Figure, standS: number, leastLateS: number): SteamTimes {
  const f = factor.value;
  const planForS = (done.totalS + 0.2 * done.lastS) * f;
  return {
    firstCleanPickS: figure(done.totalS * f, factor.source, factor.sd),
    checkAtS: (done.totalS - 0.15 * done.lastS) * f,
    planForS,
    standS,
    totalS: planForS + standS,
    noLaterThanS: Math.max((done.totalS + 2 * done.lastS) * f, done.totalS * f + leastLateS, planForS + standS),
    unlearnedS: done.totalS,
  };
}

const noFrames = (light: LightForecast): FieldFrames => ({
  nx: 1,
  nz: 1,
  halfWidthM: 0.1,
  edgesXM: [0, 0.1],
  edgesZM: [0, light.fill.depthM],
  depthM: light.fill.depthM,
  timesS: [0],
  tempC: [new Float32Array([20])],
  gel: [new Float32Array([0])],
});

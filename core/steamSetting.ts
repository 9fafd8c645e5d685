import { boilingPointC, LATENT_STEAM, type Figure } from './units';
import {
  leftoverOf,
  steamPower,
  logFactor,
  timeFactor,
  whoIs,
  type Kitchen,
  type LogFactor,
  type Who,
} from './kitchen';
import {
  coverOf,
  heatCourse,
  LOST,
  powerAt,
  readyIn,
  type Cover,
  type HeatCourse,
  type Ready,
  type SinglePour,
  type SteamRoom,
  type SteamSetting,
} from './steam';
import { stageSurroundings, type Surroundings } from './rest';
import { spanOf } from './vessel';
import type { LightForecast } from './forecast.types';

/** A mould that was heated empty stands so much under the boil as it is filled, °C. */
const HOT_MOULD_C = 5;

/** Uncovered between pouring and lid, s: levelled and carried to the steamer, or filled where it stands. */
const OPEN_S = { counter: 90, inside: 20 } as const;

/** Steam power of a plan's first heat. */
export const steamingPower = (light: LightForecast): Figure =>
  steamPower(light.resolved.ring, light.resolved.plan.firstHeat);

/** When a plan's cake is ready: by the one rule, in the steam it stands in. */
export const readyOf = (light: LightForecast): Ready => readyIn(light.resolved.steamer.pressureTempC ?? boilOf(light));

/** Who cooks what in what. */
const whoOf = (light: LightForecast): Who =>
  whoIs(light.resolved.steamer.id, light.resolved.plan.firstHeat, light.family.id, light.resolved.plan.name);

/** What was learned of the times of this plan's cake in its steamer at its heat, or 1. */
export const timeFactorOf = (light: LightForecast): Figure =>
  timeFactor(light.resolved.kitchen.timeFactors, whoOf(light));

/** The same as a logarithm, with what is not known of it. */
export const logFactorOf = (light: LightForecast): LogFactor =>
  logFactor(light.resolved.kitchen.timeFactors, whoOf(light));

export const boilOf = (light: LightForecast): number => boilingPointC(light.resolved.kitchen.altitudeM);

/** The plan's changes of heat, with what the ring goes on giving when it is off; undefined where it stays the same throughout. */
export function courseOf(light: LightForecast): HeatCourse | undefined {
  const { plan, ring } = light.resolved;
  if (plan.heatPhases.length === 0) return undefined;
  return heatCourse(
    plan.heatPhases.map(({ heat, timeS }) => ({
      powerW: heat === 'off' ? undefined : steamPower(ring, heat).value,
      timeS,
    })),
    leftoverOf(ring),
  );
}

/** What boils under the plan's cake at a time, W. */
export function powerOf(light: LightForecast): (timeS: number) => number {
  const course = courseOf(light);
  const watts = steamingPower(light).value;
  return course ? (t) => powerAt(course, t) : () => watts;
}

/** Lid and guard of a plan: the cook's choice, or the family's usual, on the lid the steamer has. */
export const coverIn = (light: LightForecast): Cover =>
  coverOf(light.resolved.steamer.lid, light.resolved.plan.schools.dripGuard);

/** Space over the water and under the lid, besides the tiers, m. */
const HEADSPACE_M = 0.03;

/** Seconds that it stands in the steamer with the fire off: the cook's own wait, or the family's. */
export const standOf = (light: LightForecast): number =>
  light.evaluated.byId.get('stand:cake')?.waitS ?? light.family.restInSteamerS;

/**
 * The inside of the plan's steamer for so many equal vessels.
 * @param leftW what others leave at a time, W; absent: all of it
 */
export function roomOf(light: LightForecast, bodies: number, leftW = powerOf(light)): SteamRoom {
  const { steamer } = light.resolved;
  return {
    powerW: leftW,
    bodies,
    lid: coverIn(light).lid,
    steamC: steamer.pressureTempC ?? boilOf(light),
    volumeM3: (Math.PI / 4) * steamer.innerDiameterM ** 2 * (steamer.clearHeightM * steamer.tiers + HEADSPACE_M),
  };
}

/** Vessels of the plan's own kind that are in the steamer at once. */
export const together = (light: LightForecast): number => Math.min(light.resolved.plan.vesselCount, light.fill.perLoad);

/** What a steaming shares whatever is in the pan: walls, guard, and the steam for the vessels that are in it together. */
export function steamSetting(light: LightForecast, room = roomOf(light, together(light))): SteamSetting {
  const { plan, kitchen, vessel } = light.resolved;
  const preheated = light.family.cooked === 'cups' || light.family.cooked === 'sheets';
  const course = courseOf(light);
  return {
    mouldC: preheated ? boilOf(light) - HOT_MOULD_C : kitchen.roomC,
    material: vessel.material,
    paper: plan.paper,
    foil: coverIn(light).foil,
    topShare: light.fill.gap?.topShare ?? 1,
    room,
    ...(course ? { course } : {}),
  };
}

/** What surrounds it while it stands with the fire off and the lid ajar. */
export function standingSides(light: LightForecast, covered: boolean, kitchen: Kitchen): Surroundings {
  const { vessel, plan } = light.resolved;
  return stageSurroundings('lid-ajar', kitchen, {
    wall: { material: vessel.material, paper: plan.paper },
    covered,
    bareFromS: 0,
    topM: spanOf(vessel) / 4,
    sideM: light.fill.depthM,
  });
}

/** One pour as the plan has it, ready by the one rule and by what the family's cooks wait for besides. */
export function pourOfPlan(light: LightForecast, room?: SteamRoom): SinglePour {
  const { vessel, kitchen } = light.resolved;
  const setting = steamSetting(light, room);
  const { body, fill } = light;
  return {
    ...setting,
    ...body,
    ...(body.pieces ? { pieces: body.pieces } : {}),
    vessel,
    depthM: fill.cookedM,
    startC: body.flowingC,
    startG: light.pour.startG,
    open: {
      timeS: OPEN_S[light.family.cooked === 'cups' || light.family.cooked === 'sheets' ? 'inside' : 'counter'],
      kitchenC: kitchen.roomC,
    },
    ready: readyOf(light),
    moreS: light.family.moreS,
    stand: { timeS: standOf(light), sides: standingSides(light, setting.foil, kitchen) },
  };
}

/** Share of what condenses under a bare lid that falls, the rest runs down its side (a house figure). */
const FALLS = 0.25;

/** Drops that fall from under the lid as it is used, kg/(m²·s), with nothing condensing below; 0 where something holds them. */
export function dripsOn(light: LightForecast): number {
  const cover = coverIn(light);
  if (!cover.drips) return 0;
  const { steamer } = light.resolved;
  const underLid = (steamingPower(light).value / LATENT_STEAM) * (1 - LOST[cover.lid]);
  return (FALLS * underLid) / ((Math.PI / 4) * steamer.innerDiameterM ** 2);
}

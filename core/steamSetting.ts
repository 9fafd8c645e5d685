import { boilingPointC, figure, type Figure } from './units';
import { leftoverOf, STEAM_FILM, steamPower, type Heat, type Kitchen } from './kitchen';
import { schoolOf } from './families';
import { heatCourse, readyIn, type HeatCourse, type Ready, type SinglePour, type SteamSetting } from './steam';
import { stageSurroundings, type Surroundings } from './rest';
import { spanOf } from './vessel';
import type { LightForecast } from './forecast.types';

/** The first heat of a steaming. */
export const firstHeat = (light: LightForecast): LightForecast['resolved']['plan']['heat'] => {
  const first = light.resolved.plan.heatPhases[0]?.heat;
  return first === undefined || first === 'off' ? light.resolved.plan.heat : first;
};

/** Steam power of a plan's first heat. */
export const steamingPower = (light: LightForecast): Figure => steamPower(light.resolved.ring, firstHeat(light));

/**
 * When a plan's cake is ready. Under pressure it is done when it would be in an open steamer: swelling asks for that heat, not for the pot's.
 */
export const readyOf = (light: LightForecast): Ready => readyIn(boilOf(light));

/** The factor learned for this steamer at this heat, or 1. */
export function steamerFactor(light: LightForecast): Figure {
  const learned = light.resolved.steamer.learned[firstHeat(light)];
  return learned && learned.checks > 0
    ? figure(learned.median, 'learned', (learned.high - learned.low) / 2.563)
    : figure(1);
}

export const boilOf = (light: LightForecast): number => boilingPointC(light.resolved.kitchen.altitudeM);

/** The plan's changes of heat, with what the ring goes on giving when it is off; undefined where it stays the same throughout. */
export function courseOf(light: LightForecast): HeatCourse | undefined {
  const { plan, ring } = light.resolved;
  if (plan.heatPhases.length === 0) return undefined;
  const boil = (heat: Heat) => ({ filmH: STEAM_FILM[heat], powerW: steamPower(ring, heat).value });
  return heatCourse(
    plan.heatPhases.map(({ heat, timeS }) => ({ boil: heat === 'off' ? undefined : boil(heat), timeS })),
    leftoverOf(ring),
    boil(firstHeat(light)),
  );
}

/** Seconds that it stands in the steamer with the fire off: the cook's own wait, or the family's. */
export const standOf = (light: LightForecast): number =>
  light.evaluated.byId.get('stand:cake')?.waitS ?? light.family.restInSteamerS;

/** What a steaming shares whatever is in the pan: films, walls, power for one vessel, steam temperature. */
export function steamSetting(light: LightForecast, power: Figure): SteamSetting & { readonly powerW: number } {
  const { plan, kitchen, vessel, steamer } = light.resolved;
  const steamC = steamer.pressureTempC ?? boilOf(light);
  const preheated = light.family.cooked === 'cups' || light.family.cooked === 'sheets';
  const course = courseOf(light);
  return {
    mouldC: preheated ? steamC - 5 : kitchen.roomC,
    material: vessel.material,
    paper: plan.paper || schoolOf(light.family, plan.schools, 'lining') === 'paper',
    foil: schoolOf(light.family, plan.schools, 'dripGuard') === 'foil',
    filmH: STEAM_FILM[firstHeat(light)],
    topShare: light.fill.gap?.topShare ?? 1,
    steamC,
    ...(course ? { course } : {}),
    powerW: power.value / Math.min(plan.vesselCount, light.fill.perLoad),
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
export function pourOfPlan(light: LightForecast, power: Figure): SinglePour {
  const { vessel, kitchen } = light.resolved;
  const setting = steamSetting(light, power);
  return {
    ...setting,
    parts: light.balance.whole,
    midpointC: light.midpointC,
    gasShare: light.family.gasShare,
    vessel,
    depthM: light.fill.depthM,
    startC: light.pour.startC.value,
    startG: light.pour.startG,
    ready: readyOf(light),
    moreS: light.family.moreS,
    stand: { timeS: standOf(light), sides: standingSides(light, setting.foil, kitchen) },
  };
}

import { boilingPointC, type Figure, type Law, there } from '../../units';
import { leftoverOf, steamPower, timeFactor, whoIs, type Who } from '../../kitchen';
import { coverOf, heatCourse, type Cover, type HeatCourse } from '../../model/steam';
import type { Cake } from '../../cake';
import type { VesselSteam } from './cooking';

/** Steam power of a plan's first heat. */
export const steamingPower = ({ resolved }: Cake): Figure => steamPower(resolved.ring, resolved.plan.firstHeat);

/** Why the ring gives what it gives. */
export const POWER_LAWS: readonly Law[] = [
  {
    at: 'heat.powerW',
    law: 'Net power of the ring at this heat: by kettle test, else 0.6, 1.1, 1.5 kW.',
    from: ['ring.measuredPowerW'],
  },
];

export const boilOf = ({ resolved }: Cake): number => boilingPointC(resolved.kitchen.altitudeM);

/** What the steam of a plan's steamer is at its hottest, °C: the boil, or a pressure pot's own. */
export const steamTempOf = (light: Cake): number => light.resolved.steamer.pressureTempC ?? boilOf(light);

/** Who cooks what in what. */
const whoOf = ({ resolved: { plan, steamer }, family }: Cake): Who =>
  whoIs(steamer.id, plan.firstHeat, family.id, plan.name);

/** What was learned of the times of this plan's cake in its steamer at its heat, or 1. */
export const timeFactorOf = (light: Cake): Figure => timeFactor(light.resolved.kitchen.timeFactors, whoOf(light));

/** The plan's changes of heat, with what the ring goes on giving when it is off; undefined where it stays the same throughout. */
export function courseOf({ resolved: { plan, ring } }: Cake): HeatCourse | undefined {
  if (plan.heatPhases.length === 0) return undefined;
  return heatCourse(
    plan.heatPhases.map(({ heat, timeS }) => ({
      powerW: heat === 'off' ? undefined : steamPower(ring, heat).value,
      timeS,
    })),
    leftoverOf(ring),
  );
}

/** Lid and guard of a plan: the cook's choice, or the family's usual, on the lid the steamer has. */
export const coverIn = ({ resolved: { plan, steamer } }: Cake): Cover => coverOf(steamer.lid, plan.schools.dripGuard);

/** Power that brings the water to the boil: full, unless only the steaming heat of this ring was measured. */
export function boilUpPower(light: Cake): Figure {
  const strong = steamPower(light.resolved.ring, 'strong');
  const own = steamingPower(light);
  return strong.source === 'measured' || own.source !== 'measured' ? strong : own;
}

/** Seconds that it stands in the steamer with the fire off: the cook's own wait, or the family's. */
export const standOf = ({ evaluated, family }: Cake): number =>
  evaluated.byId.get('stand:cake')?.waitS ?? family.restInSteamerS;

/** Vessels of the plan's own kind that are in the steamer at once. */
export const together = ({ resolved: { plan }, fill }: Cake): number => Math.min(plan.vesselCount, fill.perLoad);

/** The name of a vessel that stands in the steam. */
export const vesselOf = ({ resolved, fill }: Cake, { of }: Pick<VesselSteam, 'of'>): string =>
  of < 0 ? resolved.vessel.name : there(fill.others[of]).name;

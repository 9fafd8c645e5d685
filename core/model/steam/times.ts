import { chanceBy, figure, type Figure } from '../../units';

/** Share of first clean pick at which it is looked at, and which is planned for. */
const CHECK = 0.85;
export const PLAN = 1.2;

/**
 * The times a cook works by, s, all on the cook's own clock: the model's, times what was learned of this steamer. Steam with the fire on,
 * standing with it off, and the two together are three figures.
 */
export interface SteamTimes {
  readonly firstCleanPickS: Figure;
  readonly checkAtS: number;
  /** Steam, fire on. */
  readonly planForS: number;
  /** Standing, fire off. */
  readonly standS: number;
  /** From the boil until it leaves the steamer. */
  readonly totalS: number;
  readonly noLaterThanS: number;
  /** First clean pick before learning. */
  readonly unlearnedS: number;
  /** Chance that it is clean by the time it is planned for, 0–1. */
  readonly planChance: number;
}

/** The same of a cake that takes so many times as long; it stands no longer. */
export function slowed(t: SteamTimes, by: number): SteamTimes {
  const { value, source, sd } = t.firstCleanPickS;
  const planForS = t.planForS * by;
  return {
    ...t,
    firstCleanPickS: figure(value * by, source, sd * by),
    checkAtS: t.checkAtS * by,
    planForS,
    totalS: planForS + t.standS,
  };
}

/**
 * Check at 0.85 × first clean pick, plan for 1.2 × that; `noLaterThanS` never before the cake has had its standing.
 * @param firstCleanPickS by the model, s
 * @param noLaterFactor of first clean pick: when what the family names begins to go wrong
 * @param leastLateS and no sooner than this after first clean pick, s
 * @param sigma of the logarithm of first clean pick: all that is not known of it
 */
export function steamTimes(
  firstCleanPickS: number,
  factor: Figure,
  standS: number,
  noLaterFactor: number,
  leastLateS = 0,
  sigma = factor.sd,
): SteamTimes {
  const f = firstCleanPickS * factor.value;
  const planForS = PLAN * f;
  return {
    firstCleanPickS: figure(f, factor.source, f * sigma),
    checkAtS: CHECK * f,
    planForS,
    standS,
    totalS: planForS + standS,
    noLaterThanS: Math.max(noLaterFactor * f, f + leastLateS, planForS + standS),
    unlearnedS: firstCleanPickS,
    planChance: chanceBy(planForS, f, sigma),
  };
}

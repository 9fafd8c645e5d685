import { expectedOf, readiness, type Check, type Expected, type Readiness } from '../notebook';
import type { Step } from '../../steps';
import { sayDuration } from '../../units';
import type { Forecast } from '../../forecast/forecast.types';
import { logFactorOf, overWater, stackIn } from '../../stations/steam';

/** Sure enough to look once and be right: this chance that it is clean. */
export const SURE = 0.95;

/**
 * When this batch's cake should be clean, before anything was seen of it; undefined where nothing is steamed or it never sets. Of a stack, each
 * layer waited for the one under it, so only the last one's own time is not known yet.
 * @param steps as they go
 */
export function expectedClean(f: Forecast, steps: readonly Step[] = f.steps): Expected | undefined {
  const steam = overWater(f.heat);
  const clean = steam?.times?.firstCleanPickS.value;
  if (!steam || clean === undefined) return undefined;
  const all = expectedOf(clean, logFactorOf(f.light).sigma, steam.spread?.sigma ?? 0);
  const planned = stackIn(f.heat)?.pours.at(-1)?.atS;
  if (planned === undefined) return all;
  const poured = steps.flatMap((s) => s.timeline ?? []).findLast((m) => m.turn?.is === 'pour')?.atS ?? planned;
  const medianS = clean + poured - planned;
  return { medianS, sigma: (all.sigma * Math.max(0, clean - planned)) / medianS };
}

export interface CleanChance {
  /** That a pick is clean now, 0–1. */
  readonly chance: number;
  /** When it is sure enough, s in the steam. */
  readonly sureAtS: number;
  readonly ready: Readiness;
  readonly sentence: string;
}

/** The chance that a pick comes out clean now, and when it is sure enough. @param inSteamS seconds in the steam */
export function cleanChance(
  expected: Expected,
  checks: readonly Pick<Check, 'afterS' | 'state'>[],
  inSteamS: number,
): CleanChance {
  const ready = readiness(checks, expected);
  const chance = ready.chanceAt(inSteamS);
  const sureAtS = ready.by(SURE);
  const leftS = sureAtS - inSteamS;
  const pct = Math.round(100 * chance);
  const now =
    pct >= 99
      ? 'It is clean, as good as certainly'
      : pct <= 1
        ? 'It cannot be clean yet'
        : `${pct} % chance that it is clean now`;
  return {
    chance,
    sureAtS,
    ready,
    sentence:
      leftS > 30
        ? `${now}; sure enough at ${sayDuration(sureAtS)}${inSteamS > 60 ? `, ${sayDuration(leftS)} more` : ''}.`
        : `${now}.`,
  };
}

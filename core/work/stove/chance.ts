import { readiness, type Check, type Expected, type Readiness, type Snapshot } from '../notebook';
import { BATCH_SIGMA, PRIOR_SIGMA } from '../../kitchen';
import type { Step } from '../../steps';
import { sayDuration } from '../../units';
import type { Forecast } from '../../forecast/forecast.types';
import { overWater, stackIn } from '../../stations/steam';

/** Sure enough to look once and be right: this chance that it is clean. */
export const SURE = 0.95;
/** Where the heat of a plan says nothing of its spread. */
const NO_SPREAD = Math.hypot(PRIOR_SIGMA, BATCH_SIGMA);

/**
 * When this batch's cake should be clean, before anything was seen of it, by the one account of what is not known; undefined where nothing is steamed
 * or it never sets. A stack whose last layer was poured later than planned is clean as much later.
 * @param steps as they go
 */
export function expectedClean(f: Forecast, steps: readonly Step[] = f.steps): Expected | undefined {
  const steam = overWater(f.heat);
  const clean = steam?.times?.firstCleanPickS.value;
  if (!steam || clean === undefined) return undefined;
  const sigma = steam.spread?.sigma ?? NO_SPREAD;
  const planned = stackIn(f.heat)?.pours.at(-1)?.atS;
  if (planned === undefined) return { medianS: clean, sigma };
  const poured = steps.flatMap((s) => s.timeline ?? []).findLast((m) => m.turn?.is === 'pour')?.atS ?? planned;
  const medianS = clean + poured - planned;
  return { medianS, sigma: (sigma * clean) / medianS };
}

/** The same as it was planned, until the heat is worked out again. */
export const expectedAsPlanned = ({ firstCleanPickS, cleanSigma }: Snapshot['figures']): Expected | undefined =>
  firstCleanPickS === null ? undefined : { medianS: firstCleanPickS, sigma: cleanSigma ?? NO_SPREAD };

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

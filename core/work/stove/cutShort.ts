import type { Forecast } from '../../forecast/forecast.types';
import { timerOf, type Step } from '../../steps';

import { COOLING, sayC, sayDuration } from '../../units';
import { waitCosts } from '../../stations/mix/waitTradeOffs';
import { operationOf, traitsOf, type Operation } from '../../flow';

/** Ended so much before its time, a wait is not cut short, share and s. */
const NEAR_SHARE = 0.1;
const NEAR_S = 30;
const PLAIN: Partial<Readonly<Record<Operation, string>>> = {
  'boil-up': 'Before there is steam all round the lid the minutes do not count.',
  preheat: 'In a cold mould the rim sets late and sticks.',
  stand: 'Lifted out now it tears: it sets on while it stands.',
};

/**
 * What it costs to end a wait now; undefined where it is near its end, or costs nothing.
 * @param waitedS so far @param chance that it is clean, for what is in the steam, 0–1
 */
export function priceOf(f: Forecast | undefined, step: Step, waitedS: number, chance?: number): string | undefined {
  const forS = timerOf(step);
  const leftS = forS - waitedS;
  if (leftS <= Math.max(NEAR_S, NEAR_SHARE * forS)) return undefined;
  const left = `${sayDuration(leftS)} of ${sayDuration(forS)} are left.`;
  if (chance !== undefined)
    return `${left} ${Math.round(100 * chance)} % chance that it is clean; each look lets the steam out.`;
  const cost = f && waitCosts(f.light, f.heat).find((c) => c.node === step.id);
  const words = cost?.sentence ?? (f && coolingPrice(f, step.id, waitedS)) ?? (step.op && PLAIN[step.op]);
  return words ? `${left} ${words}` : left;
}

/** How warm the middle of a cooling cake is by now, and when it passes what it has to pass next, as forecast. */
function coolingPrice(f: Forecast, stepId: string, waitedS: number): string | undefined {
  const rest = f.heat?.rest;
  const stage = f.evaluated.nodes.filter((n) => n.node.op === 'cool').findIndex((n) => n.node.id === stepId);
  if (!rest || stage < 0) return undefined;
  const nowS = (rest.stageStartsS[stage] ?? 0) + waitedS;
  const now = rest.curve.findLast((p) => p.timeS <= nowS)?.centreC ?? rest.curve[0]?.centreC;
  if (now === undefined) return undefined;
  const goal = [COOLING.firstC, COOLING.lastC].find((c) => now > c);
  const at = goal === undefined ? undefined : rest.curve.find((p) => p.timeS > nowS && p.centreC <= goal)?.timeS;
  const then =
    goal !== undefined && at !== undefined ? `; here it comes to ${sayC(goal)} in ${sayDuration(at - nowS)}` : '';
  return `The middle is at about ${sayC(now)}${then}.`;
}

/** True where it counts how long a step waited. */
export const countsWait = (stepId: string): boolean => traitsOf(operationOf(stepId)).reckoned === true;

/** Minutes a ferment has left by how it looks, s: the share of the way that the look stands for. */
export const leftByLook = (waitedS: number, progress: number): number =>
  Math.max(progress >= 1 ? 0 : 300, Math.min(6 * 3600, waitedS / progress - waitedS));

/** A wait that ended this much off its time, share and s, is reckoned with as it was. */
const OFF_SHARE = 0.1;
const OFF_S = 60;

/**
 * What a step that waited is to be read as: the seconds for the law of its node; undefined where it waited as planned, or nobody counts it.
 * @param waitedS from when the hands were free
 */
export function waitReading(f: Forecast | undefined, step: Step, waitedS: number): number | undefined {
  const n = f?.evaluated.byId.get(step.id);
  if (!f || !n || !countsWait(step.id)) return undefined;
  const forS = n.timedS ?? n.waitS;
  if (Math.abs(waitedS - forS) <= Math.max(OFF_S, OFF_SHARE * forS)) return undefined;
  // The law of some nodes counts the hands in.
  return Math.max(0, Math.round(waitedS + (n.spentS ?? n.waitS) - forS));
}

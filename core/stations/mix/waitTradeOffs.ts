import { evaluate, type EvaluatedNode, type Operation } from '../../flow';
import type { Cake } from '../../cake';
import type { HeatForecast } from '../heat.types';
import { sayDuration, sayGrams } from '../../units';

/** What a wait gives, what cutting it short costs, and the shortest that is worth having. */
export interface WaitCost {
  readonly node: string;
  readonly op: Operation;
  readonly waitS: number;
  /** Least wait that is worth having, s. */
  readonly shortestS: number;
  /** What it is for: juice, crumb, hold, uptake. */
  readonly gives: 'juice' | 'crumb' | 'hold' | 'water' | 'gas';
  readonly sentence: string;
}

/** Of what waiting can bring, this share makes a wait worth having. */
const WORTH = 0.8;
const SOAKED = 0.9;
const FOREVER_S = 20 * 3600;

/** The least wait, to half a minute, from which on something holds, s, by bisection. */
function leastWait(holds: (s: number) => boolean): number {
  let lo = 0;
  let hi = FOREVER_S;
  for (let i = 0; i < 14; i++) {
    const mid = (lo + hi) / 2;
    if (holds(mid)) hi = mid;
    else lo = mid;
  }
  return Math.ceil(hi / 30) * 30;
}

/** The least wait at which a rising figure reaches a share of its way from none to all of it, s. */
function shortest(at: (s: number) => number, share: number): number {
  const none = at(0);
  const all = at(FOREVER_S);
  return all > none ? leastWait((s) => at(s) >= none + share * (all - none)) : 0;
}

/** A figure of a node when another node waits s. */
const figureAt = (light: Cake, wait: string, node: string, slot: string) => {
  const { plan } = light.resolved;
  // A weighing would hide what the wait does.
  const { [node]: _weighed, ...readings } = plan.readings;
  return (s: number): number =>
    evaluate(light.flow, light.env, readings, { ...plan.waits, [wait]: s }).byId.get(node)?.figures[slot]?.value ?? 0;
};

type Node = EvaluatedNode<Operation>;

function juiceCost(light: Cake, n: Node, node: string): WaitCost {
  const at = figureAt(light, n.node.id, node, 'juiceG');
  const shortestS = shortest(at, WORTH);
  const spentS = n.spentS ?? n.waitS;
  const now = at(spentS);
  const half = at(spentS / 2);
  return {
    node: n.node.id,
    op: n.node.op,
    waitS: spentS,
    shortestS,
    gives: 'juice',
    sentence: `${sayDuration(spentS)} draws ${sayGrams(now)} of juice; half as long ${sayGrams(half)}, and ${sayGrams(Math.max(0, now - half))} stays in the pieces. Under ${sayDuration(shortestS)} it is not worth the salt.`,
  };
}

function soakCost(light: Cake, n: Node): WaitCost {
  const dry = n.figures.dryG !== undefined;
  const at = figureAt(light, n.node.id, n.node.id, dry ? 'dryG' : 'uptakeG');
  // Soaked to a weight: less soaking takes more of the dry; within a tenth of what a long soak needs will do.
  const long = at(FOREVER_S);
  const shortestS = dry ? leastWait((s) => at(Math.max(1, s)) <= long / SOAKED) : shortest(at, SOAKED);
  return {
    node: n.node.id,
    op: n.node.op,
    waitS: n.waitS,
    shortestS,
    gives: 'water',
    sentence: dry
      ? `Half as long leaves a hard middle and takes ${sayGrams(at(n.waitS / 2))} dry instead of ${sayGrams(at(n.waitS))}. ${sayDuration(shortestS)} is the least.`
      : `Half as long takes up ${sayGrams(at(n.waitS / 2))} of water instead of ${sayGrams(at(n.waitS))}. ${sayDuration(shortestS)} is the least.`,
  };
}

/** What each wait of a plan gives, before it is cut short: juice, crumb, gas, water, hold. */
export function waitCosts(light: Cake, heat?: HeatForecast): readonly WaitCost[] {
  return light.evaluated.nodes.flatMap((n): WaitCost[] => {
    const base = { node: n.node.id, op: n.node.op, waitS: n.waitS };
    if (n.waitS <= 0) return [];
    switch (n.node.op) {
      case 'draw':
        return light.evaluated.byId.has(`squeeze:${n.node.about}`)
          ? [juiceCost(light, n, `squeeze:${n.node.about}`)]
          : [];
      case 'wilt':
      case 'sugar':
        return [juiceCost(light, n, n.node.id)];
      case 'soak':
      case 'slake':
        return [soakCost(light, n)];
      case 'rest': {
        const { leastS, mostS } = (n.node as { settings: { leastS: number; mostS: number } }).settings;
        return [
          {
            ...base,
            shortestS: leastS,
            gives: 'crumb',
            sentence: `The grains drink up: under ${sayDuration(leastS)} the crumb stays grainy, past ${sayDuration(mostS)} it sours.`,
          },
        ];
      }
      case 'ferment': {
        const needs = n.figures.needsS?.value;
        if (needs === undefined) return [];
        const least = WORTH * needs;
        return [
          {
            ...base,
            shortestS: least,
            gives: 'gas',
            sentence: `${Math.round(100 * Math.min(1, n.waitS / needs))} % of the rise by then. Under ${sayDuration(least)} the crumb is close and low.`,
          },
        ];
      }
      case 'cool': {
        const ready = heat?.rest?.cutReadyAtS;
        const { index, last } = (n.node as { settings: { index: number; last: boolean } }).settings;
        if (!last || ready === undefined) return [];
        const before = heat?.rest?.stageStartsS[index] ?? 0;
        const least = Math.max(0, ready - before);
        return [
          {
            ...base,
            shortestS: least,
            gives: 'hold',
            sentence:
              least > 0
                ? `Cut sooner than ${sayDuration(least)} here it sticks and loses its edge.`
                : 'It holds its edge before this stage begins.',
          },
        ];
      }
      default:
        return [];
    }
  });
}

import type { BatchEvent, StampedEvent } from '../notebook';
import { withReading, type Line, type Plan } from '../plan';
import { steamingOf } from './steaming';

/** Phases of heat that a plan can hold. */
const MOST_PHASES = 6;

/** Every line of the cake through a function, where it stands; sauces go by parts and are left as they are. */
function withLines(plan: Plan, change: (l: Line) => Line): Plan {
  const lines = <T extends { readonly lines: readonly Line[] }>(groups: readonly T[]): T[] =>
    groups.map((g) => ({ ...g, lines: g.lines.map(change) }));
  return {
    ...plan,
    batters: lines(plan.batters),
    addIns: plan.addIns.map(change),
    fillings: lines(plan.fillings),
    colours: lines(plan.colours),
  };
}

/** Lines whose grams can be put right at the stove: all of the cake's own. */
export function changeableLines(plan: Plan): ReadonlySet<string> {
  const ids = new Set<string>();
  withLines(plan, (l) => {
    ids.add(l.id);
    return l;
  });
  return ids;
}

/** Grams of each line as they went in: what was weighed out, and what was added or left over since. */
export function massesOf(plan: Plan, events: readonly BatchEvent[]): ReadonlyMap<string, number> {
  const planned = new Map<string, number>();
  withLines(plan, (l) => {
    planned.set(l.id, l.massG);
    return l;
  });
  const masses = new Map<string, number>();
  for (const e of events) {
    if (e.kind === 'line-weighed' && planned.has(e.line)) masses.set(e.line, e.massG);
    else if (e.kind === 'line-changed' && planned.has(e.line))
      masses.set(e.line, Math.max(0, (masses.get(e.line) ?? planned.get(e.line) ?? 0) + e.byG));
  }
  return masses;
}

/** The plan's heat with what it was turned to while it steamed: phases end when the knob was turned. */
function withTurns(plan: Plan, events: readonly StampedEvent[]): Plan {
  const turns = events.filter((e) => e.kind === 'turned');
  if (turns.length === 0) return plan;
  const beganMs = steamingOf(events)?.beganMs ?? Infinity;
  let { heat } = plan;
  let phases: Plan['heatPhases'] = plan.heatPhases.length > 0 ? [...plan.heatPhases] : [{ heat }];
  for (const turn of turns) {
    const atS = Math.round((Date.parse(turn.at) - beganMs) / 1000);
    if (!(atS > 0)) {
      if (turn.heat !== 'off') heat = turn.heat;
      phases = [{ ...phases[0], heat: turn.heat }, ...phases.slice(1)];
      continue;
    }
    const kept: Plan['heatPhases'] = [];
    let fromS = 0;
    for (const p of phases) {
      if (fromS >= atS) break;
      const lasts = Math.min(p.timeS ?? Infinity, atS - fromS);
      kept.push({ ...p, timeS: lasts });
      fromS += lasts;
    }
    // What is on already is not turned.
    if (kept.at(-1)?.heat === turn.heat) continue;
    phases = [...kept, { heat: turn.heat }];
  }
  // More turns than a plan can hold: the first ones are put together under the heat of the longest.
  while (phases.length > MOST_PHASES) {
    const [a, b, ...rest] = phases;
    const longer = (a.timeS ?? 0) >= (b.timeS ?? 0) ? a : b;
    phases = [{ heat: longer.heat, timeS: (a.timeS ?? 0) + (b.timeS ?? 0) }, ...rest];
  }
  return phases.length === 1 && phases[0].heat !== 'off'
    ? { ...plan, heat: phases[0].heat, heatPhases: [] }
    : { ...plan, heat, heatPhases: phases };
}

/**
 * The plan as it is being cooked: what was weighed, added, left over, read and turned stands in place of what was planned. Its shape stays: no
 * number adds or takes away a step.
 * @param events those that count, in order
 */
export function asCooked(plan: Plan, events: readonly StampedEvent[]): Plan {
  const masses = massesOf(plan, events);
  let cooked =
    masses.size === 0
      ? plan
      : withLines(plan, (l) => {
          const massG = masses.get(l.id);
          return massG === undefined || massG === l.massG ? l : { ...l, massG };
        });
  for (const e of events)
    if (e.kind === 'read') cooked = withReading(cooked, { node: e.stepId, slot: e.slot }, e.value);
  return withTurns(cooked, events);
}

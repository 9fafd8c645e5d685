import type { BatchEvent, StampedEvent } from '../notebook';
import { withReading, type Line, type Plan } from '../../plan';
import { operationOf, traitsOf } from '../../flow';
import { steamingOf } from './steaming';

/** Phases of heat that a plan can hold. */
const MOST_PHASES = 6;

/** Every line of the cake through a function, where it stands; sauces go by parts and are not among them. */
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

/** Lines whose grams can be put right at the stove: all that are weighed. */
export function changeableLines(plan: Plan): ReadonlySet<string> {
  const ids = new Set<string>(plan.accompaniments.flatMap((a) => a.lines.map((l) => l.id)));
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

/** How many times as much of each line of a sauce went in as its list said. */
function sauceShares(plan: Plan, events: readonly BatchEvent[]): ReadonlyMap<string, number> {
  const ids = new Set(plan.accompaniments.flatMap((a) => a.lines.map((l) => l.id)));
  const listed = new Map<string, number>();
  const shares = new Map<string, number>();
  for (const e of events) {
    if ((e.kind !== 'line-weighed' && e.kind !== 'line-changed') || !ids.has(e.line) || !((e.ofG ?? 0) > 0)) continue;
    // The list as it was before anything was put right is the measure of it all.
    const ofG = listed.get(e.line) ?? e.ofG ?? 1;
    listed.set(e.line, ofG);
    const share = e.kind === 'line-weighed' ? e.massG / ofG : (shares.get(e.line) ?? 1) + e.byG / ofG;
    shares.set(e.line, Math.max(0, share));
  }
  return shares;
}

/** The plan with sauces as they were put together: a part weighs what it weighed, so the others keep their grams and the sauce its own sum. */
function withSauces(plan: Plan, events: readonly BatchEvent[]): Plan {
  const shares = sauceShares(plan, events);
  if (shares.size === 0) return plan;
  return {
    ...plan,
    accompaniments: plan.accompaniments.map((a) => {
      const lines = a.lines.map((l) => ({ ...l, parts: l.parts * (shares.get(l.id) ?? 1) }));
      const sum = (of: readonly { readonly parts: number }[]) => of.reduce((t, l) => t + l.parts, 0);
      const more = sum(a.lines) > 0 ? sum(lines) / sum(a.lines) : 1;
      const { amount } = a;
      return {
        ...a,
        lines,
        // Packs are packs of the first line; the rest follows it by parts.
        amount:
          amount.by === 'pack'
            ? { ...amount, packs: amount.packs * (shares.get(a.lines[0]?.id ?? '') ?? 1) }
            : { ...amount, grams: amount.grams * more },
      };
    }),
  };
}

/** Which stage of the cooling a step is; undefined for none. */
function coolingStage(plan: Plan, stepId: string): number | undefined {
  const [, where, n] = /^cool:([a-z-]*[a-z])(?:-(\d+))?$/.exec(stepId) ?? [];
  if (where === undefined) return undefined;
  const at = plan.cooling.flatMap((s, i) => (s.where === where ? [i] : []));
  return at[n === undefined ? 0 : Number(n) - 1];
}

/** The plan with what was read at a step; how long it cooled is the stage's own time. */
function withRead(plan: Plan, stepId: string, slot: string, value: number | undefined): Plan {
  const stage = slot === 'waitedS' ? coolingStage(plan, stepId) : undefined;
  if (stage === undefined) return withReading(plan, { node: stepId, slot }, value);
  return value === undefined
    ? plan
    : { ...plan, cooling: plan.cooling.map((s, i) => (i === stage ? { ...s, timeS: value } : s)) };
}

/** Left out, these were not waited for; what is soaked or melted was so some other way. */
/** What is left out with a step: its wait, or the water that it would have put in. */
function leftOut(plan: Plan, stepId: string): Plan {
  if (operationOf(stepId) === 'top-up') return withReading(plan, { node: stepId, slot: 'waterG' }, 0);
  return traitsOf(operationOf(stepId)).skips ? withRead(plan, stepId, 'waitedS', 0) : plan;
}

/** Steps that are left out now: the last word on each counts. */
function stepsLeftOut(events: readonly BatchEvent[]): ReadonlySet<string> {
  const out = new Set<string>();
  for (const e of events)
    if (e.kind === 'ticked') {
      if (e.done && e.skipped) out.add(e.stepId);
      else out.delete(e.stepId);
    } else if (e.kind === 'begun') out.delete(e.stepId);
  return out;
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
  for (;;) {
    const [a, b, ...rest] = phases;
    if (!a || !b || phases.length <= MOST_PHASES) break;
    const longer = (a.timeS ?? 0) >= (b.timeS ?? 0) ? a : b;
    phases = [{ heat: longer.heat, timeS: (a.timeS ?? 0) + (b.timeS ?? 0) }, ...rest];
  }
  const [first] = phases;
  return first && phases.length === 1 && first.heat !== 'off'
    ? { ...plan, heat: first.heat, heatPhases: [] }
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
  for (const e of events) if (e.kind === 'read') cooked = withRead(cooked, e.stepId, e.slot, e.value);
  for (const stepId of stepsLeftOut(events)) cooked = leftOut(cooked, stepId);
  return withTurns(withSauces(cooked, events), events);
}

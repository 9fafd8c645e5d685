import { differs, sayDuration } from '../units';
import type { Line } from './lineSchema';
import type { Plan } from './schema';
import { TREATMENT_WORDS } from './treatments';

/** Parts of a plan that are told by name when anything in them changed. */
const PARTS: readonly (readonly [keyof Plan, string])[] = [
  ['schools', 'ways of working'],
  ['colours', 'colours'],
  ['accompaniments', 'sauces and what goes beside'],
  ['ingredients', 'ingredients carried in the plan'],
  ['readings', 'what was weighed and measured'],
  ['waits', 'waits'],
  ['alsoVessels', 'further vessels'],
  ['hob', 'hob'],
  ['ring', 'ring'],
  ['heatPhases', 'heat while it steams'],
  ['pressureRelease', 'how the pressure is let go'],
  ['proving', 'proving'],
  ['bowl', 'bowl'],
  ['paper', 'paper in the pan'],
  ['wrap', 'wrapping'],
  ['cooling', 'cooling'],
  ['cut', 'cut'],
  ['sear', 'searing'],
  ['notes', 'notes'],
];

/** Grams as they were typed: a change of one gram is a change. */
const grams = (g: number): string => `${Math.round(g * 10) / 10} g`;

const nameOf = (x: string | { readonly name: string } | undefined, named: (id: string) => string): string =>
  x === undefined ? 'the usual' : typeof x === 'string' ? named(x) : x.name;

function lineChanges(before: readonly Line[], after: readonly Line[], named: (id: string) => string): string[] {
  const said: string[] = [];
  for (const l of after) {
    const old = before.find((x) => x.id === l.id);
    const name = named(l.ingredient);
    if (!old) said.push(`${name} ${grams(l.massG)} added`);
    else {
      if (old.ingredient !== l.ingredient) said.push(`${named(old.ingredient)} became ${name}`);
      if (old.massG !== l.massG) said.push(`${name} ${grams(old.massG)} to ${grams(l.massG)}`);
      if (old.treatment !== l.treatment)
        said.push(`${name}: ${TREATMENT_WORDS[old.treatment]} to ${TREATMENT_WORDS[l.treatment]}`);
      const { massG: _m, ingredient: _i, treatment: _t, ...rest } = l;
      const { massG: _om, ingredient: _oi, treatment: _ot, ...oldRest } = old;
      if (differs(rest, oldRest)) said.push(`${name}: how it is handled`);
    }
  }
  for (const l of before)
    if (!after.some((x) => x.id === l.id)) said.push(`${named(l.ingredient)} ${grams(l.massG)} taken out`);
  return said;
}

/**
 * What changed from one version of a plan to the next, one short phrase each; empty where nothing did.
 * @param named an ingredient's, vessel's or pan's name by id
 */
export function planChanges(before: Plan, after: Plan, named: (id: string) => string): readonly string[] {
  const said: string[] = [];
  if (before.name !== after.name) said.push(`name "${before.name}" to "${after.name}"`);
  if (before.family !== after.family) said.push(`kind of cake`);
  if (before.guests !== after.guests) said.push(`guests ${before.guests} to ${after.guests}`);
  if (before.role !== after.role) said.push(`eaten as ${before.role} to ${after.role}`);
  const lines = (p: Plan) => [...p.batters.flatMap((b) => b.lines), ...p.addIns, ...p.fillings.flatMap((f) => f.lines)];
  said.push(...lineChanges(lines(before), lines(after), named));
  const frame = (p: Plan) => [p.batters.map(({ lines: _l, ...b }) => b), p.fillings.map(({ lines: _l, ...f }) => f)];
  if (differs(frame(before), frame(after))) said.push('batters and fillings');
  for (const [key, word] of [
    ['vessel', 'pan'],
    ['steamer', 'steamer'],
    ['fryingPan', 'frying pan'],
  ] as const)
    if (differs(before[key], after[key])) {
      const [was, is] = [nameOf(before[key], named), nameOf(after[key], named)];
      said.push(was === is ? `${word}: its sizes` : `${word} ${was} to ${is}`);
    }
  if (before.vesselCount !== after.vesselCount) said.push(`pans ${before.vesselCount} to ${after.vesselCount}`);
  if (before.layers !== after.layers)
    said.push(`layers ${before.layers ?? 'as usual'} to ${after.layers ?? 'as usual'}`);
  if (before.heat !== after.heat) said.push(`heat ${before.heat} to ${after.heat}`);
  for (const [key, word] of PARTS) {
    if (!differs(before[key], after[key])) continue;
    const waits = key === 'waits' ? waitChanges(before, after) : [];
    said.push(...(waits.length > 0 ? waits : [word]));
  }
  return said;
}

/** Waits that became longer or shorter. */
function waitChanges(before: Plan, after: Plan): string[] {
  return Object.entries(after.waits).flatMap(([node, s]) => {
    const old = before.waits[node];
    return old === undefined || old === s ? [] : [`a wait of ${sayDuration(old)} to ${sayDuration(s)}`];
  });
}

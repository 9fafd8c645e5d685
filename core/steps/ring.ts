import type { Heat } from '../kitchen';
import { leftoverOf, sayRing } from '../kitchen';
import { traitsOf, type EvaluatedNode, type Operation } from '../flow';
import type { Plan } from '../plan';
import { sayDuration, sentenceCase } from '../units';
import type { StepContext } from './context';
import { slot } from './slots';
import { gearOf, gearWords } from './gear';

const SEAR_HEAT: Readonly<Record<NonNullable<Plan['sear']>['dial'], Heat>> = {
  low: 'gentle',
  'medium-low': 'gentle',
  medium: 'medium',
  'medium-high': 'strong',
};

/** True where this kitchen's ring has a name or a mark of the cook's own: else a plain heat word says all. */
const isOwn = ({ light }: StepContext): boolean =>
  light.resolved.kitchen.hobs.length > 0 || light.resolved.document.hob !== undefined;

const heatOf = (op: Operation, { light }: StepContext): Heat | undefined => {
  const { plan } = light.resolved;
  const { heat } = traitsOf(op);
  if (heat === 'plan') return plan.firstHeat;
  return heat === 'dial' ? plan.sear && SEAR_HEAT[plan.sear.dial] : heat;
};

/** "front ring at 5": where and how high an operation cooks; undefined where it needs no ring, or the ring is no one's own. */
export function ringWords(op: Operation, c: StepContext): string | undefined {
  const heat = heatOf(op, c);
  return heat === undefined || !isOwn(c) ? undefined : sayRing(c.light.resolved.ring, heat);
}

/** What the ring goes on doing once it is off; empty for gas and induction. */
export function leftoverWords(c: StepContext): string {
  const s = leftoverOf(c.light.resolved.ring);
  return s > 0 ? ` The plate stays hot for ${sayDuration(s)}: move the pot off it.` : '';
}

const SPOKEN = /\b(on|over) (gentle|low|medium-low|medium|medium-high|strong) heat\b/;

/**
 * A step's sentence with the cook's own ring and pot or blender in it: the ring in place of the heat word where there is one, else both at
 * its end.
 */
export function withKitchen(sentence: string, n: EvaluatedNode<Operation>, c: StepContext): string {
  const gear = gearOf(n, c);
  const ring = n.node.resources.includes('ring') ? ringWords(n.node.op, c) : undefined;
  const said = ring !== undefined && SPOKEN.test(sentence);
  const one = traitsOf(n.node.op).inSteam && c.light.resolved.plan.heatPhases.length === 0;
  const mark = (words: string) => (one ? slot('heat', '', words) : words);
  const own = sentence.replace(SPOKEN, (_, on: string, heat: string) =>
    said ? `on ${mark(`the ${ring}`)}` : `${on} ${mark(heat)} heat`,
  );
  if (gear) return `${own} ${gearWords(gear, said ? undefined : ring)}`;
  return ring === undefined || said ? own : `${own} ${sentenceCase(ring)}.`;
}

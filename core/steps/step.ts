import type { Answer } from './answers';

import { traitsOf, type FlowResource, type Operation, type Station } from '../flow';

export type StepResource = FlowResource;
export type { Station } from '../flow';

/** What enters at a step, by plan line, once. */
export interface StepAmount {
  readonly name: string;
  readonly massG: number;
  readonly note?: string;
  readonly fine?: boolean;
  /** How it is bought for this much ready to use: unpeeled, dry, in pieces. */
  readonly bought?: string;
  /** What goes on the scale, g, where the line's own grams are of it soaked or cooked. */
  readonly dryG?: number;
  /** Id of the plan line; absent for what a source gives. */
  readonly line?: string;
  /** Path of the plan line; empty for what a source gives (tap, pan oil, egg). */
  readonly path?: string;
}

/** What is carried in from earlier steps, named by what it has become. */
export interface StepCarried {
  readonly name: string;
  readonly massG: number;
}

/** A moment inside a step: a pour of a layered cake, a load to be turned. */
export interface StepMoment {
  readonly atS: number;
  readonly words: string;
  /** Set for what goes by how the cake looks, not by the clock: a pour on the last one, a load into the steam and out of it; its number, from 1, and whether the cook has said so. */
  readonly turn?: { readonly is: 'pour' | 'in' | 'out'; readonly number: number; readonly said?: true };
}

/** One step of the work: what to do with how much, how long hands and waiting take, and what to look for. */
export interface Step {
  /** The node of the flow it tells of; stays the same whatever is weighed. */
  readonly id: string;
  /** What is done; undefined in a step of a notebook that cannot be read any more. */
  readonly op: Operation | undefined;
  readonly station: Station;
  /** One or two words: what the hands do. */
  readonly verb: string;
  /** The whole instruction. */
  readonly sentence: string;
  readonly amounts: readonly StepAmount[];
  readonly carried?: readonly StepCarried[];
  readonly handsOnS: number;
  /** Waiting after the hands are free again, s. */
  readonly waitS: number;
  /** Set where its time is known only once the heat is worked out: so long it is drawn meanwhile, and never said, s. */
  readonly openS?: number;
  /** From when it is begun until it is done, s, where the hands work inside the time that is said; undefined: the wait is that time. */
  readonly timedS?: number;
  readonly resources: readonly StepResource[];
  readonly lookFor?: string;
  readonly taste?: string;
  readonly cautions: readonly string[];
  /** What a cook may answer here, in her words. */
  readonly answers?: readonly Answer[];
  /** Told to the second. */
  readonly seconds?: boolean;
  readonly timeline?: readonly StepMoment[];
  /** Ids of the steps that must be done first. */
  readonly after: readonly string[];
}

/** Grams that go on the scale for an amount. */
export const scaleG = (a: Pick<StepAmount, 'dryG' | 'massG'>): number => a.dryG ?? a.massG;

/** A step in words, its verb not said twice. */
export const stepWords = ({
  verb,
  sentence,
}: Pick<Step, 'verb' | 'sentence'>): { readonly verb: string; readonly rest: string } =>
  sentence.toLowerCase().startsWith(`${verb.toLowerCase()} `)
    ? { verb, rest: sentence.slice(verb.length + 1) }
    : { verb, rest: sentence };

/** Moments that are read beforehand, on a card: when each layer goes on and the water is topped up; loads, turns and pans are for a timer. */
export const cardMoments = (s: Pick<Step, 'op' | 'timeline'>): Step['timeline'] =>
  traitsOf(s.op).steamClock ? s.timeline : undefined;

/** What a timer is set to when a step is begun, s; 0: there is nothing to time. */
export const timerOf = (s: Pick<Step, 'timedS' | 'waitS'>): number => s.timedS ?? s.waitS;

/** What to weigh out for one batter, the add-ins, a filling, or a sauce. */
export interface WeighOut {
  readonly name: string;
  readonly amounts: readonly StepAmount[];
  readonly massG: number;
  /** What is easily mixed up here, one sentence each. */
  readonly lookAlikes?: readonly string[];
}

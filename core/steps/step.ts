import type { Answer } from './answers';
import type { FlowResource, Station } from '../flow';

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

/** A moment inside a step: a pour of a layered cake. */
export interface StepMoment {
  readonly atS: number;
  readonly words: string;
}

/** One step of the work: what to do with how much, how long hands and waiting take, and what to look for. */
export interface Step {
  /** The node of the flow it tells of; stays the same whatever is weighed. */
  readonly id: string;
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

/** What to weigh out for one batter, the add-ins, a filling, or a sauce. */
export interface WeighOut {
  readonly name: string;
  readonly amounts: readonly StepAmount[];
  readonly massG: number;
  /** What is easily mixed up here, one sentence each. */
  readonly lookAlikes?: readonly string[];
}

export type StepResource = 'hands' | 'ring' | 'tier' | 'bowl' | 'counter' | 'fridge' | 'pan';
export type Station = 'mix' | 'vessel' | 'steam' | 'rest' | 'cut' | 'sear' | 'serve';

export interface StepAmount {
  readonly name: string;
  readonly massG: number;
  readonly note?: string;
  readonly fine?: boolean;
}

/** One step of the work: what to do with how much, how long hands and waiting take, and what to look for. */
export interface Step {
  readonly id: string;
  readonly station: Station;
  /** One or two words: what the hands do. */
  readonly verb: string;
  /** The whole instruction. */
  readonly sentence: string;
  readonly amounts: readonly StepAmount[];
  readonly handsOnS: number;
  /** Waiting after the hands are free again, s. */
  readonly waitS: number;
  readonly resources: readonly StepResource[];
  readonly lookFor?: string;
  readonly taste?: string;
  readonly cautions: readonly string[];
  /** Ids of the steps that must be done first. */
  readonly after: readonly string[];
}

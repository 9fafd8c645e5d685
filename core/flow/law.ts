import type { Figure, Problem, ConcernCode } from '../units';
import type { FlowLine, FlowNode } from './flow';
import type { SourceId } from './lines';
import type { Operation, Settings } from './operations';
import type { Stream } from './stream';

/** Where what does not reach the plate goes. */
export const SINKS = ['drawn', 'pouredOff', 'boiledAway', 'left'] as const;
export type Sink = (typeof SINKS)[number];

/** The kitchen as the laws see it. */
export interface FlowEnv {
  readonly roomC: number;
  readonly fridgeC: number;
  readonly boilC: number;
  /** Net power into a pot on the ring, W: at a gentle and at a medium setting. */
  readonly gentleW: number;
  readonly mediumW: number;
  readonly guests: number;
  /** Path of each batter in the document, for problems. */
  readonly paths: Readonly<Record<string, string>>;
}

/** What the stations found out (vessel, steam, rest, cut, sear), by which waits, oil and egg are known. Absent on the first pass. */
export interface FlowResults {
  readonly boilUpS?: number;
  /** First clean pick, with its spread, s. */
  readonly clean?: Figure;
  /** A steaming: when to check, how long to go on after the check, and standing with the fire off, s. */
  readonly checkAtS?: number;
  readonly afterCheckS?: number;
  readonly standS?: number;
  /** All layers, or all loads of cups and sheets: empty moulds in the steam, hands, and waiting, s. */
  readonly layersS?: number;
  readonly preheatS?: number;
  readonly loadsHandsS?: number;
  readonly loadsS?: number;
  readonly loads?: number;
  /** Cooling waits by stage, and what is still to wait after them until it can be cut, s. */
  readonly coolS?: readonly number[];
  readonly untilCutS?: number;
  readonly pieces?: number;
  readonly sear?: { readonly totalS: number; readonly oilG: number; readonly eggG: number };
}

export interface EvaluatedNode<K extends Operation = Operation> {
  readonly node: FlowNode<K>;
  /** What is carried in. */
  readonly carried: readonly Stream[];
  readonly outs: readonly Stream[];
  readonly lost: readonly { readonly sink: Sink; readonly stream: Stream }[];
  /** What it drew from a source. */
  readonly drawn: readonly { readonly source: SourceId; readonly massG: number }[];
  readonly figures: Readonly<Record<string, Figure>>;
  readonly handsS: number;
  readonly waitS: number;
  /** All the time of the clock that its law was given, hands included, s; undefined where it asks for none. */
  readonly spentS?: number;
  /** It lasts longer than that, and how long is known once the heat is worked out; until then it is drawn so long and never said, s. */
  readonly openS?: number;
  /** From when it is begun until it is done, s, where the hands work inside the time that is said; undefined: the wait is that time. */
  readonly timedS: number | undefined;
}

export interface LawInput<K extends Operation> {
  readonly node: FlowNode<K>;
  readonly settings: Settings[K];
  readonly lines: readonly FlowLine[];
  readonly env: FlowEnv;
  readonly results: FlowResults;
  readonly fresh: readonly Stream[];
  readonly carried: readonly Stream[];
  /** Everything that enters, put together. */
  readonly all: () => Stream;
  readonly merge: (streams: readonly Stream[]) => Stream;
  /** The cook's reading in a slot, or undefined; outside the range it is refused with the range and left out. */
  readonly read: (slot: string, min: number, max: number, unit: string) => number | undefined;
  /** The wait of this node: read, set by the cook, or the usual. */
  readonly wait: (usualS: number) => number;
  readonly draw: (source: SourceId, massG: number, tempC: number) => Stream;
  readonly lose: (sink: Sink, stream: Stream) => void;
  readonly earlier: (id: string) => EvaluatedNode | undefined;
  readonly problem: (problem: Problem<ConcernCode>) => void;
  /** Advice: said, never blocking. */
  readonly warn: (code: ConcernCode, sentence: string) => void;
}

export interface LawOutput {
  readonly outs: readonly Stream[];
  readonly handsS: number;
  readonly waitS?: number | undefined;
  /** Of what the heat has not said yet: as long as it is drawn meanwhile, and never said, s. */
  readonly openS?: number | undefined;
  readonly timedS?: number | undefined;
  readonly figures?: { readonly [name: string]: Figure | undefined };
}

export type Law<K extends Operation> = (x: LawInput<K>) => LawOutput;
export type LawTable<K extends Operation = Operation> = { readonly [O in K]: Law<O> };

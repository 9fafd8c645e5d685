import type { Ingredient } from '../larder';
import type { Operation, Settings } from './operations';

/** Where a line stands in the document, or a source that operations draw on (tap, steam, pan oil, dip). */
export type LineRole = 'batter' | 'add-in' | 'filling' | 'colour' | 'accompaniment' | 'source';

/** One line of the account: a plan line with what the laws need of its ingredient. */
export interface FlowLine {
  readonly id: string;
  readonly ingredient: string;
  readonly name: string;
  readonly kind: Ingredient['kind'];
  /** Dotted path of the plan line; empty for a source. */
  readonly path: string;
  readonly role: LineRole;
  /** Batter, filling, colour or accompaniment it belongs to. */
  readonly group: string;
  /** Grams of the plan; a source has none until an operation draws on it. */
  readonly massG: number;
  /** Grams of each part in a gram. */
  readonly perGram: Float64Array;
  /** Flour, starch or grain: what hydration is reckoned on. */
  readonly dry: boolean;
  /** Counts whole in liquid : dry. */
  readonly liquid: boolean;
  /** Vegetable or fruit: what flows from it is juice. */
  readonly juicy: boolean;
  /** Mashed: its dry matter counts as swollen solids. */
  readonly mash: boolean;
  /** Starch kinds that gel freely, by index; a kept blend has several, an add-in none. */
  readonly starchKinds: readonly number[];
  /** Their shares of its starch, 0–1, in the same order. */
  readonly starchShares: readonly number[];
  /** What it counts as among the flours: itself, or the parts of a kept blend. */
  readonly flours: readonly (readonly [string, number])[];
  readonly absorption: number;
  readonly grainUm: number;
  /** Doublings of its grain over fine flour, 0 for starches. */
  readonly coarse: number;
  /** Share of the water in its pieces that cooks out into the batter. */
  readonly cooksOut: number;
  /** Weighed to a tenth of a gram. */
  readonly fine: boolean;
}

/** Of each line a stream holds what flows with the batter (free) and what stays in pieces. */
export type Phase = 'free' | 'piece';
/** Part of a line entering an operation. */
export interface Take {
  readonly line: number;
  readonly share: number;
  readonly phase: Phase;
  /** °C as it goes in; absent: the room's. */
  readonly tempC?: number;
}

export type FlowResource = 'hands' | 'ring' | 'tier' | 'bowl' | 'counter' | 'fridge' | 'pan';
export type Station = 'mix' | 'vessel' | 'steam' | 'rest' | 'cut' | 'sear' | 'serve';

/** One operation: plain data. Its id is `operation:line or batter`, never an index, so that readings stay where they belong. */
export interface FlowNode<K extends Operation = Operation> {
  readonly id: string;
  readonly op: K;
  readonly about: string;
  readonly settings: Settings[K];
  readonly takes: readonly Take[];
  /** Streams carried in and given out, by index. */
  readonly ins: readonly number[];
  readonly outs: readonly number[];
  /** Ids that must be done before, apart from what the streams say. */
  readonly after: readonly string[];
  readonly resources: readonly FlowResource[];
  readonly station: Station;
}

export interface FlowStream {
  /** What it has become: "squeezed radish", "slurry". */
  readonly name: string;
  readonly from: number;
}

/** A batch as a directed acyclic graph; the order of `nodes` is topological and is the order in which a cook works. */
export interface Flow {
  readonly lines: readonly FlowLine[];
  readonly nodes: readonly FlowNode[];
  readonly streams: readonly FlowStream[];
  /** Named places: `batter:<id>` is a batter before its pieces, `cake` what goes into the pan, `plate` what is served. */
  readonly marks: Readonly<Record<string, number>>;
}

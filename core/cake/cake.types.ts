import type { Figure } from '../units';
import type { Family } from '../families';
import type { Gelling } from '../model/heat';
import type { ResolvedPlan } from '../plan';
import type { Consistency, Texture } from '../model/batter';
import type { Evaluation, Flow, FlowEnv, PlanBalance } from '../flow';
import type { Vessel } from '../kitchen';
import type { Fill } from '../model/vessel';
import type { CutPlan } from '../model/cut';
import type { Packing } from '../model/sear';
import type { Body } from './body';

/** A cake as its plan makes it, before any heat: its flow and its grams, its body, how it fills its vessels and is cut. */
export interface Cake {
  readonly resolved: ResolvedPlan;
  readonly family: Family;
  /** The batch as a graph, the kitchen its laws see, and its first evaluation. */
  readonly flow: Flow;
  readonly env: FlowEnv;
  readonly evaluated: Evaluation;
  readonly balance: PlanBalance;
  /** Each batter as it is mixed, before it is heated or given its pieces. */
  readonly consistency: readonly Consistency[];
  /** How each batter gels, and the one that gels last. */
  readonly gellings: readonly Gelling[];
  readonly gelling: Gelling;
  /** What is steamed, as heat sees it. */
  readonly body: Body;
  readonly texture: Texture;
  readonly pour: {
    /** Node at which a measured temperature is written down. */
    readonly node: string;
    readonly startC: Figure;
    readonly startG: number;
    /** One standard deviation of the set degree at the start. */
    readonly startSetSd: number;
    readonly words: string;
    /** What flows of it as it lies in the pan. */
    readonly consistency: Consistency;
  };
  readonly ferment: { readonly timeS: number; readonly tempC: number; readonly dosePct: number } | undefined;
  readonly fill: Fill & {
    /** Height after ÷ before cooking, by its gas. */
    readonly rise: number;
    /** Depth as it steams, risen and with the air between its pieces, m. */
    readonly cookedM: number;
    /** True where the depth was measured by ruler. */
    readonly measured: boolean;
    /** The same batter in further vessels. */
    readonly others: readonly {
      readonly name: string;
      readonly count: number;
      readonly massEachG: number;
      readonly depthM: number;
      readonly cookedM: number;
      readonly vessel: Vessel;
    }[];
  };
  readonly cut: CutPlan | undefined;
  /** Pieces, cups or sheets the batch makes. */
  readonly pieces: number;
  readonly packing: Packing | undefined;
  /** Smallest of the piece's three sizes lies up in the pan: thickness; the other two are its face, m. */
  readonly piece: { readonly thicknessM: number; readonly faceM: readonly [number, number] } | undefined;
  readonly serves: {
    readonly gramsAHead: number;
    readonly neededG: number;
    readonly enough: boolean;
    readonly gramsEach: number;
  };
}

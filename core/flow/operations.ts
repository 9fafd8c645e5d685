import type { ThicknessWord, Squeeze } from '../model/batter';
import type { AccompanimentMethod, CoolingStage, CutForm, FillingInForce } from './documents';

/** The settings of every operation. Adding an operation is one entry here, one law and one sentence: a missing one does not compile. */
export interface Settings {
  /** Choosing the produce. */
  choose: { readonly words: string };
  /** Weighing everything out. */
  weigh: Record<never, never>;
  /**
   * Dried things or grain in water: full uptake, g/g, and its time constant at the water's temperature; `toWeight` where the plan gives
   * the soaked weight.
   */
  soak: {
    readonly forS: number;
    readonly uptake: number;
    readonly tauS: number;
    readonly waterC?: number;
    readonly toWeight: boolean;
  };
  /** Dried beans or pearls boiled until soft; the plan gives the cooked weight. */
  'boil-tender': { readonly forS: number; readonly uptake: number };
  slake: { readonly forS: number; readonly uptake: number; readonly tauS: number; readonly drops: readonly number[] };
  rinse: { readonly waters: number; readonly drops: readonly number[] };
  infuse: { readonly forS: number };
  'blend-strain': Record<never, never>;
  sieve: Record<never, never>;
  grate: { readonly form: CutForm; readonly tool: string; readonly gloves: boolean; readonly small: boolean };
  draw: { readonly forS: number };
  squeeze: {
    readonly how: Squeeze;
    readonly form: CutForm;
    readonly drawnS: number;
    readonly salted: boolean;
    readonly keep: boolean;
  };
  sugar: { readonly forS: number };
  wilt: { readonly forS: number; readonly lid: boolean };
  parboil: { readonly forS: number };
  /** Boiled in its own juice until the raw smell is gone. */
  simmer: { readonly forS: number };
  'boil-down': { readonly forS: number };
  /** One pan, things in order: seconds and salt at each. */
  fry: { readonly additions: readonly { readonly forS: number }[] };
  /** An oil or a juice made earlier, used again. */
  reuse: { readonly what: string };
  /** Cooked soft and mashed. */
  paste: { readonly forS: number };
  melt: { readonly forS: number; readonly toC: number };
  /** Standing until it is cool enough. */
  wait: { readonly toC: number; readonly covered: boolean };
  bloom: { readonly forS: number };
  roux: Record<never, never>;
  'top-up': {
    readonly wantedG: number;
    /** Lines whose liquid comes in elsewhere. */ readonly besides: readonly number[];
  };
  mix: { readonly firstShare: number; readonly bowlG: number; readonly bowl: 'steel' | 'ceramic' | 'none' };
  scald: { readonly forS: number };
  'stream-in': { readonly liquidC: number };
  thicken: { readonly to: ThicknessWord };
  'cook-through': Record<never, never>;
  /** Liquid worked in until it falls as wanted. */
  'to-the-mark': { readonly to: ThicknessWord };
  grind: Record<never, never>;
  ferment: {
    readonly where: 'room' | 'warm-box' | 'oven-lamp' | 'fridge';
    readonly placeC?: number;
    readonly forS?: number;
    readonly groundGrain: boolean;
    readonly rise: number;
  };
  'knock-back': Record<never, never>;
  'add-powder': { readonly standS: number };
  rest: { readonly leastS: number; readonly usualS: number; readonly mostS: number; readonly sets: boolean };
  'pour-off': { readonly pouredG: number };
  season: Record<never, never>;
  'fold-in': Record<never, never>;
  'keep-back': { readonly share: number };
  /** Shares of the batter, adding to 1: as many as a colour has layers. */
  split: { readonly names: readonly string[]; readonly shares: readonly number[] };
  colour: { readonly name: string };
  'boil-up': Record<never, never>;
  prepare: { readonly lining: 'oil' | 'paper' | 'water' };
  preheat: { readonly what: 'moulds' | 'trays' };
  pour: { readonly paste: boolean; readonly pot: boolean };
  top: Record<never, never>;
  layer: { readonly order: readonly number[] };
  fill: { readonly what: 'cups' | 'sheets' };
  film: Record<never, never>;
  steam: Record<never, never>;
  check: Record<never, never>;
  stand: { readonly forS: number };
  cool: { readonly stage: CoolingStage; readonly index: number; readonly last: boolean };
  unmould: Record<never, never>;
  cut: Record<never, never>;
  'keep-apart': { readonly by: 'oil' | 'paper' };
  dip: Record<never, never>;
  sear: { readonly half: boolean };
  /** A sauce or topping: stirred, simmered, thickened, fried, or an oil poured hot over what flavours it. */
  make: { readonly method: AccompanimentMethod; readonly forS: number; readonly role: 'sauce' | 'topping' };
  reduce: { readonly toShare: number; readonly forS: number };
  assemble: {
    readonly fillings: readonly Pick<FillingInForce, 'name' | 'doneness' | 'safeC' | 'count' | 'eater'>[];
    readonly how: 'roll' | 'fold';
  };
  serve: Record<never, never>;
}
export type Operation = keyof Settings;

/** What is done to ingredients before they meet. */
export type PrepareOperation =
  | 'choose'
  | 'weigh'
  | 'soak'
  | 'boil-tender'
  | 'slake'
  | 'rinse'
  | 'infuse'
  | 'blend-strain'
  | 'sieve'
  | 'grate'
  | 'draw'
  | 'squeeze'
  | 'sugar'
  | 'wilt'
  | 'parboil'
  | 'simmer'
  | 'boil-down'
  | 'fry'
  | 'reuse'
  | 'paste'
  | 'keep-back';

/** What makes a batter of them. */
export type BatterOperation =
  | 'melt'
  | 'wait'
  | 'bloom'
  | 'roux'
  | 'top-up'
  | 'mix'
  | 'scald'
  | 'stream-in'
  | 'thicken'
  | 'cook-through'
  | 'to-the-mark'
  | 'grind'
  | 'ferment'
  | 'knock-back'
  | 'add-powder'
  | 'rest'
  | 'pour-off'
  | 'season'
  | 'fold-in'
  | 'split'
  | 'colour';

/** What makes a cake of the batter, and a meal of the cake. */
export type CakeOperation =
  | 'boil-up'
  | 'prepare'
  | 'preheat'
  | 'pour'
  | 'top'
  | 'layer'
  | 'fill'
  | 'film'
  | 'steam'
  | 'check'
  | 'stand'
  | 'cool'
  | 'unmould'
  | 'cut'
  | 'keep-apart'
  | 'dip'
  | 'sear'
  | 'make'
  | 'reduce'
  | 'assemble'
  | 'serve';

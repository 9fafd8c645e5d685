import type { ThicknessWord, Squeeze } from '../model/batter';
import type { Appliance, Heat, Pot } from '../kitchen';
import type { AccompanimentMethod, CoolingStage, CutForm, FillingInForce } from './documents';

/**
 * The settings of every operation. Adding an operation is its settings and its traits in this file, one law and one sentence: a missing one does not
 * compile.
 */
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
  reuse: Record<never, never>;
  /** Cooked soft and mashed. */
  paste: { readonly forS: number };
  melt: { readonly toC: number };
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
  'stream-in': Record<never, never>;
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
  rest: { readonly leastS: number; readonly usualS: number; readonly mostS: number };
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

/** What an operation is done in: kinds that do it, as good as each other within a group, the better group first. */
export interface GearNeed {
  readonly kinds: readonly (readonly (Pot['kind'] | Appliance['kind'])[])[];
  /** Grams of it in a millilitre of the pot: loose pieces lie open (house figures). */
  readonly gPerMl: number;
}
/** What a cake is drawn as while it is done; what has none is a bowl on the way, or a plate. */
export type Shows = 'bowl' | 'pour' | 'steam' | 'stand' | 'loads' | 'film' | 'pot' | 'roll' | 'cool' | 'sear' | 'cut';

/** What an operation is, for all that treat some of them alike. What is not named is not so. */
export interface Traits {
  /** Before the ingredients meet, until there is a batter, or after it. */
  readonly of: 'prepare' | 'batter' | 'cake';
  readonly shows?: Shows;
  /** The cake lies in its pan, and is drawn in section. */
  readonly inPan?: true;
  /** Done beside the cake while it waits: it moves no station on. */
  readonly beside?: true;
  /** The batter goes into its vessels. */
  readonly into?: true;
  /** Heats batter and pieces together: they are one temperature then. */
  readonly evens?: true;
  /** It is cooked. */
  readonly cooks?: true;
  /** In the steam: its beginning is the first second of the steaming. */
  readonly inSteam?: true;
  /** All of the cake goes by one clock of the steam: a pick looks into it. */
  readonly steamClock?: true;
  /** Heat of the ring it is usually done on: the plan's own where it steams, the pan's dial where it sears; none needs no ring. */
  readonly heat?: Heat | 'plan' | 'dial';
  /** Pot, wok or blender; what is only stirred in a bowl, or has a pan of its own, needs none. */
  readonly gear?: GearNeed;
  /** It goes on in the pot that what comes before stands in. */
  readonly samePot?: true;
  /** The cook stands at it while its time runs. */
  readonly stoodAt?: true;
  /** A dry thing becomes soft. */
  readonly softens?: true;
  /** The cake is cooked by then: what is tasted can be mended the next time only. */
  readonly cooked?: true;
  /** Its minutes are kept with the line that it is done to. */
  readonly ofLine?: true;
  /** The flow reckons with how long it waited. */
  readonly reckoned?: true;
  /** Left out, it has not waited at all. */
  readonly skips?: true;
}

const POT: GearNeed = { kinds: [['pot', 'saucepan'], ['wok']], gPerMl: 1.05 };
const WOK: GearNeed = { kinds: [['wok'], ['pot', 'saucepan']], gPerMl: 0.6 };

/** Every operation, by what it is. */
const TABLE = {
  choose: { of: 'prepare' },
  weigh: { of: 'prepare' },
  soak: { of: 'prepare', softens: true, ofLine: true, reckoned: true },
  'boil-tender': { of: 'prepare', heat: 'medium', gear: { ...POT, gPerMl: 0.3 }, softens: true, reckoned: true },
  slake: { of: 'prepare', ofLine: true, reckoned: true },
  rinse: { of: 'prepare' },
  infuse: { of: 'prepare', reckoned: true },
  'blend-strain': { of: 'prepare', gear: { kinds: [['blender'], ['processor']], gPerMl: 0.9 } },
  sieve: { of: 'prepare' },
  grate: { of: 'prepare' },
  draw: { of: 'prepare', ofLine: true, reckoned: true, skips: true },
  squeeze: { of: 'prepare' },
  sugar: { of: 'prepare', ofLine: true, reckoned: true, skips: true },
  wilt: { of: 'prepare', heat: 'medium', gear: WOK, ofLine: true, reckoned: true, skips: true },
  parboil: { of: 'prepare', heat: 'gentle', gear: POT, ofLine: true },
  simmer: { of: 'prepare', heat: 'medium', gear: { ...POT, gPerMl: 0.8 } },
  'boil-down': { of: 'prepare', heat: 'gentle', gear: WOK },
  fry: { of: 'prepare', heat: 'medium', gear: { ...WOK, kinds: [['wok']] }, stoodAt: true },
  reuse: { of: 'prepare' },
  paste: { of: 'prepare', heat: 'medium', gear: { ...POT, gPerMl: 0.8 } },
  'keep-back': { of: 'prepare' },
  melt: { of: 'batter', heat: 'medium', gear: POT, reckoned: true },
  wait: { of: 'batter', reckoned: true },
  bloom: { of: 'batter', reckoned: true },
  roux: { of: 'batter', heat: 'gentle', gear: POT, reckoned: true },
  'top-up': { of: 'batter' },
  mix: { of: 'batter' },
  scald: { of: 'batter', heat: 'strong', gear: POT },
  'stream-in': { of: 'batter', heat: 'gentle', gear: POT, samePot: true },
  thicken: { of: 'batter', evens: true, heat: 'gentle', gear: POT, samePot: true },
  'cook-through': {
    of: 'batter',
    shows: 'pot',
    evens: true,
    cooks: true,
    heat: 'gentle',
    gear: POT,
    samePot: true,
    stoodAt: true,
  },
  'to-the-mark': { of: 'batter' },
  grind: { of: 'batter', gear: { kinds: [['blender', 'grinder'], ['processor']], gPerMl: 1.1 } },
  ferment: { of: 'batter', shows: 'bowl', reckoned: true, skips: true },
  'knock-back': { of: 'batter' },
  'add-powder': { of: 'batter' },
  rest: { of: 'batter', shows: 'bowl', reckoned: true, skips: true },
  'pour-off': { of: 'batter' },
  season: { of: 'batter' },
  'fold-in': { of: 'batter' },
  split: { of: 'batter' },
  colour: { of: 'batter' },
  'boil-up': { of: 'cake', beside: true, heat: 'strong' },
  prepare: { of: 'cake', beside: true },
  preheat: { of: 'cake', beside: true },
  pour: { of: 'cake', shows: 'pour', inPan: true, into: true },
  top: { of: 'cake', shows: 'pour', inPan: true },
  layer: {
    of: 'cake',
    shows: 'steam',
    inPan: true,
    into: true,
    cooks: true,
    inSteam: true,
    steamClock: true,
    heat: 'plan',
  },
  fill: { of: 'cake', shows: 'loads', inPan: true, into: true, cooks: true, inSteam: true, heat: 'plan' },
  film: { of: 'cake', shows: 'film', into: true, cooks: true, heat: 'medium' },
  steam: { of: 'cake', shows: 'steam', inPan: true, cooks: true, inSteam: true, steamClock: true, heat: 'plan' },
  check: { of: 'cake', shows: 'steam', inPan: true },
  stand: { of: 'cake', shows: 'stand', inPan: true, reckoned: true, skips: true },
  cool: { of: 'cake', shows: 'cool', inPan: true, reckoned: true, skips: true },
  unmould: { of: 'cake', shows: 'cool' },
  cut: { of: 'cake', shows: 'cut', cooked: true },
  'keep-apart': { of: 'cake', shows: 'cut' },
  dip: { of: 'cake', shows: 'sear' },
  sear: { of: 'cake', shows: 'sear', heat: 'dial', stoodAt: true, cooked: true },
  make: { of: 'cake', beside: true, heat: 'medium' },
  reduce: { of: 'cake', beside: true, heat: 'medium', gear: POT, samePot: true },
  assemble: { of: 'cake', shows: 'roll' },
  serve: { of: 'cake', cooked: true },
} as const satisfies { readonly [K in Operation]: Traits };
export const OPERATIONS: { readonly [K in Operation]: Traits } = TABLE;

type Of<S extends Traits['of']> = { [K in Operation]: (typeof TABLE)[K]['of'] extends S ? K : never }[Operation];
/** What is done to ingredients before they meet. */
export type PrepareOperation = Of<'prepare'>;
/** What makes a batter of them. */
export type BatterOperation = Of<'batter'>;
/** What makes a cake of the batter, and a meal of the cake. */
export type CakeOperation = Of<'cake'>;

/** The operation of a node or step, by its id; undefined where the id is of none that there is. */
export function operationOf(id: string): Operation | undefined {
  const op = id.slice(0, id.indexOf(':'));
  return Object.hasOwn(OPERATIONS, op) ? (op as Operation) : undefined;
}
const NONE: Partial<Traits> = {};
/** Traits of an operation; of a step that cannot be read any more, none. */
export const traitsOf = (op: Operation | undefined): Partial<Traits> => (op === undefined ? NONE : OPERATIONS[op]);

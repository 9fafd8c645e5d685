import { USUAL_SOAK, type Ingredient, type Larder } from '../larder';
import type { Heat, Kitchen } from '../kitchen';
import { RAW_FILLING_C, there } from '../units';
import { firstHeat } from './heats';
import type { SchoolQuestion } from './kinds';
import { layersOf } from './layers';
import type { Line } from './lineSchema';
import type { CutForm, Treatment } from './kinds';
import type { Accompaniment, Batter, Filling, Plan } from './schema';
import { isSoakedGrain } from './treatments';
import { usualCutForm, USUAL_TOOL, type UsualTool } from './usualCut';

/** What a plan leaves open for its family to fill in. */
export interface FamilyUsual {
  readonly usualLayers?: number;
  readonly schools: Readonly<Partial<Record<SchoolQuestion, { readonly usual: string }>>>;
}

/** A line with all that it left open. */
export interface LineInForce extends Omit<Line, OpenOfLine> {
  /** Salt strewn on it to draw it, and thrown in as it fries, g; 0 for none. */
  readonly drawSaltG: number;
  readonly frySaltG: number;
  /** How long its treatment takes, and a dried thing soaks before it, s. */
  readonly drawS: number;
  readonly soakS: number;
  /** Of the water it soaks in, and as it goes in, °C. */
  readonly soakC: number;
  readonly tempC: number;
  readonly cut: { readonly form: CutForm; readonly tool: UsualTool };
  /** Share kept back for the top, and share that takes the treatment. */
  readonly keptBack: number;
  readonly share: number;
}
type OpenOfLine = 'drawSaltG' | 'frySaltG' | 'drawS' | 'soakS' | 'soakC' | 'tempC' | 'cut' | 'keptBack' | 'share';

export interface BatterInForce extends Omit<Batter, 'lines' | 'pouredOffG'> {
  readonly lines: readonly LineInForce[];
  /** 0 where nothing is poured off. */
  readonly pouredOffG: number;
}
export interface FillingInForce extends Omit<Filling, 'lines' | 'count' | 'safeC'> {
  readonly lines: readonly LineInForce[];
  /** So many pieces take it: those that say none share what the others leave. */
  readonly count: number;
  readonly safeC: number;
}
export interface AccompanimentInForce extends Omit<Accompaniment, 'timeS' | 'lines'> {
  readonly timeS: number;
  readonly lines: readonly (Accompaniment['lines'][number] & Pick<LineInForce, 'soakS' | 'soakC' | 'tempC'>)[];
}

/** How it is cut, both sides of a piece told. */
export interface CutInForce extends Omit<Cut, 'by'> {
  readonly by:
    Exclude<Cut['by'], { kind: 'size' }> | { readonly kind: 'size'; readonly sizeM: number; readonly otherM: number };
}
type Cut = NonNullable<Plan['cut']>;

/**
 * A plan with everything that it leaves open filled in, once, from the usual, the family and the kitchen. What is not there has no meaning of its
 * own: no cut is "not cut". It is no document: a change is made to the plan as it was written, so that what was left open stays open. Things of the
 * rack are looked up beside it.
 */
export interface PlanInForce extends Omit<Plan, OpenOfPlan> {
  readonly batters: readonly BatterInForce[];
  readonly addIns: readonly LineInForce[];
  readonly fillings: readonly FillingInForce[];
  readonly colours: readonly (Omit<Plan['colours'][number], 'lines'> & { readonly lines: readonly LineInForce[] })[];
  readonly accompaniments: readonly AccompanimentInForce[];
  /** The cook's choice, or the family's usual; a question its family does not ask has neither. */
  readonly schools: Readonly<Partial<Record<SchoolQuestion, string>>>;
  /** Paper in the pan: asked for, or the way it is lined. */
  readonly paper: boolean;
  /** Layers in all; what is not layered is poured at once. */
  readonly layers: number;
  /** The heat it is brought to the steam on. */
  readonly firstHeat: Heat;
  readonly proving: NonNullable<Plan['proving']>;
  readonly bowl: { readonly material: 'steel' | 'ceramic' | 'none'; readonly massG: number };
  readonly cut?: CutInForce;
}
type OpenOfPlan =
  | 'format'
  | 'version'
  | 'batters'
  | 'addIns'
  | 'fillings'
  | 'colours'
  | 'accompaniments'
  | 'schools'
  | 'layers'
  | 'proving'
  | 'bowl'
  | 'cut'
  | 'vessel'
  | 'alsoVessels'
  | 'steamer'
  | 'hob'
  | 'ring'
  | 'fryingPan'
  | 'ingredients';

/** How long a treatment takes where a line does not say, s; 0 for what takes no time of its own. */
const TREATMENT_S: Readonly<Record<Treatment, number>> = {
  'as-is': 1800,
  boiling: 0,
  syrup: 0,
  'squeezed-hard': 1800,
  'squeezed-by-hand': 1800,
  drained: 1800,
  'squeezed-boiled': 1800,
  wilted: 720,
  parboiled: 480,
  fried: 180,
  'boiled-down': 420,
  mashed: 1200,
  infused: 600,
  soaked: 5 * 3600,
  'soaked-alkali': 3 * 3600,
  'soaking-liquid': 0,
  roux: 0,
  sugared: 900,
  bloomed: 0,
  'to-the-mark': 0,
  frying: 0,
};
/** Water that grain soaks in, what boils as it goes in, and syrup, °C. */
const GRAIN_WATER_C = 20;
const BOILING_C = 100;
const SYRUP_C = 60;
/** How long a sauce or topping is on the ring, or stands, s. */
const METHOD_S: Readonly<Record<Accompaniment['method'], number>> = {
  stir: 0,
  simmer: 360,
  reduce: 120,
  thicken: 360,
  fry: 300,
  'infuse-oil': 120,
  pickle: 1800,
  blanch: 60,
};
const BOWL_G = { steel: 300, ceramic: 800 } as const;

/** As it goes in where a line does not say, °C. */
const usualTempC = (l: Line, i: Ingredient, roomC: number): number => {
  if (l.treatment === 'boiling' && i.kind === 'liquid') return BOILING_C;
  return l.treatment === 'syrup' || (l.treatment === 'boiling' && i.kind === 'sugar') ? SYRUP_C : roomC;
};

/** How long a line's treatment takes, and how it soaks, where it is left open: what a cook is shown as usual. */
export const lineTimes = (
  l: Pick<Line, 'treatment' | 'drawS' | 'soakS' | 'soakC'>,
): Pick<LineInForce, 'drawS' | 'soakS' | 'soakC'> => ({
  drawS: l.drawS ?? TREATMENT_S[l.treatment],
  soakS: l.soakS ?? USUAL_SOAK.timeS,
  soakC: l.soakC ?? (isSoakedGrain(l.treatment) ? GRAIN_WATER_C : USUAL_SOAK.waterC),
});

function lineInForce(l: Line, i: Ingredient, kitchen: Kitchen): LineInForce {
  const form = l.cut?.form ?? usualCutForm(l.treatment, i);
  return {
    ...l,
    ...lineTimes(l),
    drawSaltG: l.drawSaltG ?? 0,
    frySaltG: l.frySaltG ?? 0,
    tempC: l.tempC ?? usualTempC(l, i, kitchen.roomC),
    cut: { form, tool: l.cut?.tool ?? USUAL_TOOL[form] },
    keptBack: l.keptBack ?? 0,
    share: l.share ?? 1,
  };
}

/** How many pieces each filling goes into: those that do not say share what is left, the first ones taking one more where it does not go evenly. */
export function fillingCounts(fillings: readonly Pick<Filling, 'count'>[], pieces: number): readonly number[] {
  const open = fillings.filter((f) => f.count === undefined).length;
  const left = Math.max(0, pieces - fillings.reduce((a, f) => a + (f.count ?? 0), 0));
  let nth = 0;
  return fillings.map((f) => f.count ?? Math.floor(left / open) + (nth++ < left % open ? 1 : 0));
}

/** A piece of one size is as wide as it is long. */
const cutInForce = ({ by, ...cut }: Cut): CutInForce => ({
  ...cut,
  by: by.kind === 'size' ? { ...by, otherM: by.otherM ?? by.sizeM } : by,
});

/** Every default of a plan, filled in. @param larder has all of its ingredients */
export function planInForce(plan: Plan, family: FamilyUsual, larder: Larder, kitchen: Kitchen): PlanInForce {
  const inForce = (lines: readonly Line[]): readonly LineInForce[] =>
    lines.map((l) => {
      const i = larder.get(l.ingredient);
      if (!i) throw new Error(`unresolved ingredient ${l.ingredient}`);
      return lineInForce(l, i, kitchen);
    });
  const {
    format: _f,
    version: _v,
    vessel: _o,
    alsoVessels: _a,
    steamer: _s,
    hob: _h,
    ring: _r,
    fryingPan: _p,
    cut,
    ingredients: _i,
    ...rest
  } = plan;
  const counts = fillingCounts(plan.fillings, plan.vesselCount);
  const schools = {
    ...Object.fromEntries(Object.entries(family.schools).map(([q, s]) => [q, s.usual])),
    ...plan.schools,
  };
  return {
    ...rest,
    batters: plan.batters.map((b) => ({ ...b, lines: inForce(b.lines), pouredOffG: b.pouredOffG ?? 0 })),
    addIns: inForce(plan.addIns),
    fillings: plan.fillings.map((f, i) => ({
      ...f,
      lines: inForce(f.lines),
      count: there(counts[i]),
      safeC: f.safeC ?? RAW_FILLING_C,
    })),
    colours: plan.colours.map((c) => ({ ...c, lines: inForce(c.lines) })),
    accompaniments: plan.accompaniments.map((a) => ({
      ...a,
      timeS: a.timeS ?? METHOD_S[a.method],
      lines: a.lines.map((l) => ({
        ...l,
        soakS: USUAL_SOAK.timeS,
        soakC: USUAL_SOAK.waterC,
        tempC: kitchen.roomC,
      })),
    })),
    schools,
    paper: plan.paper || schools.lining === 'paper',
    layers: layersOf(plan, family),
    firstHeat: firstHeat(plan),
    proving: plan.proving ?? { where: 'room' },
    bowl: plan.bowl
      ? { material: plan.bowl.material, massG: plan.bowl.massG ?? BOWL_G[plan.bowl.material] }
      : { material: 'none', massG: 0 },
    ...(cut ? { cut: cutInForce(cut) } : {}),
  };
}

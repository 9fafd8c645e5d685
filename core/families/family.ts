import type { PlanInput, SchoolQuestion } from '../plan';
import type { Kit } from '../flow/builders';
import type { ThicknessWord } from '../model/batter';
import type { Band } from '../units';

export type { Band } from '../units';

/** Where a family's cooking happens. */
export type CookedHow = 'steamed' | 'layers' | 'cups' | 'sheets' | 'pot' | 'pan-film';

/** A batter's wanted thickness, and what a cook sees. */
export interface Pours {
  readonly word: ThicknessWord;
  readonly look: string;
}

export interface SchoolOption {
  readonly id: string;
  readonly words: string;
  readonly differs: string;
}
export interface School {
  readonly usual: string;
  readonly options: readonly SchoolOption[];
}

/** Where one batter of a family usually lies. */
export interface BatterBands {
  /** Share of the dry blend by ingredient id, %. Starches that stand in for each other start at 0; the main flour's band sees to the sum. */
  readonly blend: Readonly<Record<string, Band>>;
  readonly liquidToDry: Band;
  /** Sugar, % of the dry blend (with the dry matter of beans mashed into it). */
  readonly sugarOfDry?: Band;
  /** Coconut milk, % of the liquid. */
  readonly coconutOfLiquid?: Band;
  /** Dry yeast, % of the dry blend. */
  readonly yeastPct?: Band;
  /** Baking powder, % of the dry blend. */
  readonly powderPct?: Band;
  /** Oil in the batter, % of the whole batter or of its dry blend. */
  readonly oil?: { readonly of: 'batter' | 'dry'; readonly band: Band };
  /** Calcium hydroxide, % of the grain. */
  readonly alkaliPct?: Band;
  /** Beans mashed into it, mass ÷ dry blend. */
  readonly beanOfDry?: Band;
}

/** Bands that hold instead, for a batter with an ingredient in it or a school chosen. */
export interface BandVariant {
  readonly when: { readonly ingredient: string } | { readonly school: readonly [SchoolQuestion, string] };
  readonly bands: Partial<BatterBands>;
}

/** Everything that is particular to one kind of cake. Data; a cook may edit the bands. */
export interface Family extends BatterBands {
  readonly id: string;
  readonly name: string;
  /** One line for the chooser. */
  readonly about: string;
  /** One line: what a beginner learns by making it. */
  readonly teaches: string;
  /** Salt, % of the whole; a family without a lower end asks for none. */
  readonly saltPct?: Band;
  /** Main add-in and its mass ÷ dry blend. */
  readonly addIn?: { readonly ingredients: readonly string[]; readonly ofDry: Band };
  /** Fried bits beside the main add-in, mass ÷ dry blend at most. */
  readonly bitsOfDry?: number;
  /** Filling in each roll, g. */
  readonly fillingG?: Band;
  readonly cooked: CookedHow;
  readonly depthMm: Band;
  /** Layers in all, for layered families, and how many where a plan does not say. */
  readonly layers?: Band;
  readonly usualLayers?: number;
  /** Depth of one layer, mm. */
  readonly layerMm?: Band;
  readonly variants?: readonly BandVariant[];
  /** Height after ÷ before cooking. */
  readonly rise: number;
  /** Once it is set through it steams for so much longer, s: to clear and darken. */
  readonly moreS?: number;
  readonly restInSteamerS: number;
  /** Quality falls off after this many times first clean pick, and what happens then. */
  readonly noLaterFactor: number;
  /** And never so soon after first clean pick as this, s: what goes wrong takes its time, however thin the pour. */
  readonly noSoonerThanS: number;
  readonly tooLate: string;
  readonly releaseC: number;
  readonly cutC: number;
  /** Least dry blend per gram of add-in pieces that still holds a cut. */
  readonly binderMin?: number;
  readonly keepDays: number;
  readonly eatWithin: string;
  readonly freezes: boolean;
  readonly schools: Partial<Readonly<Record<SchoolQuestion, School>>>;
  /** Ids of the sauces and toppings it usually comes with. */
  readonly usualSauces: readonly string[];
  readonly cautions: readonly string[];
  /** What to look for: produce, and the cooked cake. */
  readonly signs: { readonly choose?: string; readonly cooked: string };
  /** How a batter should be when it is ready, by school and batter: the word on the scale of thickness, and the look in a cook's words. */
  readonly pours: (school: (q: SchoolQuestion) => string | undefined, batter: string) => Pours;
  /** The shipped formula, of our own, as it would be written in a file; {@link formulaOf} makes the document of it. */
  readonly formula: () => PlanInput;
  /** The batch as a graph of operations, for the chosen schools. */
  readonly build: (k: Kit) => void;
}

/** True for what yeast or powder raises. */
export const isRaised = (family: Pick<Family, 'yeastPct' | 'powderPct'>): boolean =>
  family.yeastPct !== undefined || family.powderPct !== undefined;

import type { Problem, Provenance, ConcernCode } from '../units';
import type { Allergen, StarchKind } from '../larder';
import type { Parts } from '../model/batter';

export type WaterRoute =
  'water' | 'coconut' | 'juice' | 'soaking' | 'syrup' | 'wet add-in' | 'egg' | 'top-up' | 'drawn away' | 'poured away';

/** One row of the water ledger: where water comes from (or goes), g. Rows drawn or poured away are negative and do not count in hydration. */
export interface LedgerRow {
  readonly label: string;
  readonly route: WaterRoute;
  readonly waterG: number;
  readonly source: Provenance;
  /** Path of the plan line it comes from. */
  readonly path: string;
  /** The reading that settles it, where it can be weighed. */
  readonly reading?: { readonly node: string; readonly slot: string };
}

export interface SaltLedger {
  readonly addedG: number;
  readonly fromAddInsG: number;
  readonly drawnAwayG: number;
  readonly leftG: number;
  readonly pctOfTotal: number;
}

export interface BatterBalance {
  readonly id: string;
  readonly name: string;
  /** Everything in the bowl, without pieces. */
  readonly parts: Parts;
  readonly massG: number;
  readonly dryBlendG: number;
  /** Share of the dry blend by ingredient id, 0–1. */
  readonly shares: Readonly<Record<string, number>>;
  /** Share of the gelling starch by kind, 0–1. */
  readonly starchShares: Readonly<Partial<Record<StarchKind, number>>>;
  /** Doublings of the flours' grain over fine, by mass of the dry blend. */
  readonly coarse: number;
  readonly addedWaterG: number;
  readonly hydration: number;
  readonly liquidG: number;
  readonly liquidToDry: number;
  /** Sugar ÷ (sugar + water). */
  readonly sugarPhase: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly densityKgM3: number;
  readonly volumeMl: number;
  readonly topUpG: number;
  readonly ledger: readonly LedgerRow[];
  readonly reseason: { readonly saltG: number; readonly sugarG: number };
}

export interface Nutrition {
  readonly kcal: number;
  readonly kJ: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly proteinG: number;
  readonly saltG: number;
}

/** One ingredient of the label, g. */
export interface LabelRow {
  readonly name: string;
  readonly massG: number;
}

export interface PlanBalance {
  readonly batters: readonly BatterBalance[];
  /** Pieces in the cake or on it. */
  readonly pieces: Parts;
  /** The cake in its pan. */
  readonly whole: Parts;
  readonly massG: number;
  /** All that was made, before what stays in the bowl, g. */
  readonly madeG: number;
  readonly volumeMl: number;
  /** Share of the volume that is pieces, 0–1. */
  readonly pieceVolumeShare: number;
  readonly densityKgM3: number;
  readonly ledger: readonly LedgerRow[];
  readonly salt: SaltLedger;
  /** Cake, topping and sauce together, a head. */
  readonly plate: { readonly massG: number; readonly saltPct: number; readonly sugarPct: number };
  readonly nutrition: Nutrition;
  readonly allergens: readonly Allergen[];
  /** Ingredients whose allergens the cook could not state, by name. */
  readonly allergensNotStated: readonly string[];
  readonly diets: readonly string[];
  /** Cost in the cook's money of what has a price, and how many ingredients have none. */
  readonly cost: { readonly total: number; readonly unpriced: number };
  /** Label: ingredients of the batter in the cake by weight, all water counted as one, and those of its add-ins apart. */
  readonly byWeight: readonly LabelRow[];
  readonly addInsByWeight: readonly LabelRow[];
  /** What comes with it on the plate, by weight, each apart. */
  readonly beside: readonly { readonly name: string; readonly byWeight: readonly LabelRow[] }[];
  readonly problems: readonly Problem<ConcernCode>[];
}

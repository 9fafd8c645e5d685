import type { Problem } from '../units';
import { ALLERGENS, DIETS, type Allergen, type Ingredient } from '../larder';
import { ingredientOf, type ResolvedPlan } from '../plan';
import { balanceBatter, volumeOf, type BatterBalance, type LedgerRow, type SaltLedger } from './balanceBatter';
import { drawJuice } from './drawJuice';
import { addParts, massOf, scaleParts, sumParts, type Parts } from './parts';

export interface Nutrition {
  readonly kcal: number;
  readonly kJ: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly fibreAndAshG: number;
  readonly proteinG: number;
  readonly saltG: number;
}

export interface PlanBalance {
  readonly batters: readonly BatterBalance[];
  /** Add-in pieces mixed in or kept for the top, after drawing. */
  readonly pieces: Parts;
  readonly whole: Parts;
  readonly massG: number;
  readonly volumeMl: number;
  /** Share of the volume that is pieces, 0–1. */
  readonly pieceVolumeShare: number;
  readonly densityKgM3: number;
  readonly ledger: readonly LedgerRow[];
  readonly salt: SaltLedger;
  readonly nutrition: Nutrition;
  readonly allergens: readonly Allergen[];
  readonly diets: readonly string[];
  /** Cost in the cook's money of what has a price, and how many ingredients have none. */
  readonly cost: { readonly total: number; readonly unpriced: number };
  /** Label order: ingredients by weight, g. */
  readonly byWeight: readonly { readonly name: string; readonly massG: number }[];
  readonly problems: readonly Problem[];
}

/** Energy by the usual factors: 17 kJ/g carbohydrate and protein, 37 kJ/g fat (4/4/9 kcal). */
export function nutritionOf(p: Parts): Nutrition {
  const carbohydrateG = p.starch + p.sugar;
  return {
    kcal: 4 * (carbohydrateG + p.protein) + 9 * p.fat,
    kJ: 17 * (carbohydrateG + p.protein) + 37 * p.fat,
    fatG: p.fat,
    carbohydrateG,
    sugarsG: p.sugar,
    fibreAndAshG: Math.max(0, p.fibreAsh - p.salt),
    proteinG: p.protein,
    saltG: p.salt,
  };
}

export const nutritionPer = (whole: Parts, shares: number): Nutrition =>
  nutritionOf(scaleParts(whole, 1 / Math.max(1, shares)));

/**
 * Mass balance of a whole plan. Kept juice goes into the first batter; pieces join the whole.
 * Conserves mass: Σ lines + top-up + soak uptake = whole + juice drawn away (+ dissolved matter poured off).
 */
export function balancePlan(resolved: ResolvedPlan): PlanBalance {
  const { plan, larder } = resolved;
  const batters = plan.batters.map((b, i) => balanceBatter(b, i === 0 ? plan.addIns : [], larder, `batters.${i}`));
  const drawn = plan.addIns.map((l) => drawJuice(l, ingredientOf(larder, l)));
  const pieces = sumParts(drawn.map((d) => d.piece));
  const whole = addParts(sumParts(batters.map((b) => b.parts)), pieces);
  const massG = massOf(whole);
  const pieceVolume = volumeOf(pieces);
  const volumeMl = volumeOf(whole);

  const used = new Map<string, { ingredient: Ingredient; massG: number }>();
  const use = (ingredient: Ingredient, g: number) =>
    used.set(ingredient.id, { ingredient, massG: (used.get(ingredient.id)?.massG ?? 0) + g });
  for (const l of [...plan.batters.flatMap((b) => b.lines), ...plan.addIns]) use(ingredientOf(larder, l), l.massG);
  for (const s of plan.sauces) {
    const all = s.lines.reduce((a, l) => a + l.parts, 0);
    for (const l of s.lines) use(ingredientOf(larder, l), all > 0 ? (s.gramsAHead * plan.guests * l.parts) / all : 0);
  }
  const list = [...used.values()].filter((u) => u.massG > 0);
  const priced = list.filter((u) => u.ingredient.pack?.price !== undefined);
  const drawnAwayG = drawn.reduce((s, d) => s + d.saltAwayG, 0) + batters.reduce((s, b) => s + b.reseason.saltG, 0);
  const strewn = plan.addIns.reduce((s, l) => s + (l.drawSaltG ?? 0), 0);
  const isSalt = (id: string) => larder.get(id)?.kind === 'salt';
  const saltLines =
    plan.batters
      .flatMap((b) => b.lines)
      .filter((l) => isSalt(l.ingredient))
      .reduce((s, l) => s + l.massG, 0) +
    plan.addIns.filter((l) => isSalt(l.ingredient)).reduce((s, l) => s + l.massG, 0);
  return {
    batters,
    pieces,
    whole,
    massG,
    volumeMl,
    pieceVolumeShare: volumeMl > 0 ? pieceVolume / volumeMl : 0,
    densityKgM3: volumeMl > 0 ? (massG / volumeMl) * 1000 : 0,
    ledger: batters.flatMap((b) => b.ledger),
    salt: {
      addedG: saltLines + strewn,
      fromAddInsG: whole.salt + drawnAwayG - saltLines - strewn,
      drawnAwayG,
      leftG: whole.salt,
      pctOfTotal: massG > 0 ? (100 * whole.salt) / massG : 0,
    },
    nutrition: nutritionOf(whole),
    allergens: ALLERGENS.filter(
      (a) => list.some((u) => u.ingredient.allergens.includes(a)) || (a === 'egg' && plan.sear?.dip === 'egg'),
    ),
    diets: DIETS.filter((d) => list.length > 0 && list.every((u) => u.ingredient.diets.includes(d))),
    cost: {
      total: priced.reduce(
        (s, u) => s + (u.massG / (u.ingredient.pack?.massG ?? 1)) * (u.ingredient.pack?.price ?? 0),
        0,
      ),
      unpriced: list.length - priced.length,
    },
    byWeight: list.map((u) => ({ name: u.ingredient.name, massG: u.massG })).sort((a, b) => b.massG - a.massG),
    problems: batters.flatMap((b) => b.problems),
  };
}

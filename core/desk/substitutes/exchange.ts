import { forecastLight } from '../../forecast/light';
import type { LightForecast } from '../../forecast/forecast.types';
import type { Kitchen } from '../../kitchen';
import type { Ingredient, Larder } from '../../larder';
import { partsOf } from '../../model/batter';
import {
  freshLineId,
  isSoakedGrain,
  lineIds,
  linesAt,
  treatmentsFor,
  withLines,
  type Line,
  type LinePlace,
  type Plan,
} from '../../plan';
import { sayGrams, listWords, there } from '../../units';
import type { StandIn } from './ingredients.data';

export interface Exchanged {
  readonly plan: Plan;
  /** What was re-balanced, in grams. */
  readonly rebalanced: readonly string[];
}

/** Less than this is not worth moving, g. */
const LEAST_G = 0.3;
const LEAST_WATER_G = 1;

/** Adds grams of something to a place: to its own line where there is one, else a new line; never below nothing. */
function moved(plan: Plan, place: LinePlace, larder: Larder, kind: Ingredient['kind'], id: string, byG: number): Plan {
  const lines = linesAt(plan, place);
  const at = lines.findIndex((l) =>
    kind === 'liquid' ? l.ingredient === id : larder.get(l.ingredient)?.kind === kind,
  );
  if (at >= 0)
    return withLines(plan, place, (all) =>
      all.map((l, i) => (i === at ? { ...l, massG: Math.max(0, Math.round((l.massG + byG) * 100) / 100) } : l)),
    );
  if (byG <= 0) return plan;
  return withLines(plan, place, (all) => [
    ...all,
    { id: freshLineId(lineIds(plan), id), ingredient: id, massG: Math.round(byG * 100) / 100, treatment: 'as-is' },
  ]);
}

/**
 * A line's ingredient exchanged for a stand-in, and the batter brought back in balance: sugar, salt and fat by what the two differ in, water
 * where it flows. The line keeps its id, so that nothing read at it is lost.
 */
export function exchange(plan: Plan, place: LinePlace, index: number, s: StandIn, larder: Larder): Exchanged {
  const lines = linesAt(plan, place);
  const line = lines[index];
  const from = line && larder.get(line.ingredient);
  const to = larder.get(s.to);
  if (!line || !from || !to) return { plan, rebalanced: [] };
  const massG = Math.round(line.massG * s.factor * 100) / 100;
  const treatment = treatmentsFor(to).includes(line.treatment) ? line.treatment : there(treatmentsFor(to)[0]);
  const { drawSaltG, ...rest } = line;
  const next: Line = {
    ...rest,
    ingredient: to.id,
    massG,
    treatment,
    ...(drawSaltG === undefined || treatment !== line.treatment ? {} : { drawSaltG: drawSaltG * s.factor }),
  };
  let out = withLines(plan, place, (all) => all.map((l, i) => (i === index ? next : l)));
  const before = partsOf(from, line.massG);
  const after = partsOf(to, massG);
  const soaks = (i: Ingredient, l: Line) => (isSoakedGrain(l.treatment) ? l.massG * (i.uptake?.gPerG ?? 0) : 0);
  // An add-in is balanced in the batter it is folded into, a filling in itself.
  const batter = place === 'addIns' ? 0 : place;
  const rebalanced: string[] = [];
  const say = (byG: number, what: string) =>
    rebalanced.push(`${byG > 0 ? '+' : '−'}${sayGrams(Math.abs(byG))} ${what}`);
  const salt = before.salt - after.salt;
  if (Math.abs(salt) >= LEAST_G && from.kind !== 'salt') {
    out = moved(out, batter, larder, 'salt', 'fine-salt', salt);
    say(salt, 'salt');
  }
  const sugar = before.sugar - after.sugar;
  // The sugar of a vegetable is its taste; that of a sugar or a sauce is a dose.
  if (Math.abs(sugar) >= LEAST_G && from.kind !== 'sugar' && from.kind !== 'vegetable' && from.kind !== 'fruit') {
    out = moved(out, batter, larder, 'sugar', 'white-sugar', sugar);
    say(sugar, 'sugar');
  }
  const fat = before.fat - after.fat;
  if (Math.abs(fat) >= LEAST_G && from.kind !== 'fat' && from.kind !== 'liquid') {
    out = moved(out, batter, larder, 'fat', 'oil', fat);
    say(fat, 'oil');
  }
  const water = before.water + soaks(from, line) - after.water - soaks(to, next);
  const wanted = typeof batter === 'number' ? out.batters[batter]?.wantedLiquidG : undefined;
  const bothLiquid = from.kind === 'liquid' && to.kind === 'liquid';
  if (typeof place === 'number' && Math.abs(water) >= LEAST_WATER_G) {
    if (wanted !== undefined) {
      // A liquid for a liquid is topped up by the plan; what is no liquid moves the liquid that is wanted.
      const by = bothLiquid ? water - (line.massG - massG) : from.kind === 'liquid' ? after.water * -1 : water;
      if (Math.abs(by) >= LEAST_WATER_G) {
        out = {
          ...out,
          batters: out.batters.map((b, i) =>
            i === batter ? { ...b, wantedLiquidG: Math.max(0, Math.round(wanted + by)) } : b,
          ),
        };
      }
      say(water, 'water');
    } else {
      out = moved(out, batter, larder, 'liquid', 'water', water);
      say(water, 'water');
    }
  }
  return { plan: out, rebalanced };
}

/** What a change of plan changes for those who eat it: bite, allergens, diets, when it sets. */
export interface WhatChanges {
  readonly sentences: readonly string[];
  readonly before: LightForecast;
  readonly after: LightForecast;
}

const AXES = {
  firm: ['softer', 'firmer'],
  chewy: ['less chewy', 'chewier'],
  sticky: ['less sticky', 'stickier'],
  clear: ['cloudier', 'clearer'],
  cleanBite: ['a duller bite', 'a cleaner bite'],
  hardens: ['stays softer', 'hardens more'],
} as const;
const NOTICED = 0.4;

/** What differs between two plans in the same kitchen, in words; undefined where one of them cannot be made. */
export function whatChanges(plan: Plan, next: Plan, kitchen: Kitchen): WhatChanges | undefined {
  const a = forecastLight(plan, kitchen);
  const b = forecastLight(next, kitchen);
  if (!a.ok || !b.ok) return undefined;
  const [before, after] = [a.value, b.value];
  const bite = (Object.keys(AXES) as (keyof typeof AXES)[]).flatMap((k) => {
    const by = after.texture[k] - before.texture[k];
    return Math.abs(by) >= NOTICED ? [AXES[k][by > 0 ? 1 : 0]] : [];
  });
  const gone = before.balance.allergens.filter((x) => !after.balance.allergens.includes(x));
  const come = after.balance.allergens.filter((x) => !before.balance.allergens.includes(x));
  const diets = after.balance.diets.filter((x) => !before.balance.diets.includes(x));
  const lost = before.balance.diets.filter((x) => !after.balance.diets.includes(x));
  const sets = after.gelling.midpointC - before.gelling.midpointC;
  const thinner =
    after.consistency[0]?.words !== before.consistency[0]?.words ? after.consistency[0]?.words : undefined;
  return {
    before,
    after,
    sentences: [
      ...(bite.length > 0 ? [`To the bite: ${listWords(bite)}.`] : []),
      ...(thinner ? [`It pours like ${thinner}.`] : []),
      ...(Math.abs(sets) >= 1 ? [`It sets ${Math.abs(sets).toFixed(0)} °C ${sets > 0 ? 'hotter' : 'cooler'}.`] : []),
      ...(come.length > 0 ? [`Comes in: ${listWords(come)}.`] : []),
      ...(gone.length > 0 ? [`Goes out: ${listWords(gone)}.`] : []),
      ...(diets.length > 0 ? [`Now fits: ${listWords(diets)}.`] : []),
      ...(lost.length > 0 ? [`No longer fits: ${listWords(lost)}.`] : []),
    ],
  };
}

import type { Line, Plan } from '../plan';
import { freshLineId, ingredientOf, lineIds } from '../plan';
import { isDryBlend, type Larder } from '../larder';
import type { BatterBalance } from './balance.types';
import { relativeViscosity, PHI_MAX } from '../model/batter';

export interface Lever {
  readonly what: 'water' | 'flour';
  readonly grams: number;
  readonly sentence: string;
}

/**
 * What moves a batter to a wanted liquid : dry, one lever at a time: Δliquid = target·dry − liquid; Δdry = liquid/target − dry.
 * @param target liquid : dry to reach, > 0
 */
export function leversTo(balance: BatterBalance, target: number): readonly Lever[] {
  const water = target * balance.dryBlendG - balance.liquidG;
  const flour = balance.liquidG / target - balance.dryBlendG;
  const say = (g: number, what: string) =>
    `${g >= 0 ? '+' : '−'}${Math.abs(g) < 10 ? Math.abs(g).toFixed(1) : Math.round(Math.abs(g))} g ${what}`;
  return [
    { what: 'water', grams: water, sentence: say(water, 'water') },
    { what: 'flour', grams: flour, sentence: say(flour, 'dry blend') },
  ];
}

/** The plan after a lever: liquid wanted (or the largest water line) moves, or every flour of the batter in proportion. */
export function applyLever(plan: Plan, batterIndex: number, lever: Lever, larder: Larder): Plan {
  const change = (lines: readonly Line[], pick: (l: Line) => boolean, by: number): Line[] => {
    const chosen = lines.filter(pick);
    const sum = chosen.reduce((s, l) => s + l.massG, 0);
    return lines.map((l) => (pick(l) && sum > 0 ? { ...l, massG: Math.max(0, l.massG + (by * l.massG) / sum) } : l));
  };
  return {
    ...plan,
    batters: plan.batters.map((b, i) => {
      if (i !== batterIndex) return b;
      if (lever.what === 'flour')
        return { ...b, lines: change(b.lines, (l) => isDryBlend(ingredientOf(larder, l)), lever.grams) };
      if (b.wantedLiquidG !== undefined) return { ...b, wantedLiquidG: Math.max(0, b.wantedLiquidG + lever.grams) };
      if (b.lines.some((l) => l.ingredient === 'water'))
        return { ...b, lines: change(b.lines, (l) => l.ingredient === 'water', lever.grams) };
      return {
        ...b,
        lines: [
          ...b.lines,
          {
            ingredient: 'water',
            massG: Math.max(0, lever.grams),
            treatment: 'as-is' as const,
            id: freshLineId(lineIds(plan), 'water'),
          },
        ],
      };
    }),
  };
}

/**
 * Viscosity of this batter if its liquid : dry were another, mPa·s: φ scales with the total volume as water is added or taken.
 * @returns undefined where it is a dough
 */
export function viscosityAt(
  balance: BatterBalance,
  phi: number,
  serumMPas: number,
  liquidToDry: number,
): number | undefined {
  const extraMl = (liquidToDry - balance.liquidToDry) * balance.dryBlendG;
  const volume = balance.volumeMl + extraMl;
  if (volume <= 0) return undefined;
  const there = (phi * balance.volumeMl) / volume;
  const relative = there >= PHI_MAX ? undefined : relativeViscosity(there);
  return relative === undefined ? undefined : relative * serumMPas;
}

/** Liquid : dry at which this batter has a viscosity, by bisection; undefined outside 0.2 to 12. */
export function liquidToDryFor(
  balance: BatterBalance,
  phi: number,
  serumMPas: number,
  mPas: number,
): number | undefined {
  const at = (x: number) => viscosityAt(balance, phi, serumMPas, x) ?? Infinity;
  let lo = 0.2;
  let hi = 12;
  if (at(hi) > mPas || at(lo) < mPas) return undefined;
  for (let i = 0; i < 50; i++) {
    const mid = (lo + hi) / 2;
    if (at(mid) > mPas) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

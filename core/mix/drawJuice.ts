import { figure, type Figure } from '../units';
import type { Ingredient } from '../larder';
import type { Line, Treatment } from '../plan';
import { addParts, massOf, partsOf, scaleParts, takeParts, NO_PARTS, type Parts } from './parts';

/** Drawing water out of a vegetable: f = f∞(1 − e^(−t/τ)). `kept` juice goes into the batter, else it is poured away. */
const DRAWS: Partial<
  Record<Treatment, { readonly fInf: number; readonly tauS: number; readonly kept: boolean; readonly usualS: number }>
> = {
  'squeezed-hard': { fInf: 0.5, tauS: 480, kept: false, usualS: 1800 },
  'squeezed-by-hand': { fInf: 0.38, tauS: 480, kept: false, usualS: 1800 },
  drained: { fInf: 0.22, tauS: 480, kept: false, usualS: 1800 },
  wilted: { fInf: 0.3, tauS: 300, kept: true, usualS: 720 },
  sugared: { fInf: 0.12, tauS: 480, kept: true, usualS: 900 },
};

/** Share of a raw wet add-in's water that cooks out into the batter around it, by treatment (house figures). */
const COOKS_OUT: Partial<Record<Treatment, number>> = {
  'as-is': 0.15,
  parboiled: 0.05,
  fried: 0.03,
  mashed: 1,
  drained: 0.1,
  wilted: 0.08,
  'squeezed-hard': 0.05,
  'squeezed-by-hand': 0.07,
  sugared: 0.1,
};

export interface Drawn {
  /** Juice out of the vegetable, g, and whether that was estimated or weighed. */
  readonly juiceG: Figure;
  /** What the estimate says, kept beside a weighing. */
  readonly estimatedG: number;
  readonly juice: Parts;
  /** What is left as pieces. */
  readonly piece: Parts;
  readonly kept: boolean;
  readonly saltAddedG: number;
  /** Salt that leaves with discarded juice, g. */
  readonly saltAwayG: number;
  /** Water of the piece that cooks out into the batter, g (stays in the cake). */
  readonly cooksOutG: number;
}

/**
 * Juice of one line. Salt strewn on it dissolves evenly in all of its water, so what leaves with the juice is
 * salt × (water in the juice ÷ all water). Juice carries the whole water phase (water, sugars, salt) in proportion.
 * A weighing replaces the estimate; it cannot exceed the water phase.
 */
export function drawJuice(line: Line, ingredient: Ingredient): Drawn {
  const saltAddedG = line.drawSaltG ?? 0;
  const raw = addParts(partsOf(ingredient, line.massG), { ...NO_PARTS, fibreAsh: saltAddedG, salt: saltAddedG });
  const draw = DRAWS[line.treatment];
  const phaseG = raw.water + raw.sugar + saltAddedG;
  const estimatedG = draw ? line.massG * draw.fInf * (1 - Math.exp(-(line.drawS ?? draw.usualS) / draw.tauS)) : 0;
  const wanted = draw && line.weighedG !== undefined ? line.weighedG : estimatedG;
  const share = phaseG > 0 ? Math.min(1, wanted / phaseG) : 0;
  const juice = scaleParts(
    { ...NO_PARTS, water: raw.water, sugar: raw.sugar, fibreAsh: saltAddedG, salt: saltAddedG },
    share,
  );
  const piece = takeParts(raw, juice);
  const wet = ingredient.kind === 'vegetable' || ingredient.kind === 'fruit';
  return {
    juiceG: figure(massOf(juice), draw && line.weighedG !== undefined ? 'measured' : 'default'),
    estimatedG,
    juice,
    piece,
    kept: draw?.kept ?? false,
    saltAddedG,
    saltAwayG: draw && !draw.kept ? juice.salt : 0,
    cooksOutG: wet ? piece.water * (COOKS_OUT[line.treatment] ?? 0.15) : 0,
  };
}

/** True when the treatment moves juice, so that a weighing of it makes sense. */
export const drawsJuice = (t: Treatment): boolean => DRAWS[t] !== undefined;

import { problem, sayGrams, type Problem, type ConcernCode } from '../units';
import type { Cake } from './cake.types';

/** Thinner than this nothing is poured, m. */
const LEAST_DEPTH_M = 0.0004;
/** What the heat solver is not asked about: each is said by the problem of that code. */
const SAID = ['absurd-amount', 'layer-too-thin'] as const;

/** Why nothing of a cake can be heated; undefined where it can. */
export type Cold = 'no-dry' | 'nothing-poured' | 'over-the-rim' | (typeof SAID)[number];

export function coldBecause(
  { balance, fill, resolved }: Cake,
  problems: readonly Problem<ConcernCode>[],
): Cold | undefined {
  if (!balance.batters.some((b) => b.dryBlendG > 0)) return 'no-dry';
  if (fill.depthM <= LEAST_DEPTH_M) return 'nothing-poured';
  return fill.depthM > resolved.vessel.heightM
    ? 'over-the-rim'
    : SAID.find((code) => problems.some((p) => p.code === code));
}

/** The same as a problem, for where nothing else says it. */
export const coldProblem = (cold: Cold, { balance, resolved }: Cake): Problem<ConcernCode> =>
  cold === 'no-dry'
    ? problem(cold, 'batters', 'There is no flour or starch in the batter, so nothing sets: add some.')
    : problem(
        cold,
        'batters',
        `${sayGrams(balance.massG)} of batter is no more than a film in “${resolved.vessel.name}”: make more of it, or take a smaller one.`,
      );

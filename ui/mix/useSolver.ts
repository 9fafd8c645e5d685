import { useState } from 'react';
import { isDryBlend, type Ingredient } from '@/core/larder';
import { solverInputFor } from '@/core/flow';
import type { LightForecast } from '@/core/forecast';
import { TEXTURE_AXES, type Blend, type TextureAxis } from '@/core/model/batter';
import { bad, problem, there } from '@/core/units';
import { corePool } from '@/workers/corePool';

/** Blends that come nearest, over the starches that were looked among. */
export interface Answer {
  readonly blends: readonly Blend[];
  readonly names: readonly string[];
  readonly ids: readonly string[];
  readonly tookMs: number;
}
export type Target = Partial<Record<TextureAxis, number>>;

/** Flours and starches of the larder that a blend can be of. */
export const floursOf = (light: LightForecast): readonly Ingredient[] =>
  [...light.resolved.larder.values()].filter((i) => i.starchKind && isDryBlend(i) && !i.blendOf && i.kind !== 'grain');

/** Looks for the blend that comes nearest to what is wanted, of the first batter. */
export function useSolver(light: LightForecast) {
  const [answer, setAnswer] = useState<Answer | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const balance = there(light.balance.batters[0]);

  const solve = async (input: Parameters<typeof solverInputFor>[4], of: readonly Ingredient[], wish: Target) => {
    const asked = solverInputFor(balance, of, wish, {}, input);
    const from = performance.now();
    const solved = await corePool()
      .run('solve', [asked], { urgent: true })
      .catch(() => bad(problem('worker', '', 'It could not be worked out on this device; try again.')));
    if (!solved.ok) {
      setTrouble(there(solved.problems[0]).sentence);
      setAnswer(undefined);
      return;
    }
    setTrouble(undefined);
    setAnswer({
      blends: [solved.value.best, ...solved.value.alternatives],
      names: asked.starches.map((s) => s.name),
      ids: asked.starches.map((s) => s.id),
      tookMs: performance.now() - from,
    });
  };
  return {
    answer,
    trouble,
    /** Of these, as near to the target as it goes, at any hydration of the family. */
    find(of: readonly Ingredient[], target: Target, keepBands: boolean): Promise<void> {
      const [lo, hi] = light.family.liquidToDry;
      const perLiquid = balance.liquidToDry > 0 ? balance.hydration / balance.liquidToDry : 1;
      const hydration = [lo * perLiquid, hi * perLiquid] as const;
      return solve({ bands: light.family.blend, keepBands, hydration }, of, target);
    },
    /** Of these, eating as it does now with the same water. */
    same(of: readonly Ingredient[]): Promise<void> {
      const wish = Object.fromEntries(TEXTURE_AXES.map((a) => [a, light.texture[a]]));
      const hydration = [balance.hydration, balance.hydration] as const;
      return solve({ bands: light.family.blend, keepBands: false, hydration }, of, wish);
    },
  };
}

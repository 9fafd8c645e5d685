import { there } from '@/core/units';
import type { BatterBalance } from '@/core/flow';
import type { Blend } from '@/core/model/batter';
import type { Larder } from '@/core/larder';
import { dissolveBlends, type Plan } from '@/core/plan';
import { removeLine, setShares } from '../lines/editLines';

/** The plan with a blend found by the solver: flours at its shares of the same dry mass, liquid at its hydration. */
export function applyBlend(
  plan: Plan,
  balance: BatterBalance,
  ids: readonly string[],
  blend: Blend,
  larder: Larder,
): Plan {
  let next = setShares(
    dissolveBlends(plan, 0, larder),
    0,
    ids.map((id, i) => ({ id, massG: there(blend.shares[i]) * balance.dryBlendG })),
  );
  // Flours of today that the blend leaves out go.
  for (const id of Object.keys(balance.shares)) {
    const at = there(next.batters[0]).lines.findIndex((l) => l.ingredient === id);
    const share = blend.shares[ids.indexOf(id)] ?? 0;
    if (at >= 0 && share <= 0.0005) next = removeLine(next, 0, at);
  }
  const waterG = (blend.hydration - balance.hydration) * balance.dryBlendG;
  return {
    ...next,
    batters: next.batters.map((b, i) => {
      if (i !== 0) return b;
      if (b.wantedLiquidG !== undefined)
        return { ...b, wantedLiquidG: Math.max(0, Math.round(b.wantedLiquidG + waterG)) };
      const water = b.lines.findIndex((l) => l.ingredient === 'water');
      return water < 0
        ? b
        : {
            ...b,
            lines: b.lines.map((l, j) =>
              j === water ? { ...l, massG: Math.max(0, Math.round(l.massG + waterG)) } : l,
            ),
          };
    }),
  };
}

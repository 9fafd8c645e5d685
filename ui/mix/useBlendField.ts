import { useMemo } from 'react';
import type { Ingredient } from '@/core/larder';
import { solverInputFor } from '@/core/flow';
import { blendTexture, type TextureAxis } from '@/core/model/batter';
import { dissolveBlends } from '@/core/plan';
import { there } from '@/core/units';
import { setShares } from '../lines/editLines';
import type { StationProps } from '../plan/StationProps';
import { fieldContours, regionOf, type Three } from './triangle';

/** What the field of three starches draws of a plan's first batter, the others held. */
export function useBlendField(
  { forecast, edit }: Pick<StationProps, 'forecast' | 'edit'>,
  three: readonly Ingredient[],
  axis: TextureAxis,
) {
  const { light } = forecast;
  const balance = there(light.balance.batters[0]);
  const { shares: all, hydration } = balance;
  /** What the three are of the dry blend together, and each of the three. */
  const together = three.reduce((s, i) => s + (all[i.id] ?? 0), 0) || 1;
  const shares = three.map((i) => (all[i.id] ?? 0) / together) as unknown as Three;
  const others = useMemo(() => Object.entries(all).filter(([id]) => !three.some((t) => t.id === id)), [all, three]);
  const bands = useMemo(() => {
    const ingredients = [...three, ...others.flatMap(([id]) => light.resolved.larder.get(id) ?? [])];
    const input = solverInputFor(
      balance,
      ingredients.map((i) => ({ ...i, stockG: undefined })),
      { firm: 5 },
      {},
      { bands: {}, keepBands: false, hydration: [hydration, hydration] },
    );
    const rest = others.map(([, share]) => share);
    return fieldContours((s) => blendTexture(input, [...s.map((x) => x * together), ...rest], hydration)[axis]);
  }, [three, others, light, balance, hydration, axis, together]);
  const region = useMemo(
    () =>
      regionOf(
        three.map((i) => {
          const b = light.family.blend[i.id];
          return b ? ([b[0] / 100 / together, Math.min(1, b[1] / 100 / together)] as const) : ([0, 1] as const);
        }),
      ),
    [three, light.family, together],
  );
  const move = (next: Three, key: string) =>
    edit(key, (p) =>
      setShares(
        dissolveBlends(p, 0, light.resolved.larder),
        0,
        three.map((i, k) => ({ id: i.id, massG: there(next[k]) * together * balance.dryBlendG })),
      ),
    );
  return { together, shares, others, bands, region, move };
}
export type BlendFieldHand = ReturnType<typeof useBlendField>;

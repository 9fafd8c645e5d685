import { wayOf, type Family } from '../../families';
import { LIME_EATS, type Steamer } from '../../kitchen';
import type { PanNeed } from '../../model/vessel';

/** What a family asks of a vessel; undefined for pan films, which are cooked in a frying pan. */
export function panNeed(family: Family, steamer: Steamer, volumeMl: number): PanNeed | undefined {
  const { into, overSteam } = wayOf(family);
  if (into === 'film') return undefined;
  return {
    use: `${into}s`,
    volumeMl,
    rise: family.rise,
    bandMm: family.depthMm,
    steamer: overSteam ? steamer : undefined,
    ...(family.alkaliPct ? { avoid: LIME_EATS } : {}),
  };
}

import { isSteamed, type Family } from '../families';
import { LIME_EATS, type Steamer } from '../kitchen';
import type { PanNeed } from '../vessel';

/** What a family asks of a vessel; undefined for pan films, which are cooked in a frying pan. */
export function panNeed(family: Family, steamer: Steamer, volumeMl: number): PanNeed | undefined {
  if (family.cooked === 'pan-film') return undefined;
  return {
    use: family.cooked === 'cups' ? 'moulds' : family.cooked === 'sheets' ? 'sheets' : 'pans',
    volumeMl,
    rise: family.rise,
    bandMm: family.depthMm,
    steamer: isSteamed(family) ? steamer : undefined,
    ...(family.alkaliPct ? { avoid: LIME_EATS } : {}),
  };
}

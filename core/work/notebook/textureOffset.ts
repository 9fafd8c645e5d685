import { TEXTURE_AXES, type TextureAxis } from '../../model/batter';

const PRIOR_WEIGHT = 3;
/** What "less" or "more" is worth on the 0–10 axis. */
const STEP = 1.5;

export type Tasting = Partial<Readonly<Record<TextureAxis, 'less' | 'right' | 'more'>>>;

/**
 * Texture offset per axis for a family: shrunken mean of (tasted − predicted), prior weight 3 tastings at 0.
 * "less" means the cake had less of it than forecast.
 */
export function textureOffsets(tastings: readonly Tasting[]): Partial<Record<TextureAxis, number>> {
  const out: Partial<Record<TextureAxis, number>> = {};
  for (const axis of TEXTURE_AXES) {
    const seen = tastings.flatMap((t) =>
      t[axis] === undefined ? [] : [t[axis] === 'less' ? -STEP : t[axis] === 'more' ? STEP : 0],
    );
    if (seen.length > 0) out[axis] = seen.reduce((a, b) => a + b, 0) / (seen.length + PRIOR_WEIGHT);
  }
  return out;
}

import type { WallMaterial } from '../../kitchen';

const GRIPPY: readonly WallMaterial[] = ['steel', 'ceramic', 'glass', 'bamboo'];
const STICKY = 5;
const VERY_STICKY = 7;

/**
 * Lining and release in a sentence, by the wall and how sticky the cake is (0–10).
 * @param lined a paper sling or sheet is in the pan
 */
export function releaseAdvice(material: WallMaterial, sticky: number, lined: boolean): string {
  if (lined) return 'The paper sling lifts it out whole; oil the paper too.';
  if (material === 'silicone') return 'Silicone lets go once it is cold: peel it back from the rim.';
  if (material === 'foil') return 'Tear the foil away from the sides.';
  if (sticky >= VERY_STICKY) return 'So sticky that oil alone will not free it: use a paper sling.';
  if (sticky >= STICKY && GRIPPY.includes(material))
    return 'Oil it well and let it go quite cold, or use a paper sling.';
  return 'A thin film of oil is enough; run a spatula round once it is cool.';
}

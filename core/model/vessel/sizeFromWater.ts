import { bad, good, problem, type Result } from '../../units';

/**
 * Inside diameter of a straight round vessel from a water test: filled to a height and weighed, d = 2√(V/(πh)), water at 1 g/ml.
 * Errors: `water-test` when the figures cannot be a vessel of a kitchen.
 */
export function diameterFromWater(waterG: number, heightM: number): Result<number> {
  if (!(waterG > 0) || !(heightM > 0))
    return bad(problem('water-test', 'waterG', 'Give the grams of water and the height it fills to, both above zero.'));
  const d = 2 * Math.sqrt((waterG * 1e-6) / (Math.PI * heightM));
  return d >= 0.02 && d <= 0.8
    ? good(d)
    : bad(
        problem(
          'water-test',
          'waterG',
          `That would be ${Math.round(d * 1000)} mm across; check the grams and the height.`,
        ),
      );
}

import { WATER_J_KG_K } from '../../units';

/**
 * Grams of cold water to hold back and stir in so that hot + cold lands at a target, e.g. 38 °C for yeast: C (T − T*) ÷ c (T* − T_cold).
 * @param capacity heat capacity of what is hot, J/K
 * @returns grams, or undefined where the target is below the cold water or it is not hot enough
 */
export function coldWaterToReach(capacity: number, hotC: number, coldC: number, targetC: number): number | undefined {
  if (targetC <= coldC || hotC < targetC) return undefined;
  return (capacity * (hotC - targetC)) / ((WATER_J_KG_K / 1000) * (targetC - coldC));
}

import type { Allergen } from '../../larder';
import { plural } from '../../units';

/** Seafood in it: two days at the most, chilled. */
const SEAFOOD: readonly Allergen[] = ['crustacean', 'mollusc', 'fish'];
const SEAFOOD_DAYS = 2;

export interface Keep {
  readonly days: number;
  /** "2 days at 5 °C or colder, as there is seafood in it". */
  readonly words: string;
}

/**
 * How long a cake keeps chilled, days: the family's figure, or the stricter one where there is seafood in it, and why.
 * @param keepDays the family's own
 */
export function keepChilled(keepDays: number, allergens: readonly string[]): Keep {
  const seafood = allergens.some((a) => (SEAFOOD as readonly string[]).includes(a));
  const days = seafood ? Math.min(keepDays, SEAFOOD_DAYS) : keepDays;
  return {
    days,
    words: `${plural(days, 'day')} at 5 °C or colder${days < keepDays ? ', as there is seafood in it' : ''}`,
  };
}

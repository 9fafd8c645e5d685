import { plural } from '../../units';
import type { Cake } from '../../cake';
import type { FilmForecast } from '../steam';

/** How many films the guests want, and whether there are as many: of the guests, not of the heat. */
export function sayFilmsWanted(light: Cake, film: Pick<FilmForecast, 'gramsEach' | 'wanted'>): string {
  const needed = Math.ceil(light.serves.neededG / Math.max(film.gramsEach, 1e-9) - 1e-6);
  return needed > film.wanted
    ? `${needed} are wanted for ${plural(light.resolved.plan.guests, 'guest')}: not enough.`
    : `${needed} are wanted, so it is enough.`;
}

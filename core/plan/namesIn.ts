import { DEFAULT_PAN, DEFAULT_STEAMER, DEFAULT_VESSEL, type Kitchen } from '../kitchen';
import { larderOf } from '../larder';
import { shortName } from '../units';
import type { Plan } from './schema';

/** Name of an ingredient of a plan, or of a thing on the rack, by id. */
export function namesIn(kitchen: Kitchen, plan: Plan): (id: string) => string {
  const larder = larderOf([...kitchen.ingredients, ...plan.ingredients]);
  const things = [
    DEFAULT_VESSEL,
    DEFAULT_STEAMER,
    DEFAULT_PAN,
    kitchen.vessels,
    kitchen.steamers,
    kitchen.fryingPans,
  ].flat();
  return (id) => {
    const known = larder.get(id);
    return known ? shortName(known.name) : (things.find((t) => t.id === id)?.name ?? id);
  };
}

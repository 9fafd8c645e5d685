import { bad, good, problem, type Result } from '../units';
import type { Family } from './family';
import { savouryCoconutSlab } from './savouryCoconutSlab';
import { radishSlab } from './radishSlab';

export * from './family';
export { formulaPlan } from './compose';

/** Every family, in the order they are offered. */
export const FAMILIES: readonly Family[] = [savouryCoconutSlab, radishSlab];

const BY_ID = new Map(FAMILIES.map((f) => [f.id, f]));

/** Looks up a family. Error: `unknown-family`, with the ones there are. */
export function familyOf(id: string): Result<Family> {
  const found = BY_ID.get(id);
  return found ? good(found) : bad(problem('unknown-family', 'family', `There is no family "${id}"; choose one of: ${FAMILIES.map((f) => f.id).join(', ')}.`));
}

import { planSchema, type Plan } from '../plan';
import type { Family } from './family';

/** A family's shipped formula as a whole plan document; defaults filled in by the schema. */
export const formulaOf = (family: Family): Plan => planSchema.parse(family.formula());

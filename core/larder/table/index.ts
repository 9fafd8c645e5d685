import type { Ingredient } from '../ingredientSchema';
import { DRY } from './dry.data';
import { FRESH } from './fresh.data';
import { parseTable } from './parseTable';
import { PROTEIN } from './protein.data';
import { SEASON } from './season.data';
import { WET } from './wet.data';

/** Every shipped ingredient, in the order of the tables. */
export const INGREDIENT_TABLE: readonly Ingredient[] = [DRY, WET, FRESH, PROTEIN, SEASON].flatMap(parseTable);

import type { LawTable } from '../law';
import { BATTER_LAWS } from './batter';
import { CAKE_LAWS } from './cake';
import { PREPARE_LAWS } from './prepare';

/** The law of every operation: a missing one does not compile. */
export const LAWS: LawTable = { ...PREPARE_LAWS, ...BATTER_LAWS, ...CAKE_LAWS };

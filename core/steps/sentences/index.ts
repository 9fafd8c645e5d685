import type { SentenceTable } from '../context';
import { BATTER_SENTENCES } from './batter';
import { CAKE_SENTENCES } from './cake';
import { PREPARE_SENTENCES } from './prepare';

/** The sentence of every operation: a missing one does not compile. */
export const SENTENCES: SentenceTable = { ...PREPARE_SENTENCES, ...BATTER_SENTENCES, ...CAKE_SENTENCES };

export { browningRate } from '../batter';

/** Browning targets B: pale gold, golden, deep; scorched beyond. */
export const BROWNING = { pale: 0.4, golden: 1, deep: 2, scorched: 4 } as const;

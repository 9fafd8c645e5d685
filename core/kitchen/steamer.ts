export type { Steamer } from './schema';

/** How a steamer is closed: a tight lid bare, one wrapped in a cloth, a woven one, one left loose. */
export const LIDS = ['tight', 'cloth', 'woven', 'loose'] as const;
export type Lid = (typeof LIDS)[number];

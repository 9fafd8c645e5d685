import type { Advice, Fix } from '../../stations/mix';
import type { Kitchen } from '../../kitchen';
import type { CONCERNS } from '../../units';
import type { Look } from './look.types';

/** What stands around something to mind, as the ways out of it ask for it. */
export interface Around {
  readonly look: Look;
  readonly kitchen: Kitchen;
  /** What it is of: a node, a batter, a place. */
  readonly about: Advice['about'];
}
/** Fixes of one sort, gentlest first: the first that works is the one. */
export type Row = readonly Fix[];
export type Way = (x: Around) => readonly Row[];
/** Ways out of each thing that a station sees: one that is missing does not compile. */
export type Ways<Station extends keyof typeof CONCERNS> = {
  readonly [Code in (typeof CONCERNS)[Station][number]]: Way;
};
export const none: Way = () => [];

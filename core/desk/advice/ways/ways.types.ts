import type { Advice, Fix } from '../../../stations/mix';
import type { Kitchen } from '../../../kitchen';
import type { Look } from '../lookAt';

/** What stands around something to mind, as the ways out of it ask for it. */
export interface Around {
  readonly look: Look;
  readonly advice: Advice;
  readonly kitchen: Kitchen;
  /** What comes behind the colon of its id: a node, a batter, a place. */
  readonly about: string;
}
/** Fixes of one sort, gentlest first: the first that works is the one. */
export type Row = readonly Fix[];
export type Ways = Readonly<Record<string, (x: Around) => readonly Row[]>>;

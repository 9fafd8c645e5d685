import { col, fn, Op, where } from 'sequelize';

/** A place in a list ordered by a time, newest first: the last row before the page that is asked for. */
export interface Place {
  readonly at: string;
  readonly id: string;
}
export interface Page<T> {
  readonly rows: readonly T[];
  /** Where the next page begins; undefined: this is the last. */
  readonly next: Place | undefined;
  /** How many there are in all. */
  readonly total: number;
}

/** Rows after a place, by the time column and, where two are alike, by id. */
export const afterPlace = (column: string, place: Place | undefined): object =>
  place ? { [Op.or]: [{ [column]: { [Op.lt]: place.at } }, { [column]: place.at, id: { [Op.lt]: place.id } }] } : {};

/** One page of at most `limit` from one row more than that. */
export function pageOf<R, T>(
  rows: readonly R[],
  limit: number,
  total: number,
  placeOf: (r: R) => Place,
  shown: (r: R) => T,
): Page<T> {
  const kept = rows.slice(0, limit);
  return {
    rows: kept.map(shown),
    next: rows.length > limit ? placeOf(kept[kept.length - 1]) : undefined,
    total,
  };
}

/** Text as it is searched: capitals and small letters alike. */
export const searched = (text: string): string => text.toLowerCase();
/** Rows whose `search` holds a word anywhere; every sign of it means itself. */
export const holding = (word: string | undefined): object =>
  word ? where(fn('instr', col('search'), searched(word)), Op.gt, 0) : {};

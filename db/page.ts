import { col, fn, Op, where } from 'sequelize';

/** A place in an ordered list: what its last row before the page that is asked for has in the column it is ordered by. */
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

/** Which way a list goes by its column: the newest first, or from A on. */
export type Way = 'DESC' | 'ASC';

/** Rows after a place, by a column and, where two are alike, by id. */
export function afterPlace(column: string, place: Place | undefined, way: Way = 'DESC'): object {
  const beyond = way === 'DESC' ? Op.lt : Op.gt;
  return place
    ? { [Op.or]: [{ [column]: { [beyond]: place.at } }, { [column]: place.at, id: { [beyond]: place.id } }] }
    : {};
}

/** One page of at most `limit` from one row more than that. */
export function pageOf<R, T>(
  rows: readonly R[],
  limit: number,
  total: number,
  placeOf: (r: R) => Place,
  shown: (r: R) => T,
): Page<T> {
  const kept = rows.slice(0, limit);
  const last = kept.at(-1);
  return {
    rows: kept.map(shown),
    next: last && rows.length > limit ? placeOf(last) : undefined,
    total,
  };
}

/** Text as it is searched: capitals and small letters alike. */
export const searched = (text: string): string => text.toLowerCase();
/** Rows whose `search` holds a word anywhere; every sign of it means itself. */
export const holding = (word: string | undefined): object =>
  word ? where(fn('instr', col('search'), searched(word)), Op.gt, 0) : {};

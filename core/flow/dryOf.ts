import type { Evaluation } from './evaluate';

/** Dry grams of a line that is soaked or boiled soft, as its step takes them; undefined for any other line. */
export const dryOf = (e: Pick<Evaluation, 'byId'>, line: string): number | undefined =>
  (e.byId.get(`soak:${line}`) ?? e.byId.get(`boil-tender:${line}`))?.figures.dryG?.value;

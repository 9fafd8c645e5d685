import type { Loads } from './loads';

/** When moulds or trays are first heated, by the loads' clock; undefined where they go in cold. */
export const preheatOf = (loads: Pick<Loads, 'bars'>): { readonly fromS: number; readonly toS: number } | undefined =>
  loads.bars.find((b) => b.what === 'preheat');

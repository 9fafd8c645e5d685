import type { Lid } from '../../kitchen';

/** What closes a steaming from above: the lid as it is used, foil over the pan, and whether drops fall on the cake. */
export interface Cover {
  readonly lid: Lid;
  readonly foil: boolean;
  readonly drips: boolean;
}

/** Lid and guard as one: how the steamer's own lid is used. A woven or a loose lid needs no cloth, and gains nothing by one. */
export function coverOf(own: Lid, guard: string | undefined): Cover {
  const foil = guard === 'foil';
  const lid: Lid =
    guard === 'loose' || guard === 'woven'
      ? guard
      : guard === 'cloth' && own === 'tight'
        ? 'cloth'
        : guard === 'none' && own === 'cloth'
          ? 'tight'
          : own;
  return { lid, foil, drips: lid === 'tight' && !foil };
}

/** The choice that a cover is. */
export const guardOf = ({ lid, foil }: Cover): string => (foil ? 'foil' : lid === 'tight' ? 'none' : lid);

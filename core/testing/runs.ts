/** Continuous integration and the soak have the time for all; `npm test` takes a part: as the configuration of the tests says. */
const ALL = process.env.IDLE_LADLE_EVERY_CASE === '1';

/** For tests over generated cases: all of them, or a third in `npm test`. */
export const runs = (n: number): number => (ALL ? n : Math.ceil(n / 3));

/** Which third it is today, as the configuration of the tests says: each comes round in three days, none is left out for good. */
const TURN = Number(process.env.IDLE_LADLE_TURN ?? 0) % 3;

/**
 * For long lists of cases of one kind: all of them, or in `npm test` a third, another each day. Families are never left out.
 * @param from moved on by so many: what one family leaves out, the next has
 */
export const someOf = <T>(list: readonly T[], from = 0): T[] => list.filter((_, i) => ALL || (i + from) % 3 === TURN);

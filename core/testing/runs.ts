/** Continuous integration and the soak have the time for all; `npm test` takes a part. */
const ALL = process.env.IDLE_LADLE_TESTS === 'all' || process.env.SOAK === '1';

/** For tests over generated cases: all of them, or a third in `npm test`. */
export const runs = (n: number): number => (ALL ? n : Math.ceil(n / 3));

/** For tests of every one of a list whose heat takes seconds: all of them, or every third in `npm test`. */
export const someOf = <T>(list: readonly T[]): T[] => list.filter((_, i) => ALL || i % 3 === 0);

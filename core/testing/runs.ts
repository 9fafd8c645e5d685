/** For tests over generated cases: all of them in continuous integration and in the soak, a third of them in `npm test`. */
export const runs = (n: number): number =>
  process.env.IDLE_LADLE_TESTS === 'all' || process.env.SOAK === '1' ? n : Math.ceil(n / 3);

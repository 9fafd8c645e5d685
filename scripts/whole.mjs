/** Continuous integration: all is read and built as it is served, and every unit test is run. `npm test` takes what is quick, and the rest by turns. */
export const WHOLE = process.env.IDLE_LADLE_TESTS === 'all';
/** Every case of the unit tests is run: in the soak too. */
export const EVERY_CASE = WHOLE || process.env.SOAK === '1';
/** A build for tests: its types are checked beside it. */
export const TESTED = process.env.IDLE_LADLE_TYPES === 'checked';
/** One that is looked at once and thrown away: what makes it smaller takes longer than it saves. */
export const THROWN_AWAY = TESTED && !WHOLE;

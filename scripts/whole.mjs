/** Everything is looked at and built as it is served: continuous integration. `npm test` takes what is quick, and the rest by turns. */
export const WHOLE = process.env.IDLE_LADLE_TESTS === 'all';
/** A build that is looked at once and thrown away: what makes it smaller takes longer than it saves. */
export const THROWN_AWAY = process.env.IDLE_LADLE_TYPES === 'checked' && !WHOLE;

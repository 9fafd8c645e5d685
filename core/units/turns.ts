/**
 * Long work in turns: it stops after each of its steps, and may then be left for good, or go on when there is time. Whoever does it says when;
 * {@link whole} does it all at once.
 */
export type Turns<T> = Generator<undefined, T, undefined>;

/** Work in turns, done to its end. */
export function whole<T>(work: Turns<T>): T {
  for (;;) {
    const turn = work.next();
    if (turn.done) return turn.value;
  }
}

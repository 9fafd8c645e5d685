import { wordsOf } from '../larder';

/** Something that can be found by its names. */
export interface Findable {
  readonly id: string;
  readonly name: string;
  /** Other names, and text that it is found by where no name fits. */
  readonly also?: readonly string[];
}
interface Entry<T> {
  readonly thing: T;
  readonly names: readonly string[];
  readonly at: number;
}
export type FindIndex<T extends Findable> = readonly Entry<T>[];

/** Things made ready to be looked for: their names in small letters without accents, word by word. */
export const findIndex = <T extends Findable>(things: readonly T[]): FindIndex<T> =>
  things.map((thing, at) => ({
    thing,
    at,
    names: [thing.name, ...(thing.also ?? [])].map((n) => wordsOf(n).join(' ')),
  }));

/** How well a name answers: whole, at its beginning, at the beginning of words, anywhere in its own name; 9: not. */
function rankOf(name: string, asked: readonly string[], wanted: string, own: boolean): number {
  if (name === wanted) return 0;
  if (name.startsWith(wanted)) return 1;
  const padded = ` ${name}`;
  if (asked.every((w) => padded.includes(` ${w}`))) return 2;
  return own && asked.every((w) => name.includes(w)) ? 4 : 9;
}

/** What answers to a text, best first, in the order it was given where alike; all of it for no text. @param most so many at most */
export function findIn<T extends Findable>(index: FindIndex<T>, text: string, most: number): readonly T[] {
  const asked = wordsOf(text);
  if (asked.length === 0) return index.slice(0, most).map((e) => e.thing);
  const wanted = asked.join(' ');
  const found: { readonly e: Entry<T>; readonly rank: number }[] = [];
  for (const e of index) {
    let best = 9;
    e.names.forEach((name, n) => {
      const rank = rankOf(name, asked, wanted, n === 0);
      // Another name is a little worse than its own.
      if (rank < 9) best = Math.min(best, rank + (n === 0 ? 0 : 0.5));
    });
    if (best < 9) found.push({ e, rank: best });
  }
  return found
    .sort((a, b) => a.rank - b.rank || a.e.at - b.e.at)
    .slice(0, most)
    .map(({ e }) => e.thing);
}

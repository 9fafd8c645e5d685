import { listWords } from '../units';
import type { Ingredient } from './ingredient';

/** Lower case, without accents, with single spaces: what names are compared by. */
const plain = (s: string): string =>
  s
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replaceAll('đ', 'd')
    .replace(/[^a-z0-9 ]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
/** Plural or not, "soy" or "soya". */
const stem = (word: string): string =>
  word
    .replace(/^soya$/, 'soy')
    .replace(/ies$/, 'y')
    .replace(/(s|x|ch|sh)es$/, '$1')
    .replace(/([^s])s$/, '$1');
/** The words of a name or of what was typed, as they are compared: singular, without accents. */
export const wordsOf = (s: string): string[] =>
  plain(s)
    .split(' ')
    .filter((w) => w !== '')
    .map(stem);

const NAMES = new WeakMap<Ingredient, readonly string[]>();
function namesOf(i: Ingredient): readonly string[] {
  let known = NAMES.get(i);
  if (!known) NAMES.set(i, (known = [i.name, i.name.split(',')[0], ...i.alsoCalled].map((n) => wordsOf(n).join(' '))));
  return known;
}

/** Every word of an ingredient's own and other names. */
export const nameWords = (i: Ingredient): ReadonlySet<string> => new Set(namesOf(i).flatMap((n) => n.split(' ')));

export interface Found {
  readonly ingredient: Ingredient;
  /** The other name by which it was found, where it was not its own. */
  readonly by?: string;
  /** True where the whole name was given. */
  readonly exact: boolean;
}

/**
 * Ingredients by any name a cook uses, best first: the whole name, then a name that begins with what was typed, then one that holds every
 * word of it.
 * @param text what was typed; empty finds everything, in the order of the larder
 */
export function findIngredients(all: Iterable<Ingredient>, text: string): readonly Found[] {
  const asked = wordsOf(text);
  const list = [...all];
  if (asked.length === 0) return list.map((ingredient) => ({ ingredient, exact: false }));
  const wanted = asked.join(' ');
  const found = list.flatMap((ingredient) => {
    let best = 4;
    let at = -1;
    namesOf(ingredient).forEach((name, n) => {
      const inName = name.split(' ');
      const rank =
        name === wanted
          ? 0
          : name.startsWith(wanted)
            ? 1
            : asked.every((w) => inName.some((x) => x.startsWith(w)))
              ? 2
              : asked.every((w) => name.includes(w))
                ? 3
                : 4;
      if (rank < best) {
        best = rank;
        at = n;
      }
    });
    if (best === 4) return [];
    return [{ ingredient, exact: best === 0, rank: best, ...(at >= 2 ? { by: ingredient.alsoCalled[at - 2] } : {}) }];
  });
  return found.sort((a, b) => a.rank - b.rank).map(({ rank: _rank, ...f }) => f);
}

/** What a name means: one ingredient, several that the cook must choose from, or none. */
export type Named =
  | { readonly kind: 'one'; readonly ingredient: Ingredient }
  | { readonly kind: 'several'; readonly of: readonly Ingredient[]; readonly sentence: string }
  | { readonly kind: 'none'; readonly sentence: string };

/** Reads a typed name; one that fits several things asks instead of guessing. */
export function nameIngredient(all: Iterable<Ingredient>, text: string): Named {
  const found = findIngredients(all, text);
  const exact = found.filter((f) => f.exact);
  const of = (exact.length > 0 ? exact : found).map((f) => f.ingredient);
  if (text.trim() === '' || of.length === 0)
    return { kind: 'none', sentence: `Nothing in the larder is called "${text.trim()}": add it, or try another name.` };
  if (of.length === 1) return { kind: 'one', ingredient: of[0] };
  const shown = of.slice(0, 6).map((i) => i.name.toLowerCase());
  return {
    kind: 'several',
    of,
    sentence: `"${text.trim()}" could be ${of.length > 6 ? `${shown.join(', ')}, or ${of.length - 6} more` : listWords(shown, 'or')}: which is it?`,
  };
}

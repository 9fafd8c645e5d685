import { listWords, shortName } from '../units';
import type { Ingredient } from './ingredientSchema';

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
  if (!known) NAMES.set(i, (known = [i.name, shortName(i.name), ...i.alsoCalled].map((n) => wordsOf(n).join(' '))));
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

/** How well a name answers: the whole of it, its beginning, every word whole, every word begun, or only letters inside it. */
const RANKS = { whole: 0, begins: 1, words: 2, begun: 3, across: 4, inside: 5, none: 6 } as const;
function rankOf(name: string, asked: readonly string[], wanted: string): number {
  if (name === wanted) return RANKS.whole;
  if (name.startsWith(`${wanted} `)) return RANKS.begins;
  const inName = name.split(' ');
  if (asked.every((w) => inName.includes(w))) return RANKS.words;
  if (name.startsWith(wanted) || asked.every((w) => inName.some((x) => x.startsWith(w)))) return RANKS.begun;
  return asked.every((w) => name.includes(w)) ? RANKS.inside : RANKS.none;
}

interface Ranked extends Found {
  readonly rank: number;
}
function rankedBy(all: Iterable<Ingredient>, text: string): readonly Ranked[] {
  const asked = wordsOf(text);
  const wanted = asked.join(' ');
  const found = [...all].flatMap((ingredient): Ranked[] => {
    let rank: number = RANKS.none;
    let at = -1;
    namesOf(ingredient).forEach((name, n) => {
      const r = rankOf(name, asked, wanted);
      if (r < rank) [rank, at] = [r, n];
    });
    // "Daikon radish": a word of one of its names and a word of another.
    if (rank > RANKS.across && asked.every((w) => nameWords(ingredient).has(w))) [rank, at] = [RANKS.across, -1];
    if (rank === RANKS.none) return [];
    const by = at >= 2 ? { by: ingredient.alsoCalled[at - 2] } : {};
    return [{ ingredient, exact: rank === RANKS.whole, rank, ...by }];
  });
  return found.sort((a, b) => a.rank - b.rank);
}

/**
 * Ingredients by any name a cook uses, best first: the whole name, then one that begins with what was typed, then one that holds every
 * word of it, then words begun, words from two of its names, and letters inside.
 * @param text what was typed; empty finds everything, in the order of the larder
 */
export function findIngredients(all: Iterable<Ingredient>, text: string): readonly Found[] {
  if (wordsOf(text).length === 0) return [...all].map((ingredient) => ({ ingredient, exact: false }));
  return rankedBy(all, text).map(({ rank: _rank, ...f }) => f);
}

/** What a name means: one ingredient, several that the cook must choose from, or none. */
export type Named =
  | { readonly kind: 'one'; readonly ingredient: Ingredient }
  | { readonly kind: 'several'; readonly of: readonly Ingredient[]; readonly sentence: string }
  | { readonly kind: 'none'; readonly sentence: string };

/** Reads a typed name; one that fits several things asks instead of guessing. */
export function nameIngredient(all: Iterable<Ingredient>, text: string): Named {
  const found = text.trim() === '' ? [] : rankedBy(all, text);
  // What answers with whole words leaves out what only begins or holds them: "oil" is not the "boiled" pearls.
  const best = found.some((f) => f.exact)
    ? RANKS.whole
    : found.some((f) => f.rank <= RANKS.words)
      ? RANKS.words
      : RANKS.inside;
  const of = found.filter((f) => f.rank <= best).map((f) => f.ingredient);
  if (of.length === 0)
    return { kind: 'none', sentence: `Nothing in the larder is called "${text.trim()}": add it, or try another name.` };
  const [only] = of;
  if (only && of.length === 1) return { kind: 'one', ingredient: only };
  const shown = of.slice(0, 6).map((i) => i.name.toLowerCase());
  return {
    kind: 'several',
    of,
    sentence: `"${text.trim()}" could be ${of.length > 6 ? `${shown.join(', ')}, or ${of.length - 6} more` : listWords(shown, 'or')}: which is it?`,
  };
}

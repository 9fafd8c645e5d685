import type { Ingredient } from '../ingredientSchema';
import { ALLERGENS, INGREDIENT_KINDS, STARCH_KINDS } from '../kinds';

const VEGAN: Ingredient['diets'] = ['vegetarian', 'vegan', 'no pork'];
const DIET_WORDS: Readonly<Record<string, Ingredient['diets']>> = {
  vegan: VEGAN,
  eggy: ['vegetarian', 'no pork'],
  'no-pork': ['no pork'],
};

/** So many figures. */
function numbers<const N extends readonly unknown[]>(
  s: string,
  named: N,
  where: string,
): { readonly [I in keyof N]: number } {
  const found = s.trim().split(/\s+/).map(Number);
  if (found.length !== named.length) throw new Error(`${where}: "${s}" is not ${named.join(', ')}`);
  return found as unknown as { readonly [I in keyof N]: number };
}

const oneOf = <T extends string>(list: readonly T[], word: string, where: string): T => {
  const found = list.find((x) => x === word);
  if (found === undefined) throw new Error(`${where}: "${word}" is none of ${list.join(', ')}`);
  return found;
};
/** One fact of a row: `trim 0.15`, `piece radish 800 500-1200`, `also daikon, mooli`, … as fields of the ingredient. */
function fact(text: string, where: string): Partial<Ingredient> {
  const [word = '', ...rest] = text.split(' ');
  const [first = '', second, third = ''] = rest;
  const list = rest.join(' ').split(', ');
  const diets = DIET_WORDS[word];
  if (diets) return { diets };
  switch (word) {
    case 'also':
      return { alsoCalled: list };
    case 'allergens':
      return { allergens: list.map((a) => oneOf(ALLERGENS, a, where)) };
    case 'house':
      return { source: 'house' };
    case 'trim':
      return { trim: Number(first) };
    case 'amylose':
      return { amylose: Number(first) };
    case 'light':
      return { lightDensityGPerMl: Number(first) };
    case 'pack':
      return { pack: { word: first, massG: Number(second) } };
    case 'piece': {
      const [fromG, toG] = numbers(third.replace('-', ' '), ['from', 'to'], where);
      return { piece: { word: first.replaceAll('-', ' '), massG: Number(second), fromG, toG } };
    }
    case 'starch': {
      const [amylose, absorption, grainUm] = numbers(
        rest.slice(1).join(' '),
        ['amylose', 'absorption', 'grain'],
        where,
      );
      return { starchKind: oneOf(STARCH_KINDS, first, where), amylose, absorption, grainUm };
    }
    case 'soaks':
    case 'soaked':
    case 'cooked': {
      // Minutes: the time constant of a soak, or how long it boils.
      const minutes = second === undefined ? undefined : 60 * Number(second);
      const time = minutes === undefined ? {} : word === 'cooked' ? { boilS: minutes } : { tauS: minutes };
      const as = word === 'soaks' ? ('dry' as const) : word;
      return { uptake: { as, gPerG: Number(first), ...time } };
    }
    default:
      throw new Error(`${where}: no fact is called "${word}"`);
  }
}

const PARTS = ['water', 'starch', 'sugars', 'fat', 'protein', 'fibre and ash'] as const;
function row(line: string): Ingredient {
  const [id = '', name = '', kind = '', parts = '', bulk = '', facts = ''] = line.split('|').map((c) => c.trim());
  const [water, starch, sugars, fat, protein, fibreAsh] = numbers(parts, PARTS, id);
  const [bulkDensityGPerMl, dipFactor] = numbers(bulk, ['bulk density', 'dip factor'], id);
  const all = facts.split(';').map((f) => f.trim());
  const salt = Number(/(?:^|; )salt ([\d.]+)/.exec(facts)?.[1] ?? 0);
  return {
    id,
    name,
    kind: oneOf(INGREDIENT_KINDS, kind, id),
    per100: { water, starch, sugars, fat, protein, fibreAsh, salt },
    bulkDensityGPerMl,
    dipFactor,
    alsoCalled: [],
    allergens: [],
    allergensStated: true,
    diets: [],
    trim: 0,
    source: 'table',
    ...Object.assign({}, ...all.filter((f) => f !== '' && !f.startsWith('salt ')).map((f) => fact(f, id))),
  };
}

/** Ingredients from a table of text, one a line; a test holds each to the schema. Errors: thrown with the row's id, since a shipped table must be right. */
export const parseTable = (text: string): readonly Ingredient[] =>
  text
    .split('\n')
    .filter((l) => l.trim() !== '')
    .map(row);

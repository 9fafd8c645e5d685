import type { Ingredient } from '../ingredientSchema';
import { ALLERGENS, INGREDIENT_KINDS, STARCH_KINDS } from '../kinds';

const VEGAN: Ingredient['diets'] = ['vegetarian', 'vegan', 'no pork'];
const DIET_WORDS: Readonly<Record<string, Ingredient['diets']>> = {
  vegan: VEGAN,
  eggy: ['vegetarian', 'no pork'],
  'no-pork': ['no pork'],
};

const numbers = (s: string): number[] => s.trim().split(/\s+/).map(Number);
const oneOf = <T extends string>(list: readonly T[], word: string, where: string): T => {
  const found = list.find((x) => x === word);
  if (found === undefined) throw new Error(`${where}: "${word}" is none of ${list.join(', ')}`);
  return found;
};
const range = (s: string): readonly [number, number] => {
  const [low, high] = s.split('-').map(Number);
  return [low, high];
};

/** One fact of a row: `trim 0.15`, `piece radish 800 500-1200`, `also daikon, mooli`, … as fields of the ingredient. */
function fact(text: string, where: string): Partial<Ingredient> {
  const [word, ...rest] = text.split(' ');
  const list = rest.join(' ').split(', ');
  if (DIET_WORDS[word]) return { diets: DIET_WORDS[word] };
  switch (word) {
    case 'also':
      return { alsoCalled: list };
    case 'allergens':
      return { allergens: list.map((a) => oneOf(ALLERGENS, a, where)) };
    case 'house':
      return { source: 'house' };
    case 'trim':
      return { trim: Number(rest[0]) };
    case 'amylose':
      return { amylose: Number(rest[0]) };
    case 'light':
      return { lightDensityGPerMl: Number(rest[0]) };
    case 'pack':
      return { pack: { word: rest[0], massG: Number(rest[1]) } };
    case 'piece': {
      const [fromG, toG] = range(rest[2]);
      return { piece: { word: rest[0].replaceAll('-', ' '), massG: Number(rest[1]), fromG, toG } };
    }
    case 'starch': {
      const [amylose, absorption, grainUm] = rest.slice(1).map(Number);
      return { starchKind: oneOf(STARCH_KINDS, rest[0], where), amylose, absorption, grainUm };
    }
    case 'soaks':
    case 'soaked':
    case 'cooked': {
      // Minutes: the time constant of a soak, or how long it boils.
      const minutes = rest[1] === undefined ? undefined : 60 * Number(rest[1]);
      const time = minutes === undefined ? {} : word === 'cooked' ? { boilS: minutes } : { tauS: minutes };
      const as = word === 'soaks' ? ('dry' as const) : word;
      return { uptake: { as, gPerG: Number(rest[0]), ...time } };
    }
    default:
      throw new Error(`${where}: no fact is called "${word}"`);
  }
}

function row(line: string): Ingredient {
  const [id, name, kind, parts, bulk, facts = ''] = line.split('|').map((c) => c.trim());
  const [water, starch, sugars, fat, protein, fibreAsh] = numbers(parts);
  const [bulkDensityGPerMl, dipFactor] = numbers(bulk);
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

import type { Ingredient } from './ingredientSchema';

interface LookAlike {
  readonly group: readonly string[];
  readonly sentence: string;
}

const FLOURS: LookAlike = {
  group: ['rice-flour-fine', 'rice-flour-coarse', 'glutinous-flour', 'wheat-starch', 'rice-starch'],
  sentence:
    'Read the bag: plain rice, glutinous rice and wheat flour look alike, and only the right one sets as planned.',
};
const STARCHES: LookAlike = {
  group: [
    'tapioca',
    'potato-starch',
    'maize-starch',
    'sweet-potato-starch',
    'mung-starch',
    'water-chestnut-starch',
    'arrowroot',
  ],
  sentence: 'Read the bag: white starches look alike; tapioca turns chewy, maize firm, potato sticky.',
};
/** Things that look alike in the bag or the can and do not do the same. */
const LOOK_ALIKES: readonly LookAlike[] = [
  FLOURS,
  STARCHES,
  {
    group: ['coconut-milk', 'coconut-milk-light', 'coconut-cream', 'coconut-water'],
    sentence: 'Read the can: coconut milk has 17 to 24 % fat, light milk 5 to 8, cream more, and coconut water none.',
  },
  {
    group: ['fine-salt', 'sea-salt', 'flake-salt'],
    sentence: 'Weigh the salt: a spoon of flakes is half a spoon of fine salt.',
  },
  {
    group: ['baking-powder', 'calcium-hydroxide'],
    sentence: 'Baking powder and lime are both white powders: read the label, and keep them apart.',
  },
  {
    group: ['dry-yeast', 'instant-yeast'],
    sentence: 'Read the sachet: of instant yeast three quarters does the work of active dry yeast.',
  },
  {
    group: ['light-soy', 'dark-soy'],
    sentence: 'Light soy salts, dark soy colours and sweetens: read the label.',
  },
];

/** A warning for an ingredient that is easily mixed up, one sentence; a cook's own entries are warned of by their starch. */
export function lookAlikeOf(i: Pick<Ingredient, 'id' | 'kind' | 'starchKind'>): string | undefined {
  const by = LOOK_ALIKES.find((l) => l.group.includes(i.id));
  if (by) return by.sentence;
  if (i.starchKind === undefined) return undefined;
  return i.kind === 'flour' ? FLOURS.sentence : i.kind === 'starch' ? STARCHES.sentence : undefined;
}

/** The warnings for a list of ingredients, each once. */
export const lookAlikesIn = (list: readonly Ingredient[]): readonly string[] => [
  ...new Set(list.flatMap((i) => lookAlikeOf(i) ?? [])),
];

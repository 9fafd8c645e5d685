/** What a cook may wish of a cake, in a cook's words. */
export const WISHES = ['soft', 'chewy', 'no-steamer', 'vegan', 'hour', 'freezes', 'coconut'] as const;
export type Wish = (typeof WISHES)[number];
export const WISH_WORDS: Readonly<Record<Wish, string>> = {
  soft: 'soft',
  chewy: 'chewy',
  'no-steamer': 'no steamer',
  vegan: 'vegan',
  hour: 'ready within the hour',
  freezes: 'freezes',
  coconut: 'uses the open can of coconut milk',
};

/** What a cook calls one thing of each kind of rack and larder. */
export const THING_WORDS = {
  ingredients: 'ingredient',
  vessels: 'vessel',
  steamers: 'steamer',
  hobs: 'hob',
  fryingPans: 'frying pan',
  pots: 'pot',
  appliances: 'appliance',
  scoops: 'spoon or ladle',
} as const;

import type { School } from './family';

/** Schools shared by many families: accepted ways of doing a step where cooks disagree, and what each changes. */
export const JUICE: School = {
  usual: 'wilt-keep',
  options: [
    {
      id: 'draw-discard',
      words: 'Salt, squeeze, discard',
      differs: 'Milder and firmer; some salt and flavour leave with the juice.',
    },
    {
      id: 'wilt-keep',
      words: 'Wilt and keep the juice',
      differs: 'The juice becomes part of the liquid; most radish flavour.',
    },
    {
      id: 'squeeze-boil',
      words: 'Squeeze unsalted, boil in its juice',
      differs: 'Keeps all of the flavour; the raw smell boils off.',
    },
    { id: 'parboil', words: 'Parboil', differs: 'Soft pieces, even water; flavour goes into the cooking water.' },
  ],
};
export const INTO_PAN = (usual: 'raw' | 'part-cooked'): School => ({
  usual,
  options: [
    { id: 'raw', words: 'Raw and thin', differs: 'Smooth and quick to mix; pieces may sink, the steaming is longer.' },
    {
      id: 'part-cooked',
      words: 'Part-cooked to a paste',
      differs: 'Nothing settles and it starts hot; needs steady stirring.',
    },
  ],
});
/** How a steaming is closed from above. */
export const LID_AND_GUARD: School['options'] = [
  { id: 'cloth', words: 'Cloth-wrapped lid', differs: 'No drips, full heat from above.' },
  { id: 'foil', words: 'Foil over the pan', differs: 'No drips, slower from above.' },
  { id: 'woven', words: 'Woven lid', differs: 'No drips, more steam lost: more water.' },
  { id: 'none', words: 'Bare lid', differs: 'Drips will puddle and pit the top.' },
  { id: 'loose', words: 'Lid left loose', differs: 'Air gets in: cooler steam, a longer wait, more water.' },
];
export const DRIP_GUARD = (usual: 'cloth' | 'foil' | 'woven' | 'none'): School => ({
  usual,
  options: LID_AND_GUARD,
});
export const COOLING: School = {
  usual: 'counter-fridge',
  options: [
    { id: 'counter-fridge', words: 'Counter, then fridge', differs: 'Cuts well; mind the two-hour gate.' },
    { id: 'fridge', words: 'Straight into the fridge', differs: 'Faster; warms its neighbours.' },
    { id: 'ice-bath', words: 'Ice bath, then fridge', differs: 'Fastest and surest for deep pans.' },
  ],
};
export const LINING: School = {
  usual: 'oil',
  options: [
    { id: 'oil', words: 'Oiled pan', differs: 'Direct heat; releases when cool.' },
    { id: 'paper', words: 'Paper sling', differs: 'Lifts out whole; the wall heats a little slower.' },
  ],
};
export const REST_BATTER = (usual: 'no' | 'yes' | 'pour-off'): School => ({
  usual,
  options: [
    { id: 'no', words: 'No rest', differs: 'Straight on; a little grainier.' },
    { id: 'yes', words: 'Rest', differs: 'The grains drink up; smoother.' },
    {
      id: 'pour-off',
      words: 'Rest, pour off, top up',
      differs: 'Cleaner taste; re-season for what left with the water.',
    },
  ],
});
export const SERVE = (usual: 'plain' | 'seared' | 'both'): School => ({
  usual,
  options: [
    { id: 'plain', words: 'Plain', differs: 'Soft and tender.' },
    { id: 'seared', words: 'Seared', differs: 'Crisp faces, soft middle.' },
    { id: 'both', words: 'Both', differs: 'Half steamed, half seared.' },
  ],
});
export const EXTRA_STARCH: School = {
  usual: 'tapioca',
  options: [
    { id: 'tapioca', words: 'Tapioca', differs: 'More chew, clearer.' },
    { id: 'maize', words: 'Maize', differs: 'Firmer, cleaner bite.' },
    { id: 'potato', words: 'Potato', differs: 'Softer, stickier.' },
    { id: 'wheat', words: 'Wheat', differs: 'Clearer, tender.' },
    { id: 'none', words: 'None', differs: 'Plain rice: tender and short.' },
  ],
};
export const YEAST: School = {
  usual: 'bloomed',
  options: [
    { id: 'bloomed', words: 'Bloomed in warm water', differs: 'Shows that it lives; ten minutes more.' },
    { id: 'straight', words: 'Straight in', differs: 'Quicker; trust the sachet.' },
  ],
};
export const RELEASE: School = {
  usual: 'oil',
  options: [
    { id: 'oil', words: 'Oil film', differs: 'Slides off hot.' },
    { id: 'water', words: 'Wet plate', differs: 'Plainer; needs a cool minute.' },
    { id: 'cool', words: 'Cool a minute', differs: 'Peels by itself.' },
  ],
};

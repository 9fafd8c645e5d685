/** Cautions: shown once, at the step where the harm could happen. One short sentence each; local food codes and trained people rule. */
export const CAUTIONS: Readonly<Record<string, string>> & { readonly steam: string } = {
  steam: 'Steam burns: open the lid away from you, with dry cloths and tongs.',
  'hot-paste': 'Hot paste and syrup stick to skin: stir with a long spoon and keep children away.',
  'hot-oil': 'Dry the pieces well: water spits in hot oil, and never pour water on burning oil.',
  'salted-hands': 'Salt stings in cuts: wear gloves to squeeze.',
  grater: 'Use the guard on a grater or mandoline.',
  pressure: "Keep the maker's minimum water, use a trivet, and release as the maker says.",
  taro: 'Raw taro irritates the skin: wear gloves, and cook it through.',
  alkali:
    'Food-grade calcium hydroxide only: it is caustic, keep it from eyes and children, never on aluminium, and rinse until the water runs clear.',
  choking: 'Sticky cakes are a choking risk for small children and older people: cut small.',
  cooling:
    'Cooked starch left warm grows Bacillus cereus: 60 to 21 °C within 2 h, to 5 °C within 6 h, reheat once to 74 °C; local food codes rule.',
  ferment:
    'Ferment only as long as planned, then cook or chill; throw it out if musty or off-colour, heating does not make it safe.',
  'wet-sheets':
    'Wet rice sheets kept warm can form toxins that heat does not destroy: chill them and throw out any that smell musty.',
  'raw-fillings': 'Cook fillings through: minced pork 71 °C, shrimp 63 °C, egg 71 °C.',
  egg: "A runny yolk is the eater's own risk and not for the pregnant, small children or the frail.",
  coconut: 'Opening coconuts: brace it, tap, do not chop towards your hand.',
  sprouts: 'Raw sprouts carry germs: blanch them through and eat them the same day.',
  allergens: 'Tell the eaters what is in it: see the allergens on the card.',
};

/** Seasonings, sauces, spices and colours. Columns as in `dry.data.ts`. */
export const SEASON = `
white-pepper | White pepper, ground | seasoning | 11 55 2 2 10 20 | 0.48 1 | vegan; house
black-pepper | Black pepper, ground | seasoning | 12 38 1 3 10 36 | 0.48 1 | vegan; house
five-spice | Five-spice | seasoning | 10 30 4 8 9 39 | 0.45 1 | vegan; house; also five spice powder
stock-powder | Stock powder | seasoning | 4 15 14 6 12 49 | 0.75 1 | salt 42; allergens soya, milk; no-pork; house; also bouillon powder, chicken powder
turmeric | Turmeric, ground | seasoning | 12 40 3 4 9 32 | 0.50 1 | vegan; house; also plant colouring
beetroot-powder | Beetroot powder | seasoning | 4 0 58 1 12 25 | 0.55 1 | vegan; house; also beetroot, plant colouring
fish-sauce | Fish sauce | seasoning | 68 0 3 0 7 22 | 1.20 1 | salt 21; pack bottle 700; allergens fish; no-pork; house; also nước mắm
light-soy | Light soy sauce | seasoning | 66 0 3 0 11 20 | 1.18 1 | salt 16; pack bottle 500; allergens soya, wheat/gluten; vegan; house; also light soya, thin soy, soya sauce
dark-soy | Dark soy sauce | seasoning | 58 0 14 0 8 20 | 1.22 1 | salt 15; pack bottle 500; allergens soya, wheat/gluten; vegan; house; also dark soya, thick soy, soya sauce
oyster-sauce | Oyster sauce | seasoning | 62 4 18 0 4 12 | 1.20 1 | salt 10; pack bottle 500; allergens mollusc, wheat/gluten, soya; no-pork; house
mushroom-sauce | Mushroom sauce, oyster kind | seasoning | 62 5 18 0 4 11 | 1.20 1 | salt 9; pack bottle 500; allergens soya, wheat/gluten; vegan; house; also vegetarian oyster sauce
hoisin | Bean and garlic sauce | seasoning | 45 8 30 3 4 10 | 1.20 1 | salt 5; pack bottle 250; allergens soya, wheat/gluten, sesame; vegan; house; also hoisin-like sauce, hoisin
rice-vinegar | Rice vinegar | seasoning | 94 0 4 0 0.3 1.7 | 1.01 1 | pack bottle 500; vegan; house
rice-wine | Rice wine, cooking | seasoning | 84 0 4 0 0.5 11.5 | 1 1 | salt 1.5; vegan; house
chilli-oil | Chilli oil | seasoning | 3 2 1 86 3 5 | 0.93 1 | salt 2; vegan; house; also chili oil
sesame-seed | Sesame seed, toasted | seasoning | 3 1 1 52 20 23 | 0.60 1 | allergens sesame; vegan; house; also sesame seeds
sesame-paste | Sesame paste | seasoning | 2 1 1 55 20 21 | 1 1 | allergens sesame; vegan; house
`;

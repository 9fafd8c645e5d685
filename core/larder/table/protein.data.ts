/** Meat, fish, eggs, beans pressed and nuts. Columns as in `dry.data.ts`. */
export const PROTEIN = `
dried-shrimp | Dried shrimp, soaked and drained | protein | 58 0 0 1.5 37 3.5 | 0.50 1 | salt 3; soaked 0.6 30; allergens crustacean; no-pork; also dried prawns
dried-scallop | Dried scallop, soaked | protein | 62 1 0 0.6 33 3.5 | 0.50 1 | salt 3; soaked 0.9 90; allergens mollusc; no-pork; house; also conpoy
cured-sausage | Cured pork sausage | protein | 26 2 12 40 18 2 | 0.60 1 | salt 3; piece sausage 45 35-60; allergens sulphites, soya; also wind-dried sausage, lap cheong, chinese sausage
cured-meat | Cured pork belly | protein | 30 0 6 42 19 3 | 0.60 1 | salt 3.5; allergens sulphites, soya; house; also bacon, cured meat, ham
fresh-shrimp | Fresh shrimp | protein | 78 0 0 0.7 20 1 | 0.95 1 | trim 0.4; allergens crustacean; no-pork; also prawns
minced-pork | Minced pork | protein | 62 0 0 18 18 1 | 0.90 1 | also ground pork
minced-chicken | Minced chicken | protein | 73 0 0 8 18 1 | 0.90 1 | no-pork; house; also ground chicken
roast-pork | Roast pork | protein | 52 0 5 19 23 1.5 | 0.75 1 | salt 1.2; allergens soya, wheat/gluten; house; also barbecued pork, char siu
egg | Egg | protein | 75 0 1 10.5 12.5 1 | 1.03 1 | piece egg 58 48-68; trim 0.12; allergens egg; eggy; also hen's egg
smoked-tofu | Smoked tofu | protein | 65 1 1 11 18 4 | 0.80 1 | salt 1; pack block 200; allergens soya; vegan; house; also firm tofu, bean curd
wheat-protein | Wheat protein, fresh | protein | 65 6 0.5 1 26 1.5 | 0.80 1 | allergens wheat/gluten; vegan; house; also seitan, gluten
fish-cake | Fish cake | protein | 70 7 3 3 14 2.5 | 0.80 1 | salt 1.8; allergens fish, egg, wheat/gluten; no-pork; house; also fish paste
peanuts | Peanuts, roasted | protein | 2 12 5 50 25 6 | 0.60 1 | allergens peanut; vegan; house; also groundnuts
cashew | Cashew nuts | protein | 4 22 6 45 18 5 | 0.60 1 | allergens tree nut; vegan; house; also cashews
`;

/**
 * Flours, starches, grains and pulses. Columns: id | name | kind | water starch sugars fat protein fibre+ash, g in 100 g |
 * spooned g/ml, scooped × | facts. From general food-composition tables; `house` marks a round figure of the project's own.
 */
export const DRY = `
rice-flour-fine | Rice flour, wet-milled fine | flour | 12 79 0.2 1.0 6.3 1.5 | 0.50 1.18 | starch rice 0.25 1.7 8; pack bag 500; light 0.43; vegan; also fine rice flour, water-milled rice flour
rice-flour-coarse | Rice flour, dry-milled coarse | flour | 12 78 0.2 1.4 6.5 1.9 | 0.58 1.20 | starch rice 0.24 2.1 25; pack bag 500; vegan; also stone-ground rice flour, coarse rice flour
glutinous-flour | Glutinous rice flour | flour | 12 80 0.3 1.0 6.0 0.7 | 0.53 1.20 | starch glutinous 0.01 2.4 8; pack bag 500; vegan; also sweet rice flour, sticky rice flour, mochi rice flour
tapioca | Tapioca starch | starch | 12 87 0 0 0.2 0.8 | 0.50 1.15 | starch tapioca 0.17 1.6 15; pack bag 500; vegan; also cassava starch, tapioca flour, manioc starch
potato-starch | Potato starch | starch | 16 83 0 0 0.1 0.9 | 0.68 1.15 | starch potato 0.21 1.6 38; pack bag 500; vegan; also potato flour, farina
maize-starch | Maize (corn) starch | starch | 11 88 0 0.1 0.3 0.6 | 0.53 1.15 | starch maize 0.26 1.6 15; pack bag 500; vegan; also corn starch, cornstarch, cornflour, maize starch
wheat-starch | Wheat starch | starch | 12 86 0 0.2 0.4 1.4 | 0.52 1.15 | starch wheat 0.26 1.6 18; pack bag 500; allergens wheat/gluten; vegan; also clear flour
sweet-potato-starch | Sweet potato starch | starch | 14 84 0 0 0.1 1.9 | 0.60 1.15 | starch sweetPotato 0.20 1.6 15; pack bag 500; vegan
mung-starch | Mung bean starch | starch | 13 86 0 0 0.3 0.7 | 0.58 1.15 | starch mungBean 0.34 1.6 14; pack bag 500; vegan; also green bean starch, moong starch
water-chestnut-starch | Water chestnut starch | starch | 12 82 2 0.2 2 1.8 | 0.58 1.15 | starch waterChestnut 0.27 1.6 15; pack bag 250; vegan; also water chestnut powder, water chestnut flour
arrowroot | Arrowroot | starch | 12 87 0 0.1 0.2 0.7 | 0.55 1.15 | starch arrowroot 0.21 1.6 20; pack bag 250; vegan; house; also arrowroot starch, arrowroot powder
rice-starch | Rice starch, refined | starch | 12 86 0 0.4 0.6 1 | 0.50 1.15 | starch rice 0.22 1.6 6; pack bag 500; vegan; house; also refined rice starch
long-grain-rice | Long-grain rice, dry | grain | 12 79 0.1 0.7 7 1.2 | 0.80 1 | starch rice 0.25 1.9 25; pack bag 1000; soaks 0.3 20; vegan; also aged rice, raw rice
glutinous-rice | Glutinous rice, dry | grain | 12 80 0.2 0.8 6.4 0.6 | 0.80 1 | starch glutinous 0.01 2.2 25; pack bag 1000; soaks 0.35 30; vegan; house; also sweet rice, sticky rice, mochi rice
mung-beans-dry | Split mung beans, dry | grain | 10 46 5 1 24 14 | 0.82 1 | starch mungBean 0.35 1.9 25; soaks 1.0 70; pack bag 400; vegan; also moong dal, peeled green beans
mung-beans-cooked | Split mung beans, cooked and drained | protein | 66 17 2 0.4 9 5.6 | 0.85 1 | amylose 0.35; cooked 1.75 30; vegan; also cooked moong dal, bean mash
red-beans-cooked | Red beans, cooked and drained | protein | 65 19 0.5 0.4 8.5 6.6 | 0.80 1 | amylose 0.30; cooked 1.3 75; vegan; house; also adzuki beans
black-beans-cooked | Black beans, cooked and drained | protein | 66 16 0.4 0.5 9 8.1 | 0.80 1 | amylose 0.30; cooked 1.4 75; vegan; house
tapioca-pearls | Tapioca pearls, boiled | protein | 76 23.4 0 0 0.1 0.5 | 0.90 1 | amylose 0.17; cooked 2.5 20; vegan; house; also sago, pearls, sago pearls
crumb | Toasted crumb | seasoning | 6 68 5 5 12 4 | 0.35 1 | salt 1; allergens wheat/gluten; vegan; house; also bread crumb
`;

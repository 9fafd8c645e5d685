/** Liquids, coconut, sugars, salts, fats, raising and alkali. Columns as in `dry.data.ts`. */
export const WET = `
water | Water | liquid | 100 0 0 0 0 0 | 1 1 | vegan
coconut-milk | Coconut milk, full fat | liquid | 73 0 3 21 2 1 | 0.98 1 | pack can 400; vegan; also thick coconut milk, canned coconut milk
coconut-milk-light | Coconut milk, light | liquid | 91 0 1.5 6 0.7 0.8 | 0.99 1 | pack can 400; vegan; also thin coconut milk
coconut-cream | Coconut cream | liquid | 60 0 4 31 3 2 | 0.97 1 | pack can 400; vegan
coconut-water | Coconut water | liquid | 95 0 4 0 0.3 0.7 | 1.01 1 | piece young-coconut 1000 800-1400; trim 0.68; vegan; also young coconut water, coconut juice
coconut-grated | Coconut, fresh grated | coconut | 47 0 6 33 3 11 | 0.34 1.2 | piece mature-coconut 650 500-900; trim 0.5; vegan; also mature coconut flesh
coconut-desiccated | Coconut, desiccated | coconut | 3 0 7 64 7 19 | 0.32 1.1 | pack bag 200; vegan; house; also dried coconut, shredded coconut
coconut-young-flesh | Coconut, young flesh | coconut | 85 0 3.5 4.5 1 6 | 0.85 1 | piece young-coconut 1000 800-1400; trim 0.92; vegan; house; also soft coconut flesh
pandan-juice | Pandan juice | liquid | 98 0 0.8 0 0.3 0.9 | 1 1 | vegan; also screwpine juice, lá dứa juice, pandan water
milk | Milk, whole | liquid | 87.5 0 4.8 3.6 3.3 0.8 | 1.03 1 | pack carton 1000; allergens milk; eggy; house; also cow's milk
soy-milk | Soya milk | liquid | 91 0 2.5 1.8 3.3 1.4 | 1.02 1 | pack carton 1000; allergens soya; vegan; house; also soy milk
stock | Stock, light | liquid | 97.5 0 0.2 0.3 1 1 | 1 1 | salt 0.6; no-pork; house; also broth, vegetable stock
white-sugar | White sugar | sugar | 0 0 100 0 0 0 | 0.85 1 | pack bag 1000; vegan; also granulated sugar, caster sugar
slab-sugar | Brown or slab cane sugar | sugar | 2 0 96 0 0 2 | 0.90 1 | piece slab 80 60-100; vegan; also slab cane sugar, brown slab sugar, jaggery, panela, piloncillo, brown sugar
palm-sugar | Palm sugar | sugar | 5 0 92 0 0.5 2.5 | 0.90 1 | vegan; also coconut sugar, gula, gula melaka
rock-sugar | Rock sugar | sugar | 0 0 100 0 0 0 | 0.95 1 | vegan; house; also lump sugar, yellow rock sugar
golden-syrup | Sugar syrup, thick | sugar | 20 0 79 0 0 1 | 1.40 1 | vegan; house; also maltose, golden syrup
honey | Honey | sugar | 17 0 82 0 0.3 0.5 | 1.42 1 | eggy; house
fine-salt | Fine salt | salt | 0 0 0 0 0 100 | 1.22 1 | salt 100; vegan; also table salt
sea-salt | Medium sea salt | salt | 0 0 0 0 0 100 | 1.05 1 | salt 100; vegan
flake-salt | Flake salt | salt | 0 0 0 0 0 100 | 0.58 1 | salt 100; vegan; also kosher salt
oil | Neutral oil | fat | 0 0 0 100 0 0 | 0.92 1 | vegan; also vegetable oil, cooking oil
sesame-oil | Sesame oil | fat | 0 0 0 100 0 0 | 0.92 1 | allergens sesame; vegan; house; also toasted sesame oil
lard | Lard | fat | 0 0 0 100 0 0 | 0.92 1 | house; also pork fat
shallot-oil | Shallot oil | fat | 0 0.5 0.5 98 0.5 0.5 | 0.92 1 | vegan; house; also scallion oil, spring onion oil
dry-yeast | Dry yeast | raising | 6 4 8 6 42 34 | 0.62 1 | pack sachet 7; vegan; house; also active dry yeast, active yeast
instant-yeast | Instant yeast | raising | 5 4 8 6 43 34 | 0.66 1 | pack sachet 7; vegan; house; also quick yeast, fast-action yeast
baking-powder | Baking powder | raising | 4 28 0 0 0 68 | 0.90 1 | vegan; house; also raising powder
calcium-hydroxide | Calcium hydroxide, food grade | alkali | 1 0 0 0 0 99 | 0.50 1 | vegan; also slaked lime, pickling lime, cal, lime powder
vanilla | Vanilla extract | seasoning | 65 0 13 0 0.1 22 | 0.90 1 | vegan; house; also vanilla essence
pandan-extract | Pandan extract | seasoning | 80 0 5 0 0 15 | 1.05 1 | vegan; house; also pandan essence, screwpine extract
pea-flower | Pea flower water | liquid | 99 0 0.4 0 0.1 0.5 | 1 1 | vegan; house; also butterfly pea flower, blue pea flower, plant colouring
beetroot-juice | Beetroot juice | liquid | 89 0 8.5 0 1 1.5 | 1.04 1 | vegan; house; also beetroot, beet juice, plant colouring
`;

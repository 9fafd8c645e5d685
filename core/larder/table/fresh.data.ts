/** Vegetables, fruit, leaves and what is dried of them. Columns as in `dry.data.ts`; `trim` is what peeling and trimming take. */
export const FRESH = `
radish | White radish, raw | vegetable | 94.5 0 2.6 0.1 0.7 2.1 | 0.55 1 | piece radish 800 500-1200; trim 0.15; vegan; also daikon, mooli, Chinese turnip, white turnip, lo bak
taro | Taro, peeled | vegetable | 70 23 0.6 0.2 1.6 4.6 | 0.60 1 | piece taro 800 400-1500; trim 0.22; amylose 0.2; vegan; also taro root, eddo, dasheen
winter-squash | Winter squash | vegetable | 88 4 4 0.1 1 2.9 | 0.60 1 | piece squash 1200 800-2500; trim 0.28; amylose 0.2; vegan; also pumpkin, kabocha, butternut
sweet-potato | Sweet potato | vegetable | 77 13 5 0.1 1.6 3.3 | 0.62 1 | piece sweet-potato 250 150-400; trim 0.16; amylose 0.2; vegan; house
purple-yam | Purple yam | vegetable | 72 21 1 0.2 1.6 4.2 | 0.62 1 | piece yam 600 300-1200; trim 0.18; amylose 0.25; vegan; house; also ube, plant colouring
cassava | Cassava root | vegetable | 62 32 1.5 0.3 1.2 3 | 0.62 1 | piece root 500 300-900; trim 0.25; amylose 0.17; vegan; house; also manioc, yuca
carrot | Carrot | vegetable | 88.5 1 5 0.2 0.8 4.5 | 0.55 1 | piece carrot 110 70-180; trim 0.16; vegan
yam-bean | Yam bean | vegetable | 90 2 3 0.2 0.8 4 | 0.55 1 | piece yam-bean 600 400-900; trim 0.14; vegan; also jicama
banana | Banana, just ripe | fruit | 75 6 13 0.3 1.1 4.6 | 0.65 1 | piece banana 170 130-210; trim 0.35; amylose 0.2; vegan; also plantain banana
jackfruit | Jackfruit, ripe | fruit | 74 3 18 0.4 1.6 3 | 0.65 1 | trim 0.65; amylose 0.2; vegan; house
mango | Mango, firm-ripe | fruit | 83 0.5 13.5 0.3 0.7 2 | 0.68 1 | piece mango 350 250-450; trim 0.32; vegan; house
water-chestnut | Water chestnut, fresh | vegetable | 74 17 5 0.1 1.4 2.5 | 0.65 1 | piece water-chestnut 18 12-25; trim 0.35; amylose 0.25; vegan
water-chestnut-canned | Water chestnut, canned | vegetable | 86 8 2.5 0.1 0.9 2.5 | 0.65 1 | pack can 140; amylose 0.25; vegan; house; also tinned water chestnut
sweetcorn | Sweetcorn kernels | vegetable | 76 11 6 1.3 3.3 2.4 | 0.65 1 | piece cob 280 200-350; trim 0.6; amylose 0.25; vegan; also corn kernels
spring-onion | Spring onion | vegetable | 90 0.5 3 0.2 1.8 4.5 | 0.30 1 | piece spring-onion 18 10-30; trim 0.15; vegan; also scallion, green onion
onion | Onion | vegetable | 89 0 5 0.1 1.1 4.8 | 0.55 1 | piece onion 150 90-220; trim 0.1; vegan; house
shallot | Shallot, fresh | vegetable | 80 0.5 8 0.1 2.5 8.9 | 0.55 1 | piece shallot 25 12-40; trim 0.12; vegan; house
fried-shallot | Fried shallot | vegetable | 5 20 18 40 8 9 | 0.28 1 | vegan; house; also crisp onion, crisp shallot, fried onion
garlic | Garlic | vegetable | 60 20 10 0.5 6 3.5 | 0.60 1 | piece clove 6 3-9; trim 0.12; vegan; house
ginger | Ginger | vegetable | 79 9 2 0.8 1.8 7.4 | 0.60 1 | piece thumb 30 20-50; trim 0.2; vegan; house; also ginger root
chilli | Fresh chilli | vegetable | 88 1 5 0.4 2 3.6 | 0.50 1 | piece chilli 8 3-15; trim 0.15; vegan; house; also chili, red pepper
chives | Chives | vegetable | 90 0.5 2 0.7 3 3.8 | 0.25 1 | trim 0.08; vegan; house; also garlic chives
coriander | Coriander leaves | vegetable | 92 0 0.9 0.5 2.1 4.5 | 0.15 1 | piece bunch 60 40-100; trim 0.3; vegan; house; also cilantro
bean-sprouts | Bean sprouts | vegetable | 91 0.5 4 0.2 2.8 1.5 | 0.30 1 | pack bag 250; vegan; house; also mung sprouts
cucumber | Cucumber | vegetable | 95.5 0 1.7 0.1 0.7 2 | 0.55 1 | piece cucumber 350 250-450; trim 0.06; vegan; house
pandan-leaf | Pandan leaf | vegetable | 82 0 1.5 0.5 2 14 | 0.15 1 | piece leaf 6 4-10; trim 0.1; vegan; house; also pandan, screwpine, lá dứa, plant colouring
mustard-greens | Mustard greens, pickled | vegetable | 90 0 1.5 0.2 1.3 7 | 0.55 1 | salt 4; pack bag 300; vegan; house; also pickled mustard, preserved mustard greens
preserved-radish | Preserved radish | vegetable | 66 0 12 0.2 2.5 19 | 0.55 1 | salt 12; pack bag 250; vegan; house; also dried radish, salted turnip
dried-mushroom | Dried mushroom, soaked and squeezed | vegetable | 80 0 3 0.5 4 12.5 | 0.50 1 | piece mushroom 5 4-6; soaked 5.2 33; vegan; also shiitake, black mushroom, dried shiitake
wood-ear | Wood ear, soaked | vegetable | 89 0 0.5 0.1 0.8 9.6 | 0.30 1 | soaked 7.5 20; vegan; house; also cloud ear, black fungus, jelly ear
dates | Dates, pitted | fruit | 22 0 65 0.4 2.2 9 | 0.60 1 | piece date 10 7-15; trim 0.15; vegan; house; also red dates, jujube
goji | Wolfberries, soaked | fruit | 72 0 14 0.2 4 9.8 | 0.55 1 | soaked 1.6 30; allergens sulphites; vegan; house; also goji berries
lime-juice | Lime juice | seasoning | 91 0 2 0.1 0.4 6.5 | 1.02 1 | piece lime 65 45-90; trim 0.6; vegan; house; also fresh lime
lemon-juice | Lemon juice | seasoning | 91 0 2.5 0.2 0.4 6 | 1.02 1 | piece lemon 110 80-150; trim 0.6; vegan; house
`;

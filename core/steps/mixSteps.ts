import { sayC, sayDuration, sayGrams } from '../units';
import { thermalProperties, isDryBlend } from '../larder';
import { ingredientOf } from '../plan';
import { drawJuice, thermalShares } from '../mix';
import type { StepKey } from '../families';
import { amountOf, linesWith, type StepBuilder, type StepContext } from './context';

const WEIGH_S = 25;
const KNIFE_G_PER_S = 2.5;

const wet = (ctx: StepContext) =>
  ctx.light.resolved.plan.addIns.filter(
    (l) => ['vegetable', 'fruit'].includes(ingredientOf(ctx.light.resolved.larder, l).kind) && l.massG > 150,
  );
const total = (lines: readonly { massG: number }[]) => lines.reduce((s, l) => s + l.massG, 0);

/** Seconds to bring the batter from the room to a temperature on one ring: m c ΔT ÷ power. */
export function hobSeconds(ctx: StepContext, toC: number): number {
  const b = ctx.light.balance.batters[0];
  const c = thermalProperties(thermalShares(b.parts), 50).c;
  const power = ctx.heat?.powerW.value ?? 1100;
  return ((b.massG / 1000) * c * Math.max(10, toC - ctx.light.resolved.kitchen.roomC)) / power;
}

export const MIX_STEPS: Partial<Readonly<Record<StepKey, StepBuilder>>> = {
  choose: (ctx) =>
    ctx.light.family.signs.choose
      ? { station: 'mix', verb: 'Choose', sentence: ctx.light.family.signs.choose, handsOnS: 60, resources: ['hands'] }
      : undefined,
  weigh: (ctx) => {
    const { plan } = ctx.light.resolved;
    const lines = plan.batters.flatMap((b) => b.lines);
    const amounts = lines.map((l) =>
      amountOf(ctx, l, l.treatment === 'as-is' ? undefined : l.treatment.replaceAll('-', ' ')),
    );
    for (const b of ctx.light.balance.batters)
      if (b.topUpG > 0.5)
        amounts.push({ name: 'Water, to top up', massG: b.topUpG, note: 'after the juice is weighed', fine: false });
    return {
      station: 'mix',
      verb: 'Weigh',
      sentence: 'Weigh everything for the batter into bowls.',
      amounts,
      handsOnS: WEIGH_S * amounts.length,
      resources: ['hands', 'counter'],
    };
  },
  'soak-dried': (ctx) => {
    const dried = ctx.light.resolved.plan.addIns.filter((l) => l.ingredient.startsWith('dried-'));
    return dried.length === 0
      ? undefined
      : {
          station: 'mix',
          verb: 'Soak',
          sentence: 'Soak the dried things in warm water until soft; squeeze, and keep the liquid if you count it in.',
          amounts: dried.map((l) => amountOf(ctx, l, 'soaked and squeezed')),
          handsOnS: 90,
          waitS: 1500,
          resources: ['bowl'],
        };
  },
  grate: (ctx) => {
    const veg = wet(ctx);
    return veg.length === 0
      ? undefined
      : {
          station: 'mix',
          verb: 'Grate',
          sentence: 'Peel, then shred or cube.',
          amounts: veg.map((l) => amountOf(ctx, l)),
          handsOnS: total(veg) / KNIFE_G_PER_S,
          resources: ['hands', 'counter'],
          caution: ctx.light.family.cautions.includes('taro') ? 'taro' : 'grater',
        };
  },
  draw: (ctx) =>
    linesWith(ctx, 'squeezed-hard', 'squeezed-by-hand', 'drained').map((l) => {
      const d = drawJuice(l, ingredientOf(ctx.light.resolved.larder, l));
      return {
        station: 'mix',
        verb: 'Draw',
        sentence: `Salt it, wait, then squeeze out about ${sayGrams(d.juiceG.value)} of juice and pour it away.`,
        amounts: [amountOf(ctx, l), { name: 'Salt to draw it', massG: l.drawSaltG ?? 0 }],
        handsOnS: 180,
        waitS: l.drawS ?? 1800,
        resources: ['bowl'],
        lookFor: 'Limp shreds that fold without snapping.',
        taste: 'Taste the shreds before salting the batter.',
        caution: 'salted-hands',
      };
    }),
  wilt: (ctx) =>
    linesWith(ctx, 'wilted').map((l) => {
      const d = drawJuice(l, ingredientOf(ctx.light.resolved.larder, l));
      return {
        station: 'mix',
        verb: 'Wilt',
        sentence: `Wilt under a lid; about ${sayGrams(d.juiceG.value)} of juice comes out. Weigh it, write it down, and top up to the wanted liquid.`,
        amounts: [amountOf(ctx, l)],
        handsOnS: (l.drawS ?? 720) * 0.4,
        waitS: (l.drawS ?? 720) * 0.6,
        resources: ['ring', 'pan'],
        lookFor: 'Shreds gone glassy, standing in their own juice.',
      };
    }),
  parboil: (ctx) =>
    linesWith(ctx, 'parboiled').map((l) => ({
      station: 'mix',
      verb: 'Parboil',
      sentence: 'Parboil in plenty of water until a knife just goes in; do not let it boil dry. Drain well.',
      amounts: [amountOf(ctx, l)],
      handsOnS: 120,
      waitS: 480,
      resources: ['ring'],
      lookFor: 'A knife meets a firm middle.',
    })),
  'fry-add-ins': (ctx) => {
    const fried = linesWith(ctx, 'fried');
    return fried.length === 0
      ? undefined
      : {
          station: 'mix',
          verb: 'Fry',
          sentence: 'Fry the add-ins until they smell toasted; let them cool.',
          amounts: fried.map((l) => amountOf(ctx, l)),
          handsOnS: 240 + total(fried),
          waitS: 300,
          resources: ['hands', 'ring', 'pan'],
          caution: 'hot-oil',
        };
  },
  'sugar-fruit': (ctx) =>
    linesWith(ctx, 'sugared').map((l) => ({
      station: 'mix',
      verb: 'Sugar',
      sentence: 'Slice the fruit, toss it with a little of the sugar and let it stand.',
      amounts: [amountOf(ctx, l)],
      handsOnS: l.massG / KNIFE_G_PER_S,
      waitS: l.drawS ?? 900,
      resources: ['hands', 'bowl'],
      lookFor: 'A gloss of syrup on every slice.',
    })),
  'soak-grain': (ctx) =>
    linesWith(ctx, 'soaked', 'soaked-alkali').map((l) => {
      const alkali = l.treatment === 'soaked-alkali';
      const lime = linesWith(ctx, 'as-is')
        .filter((x) => x.ingredient === 'calcium-hydroxide')
        .map((x) => amountOf(ctx, x));
      return {
        station: 'mix',
        verb: 'Soak',
        sentence: alkali
          ? 'Stir the calcium hydroxide into cold water, let it settle, and soak the rice in the clear water above it.'
          : 'Wash the rice, cover with cold water and soak.',
        amounts: [amountOf(ctx, l), ...lime],
        handsOnS: 240,
        waitS: alkali ? 3 * 3600 : 5 * 3600,
        resources: ['bowl'],
        lookFor: alkali ? 'Yellowish grains that snap softly.' : 'A grain crushes between two nails.',
        caution: alkali ? 'alkali' : undefined,
      };
    }),
  'rinse-grain': () => ({
    station: 'mix',
    verb: 'Rinse',
    sentence:
      'Rinse in fresh water until it runs clear and the rice no longer feels slippery: count the waters, at least six.',
    handsOnS: 600,
    resources: ['hands', 'bowl'],
    lookFor: 'Clear water, no slip between the fingers.',
  }),
  grind: () => ({
    station: 'mix',
    verb: 'Grind',
    sentence: 'Grind the drained grain with the liquid until no grit is left between finger and thumb.',
    handsOnS: 480,
    resources: ['hands', 'counter'],
    lookFor: 'Smooth as single cream.',
  }),
  syrup: (ctx) => {
    const sugar = linesWith(ctx, 'syrup');
    return sugar.length === 0
      ? undefined
      : {
          station: 'mix',
          verb: 'Melt',
          sentence: 'Melt the sugar in the liquid over low heat, then strain.',
          amounts: sugar.map((l) => amountOf(ctx, l)),
          handsOnS: 300,
          waitS: 120,
          resources: ['ring'],
          lookFor: 'No grain left on the spoon.',
          caution: 'hot-paste',
        };
  },
  'cool-syrup': (ctx) => ({
    station: 'mix',
    verb: 'Cool',
    sentence: `Stir in the cold water you held back, so that the batter lands at 36 to 40 °C (never above 43 °C) for the yeast. As planned it lands at ${sayC(ctx.light.pour.startC.value)}.`,
    handsOnS: 60,
    waitS: 300,
    resources: ['bowl'],
  }),
  bloom: (ctx) => ({
    station: 'mix',
    verb: 'Bloom',
    sentence: 'Bloom the yeast in a little warm water with a pinch of sugar.',
    amounts: linesWith(ctx, 'bloomed', 'as-is')
      .filter((l) => l.ingredient === 'dry-yeast')
      .map((l) => amountOf(ctx, l)),
    handsOnS: 60,
    waitS: 600,
    resources: ['bowl'],
    lookFor: 'A beige foam as thick as a finger.',
  }),
  mix: (ctx) => {
    const b = ctx.light.balance.batters[0];
    const c = ctx.light.consistency[0];
    const dry = ctx.light.resolved.plan.batters[0].lines.filter((l) =>
      isDryBlend(ingredientOf(ctx.light.resolved.larder, l)),
    );
    return {
      station: 'mix',
      verb: 'Mix',
      sentence: `Stir the dry blend into the liquid until smooth: ${sayGrams(b.massG)} of batter, ${c.words} thick. Stir again before each pour${Number.isFinite(c.stirEveryS) ? `, it settles in ${sayDuration(c.stirEveryS)}` : ''}.`,
      amounts: dry.map((l) => amountOf(ctx, l)),
      handsOnS: 240,
      resources: ['hands', 'bowl'],
      lookFor: ctx.light.family.signs.batter,
      taste: 'Taste for salt before adding more.',
    };
  },
  'mix-boiling': (ctx) => ({
    station: 'mix',
    verb: 'Scald',
    sentence: `Slake the dry blend with the cool liquid, then pour in the boiling liquid in a stream while you stir: it lands at ${sayC(ctx.light.pour.startC.value)}, ${ctx.light.pour.words}.`,
    amounts: linesWith(ctx, 'boiling').map((l) => amountOf(ctx, l, 'boiling')),
    handsOnS: 240,
    resources: ['hands', 'bowl', 'ring'],
    lookFor: ctx.light.family.signs.batter,
    caution: 'hot-paste',
  }),
  roux: (ctx) => ({
    station: 'mix',
    verb: 'Cook paste',
    sentence:
      'Cook the kept-apart flour with three times its weight of the water to a paste, and let it cool to blood-warm.',
    amounts: linesWith(ctx, 'roux').map((l) => ({ ...amountOf(ctx, l), massG: l.massG * (l.share ?? 0.15) })),
    handsOnS: 240,
    waitS: 900,
    resources: ['hands', 'ring'],
    caution: 'hot-paste',
  }),
  'to-the-mark': (ctx) => ({
    station: 'mix',
    verb: 'To the mark',
    sentence:
      'Stir in three quarters of the syrup, then the rest bit by bit until the batter falls in a ribbon that stays two seconds; stop there.',
    amounts: linesWith(ctx, 'to-the-mark', 'syrup').map((l) => amountOf(ctx, l, 'three quarters first')),
    handsOnS: 300,
    resources: ['hands', 'bowl'],
    lookFor: 'A ribbon that stays two seconds.',
    caution: 'choking',
  }),
  'split-colours': (ctx) => ({
    station: 'mix',
    verb: 'Split',
    sentence: `Weigh each colour apart: ${ctx.light.balance.batters.map((b) => `${b.name} ${sayGrams(b.massG)}`).join(', ')}.`,
    handsOnS: 60 * ctx.light.balance.batters.length,
    resources: ['hands', 'bowl'],
    lookFor: 'The same height in every bowl.',
  }),
  'rest-batter': () => ({
    station: 'mix',
    verb: 'Rest',
    sentence: 'Cover the batter and let it rest.',
    handsOnS: 20,
    waitS: 5400,
    resources: ['bowl'],
    lookFor: 'A clear layer over a firm white bed.',
  }),
  'pour-off': (ctx) => {
    const poured = ctx.light.resolved.plan.batters[0].pouredOffG ?? 0;
    const again = ctx.light.balance.batters[0].reseason;
    return poured > 0
      ? {
          station: 'mix',
          verb: 'Pour off',
          sentence: `Pour off ${sayGrams(poured)} of clear liquid, pour on as much fresh water, and re-season with ${again.saltG.toFixed(1)} g salt.`,
          handsOnS: 120,
          resources: ['hands', 'bowl'],
        }
      : undefined;
  },
  ferment: (ctx) => {
    const f = ctx.light.ferment;
    return f
      ? {
          station: 'mix',
          verb: 'Ferment',
          sentence: `Cover and keep at ${sayC(f.tempC)} for about ${sayDuration(f.timeS)}.`,
          handsOnS: 30,
          waitS: f.timeS,
          resources: ['bowl'],
          lookFor: 'Foam all over, risen by half, smelling of bread.',
          caution: 'ferment',
        }
      : undefined;
  },
  'baking-powder': (ctx) => ({
    station: 'mix',
    verb: 'Fold',
    sentence: 'Sift in the baking powder and fold it through just before the cups are filled.',
    amounts: linesWith(ctx, 'as-is')
      .filter((l) => l.ingredient === 'baking-powder')
      .map((l) => amountOf(ctx, l)),
    handsOnS: 60,
    resources: ['hands', 'bowl'],
  }),
  thicken: (ctx) => ({
    station: 'mix',
    verb: 'Thicken',
    sentence: `Stream the batter into the simmering liquid and stir over medium heat until it reaches about ${sayC(ctx.light.midpointC - 2)} and thickens to a paste.`,
    handsOnS: 120 + hobSeconds(ctx, ctx.light.midpointC),
    resources: ['hands', 'ring'],
    lookFor: 'A spoon trail that stays three seconds.',
    taste: 'Taste for salt now.',
    caution: 'hot-paste',
  }),
  'cook-through': (ctx) => ({
    station: 'mix',
    verb: 'Cook',
    sentence: `Stir over medium-low heat until it is cooked through, about ${sayDuration(hobSeconds(ctx, 92) + 480)}: a spoonful tastes clear, not mealy.`,
    handsOnS: hobSeconds(ctx, 92) + 480,
    resources: ['hands', 'ring'],
    lookFor: 'It turns from milky to glassy and pulls from the side.',
    taste: 'A cooled drop tastes elastic, not pasty.',
    caution: 'hot-paste',
  }),
  'fold-in': (ctx) => {
    const adds = ctx.light.resolved.plan.addIns;
    return adds.length === 0
      ? undefined
      : {
          station: 'mix',
          verb: 'Fold in',
          sentence: 'Fold the add-ins through, keeping back what goes on top.',
          amounts: adds.map((l) => ({
            ...amountOf(ctx, l),
            massG: l.massG * (1 - (l.keptBack ?? 0)),
            note: l.keptBack ? `${sayGrams(l.massG * l.keptBack)} kept back` : undefined,
          })),
          handsOnS: 120,
          resources: ['hands', 'bowl'],
          lookFor: 'Every piece coated.',
        };
  },
  sauces: (ctx) =>
    ctx.light.resolved.plan.sauces.map((s) => {
      const all = s.lines.reduce((a, l) => a + l.parts, 0);
      const mass = s.gramsAHead * ctx.light.resolved.plan.guests;
      return {
        station: 'serve',
        verb: s.role === 'topping' ? 'Topping' : 'Sauce',
        sentence: `Make ${sayGrams(mass)} of ${s.name.toLowerCase()}.`,
        amounts: s.lines.map((l) => ({
          name: ctx.light.resolved.larder.get(l.ingredient)?.name ?? l.ingredient,
          massG: all > 0 ? (mass * l.parts) / all : 0,
        })),
        handsOnS: 420,
        resources: ['hands', 'ring'],
      };
    }),
};

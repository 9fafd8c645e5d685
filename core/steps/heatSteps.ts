import { sayC, sayDuration, sayGrams, sayMm, sayWater } from '../units';
import { schoolOf, type StepKey } from '../families';
import { STAGE_WORDS } from '../rest';
import { bladeCare } from '../cut';
import { linesWith, type StepBuilder, type StepContext } from './context';

const BOIL_UP_S = 600;
const guard = (ctx: StepContext): string =>
  ({ foil: 'foil over the pan', cloth: 'the lid wrapped in a cloth', woven: 'the woven lid on', none: 'the lid on' })[
    schoolOf(ctx.light.family, ctx.light.resolved.plan.schools, 'dripGuard') ?? 'none'
  ] ?? 'the lid on';
const times = (ctx: StepContext) => ctx.heat?.steam?.times;

export const HEAT_STEPS: Partial<Readonly<Record<StepKey, StepBuilder>>> = {
  'water-on': (ctx) => {
    const water = ctx.heat?.steam?.water;
    const top =
      water?.firstTopUpS === undefined
        ? ''
        : ` Top up with ${sayWater(water.topUpMl)} of boiling water after ${sayDuration(water.firstTopUpS)}${water.topUps > 1 ? ` and each time again, ${water.topUps} times` : ''}.`;
    return {
      station: 'steam',
      verb: 'Boil',
      sentence: `Bring ${water ? `${sayWater(water.startMl)} of` : 'the'} water to the boil in the steamer; keep it under the rack.${top}`,
      handsOnS: 60,
      waitS: BOIL_UP_S,
      resources: ['ring', 'tier'],
    };
  },
  'prepare-pan': (ctx) => {
    const lining = schoolOf(ctx.light.family, ctx.light.resolved.plan.schools, 'lining');
    return {
      station: 'vessel',
      verb: 'Prepare',
      sentence:
        lining === 'paper' || ctx.light.resolved.plan.paper
          ? `Line ${ctx.light.resolved.vessel.name.toLowerCase()} with a paper sling.`
          : `Oil ${ctx.light.resolved.vessel.name.toLowerCase()} and wipe it thin.`,
      handsOnS: 60 * ctx.light.resolved.plan.vesselCount,
      resources: ['hands', 'counter'],
    };
  },
  'preheat-moulds': () => ({
    station: 'vessel',
    verb: 'Preheat',
    sentence: 'Set the empty moulds in the steam for two minutes, then oil them.',
    handsOnS: 60,
    waitS: 120,
    resources: ['tier'],
    caution: 'steam',
  }),
  pour: (ctx) => ({
    station: 'vessel',
    verb: 'Pour',
    sentence: `Stir, then pour ${sayGrams(ctx.light.balance.massG / ctx.light.resolved.plan.vesselCount)}${ctx.light.resolved.plan.vesselCount > 1 ? ' into each pan' : ''}, ${sayMm(ctx.light.fill.depthM)} deep, at about ${sayC(ctx.light.pour.startC.value)}. Tap out the air and level it.`,
    handsOnS: 90 * ctx.light.resolved.plan.vesselCount,
    resources: ['hands', 'counter'],
    lookFor: 'A level top with the air tapped out.',
  }),
  top: (ctx) => {
    const kept = ctx.light.resolved.plan.addIns.filter((l) => l.keptBack);
    return kept.length === 0
      ? undefined
      : {
          station: 'vessel',
          verb: 'Top',
          sentence: 'Strew the pieces kept back over the top and press them in lightly.',
          amounts: kept.map((l) => ({
            name: ctx.light.resolved.larder.get(l.ingredient)?.name ?? l.ingredient,
            massG: l.massG * (l.keptBack ?? 0),
          })),
          handsOnS: 60,
          resources: ['hands'],
        };
  },
  steam: (ctx) => {
    const t = times(ctx);
    return {
      station: 'steam',
      verb: 'Steam',
      sentence: t
        ? `Steam on ${ctx.light.resolved.plan.heat} heat, ${guard(ctx)}. Check at ${sayDuration(t.checkAtS)}; plan for ${sayDuration(t.planForS)}.`
        : 'Steam until the middle is set.',
      handsOnS: 60,
      waitS: t?.checkAtS ?? 1800,
      resources: ['tier', 'ring'],
      caution: 'steam',
    };
  },
  'steam-layers': (ctx) => ({
    station: 'steam',
    verb: 'Layer',
    sentence: ctx.heat?.layers
      ? `Pour ${ctx.heat.layers.pours.length} layers, each when the last is tacky: ${ctx.heat.layers.words}`
      : 'Pour and steam layer upon layer, each when the last is tacky.',
    handsOnS: 45 * (ctx.heat?.layers?.pours.length ?? 7),
    waitS: ctx.heat?.layers?.totalS ?? times(ctx)?.planForS ?? 3000,
    resources: ['hands', 'tier', 'ring'],
    lookFor: 'Tacky to the finger, no longer wet.',
    caution: 'steam',
  }),
  'steam-cups': (ctx) => ({
    station: 'steam',
    verb: 'Steam cups',
    sentence: `Fill the moulds ${sayMm(ctx.light.fill.depthM)} deep and steam ${sayDuration(times(ctx)?.planForS ?? 480)} a load: ${ctx.light.fill.loads} ${ctx.light.fill.loads === 1 ? 'load' : 'loads'}. Stir the batter before each load.`,
    handsOnS: 4 * ctx.light.resolved.plan.vesselCount,
    waitS: (times(ctx)?.planForS ?? 480) * ctx.light.fill.loads,
    resources: ['hands', 'tier', 'ring'],
    caution: 'steam',
  }),
  'steam-sheets': (ctx) => ({
    station: 'steam',
    verb: 'Steam sheets',
    sentence: `Stir, pour ${sayGrams(ctx.light.balance.massG / ctx.light.resolved.plan.vesselCount)} a sheet, tilt to level, steam ${sayDuration(times(ctx)?.planForS ?? 150)}: ${ctx.light.resolved.plan.vesselCount} sheets.`,
    handsOnS: 40 * ctx.light.resolved.plan.vesselCount,
    waitS: (times(ctx)?.planForS ?? 150) * ctx.light.fill.loads,
    resources: ['hands', 'tier', 'ring'],
    lookFor: 'Bubbles under the sheet and no milky patch.',
    caution: 'steam',
  }),
  'film-sheets': (ctx) => ({
    station: 'steam',
    verb: 'Pan films',
    sentence: `Swirl ${sayGrams(ctx.light.balance.massG / ctx.light.resolved.plan.vesselCount)} into the oiled pan, cover for about a minute, and turn it out on an oiled board: ${ctx.light.resolved.plan.vesselCount} films.`,
    handsOnS: 75 * ctx.light.resolved.plan.vesselCount,
    resources: ['hands', 'pan', 'ring'],
    lookFor: 'It blisters and comes free at the edge.',
    caution: 'hot-oil',
  }),
  check: (ctx) => {
    const t = times(ctx);
    return {
      station: 'steam',
      verb: 'Check',
      sentence: 'Put a pick in the middle and say what you see: sticky, nearly, or clean.',
      handsOnS: 30,
      waitS: t ? Math.max(0, t.firstCleanPickS.value * 1.2 - t.checkAtS) : 300,
      resources: ['hands', 'tier'],
      lookFor: ctx.light.family.signs.cooked,
    };
  },
  stand: (ctx) =>
    ctx.light.family.restInSteamerS > 0
      ? {
          station: 'steam',
          verb: 'Stand',
          sentence: 'Heat off; let it stand in the steamer with the lid ajar.',
          handsOnS: 15,
          waitS: ctx.light.family.restInSteamerS,
          resources: ['tier'],
        }
      : undefined,
  roll: () => ({
    station: 'serve',
    verb: 'Fill and roll',
    sentence: 'Fill, fold or roll while hot, on an oiled board.',
    handsOnS: 600,
    resources: ['hands', 'counter'],
    caution: 'raw-fillings',
  }),
  cool: (ctx) =>
    ctx.light.resolved.plan.cooling.map((stage, i, all) => {
      const rest = ctx.heat?.rest;
      const last = i === all.length - 1;
      const cutAt = rest?.cutReadyAtS;
      const started = rest?.stageStartsS[i] ?? 0;
      const wait = last && cutAt !== undefined ? Math.max(stage.timeS, cutAt - started) : stage.timeS;
      return {
        station: 'rest',
        verb: 'Cool',
        sentence: `Cool ${STAGE_WORDS[stage.where]} for ${sayDuration(wait)}.${last && rest ? ` ${rest.check.sentence}` : ''}`,
        handsOnS: 30,
        waitS: wait,
        resources: [stage.where === 'fridge' || stage.where === 'freezer' ? 'fridge' : 'counter'],
        caution: 'cooling',
      };
    }),
  unmould: (ctx) => ({
    station: 'rest',
    verb: 'Unmould',
    sentence: `Run a thin spatula round the edge and turn it out, once the middle is under ${sayC(ctx.light.family.releaseC)}.`,
    handsOnS: 90 * ctx.light.resolved.plan.vesselCount,
    resources: ['hands', 'counter'],
  }),
  cut: (ctx) =>
    ctx.light.cut
      ? {
          station: 'cut',
          verb: 'Cut',
          sentence: `Cut ${ctx.light.cut.count} pieces of about ${sayGrams(ctx.light.cut.gramsAPiece)}${ctx.light.resolved.plan.vesselCount > 1 ? ' from each pan' : ''}. ${bladeCare(ctx.light.texture.sticky, ctx.light.balance.batters[0].starchShares.tapioca ?? 0, linesWith(ctx, 'fried', 'wilted', 'parboiled').length > 0)}`,
          handsOnS: 60 + 5 * ctx.light.cut.count,
          resources: ['hands', 'counter'],
        }
      : undefined,
  sear: (ctx) =>
    ctx.heat?.sear
      ? {
          station: 'sear',
          verb: 'Sear',
          sentence: `${ctx.light.resolved.plan.sear?.dip === 'egg' ? 'Dip each slice in beaten egg. ' : ''}Sear ${ctx.heat.sear.pieces} pieces, ${ctx.heat.sear.perLoad} a load, ${ctx.heat.sear.oilPerLoadG} g oil each load: ${ctx.heat.sear.words}`,
          handsOnS: ctx.heat.sear.totalS,
          resources: ['hands', 'pan', 'ring'],
          lookFor:
            ctx.light.resolved.plan.sear?.dip === 'egg'
              ? 'The egg set and golden all round; turn once.'
              : 'Golden faces with a crisp rim; turn once.',
          caution: 'hot-oil',
        }
      : undefined,
  serve: (ctx) => ({
    station: 'serve',
    verb: 'Serve',
    sentence: `Serve ${ctx.light.resolved.plan.guests}, about ${sayGrams(ctx.light.serves.gramsEach)} each. Best ${ctx.light.family.eatWithin}.`,
    handsOnS: 240,
    resources: ['hands'],
    caution: 'allergens',
  }),
};

import { LATENT_STEAM } from '../units';
import type { Law } from './law';

const LATENT = `${LATENT_STEAM / 1000} kJ/kg`;

const POUR = [
  'pour.startC',
  'pour.startG',
  'fill.cookedM',
  'gelling.midpointC',
  'gelling.widthC',
  'gelling.rate',
] as const;
const STEAM = ['heat.powerW', 'steamer.lid', 'vessel.material', 'body.gasShare'] as const;
const SPREAD = 'heat.steam.spread';
const CLEAN = 'heat.steam.times.firstCleanPickS';
const PLAN = 'heat.steam.times.planForS';
const WATER = ['heat.powerW', 'steamer.potDiameterM', 'steamer.waterDepthM', 'steamer.lid'] as const;

/** Steaming, layers, loads, water. */
export const STEAM_LAWS: readonly Law[] = [
  {
    at: 'heat.steam.times.unlearnedS',
    law: 'Conduction through the batter in its vessel (finite volume), steam that holds air round it (dew point; dial and Uchida films in series), gelling in every cell; the time at which the coldest is 95 % set and within 12 °C of the steam, and what the family waits for besides.',
    from: [...POUR, ...STEAM],
    spread: SPREAD,
  },
  {
    at: CLEAN,
    law: 'The model’s time × what was learned of this steamer, its heat, this kind of cake and this plan.',
    from: ['heat.steam.times.unlearnedS'],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.checkAtS',
    law: '0.85 × first clean pick; of a stack, just before its last layer is done.',
    from: [CLEAN],
    spread: SPREAD,
  },
  {
    at: PLAN,
    law: '1.2 × first clean pick; of a stack, a fifth of the last layer more; in a pressure pot, coming up and hold.',
    from: [CLEAN],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.standS',
    law: 'Standing with the fire off: the cook’s own wait, or the family’s; in a pressure pot, letting go.',
    from: [],
  },
  {
    at: 'heat.steam.times.totalS',
    law: 'Steam with the fire on + standing.',
    from: [PLAN, 'heat.steam.times.standS'],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.noLaterThanS',
    law: 'The family’s factor × first clean pick, never before its usual least time after it, nor before it has stood.',
    from: [CLEAN, 'heat.steam.times.totalS'],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.spread.**',
    law: 'Film, air and power, depth, start temperature and set degree moved by one standard deviation each the slower way on a coarse grid; the changes of the logarithm add in quadrature; 10 to 90 %.',
    from: ['pour.startC', 'pour.startSetSd', 'fill.depthM', 'heat.powerW'],
  },
  {
    at: 'heat.steam.pressure.*',
    law: 'Coming up: pot, water and cake warmed by the ring; hold: the time in pressure steam, less half of coming up and three quarters of a slow release; release as it is let go.',
    from: ['heat.powerW', 'heat.steam.water.startMl', CLEAN],
  },
  {
    at: 'heat.steam.vessels.*.times.**',
    law: 'The same as for the whole, for these vessels on their tier with the steam that the others leave.',
    from: ['heat.steam.vessels.#.depthM', 'heat.powerW'],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.vessels.**',
    law: 'As the plan fills its vessels and tiers.',
    from: ['fill.perTier', 'fill.perLoad'],
  },
  {
    at: 'heat.steam.air.*',
    law: 'Mole fraction of air: what the lid lets in at medium heat × 1100 W ÷ the steam left over (what boils less what condenses).',
    from: ['steamer.lid', 'heat.powerW'],
  },
  {
    at: 'heat.steam.shortS',
    law: 'Time during which the cakes take over nine tenths of the steam.',
    from: ['heat.powerW', 'fill.perLoad'],
  },
  {
    at: 'heat.steam.puddle.onTopG',
    law: `Heat through the top ÷ ${LATENT}; none under foil.`,
    from: ['fill.cookedM', 'pour.startC', PLAN],
  },
  {
    at: 'heat.steam.puddle.leftM',
    law: 'What falls less what the gel takes up, over the top of the cake.',
    from: ['heat.steam.puddle.onTopG', 'heat.steam.puddle.dripsG', 'heat.steam.puddle.takenUpG'],
  },
  {
    at: 'heat.steam.puddle.takenUpG',
    law: 'Diffusion into the gel, 2·c·√(D·t/π), at most what falls (house figures).',
    from: ['heat.steam.puddle.onTopG', 'heat.steam.puddle.dripsG', PLAN],
  },
  {
    at: 'heat.steam.puddle.dripsG',
    law: 'A quarter of what condenses under a bare lid falls, by the cake’s share of the tier (house figure).',
    from: ['heat.powerW', 'steamer.lid', PLAN],
  },
  {
    at: 'heat.steam.water.startMl',
    law: 'As filled, or up to 1 cm under the rack.',
    from: ['steamer.potDiameterM', 'steamer.waterDepthM'],
  },
  {
    at: 'heat.steam.water.boilUpW',
    law: 'Net power of the ring at full, or as measured.',
    from: ['ring.measuredPowerW', 'heat.powerW'],
  },
  {
    at: 'heat.steam.water.boilUpS',
    law: 'Litres × 4.18 kJ/K × (boil − tap) ÷ net power.',
    from: ['heat.steam.water.startMl', 'heat.steam.water.boilUpW'],
  },
  {
    at: 'heat.steam.water.fromKettleS',
    law: 'The last 8 °C of the same.',
    from: ['heat.steam.water.startMl', 'heat.steam.water.boilUpW'],
  },
  {
    at: 'heat.steam.water.**',
    law: `Boil-off = (power − what condenses on the cake) ÷ ${LATENT} × what the lid loses; topped up before 1.5 cm.`,
    from: [...WATER, PLAN],
  },
  {
    at: 'heat.steam.energyError',
    law: 'Heat held at the end − at the start − what came in, as a share of it.',
    from: [],
  },
  { at: 'heat.steam.**', law: 'The field of the same run.', from: [...POUR] },
  {
    at: 'heat.powerW',
    law: 'Net power of the ring at this heat: by kettle test, else 0.6, 1.1, 1.5 kW.',
    from: ['ring.measuredPowerW'],
  },
  {
    at: 'heat.layers.pours.*.waitS',
    law: 'From pour to pour: the lid up for half a minute (evaporation from the top), purge, conduction on the hot stack until the layer’s coldest cell is 85 % set and its top has taken up what condensed on it.',
    from: ['heat.layers.pours.#.grams', 'pour.startC', 'heat.powerW'],
    spread: SPREAD,
  },
  {
    at: 'heat.layers.pours.*.tooLateS',
    law: 'Fully set (99 %) for twenty minutes, or dried with the lid off: the next layer does not hold.',
    from: ['heat.layers.pours.#.waitS'],
    spread: SPREAD,
  },
  { at: 'heat.layers.pours.*.grams', law: 'The batter ÷ its layers ÷ vessels; equal layers.', from: ['balance.massG'] },
  {
    at: 'heat.layers.pours.*.ladleMl',
    law: 'Its volume and 1 % that stays in the ladle.',
    from: ['heat.layers.pours.#.grams'],
  },
  { at: 'heat.layers.pours.*.*', law: 'Sums of the pours before.', from: ['heat.layers.pours.0.waitS'] },
  {
    at: 'heat.layers.*',
    law: 'The pours after one another; the last until the coldest spot of the whole stack is ready.',
    from: ['heat.layers.pours.0.waitS'],
    spread: SPREAD,
  },
  {
    at: 'heat.loads.**',
    law: 'Loads one after another: hands, moulds and places as resources, reheating by the wall’s time constant, an open lid stops all that steams and is purged.',
    from: [PLAN, 'fill.perTier', 'vessel.count', 'heat.powerW'],
  },
  {
    at: 'heat.film.filmS',
    law: 'One-dimensional conduction: contact 350 W/m²K from the pan (held back where the ring gives less), its own steam under the lid, until ready.',
    from: ['heat.film.thicknessM', 'pour.startC', 'gelling.midpointC'],
  },
  {
    at: 'heat.film.**',
    law: 'Films one after another: in the pan, turned out, wiped.',
    from: ['heat.film.filmS', 'balance.massG'],
  },
  {
    at: 'heat.pot.throughS',
    law: 'Stirred at 93 °C or more until no mealy taste: 6 to 12 min by thickness.',
    from: ['pour.consistency.viscosityMPas'],
  },
  {
    at: 'heat.pot.scorchS',
    law: 'A film that stays on the bottom carries half of the ring’s heat and browns by the law of searing (house model).',
    from: ['heat.powerW', 'pour.consistency.viscosityMPas'],
  },
];

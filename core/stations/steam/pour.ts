import { fieldsOf, LATENT_STEAM, WATER_J_KG_K, type Law } from '../../units';
import {
  LOST,
  powerAt,
  readyIn,
  wallSpec,
  waterPlan,
  type OwnSpread,
  type Ready,
  type SinglePour,
  type SteamRoom,
  type SteamSetting,
  type WaterPlan,
} from '../../model/steam';
import { BATCH_SIGMA } from '../../kitchen';
import { stageSurroundings, type Surroundings } from '../../model/rest';
import { spanOf } from '../../model/vessel';
import type { OverSteam, PourInput } from './input';

/** A mould that was heated empty stands so much under the boil as it is filled, °C. */
const HOT_MOULD_C = 5;
/** Uncovered between pouring and lid, s: levelled and carried to the steamer, or filled where it stands. */
const OPEN_S = { counter: 90, inside: 20 } as const;
/** Space over the water and under the lid, besides the tiers, m. */
const HEADSPACE_M = 0.03;
/** Share of what condenses under a bare lid that falls, the rest runs down its side (a house figure). */
const FALLS = 0.25;
/** Water is told for so long a boil where the cake never sets, s. */
export const UNKNOWN_S = 3600;

/** What boils under the plan's cake at a time, W. */
export const powerOf = ({ course, powerW }: OverSteam): ((timeS: number) => number) =>
  course ? (t) => powerAt(course, t) : () => powerW.value;

/**
 * The inside of the plan's steamer for so many equal vessels.
 * @param leftW what others leave at a time, W; absent: all of it
 */
export const roomOf = (input: OverSteam, bodies: number, leftW = powerOf(input)): SteamRoom => ({
  powerW: leftW,
  bodies,
  lid: input.cover.lid,
  steamC: input.steamC,
  openC: input.boilC,
  volumeM3:
    (Math.PI / 4) *
    input.steamer.innerDiameterM ** 2 *
    (input.steamer.clearHeightM * input.steamer.tiers + HEADSPACE_M),
});

/** What a steaming shares whatever is in the pan: walls, guard, and the steam for the vessels that are in it together. */
export const settingOf = (input: OverSteam, room = roomOf(input, input.inLoad)): SteamSetting => ({
  mouldC: input.preheated ? input.boilC - HOT_MOULD_C : input.kitchen.roomC,
  ...wallSpec(input.vessel, input.paper),
  foil: input.cover.foil,
  topShare: input.topShare,
  room,
  ...(input.course ? { course: input.course } : {}),
});

/** What surrounds it while it stands with the fire off and the lid ajar. */
export const standingSides = (input: OverSteam): Surroundings =>
  stageSurroundings('lid-ajar', input.kitchen, {
    wall: wallSpec(input.vessel, input.paper),
    covered: input.cover.foil,
    bareFromS: 0,
    topM: spanOf(input.vessel) / 4,
    sideM: input.depthM,
  });

/** One pour as the plan has it, ready by the one rule and by what the family's cooks wait for besides. */
export const pourOf = (input: PourInput, room?: SteamRoom): SinglePour => ({
  ...settingOf(input, room),
  ...input.body,
  ...(input.body.pieces ? { pieces: input.body.pieces } : {}),
  vessel: input.vessel,
  depthM: input.cookedM,
  startC: input.body.flowingC,
  startG: input.startG,
  open: { timeS: OPEN_S[input.preheated ? 'inside' : 'counter'], kitchenC: input.kitchen.roomC },
  moreS: input.moreS,
  stand: { timeS: input.standS, sides: standingSides(input) },
});

/** When what stands over boiling water is ready, by the one rule. */
export const readyOf = (input: OverSteam): Ready =>
  readyIn(input.body.gelling, roomOf(input, input.inLoad), input.course ?? undefined);

/** What is not known of this kitchen's factor, and how one batch scatters about its own. */
export const ownSpread = ({ factor }: OverSteam): OwnSpread => ({ factor: factor.sd, batch: BATCH_SIGMA });

/** Drops that fall from under the lid as it is used, kg/(m²·s), with nothing condensing below; 0 where something holds them. */
export function dripsOn({ cover, powerW, steamer }: OverSteam): number {
  if (!cover.drips) return 0;
  const underLid = (powerW.value / LATENT_STEAM) * (1 - LOST[cover.lid]);
  return (FALLS * underLid) / ((Math.PI / 4) * steamer.innerDiameterM ** 2);
}

/** Water for so long a boil, s. @param takenJ what the cakes take of the steam @param busyS moments when it is not topped up */
export const waterOf = (input: OverSteam, totalS: number, takenJ: number, busyS: readonly number[] = []): WaterPlan =>
  waterPlan({
    steamer: input.steamer,
    lid: input.cover.lid,
    powerW: powerOf(input),
    takenJ,
    totalS,
    boilUpW: input.boilUpW,
    tapC: input.kitchen.roomC,
    boilC: input.boilC,
    filledMl: input.filledMl ?? undefined,
    busyS,
  });

const of = fieldsOf<OverSteam>('inputs.steam');
/** Why there is so much water, and how long it lasts. */
export const WATER_LAWS: readonly Law[] = [
  {
    at: 'heat.steam.water.startMl',
    law: 'As filled, or up to 1 cm under the rack.',
    from: of('steamer.potDiameterM', 'steamer.waterDepthM', 'filledMl'),
  },
  {
    at: 'heat.steam.water.boilUpW',
    law: 'Net power of the ring at full, or as measured.',
    from: ['ring.measuredPowerW', ...of('boilUpW')],
  },
  {
    at: 'heat.steam.water.boilUpS',
    law: `Litres × ${(WATER_J_KG_K / 1000).toFixed(2)} kJ/K × (boil − tap) ÷ net power.`,
    from: ['heat.steam.water.startMl', 'heat.steam.water.boilUpW', ...of('boilC', 'kitchen.roomC')],
  },
  {
    at: 'heat.steam.water.fromKettleS',
    law: 'The last 8 °C of the same.',
    from: ['heat.steam.water.startMl', 'heat.steam.water.boilUpW'],
  },
  {
    at: 'heat.steam.water.**',
    law: `Boil-off = (power − what condenses on the cake) ÷ ${LATENT_STEAM / 1000} kJ/kg × what the lid loses; topped up before 1.5 cm.`,
    from: [...of('powerW', 'steamer.potDiameterM', 'steamer.waterDepthM', 'cover.lid'), 'heat.steam.times.planForS'],
  },
];

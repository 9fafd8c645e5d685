import {
  fieldsOf,
  LATENT_STEAM,
  problem,
  sayDuration,
  type Law,
  type Problem,
  type ConcernCode,
  type Turns,
  there,
} from '../../units';
import {
  ABOVE_MIDPOINT_C,
  cleanPickSpread,
  COARSE_GRID,
  comeUpS,
  dewC,
  PLAN,
  isSofter,
  readyAt,
  releaseS,
  sayTimes,
  scaledBy,
  singlePour,
  steamTimes,
  takesUp,
  wallSpec,
  type PourGrid,
  type PourResult,
  type Ready,
  type SinglePour,
  type SteamRoom,
  type SteamTimes,
  type WaterPlan,
} from '../../model/steam';
import { volumeAtDepth } from '../../model/vessel';
import { clockS, onClock } from './clock';
import type { InLoads, PourSteam, Steamed, VesselSteam, WithRun } from './cooking';
import type { PourInput } from './input';
import { loadsOf } from './loads';
import { dripsOn, ownSpread, pourOf, roomOf, UNKNOWN_S, waterOf } from './pour';
import { shareSteam, type Group } from './shared';

/** The vessels of a load by kind and tier: so many of the plan's own from the bottom up, then the further ones where there is a tier for them. */
function groupsOf(input: PourInput): { readonly groups: readonly (Group & Kind)[]; readonly own: number } {
  const lower = Math.max(1, Math.min(input.perTier, input.inLoad));
  const above = input.inLoad - lower;
  const { depthM } = input;
  const own = (room: SteamRoom) => pourOf(input, room);
  const further = input.steamer.tiers > 1 ? 1 : 0;
  const ours = [
    { of: -1, count: lower, tier: 0, depthM, pour: own },
    ...(above > 0 ? [{ of: -1, count: above, tier: 1, depthM, pour: own }] : []),
  ];
  const theirs = input.others.map((o, of) => ({
    of,
    count: o.count,
    tier: further,
    depthM: o.depthM,
    pour: (room: SteamRoom): SinglePour => ({
      ...pourOf(input, room),
      vessel: o.vessel,
      ...wallSpec(o.vessel, input.paper),
      depthM: o.cookedM,
      topShare: 1,
    }),
  }));
  return { groups: [...ours, ...theirs], own: ours.length };
}
interface Kind {
  readonly of: number;
  readonly depthM: number;
}

/**
 * What of its time counts as steaming at pressure: while it comes up the steam is half way there on average; while it lets go the cake, hot
 * outside already, boils on.
 */
const COUNTS = { comeUp: 0.5, release: 0.75 } as const;
/** A pressure pot is held for no less than this, s. */
const LEAST_HOLD_S = 300;

/** A pressure pot's cycle for a pour that would take so long in its steam, s. */
function* pressureOf(input: PourInput, steadyS: number, water: WaterPlan): Turns<PourSteam['pressure']> {
  const { steamer, pressureRelease: how, boilC } = input;
  if (steamer.pressureTempC === undefined) return undefined;
  const up = comeUpS(water.startMl, input.massG / 1000, boilC, steamer.pressureTempC, input.powerW.value);
  const release = releaseS(how);
  const holdS = Math.max(LEAST_HOLD_S, steadyS - COUNTS.comeUp * up - (how === 'slow' ? COUNTS.release * release : 0));
  const room = { ...roomOf(input, input.inLoad), steamC: boilC };
  const slack = { ...pourOf(input, room), stand: undefined };
  const beside = yield* singlePour(slack, 0, COARSE_GRID);
  return {
    comeUpS: up,
    holdS,
    releaseS: release,
    openS: beside.firstCleanPickS === undefined ? undefined : PLAN * beside.firstCleanPickS,
  };
}

/** What a cook can do where first clean pick is never reached. @param airEnd air in the steam at the end, mole fraction */
function neverWords({ body: { gelling }, steamC }: PourInput, { most, tempC }: Ready, airEnd: number): string {
  const sure = readyAt(gelling, steamC, steamC);
  if (!Number.isFinite(sure.gel))
    return `The middle never gets hot enough to set: at ${Math.round(steamC)} °C steam sets ${Math.round(100 * sure.most)} % of its starch. More water, less sugar, or a hotter steamer.`;
  const hotC = dewC(steamC, airEnd);
  if (most < sure.most - 0.03 || hotC < tempC + 1)
    return `There is so much air in the steam (${Math.round(100 * airEnd)} %) that it is only ${Math.round(hotC)} °C hot: shut the lid tight, wrap it in a cloth, or turn the heat up.`;
  return 'The middle never gets hot enough as the heat is set: keep it on for longer, turn it up, or pour it shallower.';
}

/** Water on the top of one cake, g: what condenses there, and what drips from a bare lid. */
function puddleOf(input: PourInput, onTopG: number, steamedS: number): PourSteam['puddle'] {
  const { vessel, depthM } = input;
  const step = 0.0005;
  const areaM2 = (volumeAtDepth(vessel, depthM + step) - volumeAtDepth(vessel, depthM)) / 1e6 / step;
  const dripsG = 1000 * dripsOn(input) * areaM2 * steamedS;
  const takenUpG = Math.min(onTopG + dripsG, 1000 * takesUp(steamedS) * areaM2);
  return { onTopG, dripsG, takenUpG, leftM: (onTopG + dripsG - takenUpG) / 1e6 / areaM2 };
}

/** One pour a vessel: all at once, or in loads. @param size grid of the solver */
export function* steamSingle(input: PourInput, size: PourGrid): Turns<WithRun<Steamed | InLoads>> {
  const { groups, own } = groupsOf(input);
  const rooms = yield* shareSteam(roomOf(input, 1), groups, input.context);
  const { factor } = input;
  const f = factor.value;
  const pours = groups.map((g, i) => ({ ...g.pour(there(rooms[i])), openingsS: input.context.openingsS }));
  const runs: PourResult[] = [];
  for (const p of pours) runs.push(yield* singlePour(p, 0.2, size));
  /** Of the plan's own vessels, the ones that are done last: those highest up. */
  const pour = there(runs[own - 1]);
  const clean = pour.firstCleanPickS;
  const found =
    clean === undefined
      ? undefined
      : yield* cleanPickSpread(there(pours[own - 1]), clean, ownSpread(input), input.start);
  const spread = found && scaledBy(found, f);
  const timesOf = (cleanS: number | undefined): SteamTimes | undefined =>
    cleanS === undefined
      ? undefined
      : steamTimes(cleanS, factor, input.standS, input.tooLate.factor, input.tooLate.leastS, spread?.sigma);
  const times = timesOf(clean);
  const inLoads = input.how !== 'steamed' || input.loads > 1;
  const loads = times && inLoads ? yield* loadsOf(input, times.planForS, pour.run) : undefined;
  const vessels: VesselSteam[] = groups.map(({ of, count, tier, depthM }, i) => ({
    of,
    count,
    tier,
    depthM,
    times: timesOf(there(runs[i]).firstCleanPickS),
  }));
  const longestS = vessels.reduce((s, v) => Math.max(s, v.times?.planForS ?? 0), 0);
  const onS = loads?.steamerS ?? (times ? longestS : UNKNOWN_S);
  const inLoad = groups.reduce((a, g) => a + g.count, 0);
  const all = input.vesselCount + input.others.reduce((a, o) => a + o.count, 0);
  const taken = runs.reduce((j, r, i) => j + steamingHeat(r) * there(groups[i]).count, 0) * (all / inLoad);
  const first = waterOf(input, onS, taken);
  const pressure = times && (yield* pressureOf(input, times.planForS, first));
  const shown = times && pressure ? underPressure(times, pressure) : times;
  const water = pressure ? waterOf(input, pressure.comeUpS + pressure.holdS, taken) : first;
  const never = neverWords(input, pour.ready, pour.air.end);
  const steam: PourSteam = {
    times: shown,
    spread,
    pressure,
    // Cups, sheets and pans in turn are lifted out by their sets: the loads say when.
    vessels: groups.length > 1 && !loads ? vessels : [],
    coldSpot: pour.coldSpot,
    history: pour.history.map(([t, ...rest]) => [clockS(t, f, pour.steamedS), ...rest] as const),
    frames: onClock(pour.frames, f, pour.steamedS),
    shortS: pour.shortS * f,
    air: pour.air,
    puddle: puddleOf(input, pour.onTopG, pour.steamedS),
    taken: runs.map((r, i) => r.flux.map(([t, w]) => [t, w * there(groups[i]).count] as const)),
    water,
    energyError: Math.max(...runs.map((r) => r.energyError)),
    words: shown ? timeWords(shown, pressure, spread?.mayNeverSet ?? false, isSofter(pour.ready)) : never,
  };
  const problems: readonly Problem<ConcernCode>[] = [
    ...water.problems,
    ...(clean === undefined ? [problem('never-sets', 'heat', never)] : []),
  ];
  const common = { powerW: input.powerW, problems, steam, run: pour.run };
  return inLoads ? { ...common, how: 'loads', loads } : { ...common, how: 'steamed' };
}

const of = fieldsOf<PourInput>('inputs.steam');
const SPREAD = 'heat.steam.spread';
const CLEAN = 'heat.steam.times.firstCleanPickS';
const PLANNED = 'heat.steam.times.planForS';
const POUR = of(
  'startC',
  'startG',
  'cookedM',
  'body.gelling.midpointC',
  'body.gelling.plainC',
  'body.gelling.widthC',
  'body.gelling.rate',
);
const STEAM = of('powerW', 'cover.lid', 'vessel.material', 'body.gasShare');
/** Why one pour takes the time it takes. */
export const POUR_LAWS: readonly Law[] = [
  {
    at: 'heat.steam.times.unlearnedS',
    law: `Conduction through the batter in its vessel (finite volume), steam that holds air round it (dew point; dial and Uchida films in series), gelling in every cell; the time at which the coldest has set 95 % of what this steam can set and has been to ${ABOVE_MIDPOINT_C} °C over its blend’s midpoint in plain water, at most six tenths of the way to the steam; and what the family waits for besides.`,
    from: [...POUR, ...STEAM],
    spread: SPREAD,
  },
  {
    at: CLEAN,
    law: 'The model’s time × what was learned of this steamer, its heat, this kind of cake and this plan.',
    from: ['heat.steam.times.unlearnedS', ...of('factor')],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.checkAtS',
    law: '0.85 × first clean pick; of a stack, just before its last layer is done.',
    from: [CLEAN],
    spread: SPREAD,
  },
  {
    at: PLANNED,
    law: '1.2 × first clean pick; of a stack, a fifth of the last layer more; in a pressure pot, coming up and hold.',
    from: [CLEAN],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.planChance',
    law: 'Log-normal about first clean pick, with all that is not known of it.',
    from: [PLANNED, CLEAN, 'heat.steam.spread.sigma'],
  },
  {
    at: 'heat.steam.times.standS',
    law: 'Standing with the fire off: the cook’s own wait, or the family’s; in a pressure pot, letting go.',
    from: of('standS'),
  },
  {
    at: 'heat.steam.times.totalS',
    law: 'Steam with the fire on + standing.',
    from: [PLANNED, 'heat.steam.times.standS'],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.times.noLaterThanS',
    law: 'The family’s factor × first clean pick, never before its usual least time after it, nor before it has stood.',
    from: [CLEAN, 'heat.steam.times.totalS', ...of('tooLate.factor', 'tooLate.leastS')],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.spread.**',
    law: 'Film and air, power, depth, start temperature with its pieces, set degree and the temperature of readiness moved by one standard deviation each on a coarse grid, with what is not known of the kitchen’s factor and a batch’s own scatter: the changes of the logarithm add in quadrature; 10 to 90 %.',
    from: of('start.tempC', 'start.set', 'start.depth', 'start.power', 'factor'),
  },
  {
    at: 'heat.steam.pressure.*',
    law: 'Coming up: pot, water and cake warmed by the ring; hold: the time in pressure steam, less half of coming up and three quarters of a slow release; release as it is let go.',
    from: [...of('powerW', 'massG', 'steamC'), 'heat.steam.water.startMl', CLEAN],
  },
  {
    at: 'heat.steam.vessels.*.times.**',
    law: 'The same as for the whole, for these vessels on their tier with the steam that the others leave.',
    from: ['heat.steam.vessels.#.depthM', ...of('powerW')],
    spread: SPREAD,
  },
  {
    at: 'heat.steam.vessels.**',
    law: 'As the plan fills its vessels and tiers.',
    from: of('perTier', 'inLoad'),
  },
  {
    at: 'heat.steam.air.*',
    law: 'Mole fraction of air: what the lid lets in at medium heat × 1100 W ÷ the steam left over (what boils less what condenses).',
    from: of('cover.lid', 'powerW'),
  },
  {
    at: 'heat.steam.shortS',
    law: 'Time during which the cakes take over nine tenths of the steam.',
    from: of('powerW', 'inLoad'),
  },
  {
    at: 'heat.steam.puddle.onTopG',
    law: `Heat through the top ÷ ${LATENT_STEAM / 1000} kJ/kg; none under foil.`,
    from: [...of('cookedM', 'startC'), PLANNED],
  },
  {
    at: 'heat.steam.puddle.leftM',
    law: 'What falls less what the gel takes up, over the top of the cake.',
    from: ['heat.steam.puddle.onTopG', 'heat.steam.puddle.dripsG', 'heat.steam.puddle.takenUpG'],
  },
  {
    at: 'heat.steam.puddle.takenUpG',
    law: 'Diffusion into the gel, 2·c·√(D·t/π), at most what falls (house figures).',
    from: ['heat.steam.puddle.onTopG', 'heat.steam.puddle.dripsG', PLANNED],
  },
  {
    at: 'heat.steam.puddle.dripsG',
    law: 'A quarter of what condenses under a bare lid falls, by the cake’s share of the tier (house figure).',
    from: [...of('powerW', 'cover.lid', 'steamer.innerDiameterM'), PLANNED],
  },
  {
    at: 'heat.steam.energyError',
    law: 'Heat held at the end − at the start − what came in, as a share of it.',
    from: [],
  },
  { at: 'heat.steam.**', law: 'The field of the same run.', from: POUR },
];

/** Heat taken while the fire was on, J. */
const steamingHeat = (pour: PourResult): number =>
  pour.flux.reduce((a, [t, w], i) => a + w * (t - (pour.flux[i - 1]?.[0] ?? 0)), 0);

/** A pressure pot is not looked into: the check comes when it is open again. */
function underPressure(t: SteamTimes, p: NonNullable<PourSteam['pressure']>): SteamTimes {
  const planForS = p.comeUpS + p.holdS;
  return {
    ...t,
    planForS,
    standS: p.releaseS,
    totalS: planForS + p.releaseS,
    checkAtS: planForS + p.releaseS,
    noLaterThanS: Math.max(t.noLaterThanS, planForS + p.releaseS),
  };
}

function timeWords(t: SteamTimes, pressure: PourSteam['pressure'], mayNeverSet: boolean, softer: boolean): string {
  if (pressure)
    return `Up to pressure in ${sayDuration(pressure.comeUpS)}, hold for ${sayDuration(pressure.holdS)}, let it go down for ${sayDuration(pressure.releaseS)}${pressure.openS === undefined ? '' : `; an open steamer takes ${sayDuration(pressure.openS)}`}.`;
  return `Check at ${sayDuration(t.checkAtS)}; ${sayTimes(t)}.${mayNeverSet ? ' It may never set: a little colder or deeper and the middle stays soft.' : ''}${softer ? ' Softer in the middle: this steam does not set all of its starch; steam it 10 min more.' : ''}`;
}

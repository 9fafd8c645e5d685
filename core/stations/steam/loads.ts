import { fieldsOf, type Law, type Turns, there } from '../../units';
import { conduct, constantMaterial, roundGrid, type ConductionRun } from '../../model/heat';
import { cool, crossing } from '../../model/rest';
import {
  cakeMaterial,
  dialFilm,
  purgeS,
  repeatedLoads,
  wallSpec,
  type CycleParts,
  type LoadGroup,
  type Loads,
} from '../../model/steam';
import { thermalShares } from '../../model/batter';
import { thermalProperties } from '../../larder';
import { wallOf } from '../../model/vessel';
import type { PourInput } from './input';
import { roomOf } from './pour';

/** Seconds of the hands: filling one, oiling one, lifting a set, releasing one. */
const HANDS = {
  cups: { fillS: 4, oilS: 1.5, liftS: 8, releaseS: 5 },
  sheets: { fillS: 25, oilS: 8, liftS: 8, releaseS: 25 },
  pans: { fillS: 60, oilS: 0, liftS: 12, releaseS: 30 },
} as const;
/** A mould counts as hot this near to the steam, °C. */
const HOT_WITHIN_C = 5;
/** A mould out of the steam loses heat to the air at this, W/(m²·K). */
const AIR_H = 10;
/** Cooling in the mould is looked for this long, s. */
const LONGEST_COOL_S = 3600;
/** A raw filling lies this thick on a sheet; its middle, from the fridge, must be safe. */
const FILLING_M = 0.008;
const FILLING_HANDS_S = 15;

/** Time constant of a mould's wall in a film, s. */
const wallTauS = ({ vessel }: PourInput, filmH: number): number => {
  const w = wallOf(vessel);
  return (w.thicknessM * w.rho * w.c) / filmH;
};

/** Empty moulds in the steam from a temperature until they are hot, s. */
function heatS(input: PourInput, fromC: number): number {
  const lack = input.boilC - fromC;
  return lack <= HOT_WITHIN_C ? 0 : wallTauS(input, dialFilm(input.powerW.value)) * Math.log(lack / HOT_WITHIN_C);
}

/** Once it is out of the steam: until what is in the mould can be released, s, by cooling on the counter. */
function* coolInMouldS(input: PourInput, releaseC: number, from: ConductionRun): Turns<number> {
  const { vessel, paper, kitchen, body } = input;
  const { curve } = yield* cool({
    from,
    vessel,
    depthM: input.cookedM,
    material: cakeMaterial(body),
    wall: wallSpec(vessel, paper),
    stages: [{ where: 'counter', timeS: 60 }],
    kitchen,
    releaseC,
    cutC: releaseC,
    open: false,
  });
  return Math.min(LONGEST_COOL_S, crossing(curve, (p) => p.centreC, releaseC) ?? LONGEST_COOL_S);
}

/** Steam until a raw filling is safe in its middle, s: a slab of it on a sheet, steamed from above. */
function safeS({ body, boilC: steamC, powerW, kitchen }: PourInput, safeC: number): number {
  const shares = thermalShares(body.parts);
  const props = thermalProperties(shares, 50);
  const film = { filmH: dialFilm(powerW.value), outerR: 0, innerR: 0, capacity: 0, ambientC: steamC };
  const run = conduct({
    grid: roundGrid(() => 0.05, FILLING_M, 1, 12),
    materials: [constantMaterial(props.k, props.rho * props.c)],
    initialC: kitchen.fridgeC,
    sides: { base: { ...film, outerR: 0.002 }, wall: { ...film, filmH: 1e-9 }, top: film },
    toleranceC: 1,
  });
  while (run.timeS() < 1800) {
    run.advance(1800);
    let least = Infinity;
    for (const t of run.temp) least = Math.min(least, t);
    if (least >= safeC) return run.timeS();
  }
  return 1800;
}

/** Pieces steamed alike: raw fillings go on the set sheet and steam once more until they are safe. */
function groupsOf(input: PourInput, steamS: number): LoadGroup[] {
  const one = { handsS: 0, steamS };
  let left = input.vesselCount;
  const groups = input.raw.map(({ filling: name, pieces: wanted, safeC }): LoadGroup => {
    const pieces = Math.min(left, wanted);
    left -= pieces;
    return { name, pieces, stages: [one, { handsS: FILLING_HANDS_S, steamS: safeS(input, safeC) }] };
  });
  return [...groups, { name: 'all', pieces: left, stages: [one] }].filter((g) => g.pieces > 0);
}

interface Sets {
  readonly sets: number[];
  readonly places: number;
}

/** More sets than fit tiers at the least that are tried: smaller ones overlap better, and cost more hands. */
const FINER = 3;

/**
 * Ways to divide the moulds that are owned into sets that are handled together, as even as they go: cups by the tier-full or less, sheets and
 * pans one by one.
 */
function waysOf({ how, vessel, vesselCount, steamer, perTier: fits }: PourInput): Sets[] {
  const perTier = Math.max(1, fits);
  const owned = Math.max(1, Math.min(vessel.count, vesselCount));
  if (how !== 'cups') return [{ sets: Array.from({ length: owned }, () => 1), places: steamer.tiers * perTier }];
  const fewest = Math.ceil(owned / perTier);
  return Array.from({ length: FINER }, (_, i) => fewest + i)
    .filter((n) => n <= owned)
    .map((n) => {
      const sets = Array.from({ length: n }, (_, i) => Math.floor(owned / n) + (i < owned % n ? 1 : 0));
      return { sets, places: steamer.tiers * Math.max(1, Math.floor(perTier / there(sets[0]))) };
    });
}

/**
 * Repeated loads of cups, sheets, and pans of which more are wanted than go in at a time, or are owned.
 * @param steamS one load in the steam, s
 * @param run the field at the end of one load
 */
export function* loadsOf(input: PourInput, steamS: number, run: ConductionRun): Turns<Loads> {
  const hands = HANDS[input.how === 'steamed' ? 'pans' : input.how];
  const { roomC } = input.kitchen;
  const inside = input.preheated;
  const parts: CycleParts = {
    preheatS: inside ? heatS(input, roomC) : 0,
    reheatS: (outS) => {
      const warm = roomC + (input.boilC - roomC) * Math.exp(-outS / wallTauS(input, AIR_H));
      return inside ? heatS(input, warm) : 0;
    },
    oilS: hands.oilS,
    fillS: hands.fillS,
    liftS: hands.liftS,
    releaseS: hands.releaseS,
    coolS: input.releaseC === null ? 0 : yield* coolInMouldS(input, input.releaseC, run),
    purgeS: purgeS(roomOf(input, 1).volumeM3, input.powerW.value),
    filledInside: inside,
  };
  const groups = groupsOf(input, steamS);
  return waysOf(input)
    .map((way) => repeatedLoads({ groups, ...way, parts }))
    .reduce((best, l) => (l.finishS < best.finishS - 1 ? l : best));
}

/** Why loads take the time they take. */
export const LOADS_LAWS: readonly Law[] = [
  {
    at: 'heat.loads.**',
    law: 'Loads one after another: hands, moulds and places as resources, reheating by the wall’s time constant, an open lid stops all that steams and is purged.',
    from: [
      'heat.steam.times.planForS',
      ...fieldsOf<PourInput>('inputs.steam')('perTier', 'vessel.count', 'vesselCount', 'powerW'),
    ],
  },
];

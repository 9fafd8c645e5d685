import { conduct, constantMaterial, roundGrid, type ConductionRun } from './heat';
import { cool, crossing } from './rest';
import { dialFilm, purgeS, repeatedLoads, type CycleParts, type LoadGroup, type Loads } from './steam';
import { coolingInput } from './forecastRest';
import { thermalShares } from './mix';
import { thermalProperties } from './larder';
import { WALLS } from './vessel';
import { boilOf, roomOf, steamingPower } from './steamSetting';
import type { LightForecast } from './forecast.types';

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
const wallTauS = (light: LightForecast, filmH: number): number => {
  const w = WALLS[light.resolved.vessel.material];
  return (w.thicknessM * w.rho * w.c) / filmH;
};

/** Empty moulds in the steam from a temperature until they are hot, s. */
function heatS(light: LightForecast, fromC: number): number {
  const steamC = boilOf(light);
  const lack = steamC - fromC;
  return lack <= HOT_WITHIN_C
    ? 0
    : wallTauS(light, dialFilm(steamingPower(light).value)) * Math.log(lack / HOT_WITHIN_C);
}

/** Once it is out of the steam: until what is in the mould can be released, s, by cooling on the counter. */
function coolInMouldS(light: LightForecast, run: ConductionRun): number {
  const input = coolingInput(light, run, [{ where: 'counter', timeS: 60 }]);
  const { curve } = cool(input);
  return Math.min(LONGEST_COOL_S, crossing(curve, (p) => p.centreC, light.family.releaseC) ?? LONGEST_COOL_S);
}

/** Steam until a raw filling is safe in its middle, s: a slab of it on a sheet, steamed from above. */
function safeS(light: LightForecast, safeC: number): number {
  const shares = thermalShares(light.balance.whole);
  const props = thermalProperties(shares, 50);
  const steamC = boilOf(light);
  const film = { filmH: dialFilm(steamingPower(light).value), outerR: 0, innerR: 0, capacity: 0, ambientC: steamC };
  const run = conduct({
    grid: roundGrid(() => 0.05, FILLING_M, 1, 12),
    materials: [constantMaterial(props.k, props.rho * props.c)],
    initialC: light.resolved.kitchen.fridgeC,
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
function groupsOf(light: LightForecast, steamS: number): LoadGroup[] {
  const { plan } = light.resolved;
  const one = { handsS: 0, steamS };
  const raw = light.family.cooked === 'sheets' ? plan.fillings.filter((f) => f.doneness === 'raw') : [];
  let left = plan.vesselCount;
  const groups = raw.map((f): LoadGroup => {
    const pieces = Math.min(left, f.count);
    left -= pieces;
    return {
      name: f.id,
      pieces,
      stages: [one, { handsS: FILLING_HANDS_S, steamS: safeS(light, f.safeC) }],
    };
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
function waysOf(light: LightForecast): Sets[] {
  const { plan, vessel, steamer } = light.resolved;
  const perTier = Math.max(1, light.fill.perTier);
  const owned = Math.max(1, Math.min(vessel.count, plan.vesselCount));
  if (light.family.cooked !== 'cups')
    return [{ sets: Array.from({ length: owned }, () => 1), places: steamer.tiers * perTier }];
  const fewest = Math.ceil(owned / perTier);
  return Array.from({ length: FINER }, (_, i) => fewest + i)
    .filter((n) => n <= owned)
    .map((n) => {
      const sets = Array.from({ length: n }, (_, i) => Math.floor(owned / n) + (i < owned % n ? 1 : 0));
      return { sets, places: steamer.tiers * Math.max(1, Math.floor(perTier / sets[0])) };
    });
}

/**
 * Repeated loads of cups, sheets, and pans of which more are wanted than go in at a time, or are owned. Undefined for one load.
 * @param steamS one load in the steam, s
 * @param run the field at the end of one load
 */
export function loadsOf(light: LightForecast, steamS: number, run: ConductionRun): Loads | undefined {
  const { cooked } = light.family;
  const kind = cooked === 'cups' ? 'cups' : cooked === 'sheets' ? 'sheets' : 'pans';
  if (kind === 'pans' && light.fill.loads <= 1) return undefined;
  const hands = HANDS[kind];
  const { roomC } = light.resolved.kitchen;
  const inside = kind !== 'pans';
  const peeledHot = kind === 'sheets' && light.resolved.plan.schools.release !== 'cool';
  const parts: CycleParts = {
    preheatS: inside ? heatS(light, roomC) : 0,
    reheatS: (outS) => {
      const warm = roomC + (boilOf(light) - roomC) * Math.exp(-outS / wallTauS(light, AIR_H));
      return inside ? heatS(light, warm) : 0;
    },
    oilS: hands.oilS,
    fillS: hands.fillS,
    liftS: hands.liftS,
    releaseS: hands.releaseS,
    coolS: peeledHot ? 0 : coolInMouldS(light, run),
    purgeS: purgeS(roomOf(light, 1).volumeM3, steamingPower(light).value),
    filledInside: inside,
  };
  const groups = groupsOf(light, steamS);
  return waysOf(light)
    .map((way) => repeatedLoads({ groups, ...way, parts }))
    .reduce((best, l) => (l.finishS < best.finishS - 1 ? l : best));
}

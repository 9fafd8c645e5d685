import { hashOf } from './flow';
import { MODEL_VERSION } from './units';
import { ALONE, type SteamContext } from './steamContext';
import { logFactorOf, standOf } from './steamSetting';
import type { LightForecast } from './forecast.types';

/** One piece of heavy work, named by a hash of all that it depends on: the same hash has the same answer. */
export interface HeatJob {
  readonly kind: 'steam' | 'rest' | 'sear';
  readonly hash: string;
}
export interface HeatJobs {
  readonly steam: HeatJob;
  readonly rest: HeatJob;
  readonly sear: HeatJob;
  /** Names all three: nothing is to be recomputed while it stays. */
  readonly hash: string;
}

/** Answers to heat jobs by hash, least recently asked first out. */
export interface HeatCache {
  readonly get: <T>(hash: string, work: () => T) => T;
}

/** A cache that keeps the answers of the last few plans. */
export function heatCache(most = 12): HeatCache {
  const kept = new Map<string, unknown>();
  return {
    get<T>(hash: string, work: () => T): T {
      if (kept.has(hash)) {
        const found = kept.get(hash) as T;
        kept.delete(hash);
        kept.set(hash, found);
        return found;
      }
      const made = work();
      kept.set(hash, made);
      if (kept.size > most) kept.delete(kept.keys().next().value ?? '');
      return made;
    },
  };
}

/** The heat jobs of an evaluated plan: what is steamed, what rests, what is seared. */
export function heatJobs(light: LightForecast, context: SteamContext = ALONE): HeatJobs {
  const { plan, kitchen, vessel, steamer, ring, fryingPan } = light.resolved;
  const { family, balance, pour, fill } = light;
  const cake = [
    balance.whole,
    pour.startC.value,
    pour.startG,
    light.gelling,
    fill.depthM,
    fill.cookedM,
    family.id,
    light.body,
    vessel,
    plan.paper,
  ];
  const steam = hashOf(
    JSON.stringify([
      cake,
      balance.batters.map((b) => [b.parts, b.massG]),
      light.gellings,
      light.consistency.map((c) => c.stirEveryS),
      [
        fill.perLoad,
        fill.perTier,
        fill.loads,
        fill.gap?.topShare,
        plan.vesselCount,
        plan.layers,
        plan.colours.map((c) => [c.name, c.colour]),
      ],
      plan.batters.map((b) => [b.name, b.colour]),
      [steamer, ring.measuredPowerW, ring.kind, ring.leftoverS, plan.heat, plan.heatPhases, plan.pressureRelease],
      [kitchen.altitudeM, kitchen.roomC, kitchen.fridgeC],
      [plan.schools.dripGuard, plan.schools.lining, plan.schools.release],
      [
        standOf(light),
        pour.startC.sd,
        pour.startSetSd,
        fill.measured,
        fill.others.map((o) => [o.count, o.cookedM, o.vessel]),
        plan.readings['boil-up:steamer']?.waterMl,
        plan.fillings.map((f) => [f.id, f.count, f.doneness, f.safeC]),
        family.cooked === 'pan-film' ? fryingPan : null,
        family.cooked === 'pot' ? light.evaluated.nodes.find((n) => n.node.op === 'cook-through')?.figures.stirS : null,
      ],
      light.problems.map((p) => p.code),
      context,
      logFactorOf(light),
      MODEL_VERSION,
    ]),
  );
  const rest = hashOf(
    JSON.stringify([steam, plan.cooling, plan.wrap, kitchen.roomC, kitchen.fridgeC, family.releaseC, family.cutC]),
  );
  const sear = hashOf(
    JSON.stringify([
      balance.whole,
      light.body.gasShare,
      light.piece,
      light.pieces,
      light.packing?.perLoad,
      plan.sear,
      plan.schools.serve,
      kitchen.roomC,
      fryingPan,
    ]),
  );
  return {
    steam: { kind: 'steam', hash: steam },
    rest: { kind: 'rest', hash: rest },
    sear: { kind: 'sear', hash: sear },
    hash: `${rest}.${sear}`,
  };
}

import { covarianceOf, EFFECT_KINDS, isAlike, whoIs, type Kitchen, type TimeFactors, type Who } from '../../kitchen';
import type { ResolvedPlan } from '../../plan';

/** What was learned of those that cook: their effects, and how these hang together. */
function factorsFor(learned: TimeFactors, who: Who): TimeFactors {
  const at = EFFECT_KINDS.flatMap((kind) => {
    const i = learned.effects.findIndex((e) => e.kind === kind && e.key === who[kind]);
    const effect = learned.effects[i];
    return effect ? [{ i, effect }] : [];
  });
  return {
    modelVersion: learned.modelVersion,
    effects: at.map((x) => x.effect),
    covariance: at.flatMap(({ i }, row) => at.slice(0, row + 1).map((x) => covarianceOf(learned, i, x.i))),
  };
}

/**
 * What a plan takes of a kitchen: its own things, the settings and what was learned of them, without the rest of rack and larder. All pots stay:
 * which of them a step is done in goes by what was weighed.
 */
export function kitchenFor({ plan, kitchen, vessel, also, steamer, hob, fryingPan }: ResolvedPlan): Kitchen {
  const lists: readonly (readonly { readonly ingredient: string }[])[] = [
    ...[plan.batters, plan.fillings, plan.colours, plan.accompaniments].flatMap((groups) => groups.map((g) => g.lines)),
    plan.addIns,
  ];
  const used = new Set(lists.flatMap((lines) => lines.map((l) => l.ingredient)));
  const offsets = kitchen.textureOffsets[plan.family];
  const vessels = new Set([vessel.id, ...also.map((a) => a.vessel.id)]);
  return {
    ...kitchen,
    myCups: Object.fromEntries(Object.entries(kitchen.myCups).filter(([id]) => used.has(id))),
    ingredients: kitchen.ingredients.filter((i) => used.has(i.id)),
    vessels: kitchen.vessels.filter((v) => vessels.has(v.id) || isAlike(v, vessel)),
    steamers: kitchen.steamers.filter((s) => s.id === steamer.id),
    hobs: kitchen.hobs.filter((h) => h.id === hob.id),
    fryingPans: kitchen.fryingPans.filter((p) => p.id === fryingPan.id),
    textureOffsets: offsets ? { [plan.family]: offsets } : {},
    timeFactors: factorsFor(kitchen.timeFactors, whoIs(steamer.id, plan.firstHeat, plan.family, plan.name)),
    forgotten: { batches: [] },
  };
}

import { filmVessel } from './filmVessel';
import { wayOf, type Family, formulaOf } from '../../families';
import { GRAMS_A_HEAD } from '../../cake/gramsAHead';
import {
  DEFAULT_PAN,
  MOST_VESSELS,
  panAreaM2,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Ring,
  type Vessel,
} from '../../kitchen';
import { scalePlan, type Plan } from '../../plan';
import { inSentence, plural, sentenceCase } from '../../units';
import { volumeAtDepth } from '../../model/vessel';
import { inDefault, inPans, insteadOf, lightOf } from './inVessels';

export interface NewPlan {
  readonly plan: Plan;
  /** What was chosen, and why where it is not what was asked for. */
  readonly said: readonly string[];
}
export interface Wanted {
  readonly guests?: number;
  readonly role?: Plan['role'];
}

/** The ring with most measured, then the first: what is known of it is worth more than its place. */
const bestRing = (hobs: readonly Hob[]): { readonly hob: Hob; readonly ring: Ring } | undefined =>
  hobs
    .flatMap((hob) => hob.rings.map((ring) => ({ hob, ring })))
    .map((x, i) => ({ ...x, i, known: Object.keys(x.ring.measuredPowerW).length }))
    .sort((a, b) => b.known - a.known || a.i - b.i)[0];

const COATED: Readonly<Record<FryingPan['coating'], number>> = { 'non-stick': 2, seasoned: 1, bare: 0 };

/** A pan for films: coated, round, with a lid, in that order; for searing the largest. */
const filmPan = (pans: readonly FryingPan[]): FryingPan | undefined =>
  [...pans]
    .filter((p) => p.shape === 'round')
    .sort(
      (a, b) => COATED[b.coating] - COATED[a.coating] || Number(b.lid) - Number(a.lid) || panAreaM2(b) - panAreaM2(a),
    )[0];
const searPan = (pans: readonly FryingPan[]): FryingPan | undefined =>
  [...pans].sort((a, b) => panAreaM2(b) - panAreaM2(a))[0];

/**
 * A plan of a family that fits the kitchen it is made in: scaled to its guests, in the best pans, moulds or trays of the rack and as many
 * as it takes, in the steamer that needs the fewest loads, on the ring that is known best; films in a coated pan. Where the rack has
 * nothing for it, one sensible default, said.
 */
export function newPlan(family: Family, kitchen: Kitchen, wanted: Wanted = {}): NewPlan {
  const said: string[] = [];
  const role = wanted.role ?? formulaOf(family).role;
  const guests = wanted.guests ?? formulaOf(family).guests;
  const shipped = formulaOf(family);
  const ringed = bestRing(kitchen.hobs);
  const base: Plan = {
    ...shipped,
    role,
    guests,
    ...(ringed ? { hob: ringed.hob.id, ring: ringed.ring.id } : {}),
    ...(shipped.sear && searPan(kitchen.fryingPans) ? { fryingPan: searPan(kitchen.fryingPans)?.id } : {}),
  };
  const asShipped = lightOf({ ...base, vessel: shipped.vessel, steamer: shipped.steamer }, kitchen);
  const needG = GRAMS_A_HEAD[role] * guests;
  const asked = wanted.guests !== undefined || wanted.role !== undefined;
  const plan =
    asked && asShipped && asShipped.balance.massG > 0 ? scaledFor(base, needG / asShipped.balance.massG) : base;
  if (ringed && wayOf(family).overSteam) said.push(`On the ${inSentence(ringed.ring.name)}.`);

  if (wayOf(family).into === 'film') {
    const pan = filmPan(kitchen.fryingPans);
    const own = typeof shipped.vessel === 'object' ? shipped.vessel : filmVessel(DEFAULT_PAN);
    const filmed = films(plan, pan ? filmVessel(pan) : own, family, kitchen);
    return {
      plan: pan ? { ...filmed.plan, fryingPan: pan.id } : filmed.plan,
      said: [
        pan
          ? `${plural(filmed.plan.vesselCount, 'film')} in ${inSentence(pan.name)}.`
          : `No frying pan is on the rack: planned for ${inSentence(own.name)}.`,
        ...(filmed.scaled ? [`Makes ${filmed.scaled}.`] : []),
        ...(pan?.coating === 'bare' ? ['It has no coating: oil it for every film.'] : []),
      ],
    };
  }
  const steamers = wayOf(family).overSteam && kitchen.steamers.length > 0 ? kitchen.steamers : [undefined];
  const tries = steamers.flatMap((s) => {
    const own = { ...plan, vessel: undefined, vesselCount: 1, ...(s ? { steamer: s.id } : {}) };
    const ownSteamer = s ?? lightOf(plan, kitchen)?.resolved.steamer;
    const p = ownSteamer && inPans(own, family, kitchen, ownSteamer);
    return p ? [{ ...p, steamer: s, loads: lightOf(p.plan, kitchen)?.fill.loads ?? 99 }] : [];
  });
  const best = tries.sort(
    (a, b) => Number(a.scaled !== undefined) - Number(b.scaled !== undefined) || a.loads - b.loads,
  )[0];
  if (best) {
    if (best.scaled) said.unshift(`Makes ${best.scaled}.`);
    said.unshift(`${sentenceCase(best.words)}${best.steamer ? `, ${inSentence(best.steamer.name)}` : ''}.`);
    return { plan: best.plan, said };
  }
  const steamer = steamers[0];
  const own = { ...plan, ...(steamer ? { steamer: steamer.id } : {}) };
  const s = steamer ?? lightOf(plan, kitchen)?.resolved.steamer;
  const fallback = s ? inDefault(own, family, kitchen, s) : undefined;
  said.unshift(
    kitchen.vessels.length === 0
      ? `Nothing is on the rack yet: planned for ${fallback?.words ?? 'a usual vessel'}. Put your own there and choose it.`
      : `Nothing on the rack suits this cake: planned for ${fallback?.words ?? 'a usual vessel'}.`,
  );
  if (fallback?.scaled) said.splice(1, 0, `Makes ${fallback.scaled}.`);
  return { plan: fallback?.plan ?? own, said };
}

/** Scaled by mass; moulds, sheets and films follow in number. */
const scaledFor = (plan: Plan, by: number): Plan => ({
  ...scalePlan(plan, by),
  vesselCount: Math.min(MOST_VESSELS, Math.max(1, Math.round(plan.vesselCount * by))),
});

/** Films of a pan: as many as the batter makes at the middle of the depth band; of more than a plan names, so much less batter. */
function films(
  plan: Plan,
  vessel: Vessel,
  family: Family,
  kitchen: Kitchen,
): { readonly plan: Plan; readonly scaled?: string } {
  const light = lightOf({ ...plan, vessel }, kitchen);
  const each = volumeAtDepth(vessel, (family.depthMm[0] + family.depthMm[1]) / 2000);
  const count = Math.max(1, Math.round((light?.balance.volumeMl ?? 0) / Math.max(each, 1e-9)));
  if (count <= MOST_VESSELS) return { plan: { ...plan, vessel, vesselCount: count } };
  const by = MOST_VESSELS / count;
  return {
    plan: { ...scalePlan(plan, by), vessel, vesselCount: MOST_VESSELS },
    scaled: insteadOf(light?.balance.massG ?? 0, by),
  };
}

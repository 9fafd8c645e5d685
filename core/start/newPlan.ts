import { panNeed } from '../bands';
import { isSteamed, type Family } from '../families';
import { forecastLight, GRAMS_A_HEAD } from '../forecastLight';
import type { LightForecast } from '../forecast.types';
import {
  DEFAULT_VESSEL,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Ring,
  type Steamer,
  type Vessel,
} from '../kitchen';
import { scalePlan, type Plan } from '../plan';
import { inSentence, plural, sayGrams, sayMm, sentenceCase } from '../units';
import { choosePans, volumeAtDepth, widestRoundM, type PanChoice } from '../vessel';

export interface NewPlan {
  readonly plan: Plan;
  /** What was chosen, and why where it is not what was asked for. */
  readonly said: readonly string[];
}
export interface Wanted {
  readonly guests?: number;
  readonly role?: Plan['role'];
}

/** Vessels a plan can name. */
const MOST = 200;

/** The ring with most measured, then the first: what is known of it is worth more than its place. */
const bestRing = (hobs: readonly Hob[]): { readonly hob: Hob; readonly ring: Ring } | undefined =>
  hobs
    .flatMap((hob) => hob.rings.map((ring) => ({ hob, ring })))
    .map((x, i) => ({ ...x, i, known: Object.keys(x.ring.measuredPowerW).length }))
    .sort((a, b) => b.known - a.known || a.i - b.i)[0];

const COATED: Readonly<Record<FryingPan['coating'], number>> = { 'non-stick': 2, seasoned: 1, bare: 0 };
const area = (p: FryingPan): number =>
  p.diameterM * (p.shape === 'round' ? p.diameterM * 0.785 : (p.widthM ?? p.diameterM));

/** A pan for films: coated, round, with a lid, in that order; for searing the largest. */
const filmPan = (pans: readonly FryingPan[]): FryingPan | undefined =>
  [...pans]
    .filter((p) => p.shape === 'round')
    .sort((a, b) => COATED[b.coating] - COATED[a.coating] || Number(b.lid) - Number(a.lid) || area(b) - area(a))[0];
const searPan = (pans: readonly FryingPan[]): FryingPan | undefined => [...pans].sort((a, b) => area(b) - area(a))[0];

/** A frying pan as the vessel of a film. */
export const filmVessel = (p: FryingPan): Vessel => ({
  id: `film-${p.id}`.slice(0, 80),
  name: p.name,
  shape: 'round',
  material: p.material === 'aluminium' ? 'aluminium' : 'steel',
  diameterM: p.diameterM,
  heightM: 0.05,
  count: 1,
  provenance: 'measured',
});

const lightOf = (plan: Plan, kitchen: Kitchen): LightForecast | undefined => {
  const l = forecastLight(plan, kitchen);
  return l.ok ? l.value : undefined;
};
const cooks = (plan: Plan, kitchen: Kitchen): boolean => lightOf(plan, kitchen)?.problems.length === 0;

interface Placed {
  readonly plan: Plan;
  readonly words: string;
  readonly scaled?: string;
}

/** Whole layers at the middle of their band, within what the family stacks. */
function layersFor(family: Family, depthM: number): number | undefined {
  const { layerMm, layers } = family;
  if (!layerMm || !layers) return undefined;
  return Math.min(layers[1], Math.max(layers[0], Math.round((1000 * depthM) / ((layerMm[0] + layerMm[1]) / 2))));
}

const placed = (plan: Plan, family: Family, c: PanChoice, gramsAMl: number): Plan => ({
  ...plan,
  ...(family.layerMm ? { layers: layersFor(family, c.fill.depthM) } : {}),
  vessel: c.vessel.id,
  vesselCount: Math.min(MOST, c.count),
  alsoVessels: c.also
    ? [
        {
          id: 'moulds',
          vessel: c.also.vessel.id,
          count: Math.min(MOST, c.also.count),
          massEachG: c.also.eachMl * gramsAMl,
        },
      ]
    : [],
});

/** The plan in the best of the rack's vessels; scaled where only another amount lies in the depth band there. */
function inPans(plan: Plan, family: Family, kitchen: Kitchen, steamer: Steamer): Placed | undefined {
  const light = lightOf(plan, kitchen);
  const need = light && panNeed(family, steamer, light.balance.volumeMl);
  if (!light || !need) return undefined;
  const gramsAMl = light.balance.massG / Math.max(light.balance.volumeMl, 1e-9);
  const words = (c: PanChoice) => {
    const name = inSentence(c.vessel.name);
    if (need.use === 'sheets') return `${plural(c.count, 'sheet')} of ${sayMm(c.fill.depthM)} in ${name}`;
    if (need.use === 'moulds') return `${name}, ${c.count} fills of ${sayMm(c.fill.depthM)}`;
    const also = c.also ? ` and ${c.also.count} × ${inSentence(c.also.vessel.name)}` : '';
    return `${c.count > 1 ? `${c.count} × ` : ''}${name}${also}, ${sayMm(c.fill.depthM)} deep`;
  };
  for (const c of choosePans(kitchen.vessels, need, 20).filter((x) => x.inBand)) {
    const next = placed(plan, family, c, gramsAMl);
    if (cooks(next, kitchen)) return { plan: next, words: words(c) };
  }
  // No vessel holds this amount in its band: the amount that one of them would, nearest to what was asked.
  const middle = (need.bandMm[0] + need.bandMm[1]) / 2000;
  const other = kitchen.vessels
    .flatMap((v) =>
      Array.from({ length: need.use === 'pans' ? Math.min(v.count, 12) : MOST }, (_, i) => ({ v, n: i + 1 })),
    )
    .map(({ v, n }) => {
      const depthM = Math.min(middle, (0.97 * v.heightM) / need.rise);
      return { by: (volumeAtDepth(v, depthM) * n) / Math.max(light.balance.volumeMl, 1e-9) };
    })
    .filter(({ by }) => by > 0.15 && by < 4)
    .sort((a, b) => Math.abs(Math.log(a.by)) - Math.abs(Math.log(b.by)));
  for (const { by } of other) {
    const scaled = scalePlan(plan, by);
    const [c] = choosePans(kitchen.vessels, { ...need, volumeMl: need.volumeMl * by }, 20).filter((x) => x.inBand);
    const next = c && placed(scaled, family, c, gramsAMl);
    if (next && cooks(next, kitchen))
      return {
        plan: next,
        words: words(c),
        scaled: `${sayGrams(light.balance.massG * by)} instead of ${sayGrams(light.balance.massG)}: what ${c.count > 1 ? 'they hold' : 'it holds'} ${sayMm(c.fill.depthM)} deep`,
      };
  }
  return undefined;
}

/** One sensible vessel where the rack has none: the formula's own small one, or a round tin that lets the steam by. */
function inDefault(plan: Plan, family: Family, kitchen: Kitchen, steamer: Steamer): Placed | undefined {
  const own = typeof plan.vessel === 'object' ? plan.vessel : undefined;
  const light = lightOf(plan, kitchen);
  const volumeMl = light?.balance.volumeMl ?? 1000;
  const steamed = isSteamed(family);
  const widest = Math.floor((steamed ? Math.min(0.26, widestRoundM(steamer, DEFAULT_VESSEL)) : 0.26) * 100) / 100;
  const tin = (d: number, n: number): Vessel => ({
    shape: 'round',
    material: DEFAULT_VESSEL.material,
    provenance: 'default',
    id: `round-tin-${Math.round(d * 100)}`,
    name: `Round tin, ${Math.round(d * 100)} cm`,
    diameterM: d,
    heightM: steamed ? Math.min(0.06, steamer.clearHeightM) : 0.06,
    count: n,
  });
  // The usual 20 cm first, then what hits the band, then as many as it takes.
  const sizes = [0.2, 0.18, 0.22, 0.24, 0.16, 0.14].filter((d) => d <= widest + 1e-9);
  const tins = [1, 2, 3, 4, 6, 8].flatMap((n) => sizes.map((d) => tin(d, n)));
  const candidates = own ? [own, ...tins] : tins;
  for (const v of candidates) {
    const count = own === v ? plan.vesselCount : v.count;
    const next: Plan = { ...plan, vessel: v, vesselCount: count };
    const l = lightOf(next, kitchen);
    if (!l || l.problems.length > 0) continue;
    const deep = l.fill.depthM * 1000;
    if (deep < family.depthMm[0] || deep > family.depthMm[1]) continue;
    const layers = layersFor(family, l.fill.depthM);
    return {
      plan: layers === undefined ? next : { ...next, layers },
      words: `${count > 1 ? `${count} × ` : ''}${inSentence(v.name)}, ${sayMm(l.fill.depthM)} deep`,
    };
  }
  // Nothing at this amount: a single tin filled to the middle of the band.
  const v = tin(sizes[0] ?? widest, 1);
  const by =
    volumeAtDepth(v, Math.min((family.depthMm[0] + family.depthMm[1]) / 2000, (0.9 * v.heightM) / family.rise)) /
    volumeMl;
  const next: Plan = { ...scalePlan(plan, by), vessel: v, vesselCount: 1 };
  return cooks(next, kitchen) ? { plan: next, words: `${inSentence(v.name)}, less of it` } : undefined;
}

/**
 * A plan of a family that fits the kitchen it is made in: scaled to its guests, in the best pans, moulds or trays of the rack and as many
 * as it takes, in the steamer that needs the fewest loads, on the ring that is known best; films in a coated pan. Where the rack has
 * nothing for it, one sensible default, said.
 */
export function newPlan(family: Family, kitchen: Kitchen, wanted: Wanted = {}): NewPlan {
  const said: string[] = [];
  const role = wanted.role ?? family.formula().role;
  const guests = wanted.guests ?? family.formula().guests;
  const shipped = family.formula();
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
  if (ringed && isSteamed(family)) said.push(`On the ${inSentence(ringed.ring.name)}.`);

  if (family.cooked === 'pan-film') {
    const pan = filmPan(kitchen.fryingPans);
    if (!pan) return { plan, said: ['No frying pan is on the rack: planned for a covered pan, 22 cm across.'] };
    const filmed = films(plan, filmVessel(pan), family, kitchen);
    return {
      plan: { ...filmed, fryingPan: pan.id },
      said: [
        `${plural(filmed.vesselCount, 'film')} in ${inSentence(pan.name)}.`,
        ...(pan.coating === 'bare' ? ['It has no coating: oil it for every film.'] : []),
      ],
    };
  }
  const steamers = isSteamed(family) && kitchen.steamers.length > 0 ? kitchen.steamers : [undefined];
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
  return { plan: fallback?.plan ?? own, said };
}

/** Scaled by mass; moulds, sheets and films follow in number. */
const scaledFor = (plan: Plan, by: number): Plan => ({
  ...scalePlan(plan, by),
  vesselCount: Math.min(MOST, Math.max(1, Math.round(plan.vesselCount * by))),
});

/** Films of a pan: as many as the batter makes at the middle of the depth band. */
function films(plan: Plan, vessel: Vessel, family: Family, kitchen: Kitchen): Plan {
  const light = lightOf({ ...plan, vessel }, kitchen);
  const each = volumeAtDepth(vessel, (family.depthMm[0] + family.depthMm[1]) / 2000);
  const count = Math.round((light?.balance.volumeMl ?? 0) / Math.max(each, 1e-9));
  return { ...plan, vessel, vesselCount: Math.min(MOST, Math.max(1, count)) };
}

import { panNeed } from '../../stations/mix';
import { wayOf, type Family } from '../../families';
import { forecastLight } from '../../forecast/light';
import type { LightForecast } from '../../forecast/forecast.types';
import { DEFAULT_VESSEL, kindsOf, MOST_VESSELS, type Kitchen, type Steamer, type Vessel } from '../../kitchen';
import { scalePlan, type Plan } from '../../plan';
import { inSentence, plural, sayGrams, sayMm } from '../../units';
import { choosePans, holdsSuch, volumeAtDepth, widestRoundM, type PanChoice } from '../../model/vessel';

/** Problems of a vessel that no other amount of batter mends. */
const DOES_NOT_GO_IN = new Set(['pan-too-wide', 'pan-too-tall', 'no-steam-gap']);
/** Amounts tried before the rack is given up on. */
const MOST_TRIES = 80;

/** The light forecast; undefined where the plan cannot be read. */
export const lightOf = (plan: Plan, kitchen: Kitchen): LightForecast | undefined => {
  const l = forecastLight(plan, kitchen);
  return l.ok ? l.value : undefined;
};
const cooks = (plan: Plan, kitchen: Kitchen): boolean => lightOf(plan, kitchen)?.problems.length === 0;

export interface Placed {
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
  vesselCount: Math.min(MOST_VESSELS, c.count),
  alsoVessels: c.also
    ? [
        {
          id: 'moulds',
          vessel: c.also.vessel.id,
          count: Math.min(MOST_VESSELS, c.also.count),
          massEachG: c.also.eachMl * gramsAMl,
        },
      ]
    : [],
});

/** The plan in the best of the rack's vessels; scaled where only another amount lies in the depth band there. */
export function inPans(plan: Plan, family: Family, kitchen: Kitchen, steamer: Steamer): Placed | undefined {
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
  const counts = (v: Vessel) => (need.use === 'pans' ? Math.min(v.count, 12) : MOST_VESSELS);
  const options = kindsOf(kitchen.vessels)
    .filter((v) => holdsSuch(v, need))
    .flatMap((v) => upTo(counts(v)).map((n) => ({ v, n })));
  for (const { by } of nearestFirst(options, family, light.balance.volumeMl)) {
    const scaled = scalePlan(plan, by);
    const [c] = choosePans(kitchen.vessels, { ...need, volumeMl: need.volumeMl * by }, 20).filter((x) => x.inBand);
    const next = c && placed(scaled, family, c, gramsAMl);
    if (next && cooks(next, kitchen))
      return {
        plan: next,
        words: words(c),
        scaled: `${insteadOf(light.balance.massG, by)}: what ${c.count > 1 ? 'they hold' : 'it holds'} ${sayMm(c.fill.depthM)} deep`,
      };
  }
  return undefined;
}

const upTo = (n: number): readonly number[] => Array.from({ length: n }, (_, i) => i + 1);
/** "4625 g instead of 7200 g", and how often that is cooked for all of it. */
export const insteadOf = (massG: number, by: number): string =>
  `${sayGrams(massG * by)} instead of ${sayGrams(massG)}${by < 0.9 ? ` (${Math.ceil(1 / by - 0.1)} batches make it all)` : ''}`;

interface Option {
  readonly v: Vessel;
  readonly n: number;
}
/** What so many vessels hold within the depth band, as a share of a batter; nearest to the whole of it first. */
function nearestFirst(
  options: readonly Option[],
  family: Family,
  volumeMl: number,
): readonly (Option & { readonly by: number })[] {
  const [low, high] = family.depthMm;
  const apart = new Map<number, Option & { by: number }>();
  // The middle first, then just inside either end; amounts a fortieth apart are one to try.
  for (const mm of [(low + high) / 2, 0.98 * high, 1.02 * low])
    for (const { v, n } of options) {
      const by =
        (volumeAtDepth(v, Math.min(mm / 1000, (0.97 * v.heightM) / family.rise)) * n) / Math.max(volumeMl, 1e-9);
      const key = Math.round(40 * Math.log(by));
      if (by > 0 && !apart.has(key)) apart.set(key, { v, n, by });
    }
  return [...apart.values()].sort((a, b) => Math.abs(Math.log(a.by)) - Math.abs(Math.log(b.by))).slice(0, MOST_TRIES);
}

/** One sensible vessel where the rack has none: the formula's own small one, or a round tin that lets the steam by. */
export function inDefault(plan: Plan, family: Family, kitchen: Kitchen, steamer: Steamer): Placed | undefined {
  const own = typeof plan.vessel === 'object' ? plan.vessel : undefined;
  const light = lightOf(plan, kitchen);
  const volumeMl = light?.balance.volumeMl ?? 1000;
  const steamed = wayOf(family).overSteam;
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
  const inBand = (next: Plan, v: Vessel, n: number): Placed | undefined => {
    const p: Plan = { ...next, vessel: v, vesselCount: n };
    const l = lightOf(p, kitchen);
    const deep = 1000 * (l?.fill.depthM ?? 0);
    if (!l || l.problems.length > 0 || deep < family.depthMm[0] || deep > family.depthMm[1]) return undefined;
    const layers = layersFor(family, l.fill.depthM);
    return {
      plan: layers === undefined ? p : { ...p, layers },
      words: `${n > 1 ? `${n} × ` : ''}${inSentence(v.name)}, ${sayMm(l.fill.depthM)} deep`,
    };
  };
  for (const v of candidates) {
    const whole = inBand(plan, v, own === v ? plan.vesselCount : v.count);
    if (whole) return whole;
  }
  // Nothing at this amount: the nearest that the formula's own vessel, or so many tins, hold.
  const goesIn = (v: Vessel) =>
    lightOf({ ...plan, vessel: v }, kitchen)?.problems.every((p) => !DOES_NOT_GO_IN.has(p.code)) === true;
  const oneByOne = panNeed(family, steamer, volumeMl)?.use !== 'pans';
  const usual = oneByOne ? sizes.map((d) => tin(d, 1)) : tins;
  const ours = own && goesIn(own) ? [own] : [];
  const options = [...ours, ...(oneByOne && ours.length > 0 ? [] : usual)].flatMap((v): readonly Option[] =>
    oneByOne ? upTo(MOST_VESSELS).map((n) => ({ v, n })) : [{ v, n: v.count }],
  );
  for (const { v, n, by } of nearestFirst(options, family, volumeMl)) {
    const other = inBand(scalePlan(plan, by), v, n);
    if (other) return { ...other, scaled: insteadOf(light?.balance.massG ?? 0, by) };
  }
  return undefined;
}

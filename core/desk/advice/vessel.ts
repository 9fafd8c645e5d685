import { type Fix, otherPans } from '../../stations/mix';
import { familyOf, wayOf } from '../../families';
import { MOST_VESSELS } from '../../kitchen';
import { type Plan, scalePlan } from '../../plan';
import { type Placed, inDefault, inPans } from '../newPlan';
import { plural, sentenceCase } from '../../units';
import { volumeAtDepth } from '../../model/vessel';
import { becoming, setting } from './becoming';
import type { Around, Row, Ways } from './way.types';
import { none } from './way.types';

/** The plan with its own vessels gone: the usual one stands in for them until another is found. */
const bare = ({ vessel: _v, ...plan }: Plan): Plan => ({ ...plan, alsoVessels: [] });

/** In the rack's best pans, moulds or trays as a new plan would be; in a usual tin where the rack has none. */
function placedAnew({ look: { plan, light }, kitchen }: Around): readonly Fix[] {
  const family = familyOf(plan.family);
  const steamer = light?.resolved.steamer ?? kitchen.steamers[0];
  if (!family.ok || !steamer) return [];
  const fix = (p: Placed | undefined): Fix[] =>
    p ? [becoming(sentenceCase(`${p.words}${p.scaled ? `, ${p.scaled}` : ''}`), plan, p.plan)] : [];
  const rack = fix(inPans(bare(plan), family.value, kitchen, steamer));
  return rack.length > 0 ? rack : fix(inDefault(bare(plan), family.value, kitchen, steamer));
}

/** Other pans of the rack. */
const pans = ({ look: { light } }: Around): readonly Row[] =>
  light ? otherPans(light.resolved, light.family, light.balance.volumeMl, 3).map((f) => [f]) : [];

/** One to three more of the same pans. */
export function morePans({ look: { plan, light } }: Around): Row {
  const have = light?.resolved.vessel.count ?? 1;
  return [1, 2, 3]
    .map((n) => plan.vesselCount + n)
    .filter((n) => n <= Math.min(have, MOST_VESSELS))
    .map((n) => setting(`${n} of ${light?.resolved.vessel.name.toLowerCase()}`, { vesselCount: n }));
}

/** The kitchen's other steamers. */
export const steamers = ({ look: { plan, light }, kitchen }: Around): readonly Row[] =>
  light && wayOf(light.family).overSteam
    ? kitchen.steamers
        .filter((s) => s.id !== light.resolved.steamer.id)
        .map((s) => [setting(s.name, { steamer: s.id })])
    : plan.steamer === undefined
      ? []
      : kitchen.steamers.map((s) => [setting(s.name, { steamer: s.id })]);

/** So much less of everything that it stands at the middle of its band, or has room to rise. */
function less({ look: { plan, light } }: Around): Row {
  if (!light || light.balance.volumeMl <= 0) return [];
  const { vessel } = light.resolved;
  const [low, high] = light.family.depthMm;
  const roomM = (0.97 * vessel.heightM) / light.fill.rise;
  return [high - 0.1 * (high - low), (low + high) / 2]
    .map((mm) => volumeAtDepth(vessel, Math.min(mm / 1000, roomM)) / Math.max(light.fill.volumeEachMl, 1e-9))
    .filter((by) => by < 0.995)
    .map((by) => becoming(`${Math.round(100 * (1 - by))} % less of everything`, plan, scalePlan(plan, by)));
}

const elsewhere = (x: Around): readonly Row[] => [...pans(x), placedAnew(x), ...steamers(x)];
const fitted = (x: Around): readonly Row[] => [...pans(x), morePans(x), placedAnew(x), less(x)];

/** Ways out of what is the vessel's or the steamer's fault. */
export const vesselWays: Ways<'vessel'> = {
  // Proposed where they are seen.
  'nothing-poured': none,
  'over-the-rim': none,
  'depth-read': none,
  'layer-depth': none,

  'pan-too-small': fitted,
  'rises-over': fitted,
  depth: (x) => [...pans(x), placedAnew(x), less(x)],
  'pan-too-wide': elsewhere,
  'pan-too-tall': elsewhere,
  'no-steam-gap': elsewhere,
  'steam-gap': (x) => [...pans(x), ...steamers(x)],
  loads: (x) => [...steamers(x), ...pans(x)],
  'unknown-vessel': (x) => [placedAnew(x), [becoming('A usual tin', x.look.plan, bare(x.look.plan))]],
  'too-much-elsewhere': ({ look: { plan, light } }) => {
    if (!light) return [];
    const asked = plan.alsoVessels.reduce((a, v) => a + v.count * v.massEachG, 0);
    const by = asked > 0 ? (0.5 * light.balance.massG) / asked : 0;
    return [
      [
        setting('Half of the batter in the further vessels', {
          alsoVessels: plan.alsoVessels.map((v) => ({ ...v, massEachG: v.massEachG * by })),
        }),
        setting(`All of it in ${plural(plan.vesselCount, 'pan')}`, { alsoVessels: [] }),
      ],
    ];
  },
  'layer-too-thin': (x) => {
    const { light } = x.look;
    const [least, most] = light?.family.layers ?? [1, 30];
    const fits = Math.floor(((light?.fill.depthM ?? 0) * 1000) / (light?.family.layerMm?.[0] ?? 3));
    const able = [fits, Math.floor((light?.fill.depthM ?? 0) / 0.003), least].filter((n) => n >= least && n <= most);
    return [[...new Set(able)].map((n) => setting(`${n} layers`, { layers: n })), ...pans(x), placedAnew(x)];
  },
};

import { dripGuardOptions } from './guards';
import type { Fix } from '../../../stations/mix';
import { HEATS } from '../../../kitchen';
import { withReading, type Plan } from '../../../plan';
import { spokenName } from '../../../units';
import { becoming, setting } from '../becoming';
import { moreLiquid, lessSugar } from './amounts';
import { morePans, steamers } from './vessel';
import type { Around, Row, Ways } from './ways.types';

const heats = (plan: Plan, dir: 1 | -1): Row => {
  const at = HEATS.indexOf(plan.heat);
  const others = HEATS.filter((_, i) => (dir > 0 ? i > at : i < at));
  // With phases, the same heat throughout is a change too.
  const able = plan.heatPhases.length > 0 ? [plan.heat, ...others] : others;
  return (dir > 0 ? able : able.toReversed()).map((heat) =>
    setting(`${heat[0].toUpperCase()}${heat.slice(1)} heat throughout`, { heat, heatPhases: [] }),
  );
};
/** The other rings of the kitchen. */
const rings = ({ look: { light }, kitchen }: Around): Row =>
  kitchen.hobs.flatMap((h) =>
    h.rings
      .filter((r) => r.id !== light?.resolved.ring.id || h.id !== light.resolved.hob.id)
      .map((r) =>
        setting(`On the ${r.name.toLowerCase()}${h.id === light?.resolved.hob.id ? '' : ` of ${spokenName(h.name)}`}`, {
          hob: h.id,
          ring: r.id,
        }),
      ),
  );
/** The pot filled as it is planned, whatever was read. */
function filledAsPlanned({ look: { plan } }: Around): readonly Fix[] {
  const place = { node: 'boil-up:steamer', slot: 'waterMl' };
  return plan.readings[place.node]?.[place.slot] === undefined
    ? []
    : [becoming('Fill the pot as planned', plan, withReading(plan, place, undefined))];
}
/** Other ways to shut it from above, in the order in which they keep drops off. */
const guards = ({ look }: Around, of: readonly string[]): Row =>
  dripGuardOptions(look, of).map((o): Fix => ({
    words: o.words,
    changes: [{ what: 'school', question: 'dripGuard', option: o.id }],
  }));

const hotter = (x: Around): readonly Row[] => [
  heats(x.look.plan, 1),
  guards(x, ['cloth', 'none', 'foil']),
  rings(x),
  morePans(x),
  ...steamers(x),
  lessSugar(x),
  moreLiquid(x),
];
const water = (x: Around): readonly Row[] => [
  filledAsPlanned(x),
  heats(x.look.plan, -1),
  guards(x, ['cloth', 'foil']),
  ...steamers(x),
  morePans(x),
  rings(x),
];

/** Ways out of what goes wrong in the steam, in the pot and with its water. */
export const cookWays: Ways = {
  'never-sets': hotter,
  'may-never-set': hotter,
  'boils-dry': water,
  'tops-up-too-often': water,
  'pot-too-shallow': water,
  'too-little-water': water,
  'water-over-rack': water,
  puddle: (x) => [guards(x, ['cloth', 'foil', 'woven']), guards(x, ['foil'])],
  scorches: (x) => [moreLiquid(x), rings(x)],
};

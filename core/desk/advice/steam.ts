import { dripGuardOptions } from './guards';
import type { Fix } from '../../stations/mix';
import { HEATS } from '../../kitchen';
import { type Plan, withReading } from '../../plan';
import { sayDuration, sayMm, spokenName } from '../../units';
import { becoming, setting } from './becoming';
import { lessSugar, moreLiquid } from './amounts';
import { morePans, steamers } from './vessel';
import type { Around, Row, Ways } from './way.types';
import type { HeatForecast } from '../../forecast';
import type { Advice } from '../../stations/mix';
import { said } from './said';
import { PUDDLE_M, overWater, potIn, pourSteam } from '../../stations/steam';

/** From here on water on the top of a cake spoils its face, m. */
const POOL_M = 0.0025;

function ofSteam(heat: HeatForecast): readonly Advice[] {
  const steam = overWater(heat);
  if (!steam) return [];
  const puddle = pourSteam(heat)?.puddle;
  return [
    ...(steam.times && steam.spread?.mayNeverSet
      ? [
          said(
            'may-never-set',
            'spoils',
            `It sets at ${sayDuration(steam.times.firstCleanPickS.value)} only if all goes as reckoned: a little colder or deeper, and the middle stays soft.`,
          ),
        ]
      : []),
    ...(puddle && puddle.leftM > PUDDLE_M
      ? [
          said(
            'puddle',
            puddle.leftM > POOL_M ? 'spoils' : 'better',
            `About ${sayMm(puddle.leftM)} of water lies on top at the end${puddle.dripsG > 1 ? `: ${Math.round(puddle.dripsG)} g drip from the lid` : ''}.`,
          ),
        ]
      : []),
  ];
}

function ofPot(heat: HeatForecast): readonly Advice[] {
  const pot = potIn(heat);
  return pot && pot.throughS > pot.scorchS
    ? [
        said(
          'scorches',
          'spoils',
          `It wants ${sayDuration(pot.throughS)} in the pot and its bottom scorches after ${sayDuration(pot.scorchS)}.`,
        ),
      ]
    : [];
}

export const steamSees = (heat: HeatForecast): readonly Advice[] => [...ofPot(heat), ...ofSteam(heat)];

const heats = (plan: Plan, dir: 1 | -1): Row => {
  const at = HEATS.indexOf(plan.heat);
  const others = HEATS.filter((_, i) => (dir > 0 ? i > at : i < at));
  // With phases, the same heat throughout is a change too.
  const able = plan.heatPhases.length > 0 ? [plan.heat, ...others] : others;
  return (dir > 0 ? able : able.toReversed()).map((heat) =>
    setting(`${heat.charAt(0).toUpperCase()}${heat.slice(1)} heat throughout`, { heat, heatPhases: [] }),
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
export const steamWays: Ways<'steam'> = {
  'unknown-steamer': (x) => [...steamers(x), [setting('A usual steamer', { steamer: undefined })]],
  'unknown-hob': ({ kitchen }) => [
    kitchen.hobs.map((h) => setting(h.name, { hob: h.id, ring: h.rings[0]?.id })),
    [setting('A usual ring', { hob: undefined, ring: undefined })],
  ],
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

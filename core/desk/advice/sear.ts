import type { Fix } from '../../stations/mix';
import type { Plan } from '../../plan';
import { PAN_DIALS } from '../../model/sear';
import { setting } from './becoming';
import type { Around, Row, Ways } from './way.types';
import type { HeatForecast } from '../../forecast';
import type { Advice } from '../../stations/mix';
import { said } from './said';
import { goldenBeforeHot } from '../../stations/sear';

export function searSees({ sear }: HeatForecast): readonly Advice[] {
  if (!sear) return [];
  if (!sear.result.reached) return [said('sear-pale', 'spoils', sear.words)];
  return sear.hotThrough ? [] : [said('sear-cold', 'unsafe', goldenBeforeHot(sear.minutesASide[0], sear.coreC))];
}

type Cut = NonNullable<Plan['cut']>;
const cutTo = (words: string, cut: Cut): Fix => setting(words, { cut });
const inPieces = (shape: Cut['shape'], n: number): Fix =>
  cutTo(`${n} pieces`, { shape, by: { kind: 'count', pieces: n } });

/** Fewer pieces, or larger ones. */
function larger({ look: { plan } }: Around): Row {
  const { cut } = plan;
  if (!cut) return [];
  const fewer = [48, 36, 24, 16, 12, 8, 6, 4];
  if (cut.by.kind === 'count') {
    const { pieces } = cut.by;
    return fewer.filter((n) => n < pieces).map((n) => inPieces(cut.shape, n));
  }
  return fewer.map((n) => inPieces(cut.shape, n));
}
/** More pieces, so that each is smaller. */
function smaller({ look: { light, plan } }: Around): Row {
  const now = light?.cut?.count ?? 0;
  return plan.cut && now > 0
    ? [1.5, 2, 3, 4, 6, 9].map((by) =>
        inPieces(plan.cut?.shape === 'whole' ? 'squares' : (plan.cut?.shape ?? 'squares'), Math.ceil(now * by)),
      )
    : [];
}
const pans = ({ look: { light }, kitchen }: Around): readonly Row[] =>
  kitchen.fryingPans
    .filter((p) => p.id !== light?.resolved.fryingPan.id)
    .map((p) => [setting(p.name, { fryingPan: p.id })]);

/** What brings the middle to its heat, as the searing found it: a lower dial, a lid, tempering, thinner slices. */
function hotThrough({ look: { plan, heat } }: Around): readonly Row[] {
  const { sear } = plan;
  if (!sear) return [];
  const found = (heat?.sear?.fixes ?? []).map(({ words, coreC: _c, ...set }) => [
    setting(words, { sear: { ...sear, ...set } }),
  ]);
  // Each alone may not be enough.
  const both = setting('Turn the pan down to low and put a lid on', { sear: { ...sear, dial: 'low', lid: true } });
  const all = [20, 16, 12, 9, 7].map((mm) =>
    setting(`Slice ${mm} mm thick, on low under a lid`, {
      sear: { ...sear, dial: 'low' as const, lid: true, thicknessM: mm / 1000 },
    }),
  );
  return found.length > 0 ? found : [[both], all];
}
function browner({ look: { plan } }: Around): readonly Row[] {
  const { sear } = plan;
  if (!sear) return [];
  const up = PAN_DIALS.slice(PAN_DIALS.indexOf(sear.dial) + 1);
  return [
    up.map((dial) => setting(`Turn the pan up to ${dial}`, { sear: { ...sear, dial } })),
    sear.colour === 'pale' ? [] : [setting('Paler', { sear: { ...sear, colour: 'pale' } })],
  ];
}

/** Ways out of what goes wrong at the board and in the frying pan. */
export const searWays: Ways<'sear'> = {
  'unknown-pan': ({ kitchen }) => [
    kitchen.fryingPans.map((p) => setting(p.name, { fryingPan: p.id })),
    [setting('A usual pan', { fryingPan: undefined })],
  ],
  'cut-too-fine': (x) => [larger(x)],
  'coin-over-cake': (x) => [
    x.look.plan.cut
      ? [60, 50, 40, 30, 20].map((mm) =>
          cutTo(`A ${mm} mm cutter`, {
            shape: x.look.plan.cut?.shape ?? 'coins',
            by: { kind: 'size', sizeM: mm / 1000 },
          }),
        )
      : [],
    [cutTo('Twelve squares', { shape: 'squares', by: { kind: 'count', pieces: 12 } })],
  ],
  'pan-under-piece': (x) => [smaller(x), ...pans(x)],
  'thick-pieces': ({
    look: {
      plan: { sear },
    },
  }) =>
    sear ? [[20, 16].map((mm) => setting(`Slice ${mm} mm thick`, { sear: { ...sear, thicknessM: mm / 1000 } }))] : [],
  'sear-cold': hotThrough,
  'sear-pale': browner,
};

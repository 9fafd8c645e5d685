import type { Forecast } from '../../forecast';
import { lifeOf } from '../../work/timeline';
import { TEXTURE_AXES, thicknessWord } from '../../model/batter';
import { plural, sayDuration, sayGrams, sayMm, shortName, there } from '../../units';
import { overWater, potIn, filmIn } from '../../stations/steam';

/** A line of grams in both plans; null where a plan has none of it. */
export interface GramsRow {
  readonly name: string;
  readonly a: number | null;
  readonly b: number | null;
}
/** A figure of both, as it is said; `by` tells how it differs where that can be told in one word. */
export interface FigureRow {
  readonly name: string;
  readonly a: string;
  readonly b: string;
  readonly by: string;
  readonly same: boolean;
}
export interface Compared {
  readonly grams: readonly GramsRow[];
  readonly minutes: readonly FigureRow[];
  readonly texture: readonly { readonly axis: string; readonly a: number; readonly b: number }[];
  readonly safety: readonly FigureRow[];
}

/** Grams that differ less than a scale tells are the same, g. */
const SCALE_G = 0.05;

const PARTS = { batter: '', 'add-in': '', filling: '', colour: '', accompaniment: ' (beside)' } as const;

/** Grams of every ingredient by where it goes. */
function gramsOf(f: Forecast): ReadonlyMap<string, number> {
  const out = new Map<string, number>();
  for (const l of f.light.flow.lines) {
    if (l.role === 'source' || l.massG <= SCALE_G) continue;
    const name = `${shortName(l.name)}${PARTS[l.role]}`;
    out.set(name, (out.get(name) ?? 0) + l.massG);
  }
  return out;
}

function gramsRows(a: Forecast, b: Forecast): readonly GramsRow[] {
  const [ga, gb] = [gramsOf(a), gramsOf(b)];
  return [...new Set([...ga.keys(), ...gb.keys()])].map((name) => ({
    name,
    a: ga.get(name) ?? null,
    b: gb.get(name) ?? null,
  }));
}

type Seen = readonly [value: number | undefined, words: string];
const row = (name: string, a: Seen, b: Seen, by: (d: number) => string): FigureRow => {
  const d = a[0] === undefined || b[0] === undefined ? undefined : b[0] - a[0];
  return {
    name,
    a: a[1],
    b: b[1],
    same: a[1] === b[1],
    by: a[1] === b[1] || d === undefined || Math.abs(d) < 1e-9 ? '' : `${d > 0 ? '+' : '−'}${by(Math.abs(d))}`,
  };
};
const timed = (s: number | undefined): Seen => (s === undefined ? [undefined, 'not reckoned'] : [s, sayDuration(s)]);
const measured = (x: number, say: (x: number) => string): Seen => [x, say(x)];

function minutesRows(a: Forecast, b: Forecast): readonly FigureRow[] {
  const steam = (f: Forecast) =>
    timed(overWater(f.heat)?.times?.planForS ?? potIn(f.heat)?.throughS ?? filmIn(f.heat)?.totalS);
  const first = (f: Forecast) => there(f.light.balance.batters[0]);
  return [
    row('plan for', steam(a), steam(b), sayDuration),
    row(
      'clean from',
      timed(overWater(a.heat)?.times?.firstCleanPickS.value),
      timed(overWater(b.heat)?.times?.firstCleanPickS.value),
      sayDuration,
    ),
    row('cuts after', timed(a.heat?.rest?.cutReadyAtS), timed(b.heat?.rest?.cutReadyAtS), sayDuration),
    row('hands', timed(a.totals.handsOnS), timed(b.totals.handsOnS), sayDuration),
    row('in all', timed(lifeOf(a).spanS), timed(lifeOf(b).spanS), sayDuration),
    row('depth', measured(a.light.fill.depthM, sayMm), measured(b.light.fill.depthM, sayMm), sayMm),
    row(
      'hydration',
      measured(first(a).liquidToDry, (x) => x.toFixed(2)),
      measured(first(b).liquidToDry, (x) => x.toFixed(2)),
      (x) => x.toFixed(2),
    ),
    row(
      'pours like',
      [undefined, thicknessWord(a.light.consistency[0]?.viscosityMPas)],
      [undefined, thicknessWord(b.light.consistency[0]?.viscosityMPas)],
      String,
    ),
    row('whole', measured(a.light.balance.massG, sayGrams), measured(b.light.balance.massG, sayGrams), sayGrams),
    row(
      'pieces',
      [a.light.pieces, plural(a.light.pieces, 'piece')],
      [b.light.pieces, plural(b.light.pieces, 'piece')],
      (x) => String(x),
    ),
  ];
}

function safetyRows(a: Forecast, b: Forecast): readonly FigureRow[] {
  const cooling = (f: Forecast): Seen => [undefined, f.heat?.rest?.check.sentence ?? 'no cooling reckoned'];
  const seared = (f: Forecast): Seen => [
    undefined,
    f.heat?.sear ? `${Math.round(f.heat.sear.coreC)} °C in the middle when seared` : 'not seared',
  ];
  return [row('cooling', cooling(a), cooling(b), String), row('searing', seared(a), seared(b), String)];
}

/** What differs between two cakes: in grams, in minutes and sizes, in texture, in safety. */
export const compare = (a: Forecast, b: Forecast): Compared => ({
  grams: gramsRows(a, b),
  minutes: minutesRows(a, b),
  texture: TEXTURE_AXES.map((axis) => ({ axis, a: a.light.texture[axis], b: b.light.texture[axis] })),
  safety: safetyRows(a, b),
});

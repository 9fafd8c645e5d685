import { bad, good, problem, type Provenance, type Result, Z80 } from '../units';
import { lawFor } from './law';
import { REST_LAWS } from '../stations/rest';
import { SEAR_LAWS } from '../stations/sear';
import { STEAM_LAWS } from '../stations/steam';
import { LIGHT_LAWS } from './lightLaws';

export const LAWS = [...STEAM_LAWS, ...REST_LAWS, ...SEAR_LAWS, ...LIGHT_LAWS];
/** A value that goes into a figure. */
export interface WhyInput {
  readonly path: string;
  readonly value: number | string;
  readonly unit: string;
  readonly source: Provenance;
}

/** Why a figure is what it is: the law, what goes into it, how far it may be off, and where it comes from. */
export interface Why {
  readonly path: string;
  readonly value: number;
  readonly unit: string;
  readonly law: string;
  readonly inputs: readonly WhyInput[];
  /** 10 to 90 %; null where nothing is known of it. A missing high end: it may never be reached. */
  readonly spread: { readonly low: number; readonly high: number | null } | null;
  readonly source: Provenance;
}

type Json = Readonly<Record<string, unknown>>;
const isObject = (v: unknown): v is Json => typeof v === 'object' && v !== null;

const at = (doc: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((v, key) => (isObject(v) ? v[key] : undefined), doc);

const UNITS: readonly (readonly [RegExp, string])[] = [
  [/MPas$/, 'mPa·s'],
  [/KgM3$/, 'kg/m³'],
  [/MlPerMin$/, 'ml/min'],
  [/Jm2$/, 'J/m²'],
  [/M2$/, 'm²'],
  [/Pct$|pctOfTotal$/, '%'],
  [/XM$|ZM$|M$/, 'm'],
  [/Mm$/, 'mm'],
  [/Ml$/, 'ml'],
  [/kcal$/, 'kcal'],
  [/kJ$/, 'kJ'],
  [/C$/, '°C'],
  [/S$/, 's'],
  [/G$|^grams/, 'g'],
  [/W$/, 'W'],
];
/** Unit by the end of a name; times of a spread are in seconds as what they spread. */
function unitOf(path: readonly string[]): string {
  const [parent = '', name = ''] = path.length > 1 ? path.slice(-2) : ['', ...path];
  if (parent === 'spread' && name !== 'sigma') return 's';
  if (parent === 'minutesASide') return 's';
  for (const key of [name, ...(name === 'value' || name === 'sd' || /^\d+$/.test(name) ? [parent] : [])])
    for (const [end, unit] of UNITS) if (end.test(key)) return unit;
  return '';
}

const isFigure = (v: unknown): v is { value: number; sd: number; source: Provenance } =>
  isObject(v) && typeof v.value === 'number' && typeof v.sd === 'number' && typeof v.source === 'string';

/** Where a bare number comes from: a thing of the rack says so itself, measured where the cook measured it. */
function sourceOf(doc: unknown, path: readonly string[]): Provenance {
  const v = at(doc, path);
  if (isFigure(v)) return v.source;
  if (path[0] === 'vessel') return at(doc, ['vessel', 'provenance']) === 'measured' ? 'measured' : 'default';
  if (path[0] === 'ring' && path[1] === 'measuredPowerW') return 'measured';
  if (path[0] === 'fill' && path[1] === 'depthM' && at(doc, ['fill', 'measured']) === true) return 'measured';
  return 'default';
}

/** Leaves under a place in a forecast, at most so many. */
function under(doc: unknown, path: readonly string[], most: number): string[] {
  const found: string[] = [];
  const walk = (v: unknown, p: readonly string[]) => {
    if (found.length >= most) return;
    if (typeof v === 'number' || isFigure(v)) found.push(p.join('.'));
    else if (isObject(v)) for (const [k, x] of Object.entries(v)) walk(x, [...p, k]);
  };
  walk(at(doc, path), path);
  return found;
}
const SHOWN = 12;
const DEEP = 4;

/** Source of a figure by all that goes into it: learned where any is, measured where all are, else by default. */
function sourceBelow(doc: unknown, path: readonly string[], depth: number): Provenance {
  const own = at(doc, path);
  if (isFigure(own)) return own.source;
  const law = lawFor(LAWS, path);
  const from = (law?.from ?? []).filter((p) => at(doc, p.split('.')) !== undefined);
  if (from.length === 0 || depth === 0) return sourceOf(doc, path);
  const all = from.map((p) => sourceBelow(doc, p.split('.'), depth - 1));
  if (all.includes('learned')) return 'learned';
  return all.every((s) => s === 'measured') || sourceOf(doc, path) === 'measured' ? 'measured' : 'default';
}

/**
 * Why a figure of a forecast is what it is.
 * @param doc a forecast as plain JSON
 * @param path dotted, as in the forecast: `heat.steam.times.planForS`
 * Errors: `no-such-figure` with what lies there or near, where the path does not name one number.
 */
export function whyOf(doc: unknown, path: string): Result<Why> {
  const steps = path.split('.').filter(Boolean);
  const found = at(doc, steps);
  const value = isFigure(found) ? found.value : found;
  const law =
    typeof value === 'number'
      ? lawFor(LAWS, isFigure(at(doc, steps.slice(0, -1))) ? steps.slice(0, -1) : steps)
      : undefined;
  if (typeof value !== 'number' || !law) {
    const known = steps.findLastIndex((_, i) => at(doc, steps.slice(0, i + 1)) !== undefined) + 1;
    const near = under(doc, steps.slice(0, known), SHOWN);
    return bad(
      problem(
        'no-such-figure',
        path,
        `"${path}" does not name one figure of this forecast. ${near.length > 0 ? `There are, for example: ${near.join(', ')}.` : ''}`.trim(),
      ),
    );
  }
  const inputs = law.from.flatMap((p): readonly WhyInput[] => {
    const keys = p.split('.');
    const v = at(doc, keys);
    const plain = isFigure(v) ? v.value : v;
    if (isObject(plain))
      return Object.entries(plain).flatMap(([k, x]) =>
        typeof x === 'number' ? [{ path: `${p}.${k}`, value: x, unit: unitOf(keys), source: sourceOf(doc, keys) }] : [],
      );
    return typeof plain === 'number' || typeof plain === 'string'
      ? [{ path: p, value: plain, unit: unitOf(keys), source: sourceBelow(doc, keys, 1) }]
      : [];
  });
  return good({
    path: steps.join('.'),
    value,
    unit: unitOf(steps),
    law: law.law,
    inputs,
    spread: spreadOf(doc, found, value, law.spread),
    source: sourceBelow(doc, steps, DEEP),
  });
}

function spreadOf(doc: unknown, found: unknown, value: number, along: string | undefined): Why['spread'] {
  const s = along === undefined ? undefined : at(doc, along.split('.'));
  if (isObject(s) && typeof s.likely === 'number' && s.likely > 0 && typeof s.low === 'number')
    return {
      low: (value * s.low) / s.likely,
      high: typeof s.high === 'number' ? (value * s.high) / s.likely : null,
    };
  if (isFigure(found) && found.sd > 0) return { low: value - Z80 * found.sd, high: value + Z80 * found.sd };
  return null;
}

import { differs } from '../units';

/** Words, unit and factor of a field by the unit at the end of its name. */
const UNITS: readonly (readonly [ending: string, unit: string, factor: number])[] = [
  ['Ml', ' ml', 1],
  ['M', ' mm', 1000],
  ['G', ' g', 1],
  ['C', ' °C', 1],
  ['S', ' s', 1],
  ['W', ' W', 1],
];
const PLACES = 1000;

type Thing = Readonly<Record<string, unknown>>;

/** A field as a phrase: "clearHeightM" is "clear height", in mm. */
function fieldOf(key: string): { readonly words: string; readonly unit: string; readonly factor: number } {
  const found = UNITS.find(([ending]) => key.endsWith(ending) && key.length > ending.length);
  const bare = found ? key.slice(0, -found[0].length) : key;
  return {
    words: bare.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`),
    unit: found?.[1] ?? '',
    factor: found?.[2] ?? 1,
  };
}

function said(value: unknown, unit: string, factor: number): string | undefined {
  switch (typeof value) {
    case 'number':
      return `${Math.round(value * factor * PLACES) / PLACES}${unit}`;
    case 'string':
      return `"${value}"`;
    case 'boolean':
      return value ? 'yes' : 'no';
    case 'undefined':
      return 'none';
    default:
      return undefined;
  }
}

/**
 * What differs between two states of a thing of rack or larder, or of the settings, one short phrase each; empty where nothing does.
 * @param passed fields that are passed over
 */
export function thingChanges(before: Thing, after: Thing, passed: readonly string[] = []): readonly string[] {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter((k) => !passed.includes(k));
  return keys.flatMap((key) => {
    const [was, is] = [before[key], after[key]];
    if (!differs(was, is)) return [];
    const { words, unit, factor } = fieldOf(key);
    const [from, to] = [said(was, unit, factor), said(is, unit, factor)];
    return [from === undefined || to === undefined ? words : `${words} ${from} to ${to}`];
  });
}

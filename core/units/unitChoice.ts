import { spokenName } from './format';
import { GRAMS_PER_OUNCE } from './measures';

/** The units a cook reads and types in. Documents keep grams, metres and °C whatever is shown, so nothing drifts. */
export const MASS_UNITS = ['g', 'oz'] as const;
export const LENGTH_UNITS = ['mm', 'cm', 'in'] as const;
export const TEMP_UNITS = ['C', 'F'] as const;
export interface UnitChoice {
  readonly mass: (typeof MASS_UNITS)[number];
  readonly length: (typeof LENGTH_UNITS)[number];
  readonly temp: (typeof TEMP_UNITS)[number];
  /** Names with a measure in them ("Square tin, 24 cm"): what a cook called a thing is not rewritten. */
  readonly names?: readonly string[];
}
export const METRIC: UnitChoice = { mass: 'g', length: 'mm', temp: 'C' };

const MM_PER_INCH = 25.4;

/** How a field whose document unit is g, mm or °C is shown: shown = base × scale + offset. */
export interface ShownUnit {
  readonly unit: string;
  readonly scale: number;
  readonly offset: number;
  /** Decimals more than the field itself asks for. */
  readonly decimals: number;
}

/** The unit a field is shown in; undefined where it stays as it is (%, min, kW, ml). */
export function shownUnit(unit: string | undefined, choice: UnitChoice): ShownUnit | undefined {
  if (unit === 'g' && choice.mass === 'oz') return { unit: 'oz', scale: 1 / GRAMS_PER_OUNCE, offset: 0, decimals: 1 };
  if (unit === 'mm' && choice.length === 'cm') return { unit: 'cm', scale: 0.1, offset: 0, decimals: 1 };
  if (unit === 'mm' && choice.length === 'in') return { unit: 'in', scale: 1 / MM_PER_INCH, offset: 0, decimals: 1 };
  if (unit === '°C' && choice.temp === 'F') return { unit: '°F', scale: 1.8, offset: 32, decimals: 0 };
  return undefined;
}

const ounces = (g: number): string => {
  const oz = g / GRAMS_PER_OUNCE;
  return oz < 1 ? oz.toFixed(2) : oz < 10 ? oz.toFixed(1) : String(Math.round(oz * 2) / 2);
};
const plain = (x: number, digits: number): string => String(Number(x.toFixed(digits)));
const inches = (mm: number): string => plain(mm / MM_PER_INCH, mm < 10 ? 2 : 1);

const NUMBER = '(\\d+(?:\\.\\d+)?)';
/** "60 to 21 °C", "22 to 55 mm", "25 g": the first number of a range shares the unit of the second. */
const SAID = new RegExp(`(?<![\\d.])(?:${NUMBER} (to|and|by|or) )?${NUMBER} (g|kg|mm|cm|°C)(?![\\w/])`, 'g');

/** Less than this, g, is weighed on a fine scale, which reads grams whatever else a cook weighs in. */
const FINE_BELOW_G = 3;

function converted(value: number, unit: string, c: UnitChoice): readonly [string, string] | undefined {
  if (unit === 'g') return c.mass === 'oz' && value >= FINE_BELOW_G ? [ounces(value), 'oz'] : undefined;
  if (unit === 'kg') return c.mass === 'oz' ? [plain((value * 1000) / GRAMS_PER_OUNCE / 16, 1), 'lb'] : undefined;
  if (unit === '°C') return c.temp === 'F' ? [String(degreesIn(value, c)), '°F'] : undefined;
  const mm = unit === 'cm' ? value * 10 : value;
  if (c.length === 'in') return [inches(mm), 'in'];
  return c.length === 'cm' && unit === 'mm' && mm >= 10 ? [plain(mm / 10, 1), 'cm'] : undefined;
}

/** A temperature in the cook's degrees, whole. */
export const degreesIn = (tempC: number, choice: UnitChoice): number =>
  Math.round(choice.temp === 'F' ? tempC * 1.8 + 32 : tempC);

/** Of names, those that hold a measure and would be taken for a figure. */
export const measuredNames = (names: readonly string[]): readonly string[] => [
  ...new Set(names.filter((n) => n.search(SAID) >= 0)),
];

const NAMES = new WeakMap<readonly string[], RegExp>();
/** Any of the names, as written or as spoken, in whatever case, the longest first; they are kept as the odd parts of a split. */
function anyName(names: readonly string[]): RegExp {
  let known = NAMES.get(names);
  if (!known) {
    const longest = names.flatMap((n) => [n, spokenName(n)]).sort((a, b) => b.length - a.length);
    known = new RegExp(`(${longest.map((n) => n.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})`, 'i');
    NAMES.set(names, known);
  }
  return known;
}

/**
 * A sentence of the core, which speaks in g, mm and °C, in the cook's own units. Numbers without such a unit stay.
 * @example inUnits('Cool from 60 to 21 °C.', { mass: 'g', length: 'mm', temp: 'F' }) // 'Cool from 140 to 70 °F.'
 */
export function inUnits(sentence: string, choice: UnitChoice): string {
  if (choice.mass === 'g' && choice.length === 'mm' && choice.temp === 'C') return sentence;
  if (!choice.names || choice.names.length === 0) return rewritten(sentence, choice);
  return sentence
    .split(anyName(choice.names))
    .map((part, i) => (i % 2 === 1 ? part : rewritten(part, choice)))
    .join('');
}

function rewritten(sentence: string, choice: UnitChoice): string {
  return sentence.replace(SAID, (all: string, a: string | undefined, word: string, b: string, unit: string) => {
    const to = converted(Number(b), unit, choice);
    if (a === undefined) return to ? `${to[0]} ${to[1]}` : all;
    const from = converted(Number(a), unit, choice);
    // Both in one unit, or left alone: half a range in cm and half in mm reads wrong.
    return from && to ? `${from[0]} ${word} ${to[0]} ${to[1]}` : all;
  });
}

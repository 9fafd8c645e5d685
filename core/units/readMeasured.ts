import { readAmount, timesAmount, type TypedAmount } from './readAmount';

/** How much of a document's unit one of another is; for temperatures, where it begins too. */
const IN: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, inches: 25.4, '"': 25.4, '″': 25.4 },
  g: { g: 1, gram: 1, grams: 1, kg: 1000, oz: 28.349523125, lb: 453.59237, lbs: 453.59237 },
  ml: { ml: 1, cl: 10, dl: 100, l: 1000, litre: 1000, litres: 1000, liter: 1000 },
  W: { w: 1, kw: 1000 },
  min: { min: 1, mins: 1, minutes: 1, h: 60, hour: 60, hours: 60, s: 1 / 60 },
};

/**
 * Reads an amount that is typed with its unit, "6 cm", as the document's unit; undefined where the unit is no unit of that kind.
 * @param unit the document's own: mm, g, ml, °C, W, min
 * @example readMeasured('6 cm', 'mm') // { kind: 'amount', value: 60 }
 */
export function readMeasured(text: string, unit: string): TypedAmount | undefined {
  const [, figure, word] = /^(.*?[\d½⅓⅔¼¾⅛])\s*([a-z°"″]+)\.?$/i.exec(text.trim()) ?? [];
  if (figure === undefined || word === undefined) return undefined;
  const read = readAmount(figure);
  if (unit === '°C') {
    const scale = word.replace('°', '').toLowerCase();
    if (scale === 'c') return read;
    return scale === 'f' && read.kind === 'amount' ? { kind: 'amount', value: (read.value - 32) / 1.8 } : undefined;
  }
  const factor = IN[unit]?.[word.toLowerCase()];
  return factor === undefined || read.kind === 'bad' || read.kind === 'empty' ? undefined : timesAmount(read, factor);
}

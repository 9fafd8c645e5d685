import { roundGrams } from './roundForKitchen';

/** Grams for reading: rounded as a kitchen can measure, with the unit; kilograms from ten up. */
export function sayGrams(massG: number): string {
  if (!Number.isFinite(massG)) return '–';
  if (Math.abs(massG) >= 10_000) return `${Number((massG / 1000).toFixed(1))} kg`;
  const { value } = roundGrams(massG);
  return `${value} g`;
}

/** Grams of one ingredient as they are weighed out: to a tenth where little of it is much. */
export const sayWeighed = (massG: number, fine = false): string =>
  fine ? `${roundGrams(massG, 'fine').value} g` : sayGrams(massG);

/** Water for reading, from ml: litres to one decimal from half a litre up. */
export const sayWater = (volumeMl: number): string =>
  volumeMl >= 500 ? `${Number((volumeMl / 1000).toFixed(1))} l` : `${Math.round(volumeMl / 10) * 10} ml`;

/** Minutes for reading: under 5 min to five seconds, under 90 min in minutes, longer in hours and minutes. */
export function sayDuration(timeS: number): string {
  if (!Number.isFinite(timeS)) return '–';
  if (timeS > 0 && timeS < 60) return `${Math.max(1, Math.round(timeS))} s`;
  if (timeS > 0 && timeS < 300) {
    const fives = Math.round(timeS / 5) * 5;
    return fives % 60 === 0
      ? `${fives / 60} min`
      : fives < 60
        ? `${fives} s`
        : `${Math.floor(fives / 60)} min ${fives % 60} s`;
  }
  const minutes = Math.round(timeS / 60);
  if (minutes < 90) return `${minutes} min`;
  const h = Math.floor(minutes / 60);
  const m = minutes % 60;
  return m === 0 ? `${h} h` : `${h} h ${m} min`;
}

/** Millimetres for reading, from metres. */
export const sayMm = (lengthM: number): string => `${Number((lengthM * 1000).toFixed(lengthM < 0.01 ? 1 : 0))} mm`;

/** Temperature for reading, °C. */
export const sayC = (tempC: number): string => `${Math.round(tempC)} °C`;

/** The plural of a kitchen word: radish, radishes; banana, bananas. */
const manyOf = (one: string): string =>
  /(s|x|ch|sh)$/.test(one) ? `${one}es` : /[^aeiou]y$/.test(one) ? `${one.slice(0, -1)}ies` : `${one}s`;

/** A count with its word: "1 day", "3 days". */
export const plural = (n: number, one: string, many = manyOf(one)): string => `${n} ${n === 1 ? one : many}`;

/** First letter raised. */
export const sentenceCase = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
/** First letter lowered, as a name stands in the middle of a sentence. */
export const inSentence = (s: string): string => s.charAt(0).toLowerCase() + s.slice(1);
/** A name without what is said of it behind a comma: "Rice flour, wet-milled" is "Rice flour". */
export const shortName = (name: string): string => name.replace(/,.*/s, '');
/** A thing's name in the middle of a sentence: "Enamel pot, 5 l" is "enamel pot (5 l)". */
export const spokenName = (name: string): string => inSentence(name.replace(/, (.+)$/, ' ($1)'));
/** A share for reading, in per cent. */
export const sayPct = (share: number): string => `${Math.round(100 * share)} %`;

/** The size of a file: "105 kB", "12.4 MB", "2.1 GB". */
export const sayBytes = (bytes: number): string =>
  bytes < 1e6
    ? `${Math.ceil(bytes / 1000)} kB`
    : bytes < 1e9
      ? `${(bytes / 1e6).toFixed(1)} MB`
      : `${(bytes / 1e9).toFixed(1)} GB`;

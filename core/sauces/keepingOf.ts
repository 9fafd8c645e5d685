import type { Larder } from '../larder';
import type { Accompaniment } from '../plan';
import { plural } from '../units';

export interface SauceKeeping {
  readonly days: number;
  readonly chilled: boolean;
  /** How long it keeps, and how. */
  readonly words: string;
  /** When it may be made ahead. */
  readonly ahead: string;
}

/** Days chilled: simmered and cooled; raw; garlic, onion or ginger in oil; meat or seafood; coconut; pickled in vinegar. */
const SIMMERED = 5;
const RAW = 1;
const AROMATIC_OIL = 4;
const MEAT = 2;
const COCONUT = 2;
const PICKLED = 5;
/** Dry and fried, in a closed jar, days. */
const DRY = 21;
const AROMATICS = new Set(['garlic', 'spring-onion', 'shallot', 'onion', 'ginger', 'chives', 'chilli', 'coriander']);
const SEAFOOD = new Set(['crustacean', 'mollusc']);
/** Below this water a fried topping is dry, share of what it is made of. */
const DRY_WATER = 0.15;

const days = (n: number): string => plural(n, 'day');

/**
 * How long a sauce or topping keeps, by what is in it and what is done to it: the strictest rule that holds. Raw dips a day; simmered and
 * cooled five days; garlic, onion or ginger in oil four days and chilled at once; meat, seafood and coconut two; dry fried weeks.
 */
export function keepingOf(a: Accompaniment, larder: Larder): SauceKeeping {
  const all = a.lines.reduce((s, l) => s + l.parts, 0);
  const list = a.lines.flatMap((l) => {
    const i = larder.get(l.ingredient);
    return i && l.parts > 0 ? [{ i, share: l.parts / Math.max(all, 1e-9) }] : [];
  });
  const has = (test: (x: (typeof list)[number]['i']) => boolean) => list.some((x) => test(x.i));
  const oil = has((i) => i.kind === 'fat' || i.id === 'chilli-oil');
  const aromatic = has((i) => AROMATICS.has(i.id));
  const cooked = a.method === 'simmer' || a.method === 'reduce' || a.method === 'thicken';
  // What dries out as it is fried no longer counts as wet.
  const water =
    list.reduce((s, x) => s + (x.share * x.i.per100.water) / 100, 0) *
    (a.method === 'fry' && !has((i) => i.kind === 'protein' && i.per100.water > 50 && i.id !== 'dried-shrimp')
      ? 0.1
      : 1);
  const chilled = (n: number, why: string, ahead: string): SauceKeeping => ({
    days: n,
    chilled: true,
    words: `${why}: keeps ${days(n)} at 5 °C or colder.`,
    ahead,
  });
  if (a.method === 'blanch')
    return chilled(RAW, 'Blanched, drained and cooled', 'Blanch it on the day: raw sprouts are not safe to keep warm.');
  if (
    has(
      (i) =>
        i.allergens.some((x) => SEAFOOD.has(x)) ||
        ['minced-pork', 'minced-chicken', 'egg', 'fresh-shrimp'].includes(i.id),
    )
  )
    return chilled(
      MEAT,
      'With meat, egg or seafood',
      `Make it up to ${days(MEAT)} ahead; cool it fast and heat it through.`,
    );
  if (aromatic && oil && a.method !== 'pickle' && water > DRY_WATER)
    return chilled(
      AROMATIC_OIL,
      'Garlic, onion or ginger in oil, chilled at once',
      `Make it up to ${days(AROMATIC_OIL)} ahead; never leave it warm.`,
    );
  if (has((i) => i.id.startsWith('coconut') && i.per100.fat > 2))
    return cooked
      ? chilled(COCONUT, 'With coconut', `Make it up to ${days(COCONUT)} ahead; within 4 h at room temperature.`)
      : chilled(RAW, 'Fresh coconut', 'Grate it on the day.');
  if (a.method === 'pickle')
    return chilled(PICKLED, 'In vinegar', `Make it up to ${days(PICKLED)} ahead: half an hour is the least.`);
  if (cooked) return chilled(SIMMERED, 'Simmered and cooled', `Make it up to ${days(SIMMERED)} ahead.`);
  if (water <= DRY_WATER)
    return {
      days: DRY,
      chilled: false,
      words: `Dry, in a closed jar: keeps ${days(DRY)}.`,
      ahead: `Make it up to ${days(DRY)} ahead.`,
    };
  return chilled(RAW, 'Raw', 'Stir it on the day, or the evening before.');
}

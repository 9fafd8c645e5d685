import { readAmount, readMeasured, sayFraction, type ShownUnit, type TypedAmount } from '@/core/units';

/** What a number may be. */
export interface Limits {
  readonly label: string;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  readonly whole?: boolean;
  /** Reads words that are no number, like "half a can", as an amount in the document's unit. */
  readonly words?: (text: string) => TypedAmount;
}
/** Shown in the document's own unit. */
export const AS_IS: ShownUnit = { unit: '', scale: 1, offset: 0, decimals: 0 };

/** A value or the two it could be, in the document's unit, or what is wrong. */
export type Typed =
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'ask'; readonly readings: readonly [number, number]; readonly sentence: string }
  | { readonly kind: 'trouble'; readonly sentence: string };

/** What was typed, as a value in the document's unit, a question, or what is wrong with it. */
export function typedNumber(text: string, limits: Limits, shown: ShownUnit = AS_IS): Typed {
  const { label, min, max, unit, whole, words } = limits;
  const trouble = (sentence: string): Typed => ({ kind: 'trouble', sentence });
  const plain = readAmount(text);
  // A unit that is typed with the figure is read as that unit, whatever the field shows.
  const measured = plain.kind === 'bad' ? readMeasured(text, unit ?? '') : undefined;
  const worded = plain.kind === 'bad' ? (measured ?? words?.(text)) : undefined;
  const read = worded ?? plain;
  if (read.kind === 'empty') return trouble('Enter a number; the last one is kept until you do.');
  if (read.kind === 'bad') return trouble(read.sentence);
  const inDocument = (x: number) => (worded ? x : (x - shown.offset) / shown.scale);
  if (read.kind === 'ask')
    return {
      kind: 'ask',
      readings: [inDocument(read.readings[0]), inDocument(read.readings[1])],
      sentence: read.sentence,
    };
  const n = inDocument(read.value);
  const say = (x: number) => {
    const s = x * shown.scale + shown.offset;
    const u = shown.unit || unit;
    return `${Number(s.toFixed(shown.scale === 1 ? 6 : 2))}${u ? ` ${u}` : ''}`;
  };
  if (whole && !Number.isInteger(n)) return trouble('Use a whole number.');
  // A hair under an edge is the rounding of another unit, not a slip.
  const hair = shown.scale === 1 ? 0 : 1e-6 * Math.max(1, Math.abs(n));
  if (min !== undefined && n < min - hair)
    return trouble(n < 0 && min === 0 ? `${label} cannot be below zero.` : `Use at least ${say(min)}.`);
  if (max !== undefined && n > max + hair) return trouble(`Use at most ${say(max)}.`);
  return { kind: 'value', value: n };
}

/** A number as a field shows it; nothing for what is none. */
export const numberText = (v: number | undefined, decimals: number, fractions: boolean): string =>
  v === undefined || !Number.isFinite(v) ? '' : fractions ? sayFraction(v) : String(Number(v.toFixed(decimals)));

import { fractionValue } from './fractions';

/** What a cook typed for an amount: a number, something that could be two numbers, something not finished, or not a number. */
export type TypedAmount =
  | { readonly kind: 'amount'; readonly value: number }
  | { readonly kind: 'ask'; readonly readings: readonly [number, number]; readonly sentence: string }
  | { readonly kind: 'empty' }
  | { readonly kind: 'bad'; readonly sentence: string };

/** The same amount in another unit: a value, or the two it could be, times a factor. */
export function timesAmount(typed: TypedAmount, factor: number): TypedAmount {
  if (typed.kind === 'amount') return amount(typed.value * factor);
  if (typed.kind === 'ask') return { ...typed, readings: [typed.readings[0] * factor, typed.readings[1] * factor] };
  return typed;
}

const amount = (value: number): TypedAmount => ({ kind: 'amount', value });
const bad = (text: string): TypedAmount => ({
  kind: 'bad',
  sentence: `"${text}" is not a number: use figures, like 1.5, 1,5, 1/2 or 1 ½.`,
});

/** Digits with a point or a comma as the decimal mark, and commas, points or spaces between thousands. */
function decimalOf(t: string): TypedAmount | undefined {
  if (/^-?\d+\.?\d*$|^-?\.\d+$/.test(t)) return amount(Number(t));
  // A comma before exactly three figures may be a decimal mark or may part the thousands; 0,250 can only be the first.
  const two = /^(-?)([1-9]\d{0,2}),(\d{3})$/.exec(t);
  if (two) {
    const small = Number(`${two[1]}${two[2]}.${two[3]}`);
    const large = Number(`${two[1]}${two[2]}${two[3]}`);
    return {
      kind: 'ask',
      readings: [small, large],
      sentence: `"${t}" could be ${small} or ${large}: which is it?`,
    };
  }
  if (/^-?\d+,\d*$|^-?,\d+$/.test(t)) return amount(Number(t.replace(',', '.')));
  if (/^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(t)) return amount(Number(t.replaceAll(',', '')));
  if (/^-?\d{1,3}(\.\d{3}){2,}(,\d+)?$|^-?\d{1,3}\.\d{3},\d+$/.test(t))
    return amount(Number(t.replaceAll('.', '').replace(',', '.')));
  if (/^-?\d{1,3}( \d{3})+([.,]\d+)?$/.test(t)) return amount(Number(t.replaceAll(' ', '').replace(',', '.')));
  return undefined;
}

/**
 * Reads an amount as a cook types it: 1.5, 1,5, ½, 1 ½, 1 1/2, 3/4. What could be two numbers ("1,250") is asked about, never guessed.
 * @example readAmount('1 1/2') // { kind: 'amount', value: 1.5 }
 */
export function readAmount(text: string): TypedAmount {
  // Figures of a wide keyboard, the true minus sign and fixed spaces are what a cook sees as 1, - and a space.
  const t = text
    .trim()
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace('\u2212', '-')
    .replace(/[０-９]/g, (c) => String.fromCharCode(c.charCodeAt(0) - 0xfee0));
  if (t === '') return { kind: 'empty' };
  const decimal = decimalOf(t);
  if (decimal) return decimal;
  const fraction = fractionValue(t);
  return fraction === undefined ? bad(text) : amount(fraction);
}

const SIGNS: readonly (readonly [number, string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
];
const NEAR = 0.004;

/**
 * A number as cups and spoons are read: whole and eighths, quarters, thirds as one sign; anything else in decimals.
 * @example sayFraction(1.5) // '1½'
 */
export function sayFraction(x: number): string {
  if (!Number.isFinite(x)) return '';
  const whole = Math.floor(x + NEAR);
  const rest = x - whole;
  if (Math.abs(rest) <= NEAR) return String(whole);
  const sign = SIGNS.find(([v]) => Math.abs(v - rest) <= NEAR);
  if (!sign) return String(Number(x.toFixed(3)));
  return whole === 0 ? sign[1] : `${whole}${sign[1]}`;
}

/** The value of "½", "1½", "1 ½", "3/4", "1 3/4" or "1-3/4"; undefined for anything else, and for a division by nothing. */
export function fractionValue(text: string): number | undefined {
  const t = text.trim();
  const sign = t.startsWith('-') ? -1 : 1;
  const size = sign < 0 ? t.slice(1).trim() : t;
  const signed = /^(\d*)\s*([⅛¼⅓⅜½⅝⅔¾⅞])$/.exec(size);
  if (signed) {
    const part = SIGNS.find(([, s]) => s === signed[2])?.[0];
    return part === undefined ? undefined : sign * (Number(signed[1]) + part);
  }
  const plain = /^(?:(\d+)\s*[-\s]\s*)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(size);
  if (!plain || Number(plain[3]) === 0) return undefined;
  return sign * (Number(plain[1] ?? 0) + Number(plain[2]) / Number(plain[3]));
}

/**
 * Pieces for buying: quarters below two, halves below five, whole ones above.
 * @example sayPieces(1.54) // '1½'
 */
export function sayPieces(count: number): string {
  const step = count < 2 ? 0.25 : count < 5 ? 0.5 : 1;
  return sayFraction(Math.max(step, Math.round(count / step) * step));
}

/** A function of temperature tabulated for speed: linear between nodes `stepC` apart, flat beyond the ends. */
export interface Lookup {
  readonly values: Float64Array;
  readonly fromC: number;
  readonly perC: number;
}

const FROM_C = -40;
const TO_C = 160;

/** Tabulates `f` from −40 to 160 °C. */
export function tabulate(f: (tempC: number) => number, stepC = 0.5): Lookup {
  const n = Math.round((TO_C - FROM_C) / stepC) + 1;
  return { values: Float64Array.from({ length: n }, (_, i) => f(FROM_C + i * stepC)), fromC: FROM_C, perC: 1 / stepC };
}

/** Value of the table at a temperature. */
export function lookUp(table: Lookup, tempC: number): number {
  const x = (tempC - table.fromC) * table.perC;
  const last = table.values.length - 1;
  if (!(x > 0)) return table.values[0];
  if (x >= last) return table.values[last];
  const i = x | 0;
  const v = table.values[i];
  return v + (x - i) * (table.values[i + 1] - v);
}

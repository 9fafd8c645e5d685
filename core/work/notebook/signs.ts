import type { Operation } from '../../flow';
import type { Step } from '../../steps';

/** What a cook may see of a finished cake, with the operations that can bring it about; none: any cake can show it. */
const SIGNS: readonly (readonly [sign: string, ops: readonly Operation[]])[] = [
  ['raw in the middle', ['steam', 'layer', 'fill', 'cook-through']],
  ['puddle on top', ['steam', 'layer', 'fill']],
  ['bumpy, dull top', ['steam', 'layer', 'fill']],
  ['domed or cracked', ['steam']],
  ['layers part', ['layer']],
  ['layers bleed', ['layer']],
  ['grainy or mealy', []],
  ['dense', ['ferment', 'add-powder']],
  ['stuck to the pan', ['pour', 'layer', 'fill']],
  ['crumbles when cut', ['cut']],
  ['sticks to the knife', ['cut']],
  ['cracks or tears', ['film', 'assemble']],
  ['pale from the pan', ['sear']],
  ['greasy', ['sear']],
  ['broken in the pan', ['sear']],
  ['soapy or bitter', ['add-powder', 'slake', 'rinse']],
  ['hard next day', []],
  ['mushy after chilling', ['cool']],
];

/** The signs that this work can have left in the cake. @param steps of the batch */
export function signsFor(steps: readonly Pick<Step, 'op'>[]): readonly string[] {
  const ops = new Set(steps.map((s) => s.op));
  return SIGNS.flatMap(([sign, of]) => (of.length === 0 || of.some((op) => ops.has(op)) ? [sign] : []));
}

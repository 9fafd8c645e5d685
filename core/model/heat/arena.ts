/**
 * The one buffer in which runs are advanced, by offset: where its address and length are known for good, the compiler reaches a value in it with
 * one instruction. A kernel takes it into a `const` of its own closure, made once: a parameter or a variable of the module would be looked up anew.
 * One run has it at a time; whoever wants it keeps for the one before what it had. Doubles, and whole numbers beside them.
 */
export const doubles = new Float64Array(1 << 21);
export const wholes = new Int32Array(1 << 19);

/** What a run needs of the buffer, and what it had in it when another took it. */
export interface Tenant {
  readonly doubles: number;
  readonly wholes: number;
  kept?: { readonly doubles: Float64Array; readonly wholes: Int32Array } | undefined;
}

let here: Tenant | undefined;

/** Gives the buffer to a run, with what it had in it. Errors: RangeError for a grid that has no room in it. */
export function enter(t: Tenant): void {
  if (here === t) return;
  if (t.doubles > doubles.length || t.wholes > wholes.length) throw new RangeError('The grid has too many cells.');
  if (here) here.kept = { doubles: doubles.slice(0, here.doubles), wholes: wholes.slice(0, here.wholes) };
  here = t;
  if (!t.kept) return;
  doubles.set(t.kept.doubles);
  wholes.set(t.kept.wholes);
  t.kept = undefined;
}

/** Changes one of a draft's list in place; one that is not there any more is left alone. */
export function changeAt<T extends object>(list: T[] | undefined, i: number, change: Partial<T>): void {
  const it = list?.[i];
  if (it) Object.assign(it, change);
}

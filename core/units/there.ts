/** What is there by how it was made. @throws Error where it is not: a fault of ours, never of what a cook wrote */
export function there<T>(x: T | undefined): T {
  if (x === undefined) throw new Error('What must be there is not.');
  return x;
}

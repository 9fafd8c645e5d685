/** A document as text whose keys stand in one order, so that the same says the same; undefined of nothing. */
function written(x: unknown): string | undefined {
  return JSON.stringify(x, (_key, v: unknown) =>
    typeof v === 'object' && v !== null && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => a.localeCompare(b)))
      : v,
  );
}
/** True where two documents do not say the same, in whatever order their keys stand. */
export const differs = (a: unknown, b: unknown): boolean => written(a) !== written(b);

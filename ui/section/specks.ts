/** A small seeded generator (mulberry32), so that specks lie still between renders. */
function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const RADIUS_M = 0.0018;
const MOST = 90;

/** Add-in pieces as specks: x from the middle, z from the base, radius, m. As many as their share of the section asks for. */
export function specks(share: number, widthM: number, depthM: number): readonly (readonly [number, number, number])[] {
  if (share <= 0 || depthM <= 2 * RADIUS_M) return [];
  const n = Math.min(MOST, Math.round((share * widthM * depthM) / (Math.PI * RADIUS_M ** 2 * 12)));
  const random = seeded(7);
  return Array.from(
    { length: n },
    () =>
      [
        (random() - 0.5) * widthM * 0.96,
        RADIUS_M + random() * (depthM - 2 * RADIUS_M),
        RADIUS_M * (0.7 + 0.6 * random()),
      ] as const,
  );
}

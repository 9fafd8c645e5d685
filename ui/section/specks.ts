import { seeded } from '@/core/units';

const RADIUS_M = 0.0018;
const MOST = 90;

/** Its x from the middle, z from the base and radius, m. */
export type Speck = readonly [number, number, number];

/** Add-in pieces as specks, as many as their share of the section asks for. */
export function specks(share: number, widthM: number, depthM: number): readonly Speck[] {
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

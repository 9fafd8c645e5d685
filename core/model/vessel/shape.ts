import type { Vessel } from '../../kitchen';

/** A vessel's inside as functions of height z above its base, m. */
export interface VesselShape {
  readonly heightM: number;
  /** Radius (round kinds) or half-length (rectangular) at z: the half-width of the section drawing. */
  readonly halfWidthAt: (z: number) => number;
  /** Half-length and half-width at z, for rectangular kinds. */
  readonly halfAt?: (z: number) => readonly [number, number];
  /** Horizontal area at z, m². */
  readonly areaAt: (z: number) => number;
  /** Volume below z, m³, in closed form. */
  readonly volumeAt: (z: number) => number;
}

const lerp = (a: number, b: number, u: number): number => a + (b - a) * u;

/**
 * The shape of a vessel. Round: frustum. Rectangular: tapered box with corner radius. Bowl: spherical cap through the rim.
 * Dish: flat base rising as r = r_b + (r_t − r_b)·√(z/h).
 */
export function vesselShape(v: Vessel): VesselShape {
  const h = v.heightM;
  if (v.shape === 'rectangular') {
    const [l1, w1] = [v.lengthM, v.widthM];
    const l0 = v.baseLengthM ?? l1;
    const w0 = v.baseWidthM ?? w1;
    const corner = (4 - Math.PI) * Math.min(v.cornerRadiusM, l0 / 2, w0 / 2) ** 2;
    return {
      heightM: h,
      halfWidthAt: (z) => lerp(l0, l1, z / h) / 2,
      halfAt: (z) => [lerp(l0, l1, z / h) / 2, lerp(w0, w1, z / h) / 2],
      areaAt: (z) => lerp(l0, l1, z / h) * lerp(w0, w1, z / h) - corner,
      volumeAt: (z) => {
        const u = z / h;
        return (
          h * (l0 * w0 * u + (((l1 - l0) * w0 + (w1 - w0) * l0) * (u * u)) / 2 + ((l1 - l0) * (w1 - w0) * u ** 3) / 3) -
          corner * z
        );
      },
    };
  }
  if (v.shape === 'bowl') {
    const a = v.diameterM / 2;
    const big = (a * a + h * h) / (2 * h);
    const radius = (z: number) => Math.sqrt(Math.max(0, 2 * big * z - z * z));
    return {
      heightM: h,
      halfWidthAt: radius,
      areaAt: (z) => Math.PI * radius(z) ** 2,
      volumeAt: (z) => Math.PI * z * z * (big - z / 3),
    };
  }
  const rt = v.diameterM / 2;
  const rb = (v.baseDiameterM ?? v.diameterM) / 2;
  if (v.shape === 'dish') {
    const radius = (z: number) => rb + (rt - rb) * Math.sqrt(Math.max(0, z / h));
    return {
      heightM: h,
      halfWidthAt: radius,
      areaAt: (z) => Math.PI * radius(z) ** 2,
      volumeAt: (z) => {
        const u = Math.max(0, z / h);
        const d = rt - rb;
        return Math.PI * h * (rb * rb * u + (4 / 3) * rb * d * u ** 1.5 + (d * d * u * u) / 2);
      },
    };
  }
  const radius = (z: number) => lerp(rb, rt, z / h);
  return {
    heightM: h,
    halfWidthAt: radius,
    areaAt: (z) => Math.PI * radius(z) ** 2,
    volumeAt: (z) => {
      const r = radius(z);
      return ((Math.PI * z) / 3) * (rb * rb + rb * r + r * r);
    },
  };
}

/** Brimful volume, ml. */
export const brimMl = (v: Vessel): number => vesselShape(v).volumeAt(v.heightM) * 1e6;

/** Volume at a depth, ml. */
export const volumeAtDepth = (v: Vessel, depthM: number): number => vesselShape(v).volumeAt(depthM) * 1e6;

/**
 * Depth that a volume fills to, m, by bisection on the closed-form volume (to 1e-9 m). Beyond the brim the top cross-section
 * is carried on upwards, so that the overflow can be shown.
 * @param volumeMl volume, ml
 */
export function depthForVolume(v: Vessel, volumeMl: number): number {
  const shape = vesselShape(v);
  const target = volumeMl * 1e-6;
  const brim = shape.volumeAt(v.heightM);
  if (target <= 0) return 0;
  if (target > brim) return v.heightM + (target - brim) / shape.areaAt(v.heightM);
  let lo = 0;
  let hi = v.heightM;
  while (hi - lo > 1e-9) {
    const mid = (lo + hi) / 2;
    if (shape.volumeAt(mid) < target) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/** Across the rim, as a section is drawn, m: the length of a rectangular one. */
export const acrossOf = (v: Vessel): number => (v.shape === 'rectangular' ? v.lengthM : v.diameterM);

/** Outermost horizontal span, m: what must pass the steamer's rim. */
export const spanOf = (v: Vessel): number =>
  v.shape === 'rectangular' ? Math.hypot(v.lengthM, v.widthM) - 2 * v.cornerRadiusM * (Math.SQRT2 - 1) : v.diameterM;

/** Area of the rim, m²: what stands in the way of steam coming up. */
export const topAreaOf = (v: Vessel): number =>
  v.shape === 'rectangular'
    ? v.lengthM * v.widthM - (4 - Math.PI) * v.cornerRadiusM ** 2
    : Math.PI * (v.diameterM / 2) ** 2;

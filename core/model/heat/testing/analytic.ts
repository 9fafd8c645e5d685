/**
 * Analytic series for transient conduction with a convective surface (Carslaw & Jaeger 1959), as oracles.
 * θ = (T − T∞)/(T₀ − T∞), x the share of the half-thickness or radius from the centre, Bi = h L/k, Fo = α t/L².
 */
function bisect(f: (x: number) => number, lo: number, hi: number): number {
  const sign = Math.sign(f(lo));
  for (let i = 0; i < 60; i++) {
    const mid = (lo + hi) / 2;
    if (Math.sign(f(mid)) === sign) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

/** Bessel function of the first kind J_n(x), n = 0 or 1, by the integral (1/π)∫₀^π cos(nθ − x sin θ) dθ, midpoint rule (spectrally accurate). */
export function besselJ(n: 0 | 1, x: number): number {
  const m = 64 + Math.ceil(Math.abs(x)) * 2;
  let sum = 0;
  for (let i = 0; i < m; i++) {
    const a = ((i + 0.5) * Math.PI) / m;
    sum += Math.cos(n * a - x * Math.sin(a));
  }
  return sum / m;
}

/** Roots of one Biot number, found once. */
const known = new Map<string, readonly number[]>();
function roots(kind: string, bi: number, terms: number, find: () => number[]): readonly number[] {
  const key = `${kind} ${bi} ${terms}`;
  let list = known.get(key);
  if (!list) known.set(key, (list = find()));
  return list;
}

/** Infinite slab of half-thickness L: ζ tan ζ = Bi. */
export function slabTheta(x: number, bi: number, fo: number, terms = 60): number {
  const zetas = roots('slab', bi, terms, () =>
    Array.from({ length: terms }, (_, n) =>
      Number.isFinite(bi)
        ? bisect((t) => t * Math.sin(t) - bi * Math.cos(t), n * Math.PI + 1e-12, n * Math.PI + Math.PI / 2)
        : (n + 0.5) * Math.PI,
    ),
  );
  return zetas.reduce(
    (sum, z) => sum + ((4 * Math.sin(z)) / (2 * z + Math.sin(2 * z))) * Math.exp(-z * z * fo) * Math.cos(z * x),
    0,
  );
}

/** Infinite cylinder of radius R: ζ J₁(ζ) = Bi J₀(ζ). */
export function cylinderTheta(x: number, bi: number, fo: number, terms = 40): number {
  const f = (t: number) => (Number.isFinite(bi) ? t * besselJ(1, t) - bi * besselJ(0, t) : -besselJ(0, t));
  const zetas = roots('cylinder', bi, terms, () => {
    let from = 1e-9;
    return Array.from({ length: terms }, () => {
      let hi = from + 0.3;
      while (Math.sign(f(hi)) === Math.sign(f(from))) hi += 0.3;
      const z = bisect(f, hi - 0.3, hi);
      from = z + 0.5;
      return z;
    });
  });
  return zetas.reduce((sum, z) => {
    const decay = Math.exp(-z * z * fo);
    if (decay < 1e-14) return sum;
    const j0 = besselJ(0, z);
    const j1 = besselJ(1, z);
    return sum + (2 / z) * (j1 / (j0 * j0 + j1 * j1)) * decay * besselJ(0, z * x);
  }, 0);
}

import { boxGrid, conduct, constantMaterial, roundGrid, type HeatGrid, type SideSpec } from '..';
import { cylinderTheta, slabTheta } from './analytic';
import { SHIPPED_GRID } from '../../steam';

/** Bodies for which the series are exact; sizes in cells are for the finite one. */
export type Body = 'slab' | 'long cylinder' | 'finite cylinder' | 'box';
export interface AnalyticCase {
  readonly body: Body;
  readonly bi: number;
  readonly fo: number;
  readonly worstC: number;
}

const K = 0.5;
const C = 3.6e6;
const T0 = 25;
const AMBIENT = 100;
export const BIOTS = [0.5, 5, Infinity] as const;
export const FOURIERS = [0.05, 0.1, 0.2, 0.5, 1] as const;

const side = (h: number): SideSpec => ({ filmH: h, outerR: 0, innerR: 0, capacity: 0, ambientC: AMBIENT });
const SHUT = side(1e-9);
const filmFor = (bi: number, lengthM: number) => (Number.isFinite(bi) ? (bi * K) / lengthM : 1e9);

interface Setup {
  readonly grid: HeatGrid;
  readonly open: readonly ('base' | 'wall' | 'top')[];
  readonly lengthM: number;
  readonly theta: (c: readonly [number, number, number], bi: number, t: number) => number;
}

const DEPTH = 0.04;
const RADIUS = 0.05;
const HALF_X = 0.06;
const HALF_Y = 0.045;
const alpha = K / C;

/** θ of one direction with half-length L; cached per time because cells share coordinates. */
function direction(kind: 'slab' | 'cylinder', lengthM: number, h: number) {
  const cache = new Map<string, number>();
  return (x: number, t: number): number => {
    const key = `${x.toFixed(9)} ${t}`;
    const known = cache.get(key);
    if (known !== undefined) return known;
    const bi = h > 1e8 ? Infinity : (h * lengthM) / K;
    const v = (kind === 'slab' ? slabTheta : cylinderTheta)(x / lengthM, bi, (alpha * t) / lengthM ** 2, 40);
    cache.set(key, v);
    return v;
  };
}

function setup(body: Body, h: number, fine: number): Setup {
  const n = (x: number) => Math.max(2, Math.round(x * fine));
  const slabZ = direction('slab', DEPTH / 2, h);
  const z = (c: readonly [number, number, number]) => Math.abs(c[2] - DEPTH / 2);
  switch (body) {
    case 'slab':
      return {
        grid: roundGrid(() => RADIUS, DEPTH, 1, n(SHIPPED_GRID.nz)),
        open: ['base', 'top'],
        lengthM: DEPTH / 2,
        theta: (c, _b, t) => slabZ(z(c), t),
      };
    case 'long cylinder': {
      const r = direction('cylinder', RADIUS, h);
      return {
        grid: roundGrid(() => RADIUS, DEPTH, n(SHIPPED_GRID.nr), 1),
        open: ['wall'],
        lengthM: RADIUS,
        theta: (c, _b, t) => r(c[0], t),
      };
    }
    case 'finite cylinder': {
      const r = direction('cylinder', RADIUS, h);
      return {
        grid: roundGrid(() => RADIUS, DEPTH, n(SHIPPED_GRID.nr), n(SHIPPED_GRID.nz)),
        open: ['base', 'wall', 'top'],
        lengthM: DEPTH / 2,
        theta: (c, _b, t) => r(c[0], t) * slabZ(z(c), t),
      };
    }
    case 'box': {
      const x = direction('slab', HALF_X, h);
      const y = direction('slab', HALF_Y, h);
      return {
        grid: boxGrid(() => [HALF_X, HALF_Y], DEPTH, n(SHIPPED_GRID.nxy), n(SHIPPED_GRID.nxy), n(SHIPPED_GRID.nzBox)),
        open: ['base', 'wall', 'top'],
        lengthM: DEPTH / 2,
        theta: (c, _b, t) => x(c[0], t) * y(c[1], t) * slabZ(z(c), t),
      };
    }
  }
}

/**
 * Largest difference between solver and series over all cells, °C, for a body from 25 °C into 100 °C.
 * Fourier numbers are of the shortest open length.
 * @param fine 1 is the shipped resolution, 2 twice as fine in each direction
 */
export function analyticErrors(body: Body, bi: number, fine = 1, toleranceC?: number): AnalyticCase[] {
  const probe = setup(body, 1, fine);
  const h = filmFor(bi, probe.lengthM);
  const s = setup(body, h, fine);
  const open = side(h);
  const run = conduct({
    grid: s.grid,
    materials: [constantMaterial(K, C)],
    initialC: T0,
    toleranceC: toleranceC ?? SHIPPED_GRID.toleranceC,
    maxStepS: SHIPPED_GRID.maxStepS,
    sides: {
      base: s.open.includes('base') ? open : SHUT,
      wall: s.open.includes('wall') ? open : SHUT,
      top: s.open.includes('top') ? open : SHUT,
    },
  });
  const [nx, ny, nz] = s.grid.n;
  const at = (e: Float64Array, i: number) => (e.length > i + 1 ? (e[i] + e[i + 1]) / 2 : 0);
  return FOURIERS.map((fo) => {
    const t = (fo * s.lengthM ** 2) / alpha;
    while (run.timeS() < t - 1e-9) run.advance(t);
    let worstC = 0;
    for (let k = 0; k < nz; k++)
      for (let j = 0; j < ny; j++)
        for (let i = 0; i < nx; i++) {
          const exact =
            AMBIENT -
            (AMBIENT - T0) * s.theta([at(s.grid.edgesX, i), at(s.grid.edgesY, j), at(s.grid.edgesZ, k)], bi, t);
          worstC = Math.max(worstC, Math.abs(run.temp[(k * ny + j) * nx + i] - exact));
        }
    return { body, bi, fo, worstC };
  });
}

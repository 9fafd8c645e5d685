import {
  boxGrid,
  conduct,
  constantMaterial,
  equilibriumGel,
  gelRate,
  plainGelling,
  heatMaterial,
  roundGrid,
  type SideSpec,
} from '.';
import { besselJ, cylinderTheta, slabTheta } from './testing/analytic';
import { analyticErrors, BIOTS, type Body } from './testing/analyticCases';

const side = (h: number, ambientC = 100, more: Partial<SideSpec> = {}): SideSpec => ({
  filmH: h,
  outerR: 0,
  innerR: 0,
  capacity: 0,
  ambientC,
  ...more,
});
const all = (s: SideSpec) => ({ base: s, wall: s, top: s });

describe('the analytic oracles themselves', () => {
  test('Bessel functions agree with printed tables', () => {
    expect(besselJ(0, 1)).toBeCloseTo(0.7651976866, 9);
    expect(besselJ(1, 2.5)).toBeCloseTo(0.4970941025, 9);
    expect(besselJ(0, 2.4048255577)).toBeCloseTo(0, 9);
  });
  test('one-term slab at Bi = 5, Fo = 1: ζ₁ = 1.3138, C₁ = 1.2403 (tables)', () => {
    expect(slabTheta(0, 5, 1)).toBeCloseTo(1.2403 * Math.exp(-(1.3138 ** 2)), 3);
  });
  test('one-term cylinder at Bi = 5, Fo = 1: ζ₁ = 1.9898, C₁ = 1.5029 (tables)', () => {
    expect(cylinderTheta(0, 5, 1)).toBeCloseTo(1.5029 * Math.exp(-(1.9898 ** 2)), 3);
  });
});

describe('conduction against the analytic series', () => {
  for (const body of ['slab', 'long cylinder', 'finite cylinder', 'box'] as readonly Body[]) {
    for (const bi of BIOTS) {
      test(`${body}, Bi ${bi}: within 0.5 °C in every cell, Fo 0.05 to 1`, () => {
        for (const c of analyticErrors(body, bi)) expect(c.worstC).toBeLessThanOrEqual(0.5);
      });
    }
  }
  test('two layers of different start temperature, both faces shut: the cosine series', () => {
    // T = (T₁+T₂)/2 + Σ odd n 2(T₁−T₂)/(nπ) · sin(nπ/2) · cos(nπx/L) · e^(−n²π²αt/L²)
    const [L, k, c, lower, upper] = [0.02, 0.5, 3.6e6, 90, 25];
    const nz = 40;
    const grid = roundGrid(() => 0.05, L, 1, nz);
    const start = Float64Array.from({ length: nz }, (_, i) => (i < nz / 2 ? lower : upper));
    const run = conduct({
      grid,
      materials: [constantMaterial(k, c)],
      initialC: start,
      sides: all(side(1e-12)),
      toleranceC: 0.5,
    });
    for (const t of [60, 200, 600]) {
      while (run.timeS() < t) run.advance(t);
      for (let i = 0; i < nz; i++) {
        const x = (grid.edgesZ[i] + grid.edgesZ[i + 1]) / 2;
        let exact = (lower + upper) / 2;
        for (let n = 1; n < 120; n += 2)
          exact +=
            ((2 * (lower - upper)) / (n * Math.PI)) *
            Math.sin((n * Math.PI) / 2) *
            Math.cos((n * Math.PI * x) / L) *
            Math.exp((-(n ** 2) * Math.PI ** 2 * (k / c) * t) / L ** 2);
        expect(Math.abs(run.temp[i] - exact)).toBeLessThan(0.5);
      }
    }
  });
  test('halving the grid cuts the slab error by about four (second order)', () => {
    const worst = (fine: number) => Math.max(...analyticErrors('slab', 5, fine, 0.02).map((c) => c.worstC));
    expect(worst(0.5) / worst(1)).toBeGreaterThan(3);
  });
});

describe('conservation', () => {
  test('heat taken in through films equals heat held, walls included, in a round pan and in a box', () => {
    const material = heatMaterial(
      (t) => 0.5 + 0.001 * t,
      (t) => 3.5e6 + 900 * t,
    );
    const walled = side(220, 100, { outerR: 0.002, innerR: 0.002, capacity: 12000 });
    for (const grid of [roundGrid((z) => 0.09 + 0.3 * z, 0.04, 16, 16), boxGrid(() => [0.1, 0.06], 0.035, 8, 8, 12)]) {
      const run = conduct({
        grid,
        materials: [material],
        initialC: 22,
        wallC: 22,
        sides: { base: walled, wall: walled, top: side(220) },
      });
      const before = run.heatHeldJ();
      while (run.timeS() < 1500) run.advance(1500);
      expect(Math.abs(run.heatHeldJ() - before - run.heatInJ()) / run.heatInJ()).toBeLessThan(0.005);
    }
  });
  test('a chamber and what stands in it agree in every step: what is taken is what it has to give', () => {
    // A chamber of one figure: its film falls to nothing as its state goes to 1, and it gives 500 W at most.
    const chamber = {
      film: (share: number, y: number) => ({ filmH: 350 * share * (1 - y), ambientC: 100 }),
      settle: (_t: number, _dt: number, heatW: (y: number) => number) => {
        let [low, high] = [0, 1];
        for (let i = 0; i < 40; i++) {
          const mid = (low + high) / 2;
          if (heatW(mid) > 500) low = mid;
          else high = mid;
        }
        return low;
      },
      pass: () => undefined,
    };
    const inside = { ...side(0), inChamber: 1 };
    for (const sides of [all(inside), all({ ...inside, capacity: 3000, outerR: 0.0005, innerR: 0.0005 })]) {
      const run = conduct({
        grid: roundGrid(() => 0.12, 0.04, 12, 12),
        materials: [constantMaterial(0.5, 3.6e6)],
        initialC: 20,
        sides,
        chamber,
      });
      let most = 0;
      while (run.timeS() < 600) {
        const before = run.heatInJ();
        const dt = run.advance(600);
        expect((run.heatInJ() - before) / dt).toBeLessThanOrEqual(500 * 1.03);
        most = Math.max(most, run.chamberState());
      }
      expect(most).toBeGreaterThan(0.05);
      expect(run.sideHeatJ('base') + run.sideHeatJ('wall') + run.sideHeatJ('top')).toBeCloseTo(run.heatInJ(), 6);
    }
  });
  test('pieces take the heat of what they lie in with their lag, to second order, and none of it is lost', () => {
    // A body of high conductivity in no surroundings: two temperatures that meet at τ (1 − share).
    const off = (maxStepS: number) => {
      const run = conduct({
        grid: roundGrid(() => 0.05, 0.04, 4, 4),
        materials: [constantMaterial(50, 3.6e6)],
        initialC: 70,
        sides: all(side(1e-9)),
        pieces: { share: 0.4, tauS: 300, initialC: 20 },
        toleranceC: 100,
        maxStepS,
      });
      const before = run.heatHeldJ();
      while (run.timeS() < 180) run.advance(180);
      expect(run.heatHeldJ() / before).toBeCloseTo(1, 9);
      return Math.abs(run.temp[0] - (run.piecesTemp?.[0] ?? NaN) - 50 * Math.exp(-180 / (300 * 0.6)));
    };
    expect(off(10)).toBeLessThan(0.02);
    expect(off(2.5) / off(10)).toBeLessThan(1 / 12);
  });
  test('pieces far quicker than a step follow their cells, and the body heats as one of their joint capacity', () => {
    // Lumped: (C_m + C_p) dT/dt = hA (T∞ − T), pieces of 10 s in steps of a minute.
    const run = conduct({
      grid: roundGrid(() => 0.05, 0.04, 4, 4),
      materials: [constantMaterial(400, 3.6e6)],
      initialC: 20,
      sides: all(side(20, 100)),
      pieces: { share: 0.6, tauS: 10, initialC: 20 },
      toleranceC: 100,
      maxStepS: 60,
    });
    while (run.timeS() < 1800) run.advance(1800);
    const area = 2 * Math.PI * 0.05 * 0.05 + 2 * Math.PI * 0.05 * 0.04;
    const tau = (3.6e6 * Math.PI * 0.05 * 0.05 * 0.04) / (20 * area);
    expect(run.temp[0]).toBeCloseTo(100 - 80 * Math.exp(-1800 / tau), 1);
  });
  test('grid volume of a tapered pan equals the frustum', () => {
    const grid = roundGrid((z) => 0.08 + 0.5 * z, 0.04, 20, 20);
    const exact = ((Math.PI * 0.04) / 3) * (0.08 ** 2 + 0.08 * 0.1 + 0.1 ** 2);
    expect(grid.volume.reduce((a, b) => a + b, 0) / exact).toBeCloseTo(1, 3);
    const wall = grid.faces.filter((f) => f.side === 'wall').reduce((s, f) => s + f.areaM2, 0);
    expect(wall / (Math.PI * 0.18 * Math.hypot(0.02, 0.04))).toBeCloseTo(1, 2);
  });
});

describe('one buffer for all runs', () => {
  const opened = (initialC: number, rows: number) =>
    conduct({
      grid: roundGrid((z) => 0.08 + 0.2 * z, 0.03, 8, rows),
      materials: [
        heatMaterial(
          (t) => 0.5 + 0.001 * t,
          (t) => 3.5e6 + 900 * t,
          77,
        ),
      ],
      initialC,
      sides: all(side(220, 100, { outerR: 0.001, innerR: 0.001, capacity: 9000 })),
      pieces: { share: 0.3, tauS: 40, initialC: 10 },
    });
  test('two runs that advance by turns come to the very same as one after the other', () => {
    const alone = [opened(20, 8), opened(40, 12)].map((run) => {
      while (run.timeS() < 900) run.advance(900);
      return [...run.temp, ...run.gel, ...run.wallTemp, run.heatInJ(), run.heatHeldJ()];
    });
    const [one, other] = [opened(20, 8), opened(40, 12)];
    while (one.timeS() < 900 || other.timeS() < 900)
      for (const run of [one, other]) if (run.timeS() < 900) run.advance(900);
    expect(
      [one, other].map((run) => [...run.temp, ...run.gel, ...run.wallTemp, run.heatInJ(), run.heatHeldJ()]),
    ).toEqual(alone);
  });
  test('a run goes on from a step taken back as if another had not been there', () => {
    const far = (between: boolean) => {
      const run = opened(20, 8);
      while (run.timeS() < 200) run.advance(300);
      run.undo();
      if (between) opened(60, 10).advance(10);
      while (run.timeS() < 600) run.advance(600);
      return [...run.temp, run.heatInJ()];
    };
    expect(far(true)).toEqual(far(false));
  });
  test('a grid without room in it is refused', () => {
    const grid = roundGrid(() => 0.1, 0.05, 600, 600);
    const problem = { grid, materials: [constantMaterial(0.5, 3.6e6)], initialC: 20, sides: all(side(9)) };
    expect(() => conduct(problem)).toThrow(RangeError);
  });
  test('a plate one cell thick, with a film on both faces of it, loses no heat', () => {
    const walled = side(220, 100, { outerR: 0.002, innerR: 0.002, capacity: 12000 });
    const run = conduct({
      grid: roundGrid(() => 0.1, 0.004, 6, 1),
      materials: [constantMaterial(0.5, 3.6e6)],
      initialC: 20,
      sides: { base: walled, wall: walled, top: side(220) },
      toleranceC: 0.2,
    });
    const before = run.heatHeldJ();
    while (run.timeS() < 300) run.advance(300);
    expect((run.heatHeldJ() - before) / run.heatInJ()).toBeCloseTo(1, 6);
    expect(run.temp[0]).toBeGreaterThan(95);
  });
});

describe('limits', () => {
  test('a body of high conductivity follows the lumped exponential', () => {
    const [h, c, r, d] = [20, 3e6, 0.05, 0.04];
    const run = conduct({
      grid: roundGrid(() => r, d, 6, 6),
      materials: [constantMaterial(400, c)],
      initialC: 90,
      sides: all(side(h, 10)),
      toleranceC: 0.1,
    });
    while (run.timeS() < 1800) run.advance(1800);
    const area = 2 * Math.PI * r * r + 2 * Math.PI * r * d;
    const tau = (c * Math.PI * r * r * d) / (h * area);
    expect(run.temp[0]).toBeCloseTo(10 + 80 * Math.exp(-1800 / tau), 0);
  });
  test('a fresh surrounding takes over at once and the field carries on', () => {
    const run = conduct({
      grid: roundGrid(() => 0.05, 0.03, 6, 8),
      materials: [constantMaterial(0.5, 3.6e6)],
      initialC: 80,
      sides: all(side(9, 20)),
    });
    run.advance(60);
    const before = run.temp[20];
    run.surround(all(side(350, 0)));
    while (run.timeS() < 3600) run.advance(3600);
    expect(run.temp[20]).toBeLessThan(before - 40);
  });
});

describe('gelatinisation', () => {
  test('half gels at the midpoint, the rate at 95 °C is 1/20 s, and it doubles in about 9 °C', () => {
    expect(equilibriumGel(77, plainGelling(77))).toBeCloseTo(0.5, 12);
    expect(gelRate(95)).toBeCloseTo(0.05, 12);
    // Arrhenius by hand: exp(80000/8.3145·(1/368.15 − 1/377.15)) = exp(0.6237) = 1.866
    expect(gelRate(104) / gelRate(95)).toBeCloseTo(1.866, 2);
  });
  test('set degree never falls, and follows 1 − e^(−kt) at constant temperature', () => {
    const m = heatMaterial(
      () => 0.5,
      () => 3.6e6,
      60,
    );
    const run = conduct({
      grid: roundGrid(() => 0.05, 0.02, 2, 2),
      materials: [m],
      initialC: 95,
      sides: all(side(1e-9, 95)),
      maxStepS: 1,
    });
    while (run.timeS() < 20) run.advance(20);
    expect(run.gel[0]).toBeCloseTo(1 - Math.exp(-1), 3);
  });
});

import { SIDES } from './grid';
import { lookUp } from './lookup';
import type { HeatMaterial } from './material';
import type { ConductionProblem, ConductionRun } from './conduction.types';

/** γ of the two-stage, second-order, L-stable singly diagonally implicit Runge–Kutta method. */
const GAMMA = 1 - Math.SQRT1_2;
const EXTRAPOLATE = (1 - GAMMA) / GAMMA;
const POWER_TRIES = 6;

/**
 * Transient conduction on a finite-volume grid, implicit: each step sweeps the axes in turn (locally one-dimensional,
 * order reversed every other step so that the splitting stays second-order), each sweep by SDIRK2 on tridiagonal lines.
 * Walls are lumped nodes eliminated from their line. All films are scaled down alike when the heat they ask for exceeds the power.
 * Step size follows the curvature of the temperature's course.
 */
export function conduct(problem: ConductionProblem): ConductionRun {
  const { grid, materials } = problem;
  // A local name: module bindings cost a look-up of their own in the inner loops.
  const look = lookUp;
  const [nx, ny, nz] = grid.n;
  const size = nx * ny * nz;
  const strides = [1, nx, nx * ny] as const;
  const kind = problem.materialOf;
  const fill = (v: number | Float64Array | undefined, or: number): Float64Array =>
    v instanceof Float64Array ? Float64Array.from(v) : new Float64Array(size).fill(v ?? or);
  const temp = fill(problem.initialC, 20);
  const gel = fill(problem.initialG, 0);
  const faces = grid.faces;
  const nf = faces.length;
  const sideOf = Uint8Array.from(faces, (f) => SIDES.indexOf(f.side));
  const byAxis = [0, 1, 2].map((a) => Int32Array.from(faces.flatMap((f, i) => (f.axis === a ? [i] : []))));
  const faceCell = Int32Array.from(faces, (f) => f.cell);
  const faceArea = Float64Array.from(faces, (f) => f.areaM2);
  const faceDistance = Float64Array.from(faces, (f) => f.distanceM);
  let sides = SIDES.map((s) => problem.sides[s]);
  const meanStart = temp.reduce((a, b) => a + b, 0) / size;
  const wallTemp = new Float64Array(nf).fill(problem.wallC ?? meanStart);

  const k = new Float64Array(size);
  const cap = new Float64Array(size);
  const faceG = [new Float64Array(size), new Float64Array(size), new Float64Array(size)];
  const diagAdd = new Float64Array(size);
  const rhsAdd = new Float64Array(size);
  const uIn = new Float64Array(nf);
  const uOut = new Float64Array(nf);
  const before = new Float64Array(size);
  const wallBefore = new Float64Array(nf);
  const stageBase = new Float64Array(size);
  const wallStage = new Float64Array(nf);
  const rate = new Float64Array(size);
  const longest = Math.max(nx, ny, nz);
  const dPrime = new Float64Array(longest);
  const invDen = new Float64Array(size);
  const cPrime = new Float64Array(size);

  let time = 0;
  let step = 0.25;
  let steps = 0;
  let scale = 1;
  let limited = false;
  let heatIn = 0;
  const tolerance = problem.toleranceC ?? 0.6;
  const maxStep = problem.maxStepS ?? 60;

  const material = (c: number): HeatMaterial => materials[kind ? kind[c] : 0];

  function properties() {
    const volume = grid.volume;
    for (let c = 0; c < size; c++) {
      const v = volume[c];
      if (v === 0) {
        k[c] = 0;
        cap[c] = 1;
        continue;
      }
      const m = materials[kind ? kind[c] : 0];
      const t = temp[c];
      k[c] = look(m.k, t);
      cap[c] = look(m.capacity, t) * v;
    }
    for (let axis = 0; axis < 3; axis++) {
      if (grid.n[axis] === 1) continue;
      const link = grid.link[axis];
      const s = strides[axis];
      const g = faceG[axis];
      for (let c = 0; c + s < size; c++) {
        g[c] = link[c] === 0 ? 0 : (link[c] * 2 * k[c] * k[c + s]) / (k[c] + k[c + s] || 1);
      }
    }
  }

  function films(at: number) {
    const recovered = problem.recoveryS ? 1 - Math.exp(-at / problem.recoveryS) : 1;
    for (let f = 0; f < nf; f++) {
      const side = sides[sideOf[f]];
      const h = Math.max(side.filmH * scale * recovered, 1e-9);
      uOut[f] = faceArea[f] / (1 / h + side.outerR);
      uIn[f] = faceArea[f] / (side.innerR + faceDistance[f] / k[faceCell[f]]);
    }
  }

  /**
   * One implicit solve of an axis with effective step `tau`, from `base` and wall temperatures `wBase`; returns film heat, W.
   * Both stages of a sweep share one matrix: the first factorises it (`fresh`), the second reuses the factors.
   */
  function solve(axis: number, tau: number, base: Float64Array, wBase: Float64Array, fresh: boolean): number {
    const list = byAxis[axis];
    for (let q = 0; q < list.length; q++) {
      const f = list[q];
      const side = sides[sideOf[f]];
      const a = (side.capacity * faceArea[f]) / tau;
      const den = a + uOut[f] + uIn[f];
      const c = faceCell[f];
      if (fresh) diagAdd[c] += (uIn[f] * (a + uOut[f])) / den;
      rhsAdd[c] += (uIn[f] * (a * wBase[f] + uOut[f] * side.ambientC)) / den;
    }
    const n = grid.n[axis];
    const s = strides[axis];
    const g = faceG[axis];
    const perTau = 1 / tau;
    // Locals, so that the inner loop reads no captured variables.
    const [T, C, inv, up, dp, dAdd, rAdd] = [temp, cap, invDen, cPrime, dPrime, diagAdd, rhsAdd];
    const inner = axis === 0 ? 1 : nx;
    const blocks = axis === 0 ? ny * nz : axis === 1 ? nz : 1;
    const blockStride = axis === 0 ? nx : nx * ny;
    const within = axis === 0 ? 1 : axis === 1 ? nx : nx * ny;
    const innerCount = axis === 0 ? inner : within;
    for (let b = 0; b < blocks; b++) {
      for (let p = 0; p < innerCount; p++) {
        const start = b * blockStride + p;
        let lower = 0;
        let last = 0;
        let above = 0;
        for (let m = 0, c = start; m < n; m++, c += s) {
          const upper = m + 1 < n ? g[c] : 0;
          const own = C[c] * perTau;
          if (fresh) {
            inv[c] = 1 / (own + lower + upper + dAdd[c] - lower * above);
            up[c] = upper * inv[c];
          }
          above = up[c];
          last = (own * base[c] + rAdd[c] + lower * last) * inv[c];
          dp[m] = last;
          lower = upper;
        }
        let c = start + (n - 1) * s;
        T[c] = last;
        for (let m = n - 2; m >= 0; m--) {
          c -= s;
          last = dp[m] + up[c] * last;
          T[c] = last;
        }
      }
    }
    let heat = 0;
    for (let q = 0; q < list.length; q++) {
      const f = list[q];
      const side = sides[sideOf[f]];
      const a = (side.capacity * faceArea[f]) / tau;
      const c = faceCell[f];
      wallTemp[f] = (a * wBase[f] + uOut[f] * side.ambientC + uIn[f] * temp[c]) / (a + uOut[f] + uIn[f]);
      heat += uOut[f] * (side.ambientC - wallTemp[f]);
      diagAdd[c] = 0;
      rhsAdd[c] = 0;
    }
    return heat;
  }

  /** SDIRK2 along one axis over `dt`; returns film heat, J. */
  function sweep(axis: number, dt: number): number {
    if (grid.n[axis] === 1 && byAxis[axis].length === 0) return 0;
    stageBase.set(temp);
    wallStage.set(wallTemp);
    const tau = GAMMA * dt;
    const first = solve(axis, tau, stageBase, wallStage, true);
    for (let c = 0; c < size; c++) stageBase[c] += EXTRAPOLATE * (temp[c] - stageBase[c]);
    for (const f of byAxis[axis]) wallStage[f] += EXTRAPOLATE * (wallTemp[f] - wallStage[f]);
    const second = solve(axis, tau, stageBase, wallStage, false);
    return dt * ((1 - GAMMA) * first + GAMMA * second);
  }

  function tryStep(dt: number): number {
    films(time + dt / 2);
    let heat = 0;
    if (steps % 2 === 0) for (let a = 0; a < 3; a++) heat += sweep(a, dt);
    else for (let a = 2; a >= 0; a--) heat += sweep(a, dt);
    return heat;
  }

  function gelatinise(dt: number) {
    const volume = grid.volume;
    for (let c = 0; c < size; c++) {
      const law = materials[kind ? kind[c] : 0].gel;
      if (!law || volume[c] === 0 || gel[c] > 0.9999) continue;
      const mid = (temp[c] + before[c]) / 2;
      const lack = look(law.equilibrium, mid) - gel[c];
      if (lack > 1e-9) gel[c] += lack * (1 - Math.exp(-dt * look(law.rate, mid)));
    }
  }

  const restore = () => {
    temp.set(before);
    wallTemp.set(wallBefore);
  };

  function advance(untilS: number): number {
    properties();
    before.set(temp);
    wallBefore.set(wallTemp);
    for (;;) {
      const dt = Math.min(step, untilS - time);
      let heat = tryStep(dt);
      if (problem.powerW) {
        const most = (problem.powerW(time + dt / 2) * dt) / grid.symmetry;
        for (
          let tries = 0;
          tries < POWER_TRIES && (heat > most * 1.003 || (scale < 1 && heat < most * 0.997));
          tries++
        ) {
          scale = Math.min(1, Math.max(1e-4, scale * Math.min(4, Math.max(0.1, most / heat))));
          restore();
          heat = tryStep(dt);
        }
        limited = scale < 1;
      }
      let worst = 0;
      if (steps > 0) {
        for (let c = 0; c < size; c++) {
          if (grid.minor[c] === 1) continue;
          const off = Math.abs(temp[c] - before[c] - dt * rate[c]);
          if (off > worst) worst = off;
        }
      } else {
        for (let c = 0; c < size; c++) worst = Math.max(worst, Math.abs(temp[c] - before[c]) / 8);
      }
      if (worst > 2.5 * tolerance && dt > 0.02) {
        step = dt * Math.max(0.3, 0.9 * Math.sqrt(tolerance / worst));
        restore();
        continue;
      }
      heatIn += heat;
      for (let c = 0; c < size; c++) rate[c] = (temp[c] - before[c]) / dt;
      gelatinise(dt);
      time += dt;
      steps++;
      if (dt === step || worst > tolerance)
        step = Math.min(maxStep, dt * Math.min(1.6, Math.max(0.4, 0.9 * Math.sqrt(tolerance / Math.max(worst, 1e-9)))));
      return dt;
    }
  }

  return {
    temp,
    gel,
    wallTemp,
    grid,
    advance,
    timeS: () => time,
    heatInJ: () => heatIn * grid.symmetry,
    heatHeldJ: () => {
      let h = 0;
      for (let c = 0; c < size; c++) if (grid.volume[c] > 0) h += look(material(c).enthalpy, temp[c]) * grid.volume[c];
      for (let f = 0; f < nf; f++) h += sides[sideOf[f]].capacity * faceArea[f] * wallTemp[f];
      return h * grid.symmetry;
    },
    powerLimited: () => limited,
    surround: (next) => {
      sides = SIDES.map((s) => next[s]);
      scale = 1;
      step = 0.5;
      rate.fill(0);
      steps = 0;
    },
  };
}

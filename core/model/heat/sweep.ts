import { doubles, wholes } from './arena';
import { BASE, BETWEEN, HEAT, PER_PIVOT, TEMP, UPPER, type Field } from './field';

/** γ of the two-stage, second-order, L-stable singly diagonally implicit Runge–Kutta method. */
const GAMMA = 1 - Math.SQRT1_2;
const EXTRAPOLATE = (1 - GAMMA) / GAMMA;

/** Back-substitution of two lines from their last cells. */
const backPair = (() => {
  const a = doubles;
  return (temp: number, upper: number, c0: number, d0: number, rows: number, stride: number): void => {
    let c = c0;
    let d = d0;
    let lastC = a[temp + c];
    let lastD = a[temp + d];
    for (let m = 1; m < rows; m++) {
      c = (c - stride) | 0;
      d = (d - stride) | 0;
      lastC = a[(temp + c) | 0] + a[(upper + c) | 0] * lastC;
      lastD = a[(temp + d) | 0] + a[(upper + d) | 0] * lastD;
      a[(temp + c) | 0] = lastC;
      a[(temp + d) | 0] = lastD;
    }
  };
})();

/**
 * Stage one of two lines side by side, from cells `c0` and `d0`, `rows` cells each, `stride` apart (the same line twice where one is left
 * over). Thomas's algorithm: pivot⁻¹ = 1/(own + lower + upper + add − lower·upper′), upper′ = upper·pivot⁻¹; the temperatures are base,
 * swept right-hand side and result in turn. Two lines, so that one's division does not wait for the other's; `| 0` tells the compiler
 * that a sum of places is a place.
 */
const factorPair = (() => {
  const a = doubles;
  return (
    pitch: number,
    between: number,
    perTau: number,
    c0: number,
    d0: number,
    rows: number,
    stride: number,
  ): void => {
    const temp = TEMP * pitch;
    const heat = HEAT * pitch;
    const perPivot = PER_PIVOT * pitch;
    const upper = UPPER * pitch;
    let lowerC = 0;
    let aboveC = 0;
    let lastC = 0;
    let lowerD = 0;
    let aboveD = 0;
    let lastD = 0;
    let c = c0;
    let d = d0;
    for (let m = 0; m < rows; m++) {
      const ownC = a[(heat + c) | 0] * perTau;
      const ownD = a[(heat + d) | 0] * perTau;
      const upC = a[(between + c) | 0];
      const upD = a[(between + d) | 0];
      const pC = 1 / (ownC + lowerC + upC - lowerC * aboveC);
      const pD = 1 / (ownD + lowerD + upD - lowerD * aboveD);
      aboveC = upC * pC;
      aboveD = upD * pD;
      lastC = (ownC * a[(temp + c) | 0] + lowerC * lastC) * pC;
      lastD = (ownD * a[(temp + d) | 0] + lowerD * lastD) * pD;
      a[(perPivot + c) | 0] = pC;
      a[(perPivot + d) | 0] = pD;
      a[(upper + c) | 0] = aboveC;
      a[(upper + d) | 0] = aboveD;
      a[(temp + c) | 0] = lastC;
      a[(temp + d) | 0] = lastD;
      lowerC = upC;
      lowerD = upD;
      c = (c + stride) | 0;
      d = (d + stride) | 0;
    }
    backPair(temp, upper, c - stride, d - stride, rows, stride);
  };
})();

/** Stage two: the same matrix, so the factors are used again; its base is extrapolated through the first stage's result. */
const againPair = (() => {
  const a = doubles;
  return (
    pitch: number,
    between: number,
    perTau: number,
    c0: number,
    d0: number,
    rows: number,
    stride: number,
  ): void => {
    const temp = TEMP * pitch;
    const base = BASE * pitch;
    const heat = HEAT * pitch;
    const perPivot = PER_PIVOT * pitch;
    let lowerC = 0;
    let lastC = 0;
    let lowerD = 0;
    let lastD = 0;
    let c = c0;
    let d = d0;
    for (let m = 0; m < rows; m++) {
      const baseC = a[(base + c) | 0];
      const baseD = a[(base + d) | 0];
      const fromC = baseC + EXTRAPOLATE * (a[(temp + c) | 0] - baseC);
      const fromD = baseD + EXTRAPOLATE * (a[(temp + d) | 0] - baseD);
      const rightC = a[(heat + c) | 0] * perTau * fromC;
      const rightD = a[(heat + d) | 0] * perTau * fromD;
      lastC = (rightC + lowerC * lastC) * a[(perPivot + c) | 0];
      lastD = (rightD + lowerD * lastD) * a[(perPivot + d) | 0];
      lowerC = a[(between + c) | 0];
      lowerD = a[(between + d) | 0];
      a[(temp + c) | 0] = lastC;
      a[(temp + d) | 0] = lastD;
      c = (c + stride) | 0;
      d = (d + stride) | 0;
    }
    backPair(temp, UPPER * pitch, c - stride, d - stride, rows, stride);
  };
})();

/** Every line of an axis, two at a time, through one stage. */
function allLines(f: Field, axis: number, tau: number, first: boolean): void {
  const { pitch } = f;
  const [nx, ny, nz] = f.grid.n;
  const plane = nx * ny;
  const between = (BETWEEN + axis) * pitch;
  // Blocks of lines side by side, `apart` each.
  const blocks = axis === 1 ? nz : 1;
  const lines = axis === 0 ? ny * nz : axis === 1 ? nx : plane;
  const apart = axis === 0 ? nx : 1;
  const rows = f.grid.n[axis];
  const stride = axis === 0 ? 1 : axis === 1 ? nx : plane;
  for (let b = 0; b < blocks; b++) {
    for (let q = 0; q < lines; q += 2) {
      const c = b * plane + q * apart;
      const d = q + 1 < lines ? c + apart : c;
      if (first) factorPair(pitch, between, 1 / tau, c, d, rows, stride);
      else againPair(pitch, between, 1 / tau, c, d, rows, stride);
    }
  }
}

/**
 * Wall nodes of an axis, eliminated from their cells for a stage: U_in(h + U_out)/D on the diagonal, U_in(h·T_w + U_out·T_out)/D on the
 * right, h = wall capacity ÷ τ, D = h + U_in + U_out. They lie in their cell's own capacity and temperature: C' = C + τ·add,
 * C'·T' = C·T + τ·push, so that the sweep does not know of them.
 */
const eliminateWalls = (() => {
  const a = doubles;
  const w = wholes;
  return (f: Field, from: number, to: number, tau: number): void => {
    const {
      cells,
      wallC: wall,
      wallStage: stage,
      wallJK: wallHeat,
      inWK,
      outWK,
      ambientC: ambient,
      hold: holdAt,
      added: addedAt,
      per: perAt,
    } = f.faces;
    const perTau = 1 / tau;
    const temp = TEMP * f.pitch;
    const heat = HEAT * f.pitch;
    for (let q = from; q < to; q++) {
      const c = w[(cells + q) | 0];
      const wallC = a[(wall + q) | 0];
      const hold = a[(wallHeat + q) | 0] * perTau;
      const inner = a[(inWK + q) | 0];
      const outer = a[(outWK + q) | 0];
      const per = 1 / (hold + outer + inner);
      const push = inner * (hold * wallC + outer * a[(ambient + q) | 0]) * per;
      const added = inner * (hold + outer) * per * tau;
      const own = a[(heat + c) | 0];
      a[(holdAt + q) | 0] = hold;
      a[(perAt + q) | 0] = per;
      a[(stage + q) | 0] = wallC;
      a[(addedAt + q) | 0] = added;
      a[(heat + c) | 0] = own + added;
      a[(temp + c) | 0] = (own * a[(temp + c) | 0] + push * tau) / (own + added);
    }
  };
})();

/** Wall temperatures after the first stage, and what they push in the second. @param forS time that the heat through the films counts for */
const passWalls = (() => {
  const a = doubles;
  const w = wholes;
  return (f: Field, from: number, to: number, forS: number, tau: number): void => {
    const {
      cells,
      sides,
      wallC: wall,
      wallStage: stage,
      inWK,
      outWK,
      ambientC: ambient,
      hold: holdAt,
      added: addedAt,
      per: perAt,
    } = f.faces;
    const { sideJ } = f;
    const temp = TEMP * f.pitch;
    const base = BASE * f.pitch;
    const heat = HEAT * f.pitch;
    // A cell between two faces of one axis is folded twice: from its own capacity up.
    for (let q = from; q < to; q++) a[(heat + w[(cells + q) | 0]) | 0] -= a[(addedAt + q) | 0];
    for (let q = from; q < to; q++) {
      const c = w[(cells + q) | 0];
      const hold = a[(holdAt + q) | 0];
      const inner = a[(inWK + q) | 0];
      const per = a[(perAt + q) | 0];
      const was = a[(stage + q) | 0];
      const outer = a[(outWK + q) | 0] * a[(ambient + q) | 0];
      const t = a[(temp + c) | 0];
      const now = (hold * was + outer + inner * t) * per;
      sideJ[w[(sides + q) | 0]] += forS * (outer - a[(outWK + q) | 0] * now);
      const wallFrom = was + EXTRAPOLATE * (now - was);
      a[(stage + q) | 0] = wallFrom;
      a[(wall + q) | 0] = now;
      const own = a[(heat + c) | 0];
      const folded = own + a[(addedAt + q) | 0];
      const first = a[(base + c) | 0];
      const pushed = inner * (hold * wallFrom + outer) * per * tau;
      const goesOn = (own * (first + EXTRAPOLATE * (t - first)) + pushed) / folded;
      a[(heat + c) | 0] = folded;
      a[(base + c) | 0] = (goesOn - EXTRAPOLATE * t) / (1 - EXTRAPOLATE);
    }
  };
})();

/** Wall temperatures after the second stage; the cells have their own capacity again. @param forS as above */
const settleWalls = (() => {
  const a = doubles;
  const w = wholes;
  return (f: Field, from: number, to: number, forS: number): void => {
    const {
      cells,
      sides,
      wallC: wall,
      wallStage: stage,
      inWK,
      outWK,
      ambientC: ambient,
      hold: holdAt,
      added: addedAt,
      per: perAt,
    } = f.faces;
    const { sideJ } = f;
    const temp = TEMP * f.pitch;
    const heat = HEAT * f.pitch;
    for (let q = from; q < to; q++) {
      const c = w[(cells + q) | 0];
      const outer = a[(outWK + q) | 0] * a[(ambient + q) | 0];
      const now =
        (a[(holdAt + q) | 0] * a[(stage + q) | 0] + outer + a[(inWK + q) | 0] * a[(temp + c) | 0]) * a[(perAt + q) | 0];
      sideJ[w[(sides + q) | 0]] += forS * (outer - a[(outWK + q) | 0] * now);
      a[(wall + q) | 0] = now;
      a[(heat + c) | 0] -= a[(addedAt + q) | 0];
    }
  };
})();

/** SDIRK2 along one axis over `dt`. */
function sweepAxis(f: Field, axis: number, dt: number): void {
  const { pitch, size } = f;
  const from = f.faces.from[axis];
  const to = f.faces.from[axis + 1];
  if (f.grid.n[axis] === 1 && from === to) return;
  const tau = GAMMA * dt;
  doubles.copyWithin(BASE * pitch, TEMP * pitch, TEMP * pitch + size);
  eliminateWalls(f, from, to, tau);
  allLines(f, axis, tau, true);
  passWalls(f, from, to, (1 - GAMMA) * dt, tau);
  allLines(f, axis, tau, false);
  settleWalls(f, from, to, GAMMA * dt);
}

/**
 * One implicit step: the axes in turn (locally one-dimensional), their order reversed every other step, which keeps the splitting
 * second-order. Returns the heat through all films, J; by sides it is in `sideJ`.
 */
export function sweepAll(f: Field, dt: number, backwards: boolean): number {
  const { sideJ } = f;
  sideJ.fill(0);
  if (backwards) for (let a = 2; a >= 0; a--) sweepAxis(f, a, dt);
  else for (let a = 0; a < 3; a++) sweepAxis(f, a, dt);
  return sideJ[0] + sideJ[1] + sideJ[2];
}

import { ADD_DIAGONAL, ADD_RIGHT, BASE, BETWEEN, HEAT, PER_PIVOT, TEMP, UPPER, type Field } from './field';

/** γ of the two-stage, second-order, L-stable singly diagonally implicit Runge–Kutta method. */
const GAMMA = 1 - Math.SQRT1_2;
const EXTRAPOLATE = (1 - GAMMA) / GAMMA;

/**
 * Stage one of two lines side by side, from cells `c0` and `d0`, `rows` cells each, `stride` apart (the same line twice where one is left
 * over). Thomas's algorithm: pivot⁻¹ = 1/(own + lower + upper + add − lower·upper′), upper′ = upper·pivot⁻¹; the temperatures are base,
 * swept right-hand side and result in turn. Two lines, so that one's division does not wait for the other's; `| 0` tells the compiler
 * that a sum of places is a place.
 */
function factorPair(
  a: Float64Array,
  pitch: number,
  between: number,
  perTau: number,
  c0: number,
  d0: number,
  rows: number,
  stride: number,
): void {
  const temp = TEMP * pitch;
  const heat = HEAT * pitch;
  const addDiagonal = ADD_DIAGONAL * pitch;
  const addRight = ADD_RIGHT * pitch;
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
    const pC = 1 / (ownC + lowerC + upC + a[(addDiagonal + c) | 0] - lowerC * aboveC);
    const pD = 1 / (ownD + lowerD + upD + a[(addDiagonal + d) | 0] - lowerD * aboveD);
    aboveC = upC * pC;
    aboveD = upD * pD;
    lastC = (ownC * a[(temp + c) | 0] + a[(addRight + c) | 0] + lowerC * lastC) * pC;
    lastD = (ownD * a[(temp + d) | 0] + a[(addRight + d) | 0] + lowerD * lastD) * pD;
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
  backPair(a, temp, upper, c - stride, d - stride, rows, stride);
}

/** Stage two: the same matrix, so the factors are used again; its base is extrapolated through the first stage's result. */
function againPair(
  a: Float64Array,
  pitch: number,
  between: number,
  perTau: number,
  c0: number,
  d0: number,
  rows: number,
  stride: number,
): void {
  const temp = TEMP * pitch;
  const base = BASE * pitch;
  const heat = HEAT * pitch;
  const addRight = ADD_RIGHT * pitch;
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
    const rightC = a[(heat + c) | 0] * perTau * fromC + a[(addRight + c) | 0];
    const rightD = a[(heat + d) | 0] * perTau * fromD + a[(addRight + d) | 0];
    lastC = (rightC + lowerC * lastC) * a[(perPivot + c) | 0];
    lastD = (rightD + lowerD * lastD) * a[(perPivot + d) | 0];
    lowerC = a[(between + c) | 0];
    lowerD = a[(between + d) | 0];
    a[(temp + c) | 0] = lastC;
    a[(temp + d) | 0] = lastD;
    c = (c + stride) | 0;
    d = (d + stride) | 0;
  }
  backPair(a, temp, UPPER * pitch, c - stride, d - stride, rows, stride);
}

/** Back-substitution of two lines from their last cells. */
function backPair(
  a: Float64Array,
  temp: number,
  upper: number,
  c0: number,
  d0: number,
  rows: number,
  stride: number,
): void {
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
}

/** Every line of an axis, two at a time, through one stage. */
function allLines(f: Field, axis: number, tau: number, first: boolean): void {
  const { a, pitch } = f;
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
      if (first) factorPair(a, pitch, between, 1 / tau, c, d, rows, stride);
      else againPair(a, pitch, between, 1 / tau, c, d, rows, stride);
    }
  }
}

/**
 * Wall nodes of an axis, eliminated from their cells for a stage: U_in(h + U_out)/D on the diagonal, U_in(h·T_w + U_out·T_out)/D on the
 * right, h = wall capacity ÷ τ, D = h + U_in + U_out.
 */
function eliminateWalls(f: Field, from: number, to: number, tau: number): void {
  const { cell, wallC, wallStage, wallJK, inWK, outWK, holdWK, perDiagonal, pushedW, ambientC } = f.faces;
  const { a } = f;
  const addDiagonal = ADD_DIAGONAL * f.pitch;
  const addRight = ADD_RIGHT * f.pitch;
  for (let q = from; q < to; q++) {
    const hold = wallJK[q] / tau;
    const inner = inWK[q];
    const outer = outWK[q];
    const per = 1 / (hold + outer + inner);
    const push = inner * (hold * wallC[q] + outer * ambientC[q]) * per;
    holdWK[q] = hold;
    perDiagonal[q] = per;
    wallStage[q] = wallC[q];
    pushedW[q] = push;
    a[addDiagonal + cell[q]] += inner * (hold + outer) * per;
    a[addRight + cell[q]] += push;
  }
}

/** Wall temperatures after the first stage, and what they push in the second. @param forS time that the heat through the films counts for */
function passWalls(f: Field, from: number, to: number, forS: number): void {
  const { cell, side, sideJ, wallC, wallStage, inWK, outWK, holdWK, perDiagonal, pushedW, ambientC } = f.faces;
  const { a } = f;
  const temp = TEMP * f.pitch;
  const addRight = ADD_RIGHT * f.pitch;
  for (let q = from; q < to; q++) {
    const c = cell[q];
    const hold = holdWK[q];
    const outer = outWK[q] * ambientC[q];
    const w = (hold * wallStage[q] + outer + inWK[q] * a[temp + c]) * perDiagonal[q];
    sideJ[side[q]] += forS * (outer - outWK[q] * w);
    const base = wallStage[q] + EXTRAPOLATE * (w - wallStage[q]);
    wallStage[q] = base;
    const push = inWK[q] * (hold * base + outer) * perDiagonal[q];
    a[addRight + c] += push - pushedW[q];
    wallC[q] = w;
  }
}

/** Wall temperatures after the second stage. What was added to the cells is cleared. @param forS as above */
function settleWalls(f: Field, from: number, to: number, forS: number): void {
  const { cell, side, sideJ, wallC, wallStage, inWK, outWK, holdWK, perDiagonal, ambientC } = f.faces;
  const { a } = f;
  const temp = TEMP * f.pitch;
  const addDiagonal = ADD_DIAGONAL * f.pitch;
  const addRight = ADD_RIGHT * f.pitch;
  for (let q = from; q < to; q++) {
    const c = cell[q];
    const outer = outWK[q] * ambientC[q];
    const w = (holdWK[q] * wallStage[q] + outer + inWK[q] * a[temp + c]) * perDiagonal[q];
    sideJ[side[q]] += forS * (outer - outWK[q] * w);
    wallC[q] = w;
    a[addDiagonal + c] = 0;
    a[addRight + c] = 0;
  }
}

/** SDIRK2 along one axis over `dt`. */
function sweepAxis(f: Field, axis: number, dt: number): void {
  const { a, pitch, size } = f;
  const from = f.faces.from[axis];
  const to = f.faces.from[axis + 1];
  if (f.grid.n[axis] === 1 && from === to) return;
  const tau = GAMMA * dt;
  a.copyWithin(BASE * pitch, TEMP * pitch, TEMP * pitch + size);
  eliminateWalls(f, from, to, tau);
  allLines(f, axis, tau, true);
  passWalls(f, from, to, (1 - GAMMA) * dt);
  allLines(f, axis, tau, false);
  settleWalls(f, from, to, GAMMA * dt);
}

/**
 * One implicit step: the axes in turn (locally one-dimensional), their order reversed every other step, which keeps the splitting
 * second-order. Returns the heat through all films, J; by sides it is in `sideJ`.
 */
export function sweepAll(f: Field, dt: number, backwards: boolean): number {
  const { sideJ } = f.faces;
  sideJ.fill(0);
  if (backwards) for (let a = 2; a >= 0; a--) sweepAxis(f, a, dt);
  else for (let a = 0; a < 3; a++) sweepAxis(f, a, dt);
  return sideJ[0] + sideJ[1] + sideJ[2];
}

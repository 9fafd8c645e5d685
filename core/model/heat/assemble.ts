import { doubles, wholes } from './arena';
import type { Chamber, SideSpec } from './conduction.types';
import { BEFORE, BETWEEN, CONDUCTIVITY, HEAT, LINK, OLDER, VOLUME, type Field } from './field';
import { NODE } from './tables';

/** Conductivity and heat capacity of every cell, at the temperature it has once it has gone on so many times as far as in the step before. */
const lookUpCells = (() => {
  const a = doubles;
  const kind = wholes;
  return (f: Field, ahead: number): void => {
    const { size, pitch } = f;
    const { fromC, body, bodyPerC, bodyNodes } = f.tables;
    const last = bodyNodes - 1;
    const now = BEFORE * pitch;
    const older = OLDER * pitch;
    const volume = VOLUME * pitch;
    const k = CONDUCTIVITY * pitch;
    const heat = HEAT * pitch;
    for (let c = 0; c < size; c++) {
      const t = a[(now + c) | 0];
      const x = (t + ahead * (t - a[(older + c) | 0]) - fromC) * bodyPerC;
      let i = x | 0;
      let part = x - i;
      if (i < 0 || i >= last) {
        i = i < 0 ? 0 : last;
        part = 0;
      }
      const at = (body + (kind[c] * bodyNodes + i) * NODE) | 0;
      a[(k + c) | 0] = a[at] + part * a[(at + 1) | 0];
      a[(heat + c) | 0] = (a[(at + 2) | 0] + part * a[(at + 3) | 0]) * a[(volume + c) | 0];
    }
  };
})();

/** What passes between a cell and the one `next` places on: the harmonic mean of their conductivities × the geometry; past an edge that is 0. */
const between = (() => {
  const a = doubles;
  return (k: number, link: number, out: number, next: number, size: number): void => {
    const far = k + next;
    for (let c = 0; c < size; c++) {
      const own = a[(k + c) | 0];
      const other = a[(far + c) | 0];
      a[(out + c) | 0] = (a[(link + c) | 0] * own * other) / (own + other);
    }
  };
})();

/**
 * Conductivity and heat capacity of every cell, and what passes between neighbours, half a step ahead of where it began.
 * @param ratio length of the step ÷ that of the one before; 0 where there was none
 */
export function assembleCells(f: Field, ratio: number): void {
  const { pitch, size } = f;
  lookUpCells(f, ratio / 2);
  const k = CONDUCTIVITY * pitch;
  let next = 1;
  for (let axis = 0; axis < 3; axis++) {
    const n = f.grid.n[axis];
    if (n > 1) between(k, (LINK + axis) * pitch, (BETWEEN + axis) * pitch, next, size);
    next *= n;
  }
}

/** Least film coefficient, W/(m²·K): a shut side still has a finite conductance. */
const LEAST_FILM = 1e-9;

/** Surroundings of every face as they are at a moment: coefficient and temperature, by each side's own law where it has one. */
export function assembleSurroundings(f: Field, sides: readonly SideSpec[], timeS: number): void {
  const { count, sides: sideAt, filmH, ambientC, wallC } = f.faces;
  for (let q = 0; q < count; q++) {
    const s = sides[wholes[sideAt + q]];
    const film = s.filmAt ? s.filmAt(doubles[wallC + q], timeS) : s;
    doubles[filmH + q] = film.filmH;
    doubles[ambientC + q] = film.ambientC;
  }
}

/** Surroundings of the sides that stand in a chamber, at its state. */
export function assembleChamber(f: Field, sides: readonly SideSpec[], chamber: Chamber, state: number): void {
  const { count, sides: sideAt, filmH, ambientC } = f.faces;
  const films = sides.map((s) => (s.inChamber === undefined ? undefined : chamber.film(s.inChamber, state)));
  for (let q = 0; q < count; q++) {
    const film = films[wholes[sideAt + q]];
    if (!film) continue;
    doubles[filmH + q] = film.filmH;
    doubles[ambientC + q] = film.ambientC;
  }
}

/** Conductances of every face. */
export const assembleFilms = (() => {
  const a = doubles;
  const w = wholes;
  return (f: Field): void => {
    const { count, cells, inWK, outWK, filmH, areaM2, distanceM, outerR, innerR } = f.faces;
    const k = CONDUCTIVITY * f.pitch;
    for (let q = 0; q < count; q++) {
      const m2 = a[(areaM2 + q) | 0];
      const h = a[(filmH + q) | 0];
      a[(outWK + q) | 0] = m2 / (1 / (h > LEAST_FILM ? h : LEAST_FILM) + a[(outerR + q) | 0]);
      a[(inWK + q) | 0] = m2 / (a[(innerR + q) | 0] + a[(distanceM + q) | 0] / a[(k + w[(cells + q) | 0]) | 0]);
    }
  };
})();

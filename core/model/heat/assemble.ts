import type { Chamber, SideSpec } from './conduction.types';
import { BETWEEN, CONDUCTIVITY, HEAT, LINK, TEMP, VOLUME, type Field } from './field';
import { NODE } from './tables';

/**
 * Conductivity and heat capacity of every cell at its temperature, and what passes between neighbours: harmonic means of the two, times the
 * geometry. Backwards, so that what a cell needs of those after it is there; past an edge the geometry is 0.
 */
export function assembleCells(f: Field): void {
  const { a, size, pitch, kind } = f;
  const { fromC, body, bodyPerC, bodyNodes } = f.tables;
  const [nx, ny, nz] = f.grid.n;
  const last = bodyNodes - 1;
  const temp = TEMP * pitch;
  const volume = VOLUME * pitch;
  const k = CONDUCTIVITY * pitch;
  const heat = HEAT * pitch;
  const kRight = k + 1;
  const kBehind = k + nx;
  const kAbove = k + nx * ny;
  const linkX = LINK * pitch;
  const linkY = (LINK + 1) * pitch;
  const linkZ = (LINK + 2) * pitch;
  const outX = BETWEEN * pitch;
  const outY = (BETWEEN + 1) * pitch;
  const outZ = (BETWEEN + 2) * pitch;
  for (let c = size - 1; c >= 0; c--) {
    const x = (a[(temp + c) | 0] - fromC) * bodyPerC;
    let i = x | 0;
    let part = x - i;
    if (i < 0 || i >= last) {
      i = i < 0 ? 0 : last;
      part = 0;
    }
    const at = (body + (kind[c] * bodyNodes + i) * NODE) | 0;
    const own = a[at] + part * a[(at + 1) | 0];
    a[(k + c) | 0] = own;
    a[(heat + c) | 0] = (a[(at + 2) | 0] + part * a[(at + 3) | 0]) * a[(volume + c) | 0];
    if (nx > 1) {
      const far = a[(kRight + c) | 0];
      a[(outX + c) | 0] = (a[(linkX + c) | 0] * own * far) / (own + far);
    }
    if (ny > 1) {
      const far = a[(kBehind + c) | 0];
      a[(outY + c) | 0] = (a[(linkY + c) | 0] * own * far) / (own + far);
    }
    if (nz > 1) {
      const far = a[(kAbove + c) | 0];
      a[(outZ + c) | 0] = (a[(linkZ + c) | 0] * own * far) / (own + far);
    }
  }
}

/** Least film coefficient, W/(m²·K): a shut side still has a finite conductance. */
const LEAST_FILM = 1e-9;

/** Surroundings of every face as they are at a moment: coefficient and temperature, by each side's own law where it has one. */
export function assembleSurroundings(f: Field, sides: readonly SideSpec[], timeS: number): void {
  const { count, side, filmH, ambientC, wallC } = f.faces;
  for (let q = 0; q < count; q++) {
    const s = sides[side[q]];
    const film = s.filmAt ? s.filmAt(wallC[q], timeS) : s;
    filmH[q] = film.filmH;
    ambientC[q] = film.ambientC;
  }
}

/** Surroundings of the sides that stand in a chamber, at its state. */
export function assembleChamber(f: Field, sides: readonly SideSpec[], chamber: Chamber, state: number): void {
  const { count, side, filmH, ambientC } = f.faces;
  const films = sides.map((s) => (s.inChamber === undefined ? undefined : chamber.film(s.inChamber, state)));
  for (let q = 0; q < count; q++) {
    const film = films[side[q]];
    if (!film) continue;
    filmH[q] = film.filmH;
    ambientC[q] = film.ambientC;
  }
}

/** Conductances and heat capacities of every face. */
export function assembleFilms(f: Field, sides: readonly SideSpec[]): void {
  const { count, side, areaM2, distanceM, cell, inWK, outWK, filmH, wallJK } = f.faces;
  const { a } = f;
  const k = CONDUCTIVITY * f.pitch;
  for (let q = 0; q < count; q++) {
    const s = sides[side[q]];
    outWK[q] = areaM2[q] / (1 / Math.max(filmH[q], LEAST_FILM) + s.outerR);
    inWK[q] = areaM2[q] / (s.innerR + distanceM[q] / a[k + cell[q]]);
    wallJK[q] = s.capacity * areaM2[q];
  }
}

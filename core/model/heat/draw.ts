import type { Chamber, SideSpec } from './conduction.types';
import { CONDUCTIVITY, TEMP, type Field } from './field';

/** Sides of a body as a chamber sees them: area, m², what is behind the film, °C, and the resistance between, m²K/W. */
interface Face {
  readonly share: number;
  areaM2: number;
  behindC: number;
  behindR: number;
}

/**
 * What the sides in a chamber would draw from it in a state, W, whole body: behind each film its wall, or the cells where the wall holds no heat.
 */
export function drawnFrom(f: Field, sides: readonly SideSpec[], chamber: Chamber): (state: number) => number {
  const { count, side, areaM2, distanceM, cell, wallC } = f.faces;
  const { a, pitch } = f;
  const faces = sides.map((s): Face | undefined =>
    s.inChamber === undefined ? undefined : { share: s.inChamber, areaM2: 0, behindC: 0, behindR: 0 },
  );
  for (let q = 0; q < count; q++) {
    const s = sides[side[q]];
    const face = faces[side[q]];
    if (!face) continue;
    const bare = s.capacity === 0;
    face.areaM2 += areaM2[q];
    face.behindC += areaM2[q] * (bare ? a[TEMP * pitch + cell[q]] : wallC[q]);
    face.behindR += areaM2[q] * (s.outerR + (bare ? s.innerR + distanceM[q] / a[CONDUCTIVITY * pitch + cell[q]] : 0));
  }
  for (const face of faces) {
    if (!face || face.areaM2 === 0) continue;
    face.behindC /= face.areaM2;
    face.behindR /= face.areaM2;
  }
  return (state) => {
    let w = 0;
    for (const face of faces) {
      if (!face) continue;
      const film = chamber.film(face.share, state);
      w += (face.areaM2 * (film.ambientC - face.behindC)) / (1 / Math.max(film.filmH, 1e-9) + face.behindR);
    }
    return w * f.grid.symmetry;
  };
}

/** States are one where their films agree to this: °C, and as a share. */
const SAME_C = 0.3;
const SAME_SHARE = 0.02;
export function isSameFilm(chamber: Chamber, one: number, other: number): boolean {
  if (one === other) return true;
  const p = chamber.film(1, one);
  const q = chamber.film(1, other);
  return Math.abs(p.ambientC - q.ambientC) < SAME_C && Math.abs(p.filmH - q.filmH) < SAME_SHARE * q.filmH;
}

import { doubles, wholes } from './arena';
import type { Chamber, Film, SideSpec } from './conduction.types';
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
  const a = doubles;
  const { count, cells, sides: sideAt, areaM2, distanceM, wallC } = f.faces;
  const temp = TEMP * f.pitch;
  const k = CONDUCTIVITY * f.pitch;
  const all = sides.map((s): Face => ({ share: s.inChamber ?? 0, areaM2: 0, behindC: 0, behindR: 0 }));
  for (let q = 0; q < count; q++) {
    const s = sides[wholes[sideAt + q]];
    if (s.inChamber === undefined) continue;
    const face = all[wholes[sideAt + q]];
    const c = wholes[cells + q];
    const bare = s.capacity === 0;
    const m2 = a[areaM2 + q];
    face.areaM2 += m2;
    face.behindC += m2 * (bare ? a[temp + c] : a[wallC + q]);
    face.behindR += m2 * (s.outerR + (bare ? s.innerR + a[distanceM + q] / a[k + c] : 0));
  }
  const faces = all.filter((face) => face.areaM2 > 0);
  for (const face of faces) {
    face.behindC /= face.areaM2;
    face.behindR /= face.areaM2;
  }
  return (state) => {
    let w = 0;
    let share = -1;
    let film = NONE;
    for (const face of faces) {
      // Base and walls stand in the same film.
      if (face.share !== share) {
        share = face.share;
        film = chamber.film(share, state);
      }
      w += (face.areaM2 * (film.ambientC - face.behindC)) / (1 / Math.max(film.filmH, 1e-9) + face.behindR);
    }
    return w * f.grid.symmetry;
  };
}

const NONE: Film = { filmH: 0, ambientC: 0 };

/** States are one where their films agree to this: °C, and as a share. */
const SAME_C = 0.3;
const SAME_SHARE = 0.02;
export function isSameFilm(chamber: Chamber, one: number, other: number): boolean {
  if (one === other) return true;
  const p = chamber.film(1, one);
  const q = chamber.film(1, other);
  return Math.abs(p.ambientC - q.ambientC) < SAME_C && Math.abs(p.filmH - q.filmH) < SAME_SHARE * q.filmH;
}

import type { SideSpec } from '../heat';
import { PAPER_R, WALLS } from '../vessel';
import type { WallMaterial } from '../kitchen';

export interface WallSpec {
  readonly material: WallMaterial;
  readonly paper: boolean;
}

/** Overall coefficient of foil over a pan in medium steam, W/(m²·K); kept as a resistance in series with the film. */
const FOIL_OVERALL = 60;
const FOIL_R = 1 / FOIL_OVERALL - 1 / 220;

/** One side behind the vessel's wall. The wall's heat capacity is lumped at its middle. */
export function walledSide(wall: WallSpec, filmH: number, ambientC: number): SideSpec {
  const w = WALLS[wall.material];
  const half = w.thicknessM / (2 * w.k);
  return {
    filmH,
    outerR: half,
    innerR: half + (wall.paper ? PAPER_R : 0),
    capacity: w.thicknessM * w.rho * w.c,
    ambientC,
  };
}

/** The open top, bare or under foil. */
export function topSide(filmH: number, ambientC: number, foil: boolean): SideSpec {
  return { filmH, outerR: foil ? FOIL_R : 0, innerR: 0, capacity: 0, ambientC };
}

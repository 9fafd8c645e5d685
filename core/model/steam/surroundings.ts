import { filmsIn, type SideSpec } from '../heat';
import { PAPER_R, wallOf, WALLS } from '../vessel';
import type { Vessel, WallMaterial } from '../../kitchen';

/** A vessel's wall as heat meets it. */
export interface WallSpec {
  readonly material: WallMaterial;
  /** Absent: as such ware usually is, m. */
  readonly thicknessM?: number;
  readonly paper: boolean;
}

/** The wall of a vessel, papered or not. */
export const wallSpec = (v: Vessel, paper: boolean): WallSpec => ({
  material: v.material,
  thicknessM: wallOf(v).thicknessM,
  paper,
});

/** Overall coefficient of foil over a pan in medium steam, W/(m²·K); kept as a resistance in series with the film. */
const FOIL_OVERALL = 80;
const FOIL_R = 1 / FOIL_OVERALL - 1 / 220;

/** One side behind the vessel's wall. The wall's heat capacity is lumped at its middle. */
export function walledSide(wall: WallSpec, filmH: number, ambientC: number): SideSpec {
  const w = WALLS[wall.material];
  const thicknessM = wall.thicknessM ?? w.thicknessM;
  const half = thicknessM / (2 * w.k);
  return {
    filmH,
    outerR: half,
    innerR: half + (wall.paper ? PAPER_R : 0),
    capacity: thicknessM * w.rho * w.c,
    ambientC,
  };
}

/** The open top, bare or under foil. */
export function topSide(filmH: number, ambientC: number, foil: boolean): SideSpec {
  return { filmH, outerR: foil ? FOIL_R : 0, innerR: 0, capacity: 0, ambientC };
}

/** What a vessel in a steamer is surrounded by. */
export interface InSteam extends WallSpec {
  readonly foil: boolean;
  /** Share of the steam that gets past the pan to its top, 0–1; absent: all of it. */
  readonly topShare?: number;
  readonly steamC: number;
}

/** Walls and top of a vessel in the chamber of a steamer. */
export function sidesInSteam(s: InSteam): Readonly<Record<'base' | 'wall' | 'top', SideSpec>> {
  const wall = { ...walledSide(s, 1, s.steamC), inChamber: 1 };
  return { base: wall, wall, top: { ...topSide(1, s.steamC, s.foil), inChamber: s.topShare ?? 1 } };
}

/** Air film of a kitchen on what stands uncovered in it, W/(m²·K), over a top that gives off vapour as freely as water. */
export const OPEN_H = 9;
const HUMIDITY = 0.5;

/** What surrounds a vessel with the lid up: the kitchen's air. @param covered foil lies on it */
export function sidesInAir(
  wall: WallSpec,
  kitchenC: number,
  covered: boolean,
): Readonly<Record<'base' | 'wall' | 'top', SideSpec>> {
  const side = walledSide(wall, OPEN_H, kitchenC);
  const top = topSide(OPEN_H, kitchenC, covered);
  if (covered) return { base: side, wall: side, top };
  const film = filmsIn({ tempC: kitchenC, humidity: HUMIDITY, blownH: OPEN_H }, { emissivity: 0, free: 0, alongM: 1 });
  return { base: side, wall: side, top: { ...top, filmAt: (surfaceC) => film(surfaceC, 1) } };
}

import type { Turns } from '../../units';
import { conduct, roundGrid, type Gelling, type HeatMaterial } from '../heat';
import { readyAt, readyBetween } from './ready';

/** Contact of a thin batter with an oiled pan, W/(m²·K). */
const CONTACT_H = 350;
/** Under a lid the film's own steam stands over it; without one the air of the room, W/(m²·K). */
const LIDDED_H = 60;
const OPEN_H = 15;
const LONGEST_S = 600;

export interface PanFilm {
  readonly material: HeatMaterial;
  readonly gelling: Gelling;
  readonly thicknessM: number;
  readonly areaM2: number;
  readonly startC: number;
  /** The pan with the batter in it, °C. */
  readonly panC: number;
  readonly lid: boolean;
  /** Net power of the ring, W: a pan gives no more than it is given. */
  readonly powerW: number;
  readonly boilC: number;
  readonly roomC: number;
}

/** Above the boil the heat goes into steam: that much more capacity holds a cell there. */
const BOILING_OFF = 20;
const holdsAtBoil = (m: HeatMaterial, boilC: number): HeatMaterial => ({
  ...m,
  capacity: {
    ...m.capacity,
    values: m.capacity.values.map((v, i) => (m.capacity.fromC + i / m.capacity.perC > boilC ? v * BOILING_OFF : v)),
  },
});

/**
 * Seconds until a film in a pan is ready at its coldest, its top, by the rule for every steamed cake; undefined when it never is (no lid, too thick).
 * One dimension: contact from below, steam or air from above.
 */
export function* filmTime(f: PanFilm): Turns<number | undefined> {
  const shut = { filmH: 1e-9, outerR: 0, innerR: 0, capacity: 0, ambientC: f.roomC };
  /** The contact, held back where it would take more than the ring gives. */
  const contact = (surfaceC: number) => ({
    filmH: Math.min(CONTACT_H, f.powerW / (f.areaM2 * Math.max(1, f.panC - surfaceC))),
    ambientC: f.panC,
  });
  const run = conduct({
    grid: roundGrid(() => Math.sqrt(f.areaM2 / Math.PI), f.thicknessM, 1, 10),
    materials: [holdsAtBoil(f.material, f.boilC)],
    initialC: f.startC,
    sides: {
      base: { ...shut, filmAt: contact },
      wall: shut,
      top: f.lid ? { ...shut, filmH: LIDDED_H, ambientC: f.boilC } : { ...shut, filmH: OPEN_H },
    },
    toleranceC: 2,
    maxStepS: 5,
  });
  const ready = readyAt(f.gelling, f.boilC, f.boilC);
  const coldest = () => {
    let gel = Infinity;
    let tempC = Infinity;
    for (let c = 0; c < run.temp.length; c++) {
      gel = Math.min(gel, run.gel[c]);
      tempC = Math.min(tempC, run.temp[c]);
    }
    return { timeS: run.timeS(), gel, tempC };
  };
  let last = coldest();
  while (run.timeS() < LONGEST_S) {
    run.advance(LONGEST_S);
    const now = coldest();
    const at = readyBetween(last, now, ready, Math.max(f.boilC, f.panC));
    if (at !== undefined) return at;
    last = now;
    yield;
  }
  return undefined;
}

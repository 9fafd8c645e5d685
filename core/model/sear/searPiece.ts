import { LATENT_STEAM, type Turns } from '../../units';
import { BROWNING, browningRate } from './browning';

export const PAN_C = { low: 150, 'medium-low': 170, medium: 185, 'medium-high': 205 } as const;
const CONTACT_H = 350;
const OTHER_H = 15;
/** Under a lid: steamy air over the pieces. */
const LID_H = 40;
const LID_C = 92;
const CRUST_K = 0.12;
const BOILED_SHARE = 0.9;
const BOIL_C = 100;

export interface SearPiece {
  readonly thicknessM: number;
  readonly startC: number;
  readonly panC: number;
  readonly airC: number;
  /** A lid holds steam over the pieces: the other face is warmed by it. */
  readonly lid?: boolean;
  /** Properties of the moist cake. */
  readonly k: number;
  readonly rho: number;
  readonly c: number;
  /** Mass share of water. */
  readonly waterShare: number;
  /** Browning wanted at each face. */
  readonly browning: number;
}

export interface SearSide {
  readonly timeS: number;
  readonly browning: number;
  readonly crustMm: number;
}
export interface SearResult {
  readonly sides: readonly [SearSide, SearSide];
  readonly coreC: number;
  /** Seconds, face °C, core °C, browning of the face in contact, and how thick its crust has dried, mm. */
  readonly course: readonly (readonly [number, number, number, number, number])[];
  readonly waterLostShare: number;
  readonly heatInJm2: number;
  readonly heatHeldJm2: number;
  readonly reached: boolean;
}

const GIVE_UP_S = 20 * 60;

/**
 * One piece in the pan, flipped once: one-dimensional enthalpy model across the thickness. Each cell warms to 100 °C, holds there until
 * 90 % of its water has boiled off, then heats on as crust (k = 0.12). Contact h = 350 W/m²K, the other face 15. Explicit, stable step.
 * Browning is integrated at the face. Energy: ∫(flux in) = sensible + latent, returned for checking (J/m²).
 */
export function* searPiece(p: SearPiece): Turns<SearResult> {
  const n = Math.max(24, Math.min(80, Math.round(p.thicknessM / 0.0003)));
  const dx = p.thicknessM / n;
  const temp = new Float64Array(n).fill(p.startC);
  const boilable = BOILED_SHARE * p.waterShare * p.rho * dx * LATENT_STEAM;
  const latent = new Float64Array(n);
  const capacity = p.rho * p.c * dx;
  const dryCapacity = capacity * (1 - 0.6 * p.waterShare * BOILED_SHARE);
  const dt = Math.min(0.25, (0.35 * dx * dx * dryCapacity) / dx / p.k);
  const k = new Float64Array(n).fill(p.k);
  const flux = new Float64Array(n + 1);
  const dry = new Uint8Array(n);
  let time = 0;
  let heatIn = 0;
  const course: [number, number, number, number, number][] = [];
  const mid = n >> 1;
  const face = (cell: number, h: number, ambient: number): readonly [number, number] => {
    const inner = k[cell] / (dx / 2);
    const t = (h * ambient + inner * temp[cell]) / (h + inner);
    return [h * (ambient - t), t];
  };
  const sides: SearSide[] = [];
  let nextNote = 0;
  const otherH = p.lid ? LID_H : OTHER_H;
  const otherC = p.lid ? LID_C : p.airC;
  for (const contact of [0, n - 1]) {
    let b = 0;
    const from = time;
    while (b < p.browning && time - from < GIVE_UP_S) {
      const bottom = face(0, contact === 0 ? CONTACT_H : otherH, contact === 0 ? p.panC : otherC);
      const top = face(n - 1, contact === 0 ? otherH : CONTACT_H, contact === 0 ? otherC : p.panC);
      flux[0] = bottom[0];
      flux[n] = -top[0];
      for (let i = 1; i < n; i++)
        flux[i] = (((2 * k[i - 1] * k[i]) / (k[i - 1] + k[i])) * (temp[i - 1] - temp[i])) / dx;
      heatIn += (bottom[0] + top[0]) * dt;
      for (let i = 0; i < n; i++) {
        let q = (flux[i] - flux[i + 1]) * dt;
        if (dry[i]) {
          temp[i] += q / dryCapacity;
          continue;
        }
        if (temp[i] < BOIL_C) {
          const room = (BOIL_C - temp[i]) * capacity;
          if (q <= room) {
            temp[i] += q / capacity;
            continue;
          }
          q -= room;
          temp[i] = BOIL_C;
        }
        latent[i] += q;
        if (latent[i] < 0) {
          temp[i] += latent[i] / capacity;
          latent[i] = 0;
        }
        // The dried part of the cell already resists as crust: the face warms smoothly instead of a step a cell.
        const driedShare = Math.min(1, latent[i] / boilable);
        k[i] = 1 / ((1 - driedShare) / p.k + driedShare / CRUST_K);
        if (latent[i] >= boilable) {
          temp[i] += (latent[i] - boilable) / dryCapacity;
          latent[i] = boilable;
          dry[i] = 1;
          k[i] = CRUST_K;
        }
      }
      const faceC = contact === 0 ? bottom[1] : top[1];
      b += browningRate(faceC) * dt;
      time += dt;
      if (time >= nextNote) {
        let dried = 0;
        for (let i = 0; i < n / 2; i++) dried += Math.min(1, latent[contact === 0 ? i : n - 1 - i] / boilable);
        course.push([time, faceC, temp[mid], b, dried * dx * 1000]);
        nextNote = time + 2;
        yield;
      }
    }
    let crust = 0;
    for (let i = 0; i < n / 2; i++) crust += dry[contact === 0 ? i : n - 1 - i];
    sides.push({ timeS: time - from, browning: b, crustMm: crust * dx * 1000 });
  }
  let held = 0;
  let lost = 0;
  for (let i = 0; i < n; i++) {
    held +=
      latent[i] +
      (dry[i] ? (BOIL_C - p.startC) * capacity + (temp[i] - BOIL_C) * dryCapacity : (temp[i] - p.startC) * capacity);
    lost += latent[i];
  }
  return {
    sides: [sides[0], sides[1]],
    coreC: temp[mid],
    course,
    waterLostShare: p.waterShare > 0 ? lost / LATENT_STEAM / (p.waterShare * p.rho * p.thicknessM) : 0,
    heatInJm2: heatIn,
    heatHeldJm2: held,
    reached: sides.every((s) => s.browning >= p.browning),
  };
}

export { BROWNING };

import type { ConductionRun } from '../heat';
import { LATENT_STEAM } from '../../units';

/** Water in a hot starch gel: diffusion, m²/s, and how much more of it a surface takes up, kg/m³ (house figures). */
const DIFFUSION = 3e-9;
const TAKES_UP = 150;
/** A film as thin as this flashes off while the lid is up, kg/m². */
const FLASHES_OFF = 0.03;
/** Below this a top is still batter, and what falls on it blends in. */
const SKIN_G = 0.5;

/** What a hot gel's surface takes up of the water on it in a time, kg/m²: 2·c·√(D·t/π). */
export const takesUp = (timeS: number): number => 2 * TAKES_UP * Math.sqrt((DIFFUSION * timeS) / Math.PI);

/**
 * The top of a poured layer: what condenses or drips on it blends in while it is batter; once it has a skin it lies there as a film, and the gel
 * takes it up by diffusion. Tacky when what is left flashes off as the lid comes up.
 * @param covered foil keeps it off
 * @param dripsKgM2S drops from the lid, kg/(m²·s)
 */
export function wetTop(run: ConductionRun, covered: boolean, dripsKgM2S: number) {
  const tops = run.grid.faces.filter((f) => f.side === 'top');
  const areaM2 = tops.reduce((a, f) => a + f.areaM2, 0) * run.grid.symmetry;
  const middle = tops[0]?.cell ?? 0;
  let skinS: number | undefined;
  let heat0 = run.sideHeatJ('top');
  let film = 0;
  let lastS = run.timeS();
  let tackyAt: number | undefined;
  let rising = false;
  const note = () => {
    const t = run.timeS();
    if (skinS === undefined) {
      heat0 = run.sideHeatJ('top');
      if (run.gel[middle] >= SKIN_G) {
        skinS = t;
        tackyAt = t;
      }
      lastS = t;
      return;
    }
    const fallen = covered
      ? 0
      : Math.max(0, run.sideHeatJ('top') - heat0) / LATENT_STEAM / areaM2 + dripsKgM2S * (t - skinS);
    const before = film;
    film = fallen - takesUp(t - skinS);
    rising = film > before;
    if (film <= FLASHES_OFF) {
      const share = before > FLASHES_OFF ? (before - FLASHES_OFF) / (before - film) : 0;
      tackyAt ??= lastS + (t - lastS) * share;
    } else tackyAt = undefined;
    lastS = t;
  };
  return {
    note,
    tacky: () => tackyAt !== undefined,
    /** More falls on it than it takes up: it does not get tacky by waiting. */
    staysWet: () => rising,
    /** When its film was taken up, s. */
    tackyS: () => tackyAt ?? run.timeS(),
  };
}

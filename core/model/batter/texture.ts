import type { StarchKind } from '../../larder';

export const TEXTURE_AXES = ['firm', 'chewy', 'sticky', 'clear', 'cleanBite', 'hardens'] as const;
export type TextureAxis = (typeof TEXTURE_AXES)[number];
export type Texture = Readonly<Record<TextureAxis, number>>;

/** House model, axis scores 0–10 of each starch alone at C = 0.22. Order: firm, chewy, sticky, clear, clean-bite, hardens. */
export const STARCH_TEXTURE: Readonly<Record<StarchKind, readonly [number, number, number, number, number, number]>> = {
  rice: [6, 2, 3, 1, 7, 7],
  glutinous: [2, 8, 9, 4, 1, 4],
  tapioca: [4, 9, 6, 9, 2, 3],
  potato: [4, 6, 7, 8, 3, 4],
  maize: [8, 2, 2, 3, 8, 8],
  wheat: [5, 4, 4, 7, 5, 6],
  sweetPotato: [6, 8, 5, 7, 4, 6],
  mungBean: [9, 5, 1, 8, 7, 8],
  waterChestnut: [6, 5, 4, 8, 5, 5],
  arrowroot: [4, 4, 4, 9, 4, 3],
};

export interface TextureInput {
  readonly starchShares: Readonly<Partial<Record<StarchKind, number>>>;
  /** starch ÷ (starch + water + sugar), by mass. */
  readonly concentration: number;
  /** sugar ÷ (sugar + water). */
  readonly sugarPhase: number;
  readonly fatPct: number;
  readonly proteinPct: number;
  /** Doublings of the flour's grain over fine wet-milled, by starch mass; absent: fine. */
  readonly coarse?: number;
}

const clamp10 = (x: number): number => Math.min(10, Math.max(0, x));

/**
 * Texture after cooking, 0–10 an axis. Share-weighted means by starch mass, then concentration, sugar, fat and protein:
 * M = (firm/5)(C/0.22)^2.1 shown as 10 M/(M+1); chew × (C/0.22)^0.6; sticky + 12 max(0, s − 0.15) − 0.05 fat %;
 * clear − 0.12 fat % − 0.6 protein %; hardens × (1 − 0.9 s)(1 − 0.015 fat %).
 */
export function textureOf({ starchShares, ...rest }: TextureInput): Texture {
  const axes = new Float64Array(6);
  for (const [kind, share] of Object.entries(starchShares) as [StarchKind, number][]) {
    STARCH_TEXTURE[kind].forEach((v, i) => {
      axes[i] += share * v;
    });
  }
  correctAxes(axes, rest.concentration, rest.sugarPhase, rest.fatPct, rest.proteinPct, rest.coarse);
  return { firm: axes[0], chewy: axes[1], sticky: axes[2], clear: axes[3], cleanBite: axes[4], hardens: axes[5] };
}

/** Turns share-weighted means (in the order of the axes) into the axes themselves, in place: the arithmetic of {@link textureOf}. */
export function correctAxes(
  axes: Float64Array,
  concentration: number,
  sugarPhase: number,
  fatPct: number,
  proteinPct: number,
  coarse = 0,
): void {
  const c = concentration / 0.22;
  const modulus = (axes[0] / 5) * c ** 2.1;
  axes[0] = (10 * modulus) / (modulus + 1);
  // Coarse grains break the gel: less chew, a duller look and a sandier bite for each doubling (house figures).
  axes[1] = clamp10(axes[1] * c ** 0.6 * Math.max(0.5, 1 - 0.05 * coarse));
  axes[2] = clamp10(axes[2] + 12 * Math.max(0, sugarPhase - 0.15) - 0.05 * fatPct);
  axes[3] = clamp10(axes[3] - 0.12 * fatPct - 0.6 * proteinPct - 0.3 * coarse);
  axes[4] = clamp10(axes[4] - 0.6 * coarse);
  axes[5] = clamp10(axes[5] * (1 - 0.9 * sugarPhase) * Math.max(0, 1 - 0.015 * fatPct));
}

/** Random close packing of the wet grains. */
export const PHI_MAX = 0.58;
/** Above this share of raw wet grains it is a dough. */
export const DOUGH_ABOVE = 0.95 * PHI_MAX;
/** Dry starch density, g/ml. */
export const STARCH_DENSITY = 1.5;

/** One perceptual scale, thin to thick: each word up to its viscosity, mPa·s. */
export const THICKNESS = [
  { words: 'water', toMPas: 1.4 },
  { words: 'thin milk', toMPas: 2.8 },
  { words: 'milk', toMPas: 6 },
  { words: 'single cream', toMPas: 32 },
  { words: 'double cream', toMPas: 320 },
  { words: 'pancake batter', toMPas: 2500 },
  { words: 'thick batter that ribbons', toMPas: 20_000 },
  { words: 'paste that holds a trail', toMPas: 180_000 },
  { words: 'soft mash', toMPas: 1_500_000 },
  { words: 'dough', toMPas: Infinity },
] as const;
export type ThicknessWord = (typeof THICKNESS)[number]['words'];

/** The word for a viscosity; undefined (more raw grains than can flow) is a dough. */
export const thicknessWord = (mPas: number | undefined): ThicknessWord =>
  mPas === undefined ? 'dough' : (THICKNESS.find((t) => mPas < t.toMPas) ?? THICKNESS[THICKNESS.length - 1]).words;

/** The middle of a word's range on a log scale, mPa·s: what "thicken to a look" aims at. */
export function viscosityOfWord(word: ThicknessWord): number {
  const i = THICKNESS.findIndex((t) => t.words === word);
  const from = i > 0 ? THICKNESS[i - 1].toMPas : 1;
  const to = Number.isFinite(THICKNESS[i].toMPas) ? THICKNESS[i].toMPas : from * 4;
  return Math.sqrt(from * to);
}

/** Landmarks beside the pour scale, mPa·s. */
export const LANDMARKS = [
  { words: 'thin milk', mPas: 2 },
  { words: 'single cream', mPas: 10 },
  { words: 'double cream', mPas: 100 },
  { words: 'pancake batter', mPas: 1000 },
  { words: 'ribbons', mPas: 8000 },
] as const;

export interface Consistency {
  /** Volume share of wet grains, raw and swollen; above 1 where they press on each other. */
  readonly phi: number;
  /** mPa·s; absent when it is a dough. */
  readonly viscosityMPas: number | undefined;
  readonly serumMPas: number;
  readonly words: ThicknessWord;
  /** Seconds for the top 5 % of a 10 cm bowl to clear: stir before each pour once this has passed. */
  readonly stirEveryS: number;
}

/**
 * Relative viscosity of a suspension, Krieger & Dougherty (1959): ηr = (1 − φ/φm)^(−2.5 φm).
 * @returns ηr, or undefined above 0.95 φm, where it is a dough
 */
export function relativeViscosity(phi: number, phiMax = PHI_MAX): number | undefined {
  if (phi > 0.95 * phiMax) return undefined;
  return (1 - phi / phiMax) ** (-2.5 * phiMax);
}

/** Serum viscosity, mPa·s: water × e^(2.9 s/(1 − 0.8 s)) for sugar s, × (1 + 2.5 φf + 10 φf²) for fat volume share φf. */
export function serumViscosity(sugarPhase: number, fatVolumeShare: number): number {
  return Math.exp((2.9 * sugarPhase) / (1 - 0.8 * sugarPhase)) * (1 + 2.5 * fatVolumeShare + 10 * fatVolumeShare ** 2);
}

/** Where pastes lie, ζ and mPa·s at 80 °C for a spoon's slow stir (house model). */
const PASTE: readonly (readonly [number, number])[] = [
  [0.6, 120],
  [0.8, 1_200],
  [1, 5_000],
  [1.5, 25_000],
  [2.5, 100_000],
];
const KD_TO = 0.45;
const KD_AT = (1 - KD_TO / PHI_MAX) ** (-2.5 * PHI_MAX);
/** Share of the packing that has swollen above which grains slide past each other: soft rather than a dough. */
const SOFT_AT = 0.08;

export interface PackingInput {
  /** Volume share of raw wet grains: Σ c·a·(1 − W). */
  readonly raw: number;
  /** Volume share of swollen grains and mashed solids: Σ c·Qv·W + solids. */
  readonly swollen: number;
  readonly serumMPas: number;
  readonly tempC: number;
}

/**
 * Viscosity of a slurry, a paste, or anything between, mPa·s. Krieger–Dougherty to ζ = 0.45, log–log above it; a paste
 * thickens as it cools, × 2^((80 − T)/25) down to 30 °C, in the share in which it is one.
 * @returns undefined for a dough: more raw grains than can flow, and none of them swollen
 */
export function packedViscosity({ raw, swollen, serumMPas, tempC }: PackingInput): number | undefined {
  const zeta = raw + swollen;
  if (zeta <= KD_TO) return serumMPas * (1 - zeta / PHI_MAX) ** (-2.5 * PHI_MAX) * cooled(swollen, zeta, tempC);
  const soft = Math.min(1, swollen / SOFT_AT);
  if (soft < 1e-6) {
    const r = relativeViscosity(raw);
    return r === undefined ? undefined : serumMPas * r;
  }
  const stiff = serumMPas * (1 - Math.min(raw, DOUGH_ABOVE) / PHI_MAX) ** (-2.5 * PHI_MAX);
  const low = Math.min(serumMPas * KD_AT, 60);
  const points: readonly (readonly [number, number])[] = [[KD_TO, low], ...PASTE];
  let i = 1;
  while (i < points.length - 1 && zeta > points[i][0]) i++;
  const [z0, e0] = points[i - 1];
  const [z1, e1] = points[i];
  const paste = Math.exp(Math.log(e0) + (Math.log(zeta / z0) / Math.log(z1 / z0)) * Math.log(e1 / e0));
  const mixed = Math.exp(soft * Math.log(Math.max(paste, 1)) + (1 - soft) * Math.log(stiff));
  return mixed * cooled(swollen, zeta, tempC);
}

const cooled = (swollen: number, zeta: number, tempC: number): number => {
  if (zeta <= 0) return 1;
  const share = Math.min(1, (2 * swollen) / zeta) * Math.min(1, swollen / 0.3);
  return 2 ** ((share * (80 - Math.min(100, Math.max(30, tempC)))) / 25);
};

/**
 * Hindered settling speed, m/s: Stokes with Richardson & Zaki (1954), v = Δρ g d² (1 − φ)^4.65 ÷ (18 η).
 * @param grainUm grain diameter, µm
 * @param serumMPas serum viscosity, mPa·s
 * @param deltaRho grain minus serum density, kg/m³
 */
export function settlingSpeed(grainUm: number, phi: number, serumMPas: number, deltaRho = 500): number {
  const d = grainUm * 1e-6;
  return (deltaRho * 9.81 * d * d * Math.max(0, 1 - phi) ** 4.65) / (18 * serumMPas * 1e-3);
}

/** Serum density minus water's, kg/m³, from its sugar. */
export const sugarLift = (s: number): number => 1 / (s / 1590 + (1 - s) / 997) - 997;

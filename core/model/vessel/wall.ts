import type { Vessel, WallMaterial } from '../../kitchen';
import { brimMl } from './shape';

export interface Wall {
  readonly thicknessM: number;
  readonly k: number;
  readonly rho: number;
  readonly c: number;
  readonly words: string;
}

/** Vessel walls: thickness, conductivity, density, specific heat (general materials data; bamboo stands for a lined basket). */
export const WALLS: Readonly<Record<WallMaterial, Wall>> = {
  steel: { thicknessM: 0.0007, k: 16, rho: 7900, c: 500, words: 'steel' },
  aluminium: { thicknessM: 0.001, k: 200, rho: 2700, c: 900, words: 'aluminium' },
  foil: { thicknessM: 0.0001, k: 200, rho: 2700, c: 900, words: 'foil' },
  ceramic: { thicknessM: 0.006, k: 1.5, rho: 2300, c: 850, words: 'ceramic' },
  glass: { thicknessM: 0.005, k: 1.05, rho: 2300, c: 830, words: 'glass' },
  plastic: { thicknessM: 0.0015, k: 0.2, rho: 950, c: 1900, words: 'plastic' },
  silicone: { thicknessM: 0.003, k: 0.25, rho: 1150, c: 1300, words: 'silicone' },
  bamboo: { thicknessM: 0.004, k: 0.17, rho: 700, c: 1700, words: 'lined bamboo' },
};

/** A ceramic vessel that holds less than this is a cup: of thinner ware, ml and m. */
const CUP = { underMl: 120, thicknessM: 0.003 } as const;

/** The wall of a vessel: its material's, of cups their own. */
export const wallOf = (v: Vessel): Wall => {
  const usual = WALLS[v.material];
  return v.material === 'ceramic' && brimMl(v) < CUP.underMl ? { ...usual, thicknessM: CUP.thicknessM } : usual;
};

/** Extra resistance of a paper lining, m²K/W. */
export const PAPER_R = 0.0015;

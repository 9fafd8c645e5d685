/** A sheet rolled round its filling, in section: everything follows from what is there. */
export interface Roll {
  /** Radius of what is inside, and of the whole, m. */
  readonly coreM: number;
  readonly outerM: number;
  readonly turns: number;
  readonly thickM: number;
}

/**
 * Rolls a sheet up: its section keeps its area, πR² = π r² + L t.
 * @param lengthM of the sheet, rolled along it @param thickM of it
 * @param fillingM2 area of the filling's section: its volume ÷ the width of the sheet
 */
export function rollOf(lengthM: number, thickM: number, fillingM2: number): Roll {
  // An empty roll keeps a hole as wide as a chopstick is thick.
  const coreM = Math.max(0.003, Math.sqrt(Math.max(0, fillingM2) / Math.PI));
  const outerM = Math.sqrt(coreM ** 2 + (lengthM * thickM) / Math.PI);
  return { coreM, outerM, turns: (outerM - coreM) / Math.max(1e-6, thickM), thickM };
}

/** The line of the rolled sheet, as points round the middle, m. */
export function spiral({ coreM, outerM, turns }: Roll, steps = 40): readonly (readonly [number, number])[] {
  const n = Math.max(8, Math.ceil(turns * steps));
  return Array.from({ length: n + 1 }, (_, i) => {
    const u = i / n;
    const r = coreM + (outerM - coreM) * u;
    const a = 2 * Math.PI * turns * u;
    return [r * Math.cos(a), r * Math.sin(a)] as const;
  });
}

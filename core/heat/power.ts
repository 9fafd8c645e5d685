/** How often a step is taken again to bring its heat to what the ring gives. */
export const POWER_TRIES = 6;
const OVER = 1.003;
const UNDER = 0.997;
const LEAST_SCALE = 1e-4;

/** True when a step took no more heat than there is, J, and no less where its films are held back. */
export const isWithinPower = (heatJ: number, mostJ: number, scale: number): boolean =>
  !(heatJ > mostJ * OVER || (scale < 1 && heatJ < mostJ * UNDER));

/** The scale of all films to try next: in proportion, at most fourfold up or tenfold down. */
export const nextScale = (scale: number, heatJ: number, mostJ: number): number =>
  Math.min(1, Math.max(LEAST_SCALE, scale * Math.min(4, Math.max(0.1, mostJ / heatJ))));

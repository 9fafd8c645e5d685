/** A small flame is turned until what is stirred warms so fast, °C a second, whatever its size: 6.5 °C a minute, the middle of what "low" is. */
const LOW_C_S = 6.5 / 60;
/** The pot's own heat, J/K: a saucepan of 0.8 kg of steel. */
const POT_J_K = 400;

/**
 * How fast a pot stirred on low heat warms, °C/s: as its flame is set, up to what the ring gives to the batter and the pot.
 * @param capacityJK heat capacity of what is in it @param ringW net power of the ring on low, W
 */
export const warmingCPerS = (capacityJK: number, ringW: number): number =>
  Math.min(LOW_C_S, ringW / (Math.max(0, capacityJK) + POT_J_K));

/** What is stirred on the ring is kept below the boil, °C. */
export const stirredMostC = (boilC: number): number => boilC - 4;

/**
 * Film of hot paste on a stirred pot's bottom: all of the heat goes through it. What the spoon folds in comes from the bulk to 92 °C, stays so for
 * the seconds in which half a millimetre of it is changed, and warms the rest as it is mixed in; so the share of the batch that has been in it follows
 * the warming, dT/(T_film − T), whatever the size (house figures).
 */
const FILM = { tempC: 92, staysS: 8, leastC: 8 } as const;

/** Temperature of the hot film, °C. */
export const filmC = (boilC: number): number => Math.min(FILM.tempC, stirredMostC(boilC));
/** Time that a batch has on average been in the film while it warmed between two temperatures, s. */
export const inFilmS = (fromC: number, toC: number, boilC: number): number =>
  (FILM.staysS * Math.max(0, toC - fromC)) / Math.max(FILM.leastC, filmC(boilC) - (fromC + toC) / 2);

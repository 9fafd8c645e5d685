/** Temperatures and times of public food-safety tables, written here alone. Local food codes rule. */

/** What the middle of a filling that goes in raw must reach where nothing else is said of it, °C: minced pork and egg. */
export const RAW_FILLING_C = 71;
/** The least that any raw filling must come to, whatever is written down for it, °C: shrimp and fish. */
export const SHRIMP_C = 63;
/** Hot through: the middle of what was cold and is eaten hot, °C. */
export const HOT_THROUGH_C = 74;
/** Two-stage cooling: from 60 to 21 °C within two hours, to 5 °C within six. */
export const COOLING = { fromC: 60, firstC: 21, firstS: 2 * 3600, lastC: 5, lastS: 6 * 3600 } as const;
/** Time at room temperature since leaving 60 °C: with what spoils in it, and plain, s. */
export const AT_ROOM_S = { spoils: 4 * 3600, plain: 12 * 3600 } as const;
/** Rice and grain stand wet at most so long, s, where it is warmer than this, °C. */
export const WET_WARM = { mostS: 12 * 3600, fromC: 10 } as const;

/** Under this width the stage is drawn for a phone, px. */
export const NARROW = 520;

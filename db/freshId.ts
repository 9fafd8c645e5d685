import { nanoid } from 'nanoid';

/** A new id for a row. */
export const freshId = (): string => nanoid();

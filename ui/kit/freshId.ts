import { nanoid } from 'nanoid';

/** A new id, on any page: over plain http in the kitchen's network too, where the browser's own has no such thing. */
export const freshId = (): string => nanoid();
/** A new id of a thing of the cook's own. */
export const ownId = (): string => `own-${nanoid(10)}`;

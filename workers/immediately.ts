/** A turn on the server: after all that has come in by now. */
export const immediately = (): Promise<void> => new Promise((then) => void setImmediate(then));

/** What nobody goes on with is let go after this long, ms. */
const IDLE_MS = 3_600_000;
export const whenIdle = (letGo: () => void): NodeJS.Timeout => setTimeout(letGo, IDLE_MS).unref();

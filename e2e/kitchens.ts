/** The kitchens of the browser tests, each with a database of its own: where they are. */
const at = (port: number) => `http://127.0.0.1:${port}`;
export const PORTS = { empty: 3211, galley: 3212, other: 3213 } as const;
/** Nothing is in it but what the tests put there. */
export const EMPTY = { baseURL: at(PORTS.empty) };
/** The demo galley. */
export const GALLEY = { baseURL: at(PORTS.galley) };
/** The demo galley again, for tests that run meanwhile. */
export const OTHER = { baseURL: at(PORTS.other) };

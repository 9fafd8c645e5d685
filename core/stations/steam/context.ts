/** Heat that something takes from the steam over time: until each moment, s, so much, W. */
export type Taken = readonly (readonly [number, number])[];

/** What else is in the steamer with a cake: heat that it takes, and when it has the lid opened. */
export interface SteamContext {
  readonly taken: readonly Taken[];
  readonly openingsS: readonly number[];
}
export const ALONE: SteamContext = { taken: [], openingsS: [] };

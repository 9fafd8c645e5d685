import type { RestForecast } from './rest';
import type { SearForecast } from './sear';
import type { Cooking } from './steam';

/** What the heat solver gives: how it is cooked, and how it rests and sears. Computed in a worker or on the server. */
export type HeatForecast = Cooking & {
  readonly rest: RestForecast | undefined;
  readonly sear: SearForecast | undefined;
};

import type { Advice } from '../stations/mix';
import type { Cake } from '../cake';
import type { Evaluation } from '../flow';
import type { HeatForecast } from '../stations/heat.types';
import type { Step, WeighOut } from '../steps/step';
import type { Problem, ConcernCode } from '../units';

export type { HeatForecast };

/** All of the forecast that needs no heat solver: recomputed on every keystroke. */
export interface LightForecast extends Cake {
  readonly problems: readonly Problem<ConcernCode>[];
  readonly advice: readonly Advice[];
}

export interface Forecast {
  readonly light: LightForecast;
  /** Undefined when nothing can be heated; the problems say why. */
  readonly heat: HeatForecast | undefined;
  /** The flow with what the stations found: waits, oil, egg. */
  readonly evaluated: Evaluation;
  readonly steps: readonly Step[];
  /** What to weigh out, batter by batter and apart. */
  readonly weighOut: readonly WeighOut[];
  readonly totals: { readonly handsOnS: number; readonly waitS: number };
  readonly cautions: readonly string[];
}

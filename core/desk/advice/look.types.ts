import type { HeatForecast, LightForecast } from '../../forecast';
import type { Plan } from '../../plan';
import type { Advice } from '../../stations/mix';
import type { Turns } from '../../units';

/** A plan as it stands in a kitchen: its forecast and all there is to mind about it, worst first. */
export interface Look {
  readonly plan: Plan;
  /** Undefined where the plan cannot be read in this kitchen. */
  readonly light: LightForecast | undefined;
  readonly heat: HeatForecast | undefined;
  readonly concerns: readonly Advice[];
}
/** Looks at plans in one kitchen. */
export type Looker = (plan: Plan) => Turns<Look>;

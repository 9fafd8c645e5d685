import type { Forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { PastBlend } from '@/db';

/** What every station gets: the plan, its forecast, the kitchen, and how to change the plan. */
export interface StationProps {
  readonly plan: Plan;
  readonly forecast: Forecast;
  readonly kitchen: Kitchen;
  readonly heating: boolean;
  /** Past batches of this family, as dots on the blend field. */
  readonly past: readonly PastBlend[];
  /** `key` groups quick edits of one field into one undo step. */
  readonly edit: (key: string, change: (p: Plan) => Plan) => void;
}

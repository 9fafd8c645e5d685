import { forecastLight } from '../forecast';
import type { Kitchen, Vessel } from '../kitchen';
import type { Plan } from '../plan';

/** What is drawn of a plan where many lie side by side. */
export interface Picture {
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly massG: number;
  readonly pieces: number | null;
  readonly problem: string | null;
}

/** The picture of a plan in a kitchen; null where it cannot be read there. */
export function pictureOf(plan: Plan, kitchen: Kitchen): Picture | null {
  const made = forecastLight(plan, kitchen);
  if (!made.ok) return null;
  const { resolved, fill, balance, cut, problems } = made.value;
  return {
    vessel: resolved.vessel,
    depthM: fill.depthM,
    massG: balance.massG,
    pieces: cut ? cut.count * plan.vesselCount : null,
    problem: problems[0]?.sentence ?? null,
  };
}

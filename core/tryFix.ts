import { applyFix, levelRank, type Advice } from './bands';
import { forecastLight } from './forecastLight';
import type { LightForecast } from './forecast.types';
import type { Kitchen } from './kitchen';
import { scalePlan, type Plan } from './plan';

export interface Tried {
  readonly words: string;
  readonly plan: Plan;
  readonly light: LightForecast;
}

/** Ids of what stands against a plan: its problems, and advice at least as grave as a level. */
const against = (light: LightForecast, level: number): ReadonlySet<string> =>
  new Set([
    ...light.problems.map((p) => `problem ${p.code}`),
    ...light.advice.filter((a) => levelRank(a.level) > level).map((a) => a.id),
  ]);

/**
 * The fix of an advice, tried: it is offered only if it clears that advice and raises neither a problem nor anything graver than what it
 * clears. Where it would fill the pan otherwise than before, the whole is brought back to its old mass.
 * @returns undefined where no one press does it
 */
export function tryFix(plan: Plan, kitchen: Kitchen, advice: Advice): Tried | undefined {
  const { fix } = advice;
  if (!fix) return undefined;
  const before = forecastLight(plan, kitchen);
  if (!before.ok) return undefined;
  const level = levelRank(advice.level);
  const stood = against(before.value, level);
  const attempt = (words: string, next: Plan): Tried | undefined => {
    const light = forecastLight(next, kitchen);
    if (!light.ok || light.value.advice.some((a) => a.id === advice.id)) return undefined;
    const worse = [...against(light.value, level)].some((id) => !stood.has(id));
    return worse ? undefined : { words, plan: next, light: light.value };
  };
  const next = applyFix(plan, fix);
  const plain = attempt(fix.words, next);
  if (plain) return plain;
  const after = forecastLight(next, kitchen);
  const massG = after.ok ? after.value.balance.massG : 0;
  if (massG <= 0 || fix.changes.some((c) => c.what === 'scale')) return undefined;
  return attempt(
    `${fix.words}, all brought back to the same weight`,
    scalePlan(next, before.value.balance.massG / massG),
  );
}

import { worstFirst, type Advice } from '../../stations/mix';
import type { HeatForecast, LightForecast } from '../../forecast';
import { mixSees } from './mix';
import { restSees } from './rest';
import { ofProblem } from './said';
import { searSees } from './sear';
import { serveSees } from './serve';
import { steamSees } from './steam';

/** So many things to mind are shown at once. */
export const SHOWN = 5;

/**
 * All there is to mind about a plan, worst first: what is unsafe, what cannot work, what spoils it, what could be better. A fault keeps its id
 * while it is mended. Fixes are proposed here only where the bands propose them; {@link waysOut} knows the others.
 * @param heat undefined while it is not worked out: what hangs on it is then not said
 */
export function concernsOf(light: LightForecast, heat: HeatForecast | undefined): readonly Advice[] {
  const problems = [...light.problems, ...(heat?.problems ?? [])];
  return worstFirst([
    ...mixSees(light),
    ...problems.map((p) => ofProblem(p, problems)),
    ...light.advice,
    ...(heat ? [...steamSees(heat), ...restSees(heat, light), ...searSees(heat)] : []),
    ...serveSees(light),
  ]);
}

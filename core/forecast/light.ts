import { bad, good, problem, sayMm, type Result } from '../units';
import type { Kitchen } from '../kitchen';
import { resolvePlan, type Plan } from '../plan';
import { familyOf, wayOf } from '../families';
import { adviceFor, named, worstFirst, type Advice } from '../stations/mix';
import { cakeOf, coldBecause, coldProblem, type Cake } from '../cake';
import { FlowError } from '../flow';
import { fewerLoads } from '../stations/vessel';
import type { LightForecast } from './forecast.types';

/** Pieces thicker than this take long in the pan, m. */
const THICK_M = 0.03;

/**
 * Everything about a plan that needs no heat solver. Errors: unknown family or references, `cannot-build` for a document whose
 * lines cannot be brought together; soft problems are in the value.
 */
export function forecastLight(plan: Plan, kitchen: Kitchen): Result<LightForecast> {
  try {
    return lightOf(plan, kitchen);
  } catch (e) {
    if (!(e instanceof FlowError)) throw e;
    return bad(
      problem(
        'cannot-build',
        'batters',
        `This plan cannot be brought together: ${e.message}. Take that line out and add it again.`,
      ),
    );
  }
}

function lightOf(document: Plan, kitchen: Kitchen): Result<LightForecast> {
  const family = familyOf(document.family);
  // What it refers to is looked up, and told, whatever its family.
  const resolved = resolvePlan(document, kitchen, family.ok ? family.value : { schools: {} });
  if (!family.ok || !resolved.ok)
    return bad(...(family.ok ? [] : family.problems), ...(resolved.ok ? [] : resolved.problems));
  const { cake, problems } = cakeOf(resolved.value, family.value);
  // Where nothing else says why nothing can be heated, this does.
  const cold = problems.length > 0 ? undefined : coldBecause(cake, problems);
  return good({
    ...cake,
    problems: cold ? [coldProblem(cold, cake)] : problems,
    advice: worstFirst(adviceOn(cake)),
  });
}

/** What is minded of a cake before it is heated. */
function adviceOn(cake: Cake): readonly Advice[] {
  const { resolved, family, balance, flow, fill, evaluated, piece } = cake;
  const advice: Advice[] = [
    ...evaluated.warnings.map(({ code, about, sentence }): Advice => ({
      ...named(code, about),
      grade: 'spoils',
      sentence,
      fixes: [],
    })),
    ...adviceFor({ family, resolved, balance, lines: flow.lines, fill }),
    ...fill.advice.map(({ code, sentence }): Advice => ({ ...named(code), grade: 'spoils', sentence, fixes: [] })),
  ];
  // Cups and sheets are made many times over by their nature; a cake in turns is minded where this kitchen could do it in fewer.
  if (!wayOf(family).refilled && fill.fits && fewerLoads(resolved, family, balance, fill))
    advice.push({
      ...named('loads'),
      grade: 'better',
      sentence: `${resolved.plan.vesselCount} pans go in ${fill.perLoad === 1 ? 'one' : fill.perLoad} at a time: ${fill.loads} loads, and the batter of the later ones waits.`,
      fixes: [],
    });
  if (piece && piece.thicknessM > THICK_M)
    advice.push({
      ...named('thick-pieces'),
      grade: 'better',
      sentence: `Pieces ${sayMm(piece.thicknessM)} thick take long to heat through in the pan.`,
      fixes: [],
    });
  return advice;
}

import { bad, good, problem, type Problem, type Result } from '../units';
import { larderFor, type Ingredient, type Larder } from '../larder';
import {
  DEFAULT_HOB,
  DEFAULT_PAN,
  DEFAULT_STEAMER,
  DEFAULT_VESSEL,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Ring,
  type Steamer,
  type Vessel,
  withItsKind,
} from '../kitchen';
import { planInForce, type FamilyUsual, type PlanInForce } from './inForce';
import type { Plan } from './schema';
import type { Line } from './lineSchema';

/** What a plan calls a thing by, for a sentence that misses it. */
const called = (x: string | object | undefined): string =>
  typeof x === 'string' ? `“${x}”` : 'What the plan asks for';

/** A plan in force with its references looked up: what the stations work on. */
export interface ResolvedPlan {
  /** As it was written: what a change is made to. */
  readonly document: Plan;
  readonly plan: PlanInForce;
  readonly kitchen: Kitchen;
  readonly larder: Larder;
  readonly vessel: Vessel;
  /** Further vessels for the same batter. */
  readonly also: readonly {
    readonly id: string;
    readonly vessel: Vessel;
    readonly count: number;
    readonly massEachG: number;
  }[];
  readonly steamer: Steamer;
  readonly hob: Hob;
  /** The ring it steams on. */
  readonly ring: Ring;
  readonly fryingPan: FryingPan;
}

function pick<T extends { id: string }>(ref: string | T | undefined, list: readonly T[], fallback: T): T | undefined {
  if (ref === undefined) return list[0] ?? fallback;
  if (typeof ref !== 'string') return ref;
  return ref === fallback.id ? fallback : list.find((x) => x.id === ref);
}

/**
 * Looks up every id of a plan in the kitchen, and fills in what it leaves open. Errors: `unknown-ingredient`, `unknown-vessel`, `unknown-steamer`, `unknown-hob`, `unknown-pan`.
 */
export function resolvePlan(plan: Plan, kitchen: Kitchen, family: FamilyUsual): Result<ResolvedPlan> {
  const problems: Problem[] = [];
  const larder = larderFor(kitchen.ingredients, plan.ingredients);
  const check = (id: string, path: string) => {
    if (!larder.has(id))
      problems.push(
        problem('unknown-ingredient', path, `There is no ingredient "${id}" in the larder; choose another or add it.`),
      );
  };
  const checkAll = (lines: readonly { ingredient: string }[], path: string) =>
    lines.forEach((l, j) => check(l.ingredient, `${path}.${j}.ingredient`));
  plan.batters.forEach((b, i) => checkAll(b.lines, `batters.${i}.lines`));
  checkAll(plan.addIns, 'addIns');
  plan.fillings.forEach((f, i) => checkAll(f.lines, `fillings.${i}.lines`));
  plan.colours.forEach((c, i) => checkAll(c.lines, `colours.${i}.lines`));
  plan.accompaniments.forEach((s, i) => checkAll(s.lines, `accompaniments.${i}.lines`));
  const also = plan.alsoVessels.flatMap((a, i) => {
    const found = typeof a.vessel === 'string' ? kitchen.vessels.find((v) => v.id === a.vessel) : a.vessel;
    if (!found)
      problems.push(
        problem(
          'unknown-vessel',
          `alsoVessels.${i}.vessel`,
          `${called(a.vessel)} is not on the rack; choose a vessel that is, or write it into the plan.`,
        ),
      );
    return found
      ? [{ id: a.id, vessel: withItsKind(found, kitchen.vessels), count: a.count, massEachG: a.massEachG }]
      : [];
  });
  const one = pick(plan.vessel, kitchen.vessels, DEFAULT_VESSEL);
  const vessel = one && withItsKind(one, kitchen.vessels);
  const steamer = pick(plan.steamer, kitchen.steamers, DEFAULT_STEAMER);
  const hob = pick(plan.hob, kitchen.hobs, DEFAULT_HOB);
  const fryingPan = pick(plan.fryingPan, kitchen.fryingPans, DEFAULT_PAN);
  if (!vessel)
    problems.push(
      problem(
        'unknown-vessel',
        'vessel',
        `${called(plan.vessel)} is not on the rack; choose a vessel that is, or write it into the plan.`,
      ),
    );
  if (!steamer)
    problems.push(
      problem(
        'unknown-steamer',
        'steamer',
        `${called(plan.steamer)} is not in the kitchen; choose a steamer that is, or write it into the plan.`,
      ),
    );
  if (!hob)
    problems.push(problem('unknown-hob', 'hob', `${called(plan.hob)} is not in the kitchen; choose a hob that is.`));
  if (!fryingPan)
    problems.push(
      problem(
        'unknown-pan',
        'fryingPan',
        `${called(plan.fryingPan)} is not in the kitchen; choose a frying pan that is.`,
      ),
    );
  // A ring that is gone falls back to the first: the hob is the same.
  const ring = hob?.rings.find((r) => r.id === plan.ring) ?? hob?.rings[0];
  if (problems.length > 0 || !vessel || !steamer || !hob || !ring || !fryingPan) return bad(...problems);
  return good({
    document: plan,
    plan: planInForce(plan, family, larder, kitchen),
    kitchen,
    larder,
    vessel,
    also,
    steamer,
    hob,
    ring,
    fryingPan,
  });
}

/** An ingredient that {@link resolvePlan} has already found. */
export function ingredientOf(larder: Larder, line: Pick<Line, 'ingredient'>): Ingredient {
  const found = larder.get(line.ingredient);
  if (!found) throw new Error(`unresolved ingredient ${line.ingredient}`);
  return found;
}

import { bad, good, problem, type ConcernCode, type Problem, type Result } from '../units';
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
  /** Told where it is missing. */
  const found = <T>(
    thing: T | undefined,
    code: ConcernCode,
    path: string,
    ref: string | object | undefined,
    words: string,
  ) => {
    if (!thing) problems.push(problem(code, path, `${called(ref)} is not ${words}`));
    return thing;
  };
  const vesselAt = (thing: Vessel | undefined, path: string, ref: string | object | undefined): Vessel | undefined => {
    const words = 'on the rack; choose a vessel that is, or write it into the plan.';
    const one = found(thing, 'unknown-vessel', path, ref, words);
    return one && withItsKind(one, kitchen.vessels);
  };
  const also = plan.alsoVessels.flatMap(({ id, vessel: ref, count, massEachG }, i) => {
    const thing = typeof ref === 'string' ? kitchen.vessels.find((v) => v.id === ref) : ref;
    const vessel = vesselAt(thing, `alsoVessels.${i}.vessel`, ref);
    return vessel ? [{ id, vessel, count, massEachG }] : [];
  });
  const vessel = vesselAt(pick(plan.vessel, kitchen.vessels, DEFAULT_VESSEL), 'vessel', plan.vessel);
  const steamer = found(
    pick(plan.steamer, kitchen.steamers, DEFAULT_STEAMER),
    'unknown-steamer',
    'steamer',
    plan.steamer,
    'in the kitchen; choose a steamer that is, or write it into the plan.',
  );
  const hob = found(
    pick(plan.hob, kitchen.hobs, DEFAULT_HOB),
    'unknown-hob',
    'hob',
    plan.hob,
    'in the kitchen; choose a hob that is.',
  );
  const fryingPan = found(
    pick(plan.fryingPan, kitchen.fryingPans, DEFAULT_PAN),
    'unknown-pan',
    'fryingPan',
    plan.fryingPan,
    'in the kitchen; choose a frying pan that is.',
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

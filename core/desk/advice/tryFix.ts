import { applyFix, gradeRank, type Advice, type Fix } from '../../stations/mix';
import { scalePlan, type Plan } from '../../plan';
import type { Turns } from '../../units';
import { becoming } from './becoming';
import type { Look, Looker } from './look.types';

/** A fix that was tried through the models. */
export interface Tried {
  readonly fix: Fix;
  /** The plan with it. */
  readonly plan: Plan;
  readonly look: Look;
  /** What it raises that weighs less than what it clears; empty where it raises nothing. */
  readonly raises: readonly Advice[];
}

/** What trying a fix gave: a way out, or what stands in its way. */
type Attempt = { readonly ok: true; readonly tried: Tried } | { readonly ok: false; readonly after: Look | undefined };

/**
 * A fix tried: no way out unless it clears its advice and raises nothing that weighs as much or more. So whoever takes fixes from the top comes
 * to an end: the gravest that is left is fewer or lighter each time.
 */
function* attempt(before: Look, advice: Advice, fix: Fix, look: Looker): Turns<Attempt> {
  const plan = applyFix(before.plan, fix);
  const after = yield* look(plan);
  if (!after.light || after.concerns.some((a) => a.id === advice.id)) return { ok: false, after: undefined };
  const raises = raisedBy(before, after);
  return raises.some((a) => gradeRank(a.grade) >= gradeRank(advice.grade))
    ? { ok: false, after }
    : { ok: true, tried: { fix, plan, look: after, raises } };
}

/** What one look has to mind that another has not, or graver. */
function raisedBy(before: Look, after: Look): readonly Advice[] {
  const was = new Map(before.concerns.map((a) => [a.id, gradeRank(a.grade)]));
  return after.concerns.filter((a) => gradeRank(a.grade) > (was.get(a.id) ?? -1));
}

const moves = (fix: Fix): boolean =>
  fix.changes.some((c) => c.what === 'line' || c.what === 'add' || c.what === 'liquid');

/** As {@link attempt}; where it fills the pan otherwise than before, the whole is then brought back to its old mass. */
export function* tryFix(before: Look, advice: Advice, fix: Fix, look: Looker): Turns<Attempt> {
  const plain = yield* attempt(before, advice, fix, look);
  if (plain.ok || !moves(fix)) return plain;
  const wasG = before.light?.balance.massG ?? 0;
  const next = applyFix(before.plan, fix);
  const massG = (yield* look(next)).light?.balance.massG ?? 0;
  if (massG <= 0 || wasG <= 0 || Math.abs(massG / wasG - 1) < 1e-6) return plain;
  const words = `${fix.words}, all brought back to the same weight`;
  const again = yield* attempt(before, advice, becoming(words, before.plan, scalePlan(next, wasG / massG)), look);
  return again.ok ? again : plain;
}

/**
 * A fix that clears its advice and brings something else up, with a second one that clears that too: both in one press.
 * @param second fixes for what is brought up
 */
export function* tryBoth(
  before: Look,
  advice: Advice,
  first: Fix,
  after: Look,
  second: (after: Look, raised: Advice) => readonly Fix[],
  look: Looker,
): Turns<Tried | undefined> {
  const [worst] = raisedBy(before, after);
  if (!worst) return undefined;
  for (const fix of second(after, worst)) {
    const words = `${first.words}; ${fix.words.charAt(0).toLowerCase()}${fix.words.slice(1)}`;
    const both = yield* attempt(before, advice, { words, changes: [...first.changes, ...fix.changes] }, look);
    if (both.ok) return both.tried;
  }
  return undefined;
}

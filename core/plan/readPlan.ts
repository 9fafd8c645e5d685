import type { z } from 'zod';
import { bad, good, problem, type Problem, type Result } from '../units';
import { kitchenSchema, type Kitchen } from '../kitchen';
import { idProblems } from './lineIds';
import { PLAN_VERSION } from './kinds';
import { planSchema, type Plan } from './schema';
import { upgradeVersion1 } from './upgradeVersion1';

/** Upgrades by version: `UPGRADES[n]` turns a document of version n into version n + 1. */
const UPGRADES: Readonly<Record<number, (doc: Record<string, unknown>) => Record<string, unknown>>> = {
  1: upgradeVersion1,
};

/** A plan document of any known version, brought to the present one; anything else is handed back as it is. */
export function upgradePlan(doc: unknown): unknown {
  if (typeof doc !== 'object' || doc === null || Array.isArray(doc)) return doc;
  let current = doc as Record<string, unknown>;
  for (;;) {
    const upgrade =
      typeof current.version === 'number' && current.version < PLAN_VERSION ? UPGRADES[current.version] : undefined;
    if (!upgrade) break;
    current = upgrade(current);
  }
  return current;
}

const sentenceOf = (issue: z.core.$ZodIssue, path: string): string => {
  if (issue.code === 'invalid_type' && issue.message.startsWith('Invalid input'))
    return `${path || 'This'} should be ${issue.expected}; put that in.`;
  if (issue.code === 'invalid_value') return `${path} must be one of: ${issue.values.map(String).join(', ')}.`;
  return issue.message;
};

/** Zod issues as problems for the cook; unions are opened to the branch that came closest. */
export function problemsOf(error: z.ZodError): Problem[] {
  const walk = (issues: readonly z.core.$ZodIssue[], base: readonly PropertyKey[]): Problem[] =>
    issues.flatMap((issue) => {
      const path = [...base, ...issue.path];
      if (issue.code === 'invalid_union' && issue.errors.length > 0) {
        const closest = issue.errors.reduce((a, b) =>
          b.length < a.length || (a.some((i) => i.path.length === 0) && b.every((i) => i.path.length > 0)) ? b : a,
        );
        if (closest.length > 0) return walk(closest, path);
      }
      const dotted = path.map(String).join('.');
      return [problem(issue.code === 'custom' ? 'implausible' : issue.code, dotted, sentenceOf(issue, dotted))];
    });
  return walk(error.issues, []);
}

/**
 * Reads a plan from anything: upgrades an older version, then validates, collecting every problem.
 * Errors: `not-a-plan` (no object, or another format), `newer-version`, `unknown-version`, `id-twice`, else one per field.
 */
export function readPlan(doc: unknown): Result<Plan> {
  if (typeof doc !== 'object' || doc === null || Array.isArray(doc))
    return bad(problem('not-a-plan', '', 'This is not a plan: a plan is a JSON object with format "idle-ladle/plan".'));
  const current = upgradePlan(doc) as Record<string, unknown>;
  if (current.format !== 'idle-ladle/plan')
    return bad(problem('not-a-plan', 'format', 'This is not a plan: its format should say "idle-ladle/plan".'));
  if (typeof current.version === 'number' && current.version > PLAN_VERSION)
    return bad(
      problem(
        'newer-version',
        'version',
        `This plan is of format version ${current.version} and was written by a newer Idle Ladle; this one reads up to version ${PLAN_VERSION}. Update the program, or save the plan as version ${PLAN_VERSION} there.`,
      ),
    );
  if (current.version !== PLAN_VERSION)
    return bad(
      problem(
        'unknown-version',
        'version',
        `Version ${String(current.version)} of the plan format is not known here; this reads versions 1 to ${PLAN_VERSION}.`,
      ),
    );
  const parsed = planSchema.safeParse(current);
  if (!parsed.success) return bad(...problemsOf(parsed.error));
  const plan = parsed.data;
  const twice = idProblems(plan);
  return twice.length > 0 ? bad(...twice) : good(plan);
}

/** Reads a kitchen from anything; absent fields take the defaults. */
export function readKitchen(doc: unknown): Result<Kitchen> {
  const parsed = kitchenSchema.safeParse(doc ?? {});
  return parsed.success ? good(parsed.data) : bad(...problemsOf(parsed.error));
}

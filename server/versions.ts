import { namesIn, planChanges } from '@/core/plan';
import { bad, good, problem, type Problem, type Result } from '@/core/units';
import type { Store } from './storeOf';

/** A version of a plan as a list shows it, newest first. */
export interface VersionLine {
  readonly version: number;
  readonly revision: number;
  readonly at: string;
  readonly refused: boolean;
  readonly name: string;
  /** What it changed from the version before that is kept; a refused one, from the version it was to be written over. */
  readonly changes: readonly string[];
  readonly first: boolean;
  readonly problems: readonly Problem[];
}
export interface Versions {
  readonly id: string;
  /** Revision that a version is put back over. */
  readonly revision: number;
  /** False where the plan as it is now cannot be read. */
  readonly readable: boolean;
  readonly lines: readonly VersionLine[];
}

/** The versions of a plan that are kept, with what each changed. A plan that cannot be read has its earlier ones still. */
export async function versionsOf(store: Store, id: string): Promise<Result<Versions>> {
  const now = await store.plans.get(id);
  const revision = now.ok ? now.value.revision : (await store.plans.unreadable(id))?.revision;
  if (revision === undefined) return now.ok ? bad(problem('no-such-plan', 'id', 'That plan is not here.')) : now;
  const versions = await store.plans.versions(id);
  const { kitchen } = await store.kitchenState();
  const lines = versions.map((v, i): VersionLine => {
    const before = versions
      .slice(i + 1)
      .find((x) => !x.refused && x.document.ok && (!v.refused || x.revision < v.revision));
    const plan = v.document.ok ? v.document.value : undefined;
    return {
      version: v.version,
      revision: v.revision,
      at: v.at,
      refused: v.refused,
      name: plan?.name ?? '',
      changes: plan && before?.document.ok ? planChanges(before.document.value, plan, namesIn(kitchen, plan)) : [],
      first: before === undefined,
      problems: v.document.ok ? [] : v.document.problems,
    };
  });
  return good({ id, revision, readable: now.ok, lines });
}

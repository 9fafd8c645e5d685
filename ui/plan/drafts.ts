import { z } from 'zod';
import { readPlan, type Plan } from '@/core/plan';
import { freshId } from '../kit/freshId';

/**
 * What a window has not saved yet, kept on the device at every change, each window apart: `idle-ladle/draft/<plan>/<window>`. A window that is
 * alive says so every few seconds; what a dead one left is offered.
 */
const PREFIX = 'idle-ladle/draft/';
const TAB = 'idle-ladle/window';
/** A window that was not heard of for so long is taken for closed, ms. */
const DEAD_MS = 20_000;

const draftSchema = z.object({
  /** Editing session that writes it. */
  session: z.string(),
  /** Revision it was made on. */
  revision: z.int(),
  plan: z.unknown(),
  /** When the window was last heard of, ms. */
  at: z.number(),
});
export interface PlanDraft {
  readonly session: string;
  readonly revision: number;
  readonly plan: Plan;
  readonly at: number;
}
export interface LeftDraft extends PlanDraft {
  readonly key: string;
}

function storage<T>(
  work: (s: Storage) => T,
  otherwise: T,
  which: 'localStorage' | 'sessionStorage' = 'localStorage',
): T {
  try {
    return work(window[which]);
  } catch {
    return otherwise;
  }
}

let tab: string | undefined;
/** The name of this window; it stays through a reload. */
function tabName(): string {
  tab ??= storage(
    (s) => {
      const kept = s.getItem(TAB) ?? freshId();
      s.setItem(TAB, kept);
      return kept;
    },
    freshId(),
    'sessionStorage',
  );
  return tab;
}
const ownKey = (plan: string) => `${PREFIX}${plan}/${tabName()}`;

function read(raw: string | null): PlanDraft | undefined {
  if (!raw) return undefined;
  try {
    const draft = draftSchema.safeParse(JSON.parse(raw));
    const plan = draft.success ? readPlan(draft.data.plan) : undefined;
    return draft.success && plan?.ok ? { ...draft.data, plan: plan.value } : undefined;
  } catch {
    return undefined;
  }
}

/** This window's own draft of a plan. */
export const ownDraft = (plan: string): PlanDraft | undefined =>
  storage((s) => read(s.getItem(ownKey(plan))), undefined);
/** Keeps it; false where the device cannot. */
export const keepDraft = (plan: string, draft: PlanDraft): boolean =>
  storage((s) => {
    s.setItem(ownKey(plan), JSON.stringify(draft));
    return true;
  }, false);
export const dropDraft = (plan: string, key = ownKey(plan)): void => storage((s) => s.removeItem(key), undefined);

/** What windows that are gone have left of a plan, the newest first. */
export function leftDrafts(plan: string, nowMs: number): readonly LeftDraft[] {
  return storage<readonly LeftDraft[]>((s) => {
    const own = ownKey(plan);
    const keys = Array.from({ length: s.length }, (_, i) => s.key(i) ?? '');
    return keys
      .filter((k) => k.startsWith(`${PREFIX}${plan}/`) && k !== own)
      .flatMap((key) => {
        const draft = read(s.getItem(key));
        return draft && nowMs - draft.at > DEAD_MS ? [{ ...draft, key }] : [];
      })
      .sort((a, b) => b.at - a.at);
  }, []);
}

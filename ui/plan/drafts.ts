import { z } from 'zod';
import { readPlan, type Plan } from '@/core/plan';
import { freshId } from '../kit/freshId';

/**
 * What a window has not saved yet, kept on the device at every change, each window apart: `idle-ladle/draft/<plan>/<window>`. Windows that are
 * open say so when they are asked; what others have left is offered.
 */
const PREFIX = 'idle-ladle/draft/';
const TAB = 'idle-ladle/window';
/** Where windows of this device hear of each other, and how long an answer may take, ms. */
const CHANNEL = 'idle-ladle/windows';
const ANSWER_MS = 400;

const draftSchema = z.object({
  /** Editing session that writes it. */
  session: z.string(),
  /** Revision it was made on. */
  revision: z.int(),
  plan: z.unknown(),
  /** When it was last changed, ms. */
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

const messageSchema = z.union([z.object({ ask: z.string() }), z.object({ answer: z.string(), here: z.string() })]);

/** Has this window say that it is open whenever another asks; answers with the way to stop. */
export function sayOpen(): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = (e) => {
    const read = messageSchema.safeParse(e.data);
    if (read.success && 'ask' in read.data) channel.postMessage({ answer: read.data.ask, here: tabName() });
  };
  return () => channel.close();
}

/** The names of the other windows that are open on this device. */
async function openWindows(): Promise<ReadonlySet<string>> {
  if (typeof BroadcastChannel === 'undefined') return new Set();
  const channel = new BroadcastChannel(CHANNEL);
  const [ask, here] = [freshId(), new Set<string>()];
  channel.onmessage = (e) => {
    const read = messageSchema.safeParse(e.data);
    if (read.success && 'here' in read.data && read.data.answer === ask) here.add(read.data.here);
  };
  channel.postMessage({ ask });
  await new Promise((then) => setTimeout(then, ANSWER_MS));
  channel.close();
  return here;
}

/** What windows that are gone have left of a plan, the newest first. */
export async function leftDrafts(plan: string): Promise<readonly LeftDraft[]> {
  const prefix = `${PREFIX}${plan}/`;
  const others = () =>
    storage(
      (s) =>
        Array.from({ length: s.length }, (_, i) => s.key(i) ?? '').filter(
          (k) => k.startsWith(prefix) && k !== ownKey(plan),
        ),
      [] as string[],
    );
  if (others().length === 0) return [];
  const open = await openWindows();
  return others()
    .filter((key) => !open.has(key.slice(prefix.length)))
    .flatMap((key) => {
      const draft = storage((s) => read(s.getItem(key)), undefined);
      return draft ? [{ ...draft, key }] : [];
    })
    .sort((a, b) => b.at - a.at);
}

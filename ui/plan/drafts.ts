import type { PlanDraft } from './readDraft';
import { deviceStore, keysUnder } from '../kit/deviceStore';
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

export interface LeftDraft extends PlanDraft {
  readonly key: string;
}

let tab: string | undefined;
/** The name of this window; it stays through a reload. */
function tabName(): string {
  const kept = deviceStore(TAB, 'sessionStorage');
  if (tab === undefined) {
    tab = kept.get() ?? freshId();
    kept.set(tab);
  }
  return tab;
}
const ownKey = (plan: string) => `${PREFIX}${plan}/${tabName()}`;

/** What reads them is fetched only where there is one. */
const read = async (raw: string): Promise<PlanDraft | undefined> => (await import('./readDraft')).readDraft(raw);

/** This window's own draft of a plan, as it was when this was called; undefined at once where there is none. */
export function ownDraft(plan: string): Promise<PlanDraft | undefined> | undefined {
  const raw = deviceStore(ownKey(plan)).get();
  return raw === null ? undefined : read(raw);
}
/** Keeps it; false where the device cannot. */
export const keepDraft = (plan: string, draft: PlanDraft): boolean =>
  deviceStore(ownKey(plan)).set(JSON.stringify(draft));
export const dropDraft = (plan: string, key = ownKey(plan)): void => void deviceStore(key).set(null);

/** A question who is open, or a window's answer to it; what else was said there has neither. */
const heard = (
  data: unknown,
): Partial<Readonly<Record<'ask' | 'answer' | 'here' | 'claim' | 'taken' | 'by', unknown>>> =>
  typeof data === 'object' && data !== null ? data : {};

/** This very page: a duplicated window bears the name of the one it was made from until it has heard of it. */
const page = freshId();

/**
 * Has this window say that it is open whenever another asks, and take a name of its own where another that is open bears the same; answers with the
 * way to stop.
 */
export function sayOpen(): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = (e) => {
    const { ask, claim, taken, by } = heard(e.data);
    if (typeof ask === 'string') channel.postMessage({ answer: ask, here: tabName() });
    else if (claim === tabName() && by !== page) channel.postMessage({ taken: claim, by: page });
    else if (taken === tabName() && by !== page) takeNewName();
  };
  channel.postMessage({ claim: tabName(), by: page });
  return () => channel.close();
}
function takeNewName(): void {
  const name = freshId();
  tab = name;
  deviceStore(TAB, 'sessionStorage').set(name);
}

/** The names of the other windows that are open on this device. */
async function openWindows(): Promise<ReadonlySet<string>> {
  if (typeof BroadcastChannel === 'undefined') return new Set();
  const channel = new BroadcastChannel(CHANNEL);
  const [ask, here] = [freshId(), new Set<string>()];
  channel.onmessage = (e) => {
    const said = heard(e.data);
    if (said.answer === ask && typeof said.here === 'string') here.add(said.here);
  };
  channel.postMessage({ ask });
  await new Promise((then) => setTimeout(then, ANSWER_MS));
  channel.close();
  return here;
}

/** What windows that are gone have left of a plan, the newest first. */
export async function leftDrafts(plan: string): Promise<readonly LeftDraft[]> {
  const prefix = `${PREFIX}${plan}/`;
  const others = () => keysUnder(prefix).filter((k) => k !== ownKey(plan));
  if (others().length === 0) return [];
  const open = await openWindows();
  const left = await Promise.all(
    others()
      .filter((key) => !open.has(key.slice(prefix.length)))
      .map(async (key) => {
        const draft = await read(deviceStore(key).get() ?? '');
        return draft && { ...draft, key };
      }),
  );
  return left.filter((d) => d !== undefined).sort((a, b) => b.at - a.at);
}

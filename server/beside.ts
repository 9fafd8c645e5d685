import type { Kitchen } from '@/core/kitchen';
import { standing } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';
import { asCooked } from '@/core/work/stove';
import { sayDuration } from '@/core/units';
import type { Store } from './storeOf';

/** What a plan can be laid beside: `plan:ID`, `version:N` of itself, `batch:ID`. */
export interface BesideChoice {
  readonly value: string;
  readonly words: string;
}
export interface Beside {
  readonly value: string;
  readonly words: string;
  readonly plan: Plan;
  /** The kitchen it was cooked in, as far as it was kept; null: the one there is now. */
  readonly kitchen: Kitchen | null;
}

const MOST_PLANS = 40;
const MOST_VERSIONS = 12;
const MOST_BATCHES = 20;
const day = (iso: string): string => iso.slice(0, 16).replace('T', ' ');

/** Versions that can be read and are not the plan as it stands, newest first. */
async function versionsBefore(store: Store, id: string, now: Plan) {
  const said = JSON.stringify(now);
  return (await store.plans.versions(id)).flatMap((v) =>
    v.document.ok && JSON.stringify(v.document.value) !== said
      ? [{ version: v.version, at: v.at, plan: v.document.value }]
      : [],
  );
}

/** What there is to lay a plan beside: its earlier versions, batches of its kind of cake, the other plans. */
export async function besideChoices(store: Store, id: string, plan: Plan): Promise<readonly BesideChoice[]> {
  const [versions, plans, batches] = await Promise.all([
    versionsBefore(store, id, plan),
    store.plans.page({ limit: MOST_PLANS + 1 }),
    store.batches.page({ limit: 4 * MOST_BATCHES }),
  ]);
  return [
    ...versions
      .slice(0, MOST_VERSIONS)
      .map((v) => ({ value: `version:${v.version}`, words: `as it was, ${day(v.at)}` })),
    ...plans.rows.filter((p) => p.id !== id).map((p) => ({ value: `plan:${p.id}`, words: p.name })),
    ...batches.rows
      .filter((b) => b.family === plan.family && b.readable)
      .slice(0, MOST_BATCHES)
      .map((b) => ({
        value: `batch:${b.id}`,
        words: `cooked ${day(b.startedAt).slice(0, 10)}: ${b.name}${b.cleanAtS === null ? '' : `, clean at ${sayDuration(b.cleanAtS)}`}`,
      })),
  ];
}

/** The plan that a choice names; undefined where it is not there or cannot be read. */
export async function besideOf(
  store: Store,
  id: string,
  value: string,
  choices: readonly BesideChoice[],
): Promise<Beside | undefined> {
  const [kind, key] = [value.slice(0, value.indexOf(':')), value.slice(value.indexOf(':') + 1)];
  const words = choices.find((c) => c.value === value)?.words;
  const found = (plan: Plan, kitchen: Kitchen | null = null): Beside => ({
    value,
    plan,
    kitchen,
    words: words ?? plan.name,
  });
  switch (kind) {
    case 'version': {
      const v = (await store.plans.versions(id)).find((x) => String(x.version) === key);
      return v?.document.ok ? found(v.document.value) : undefined;
    }
    case 'batch': {
      const b = await store.batches.get(key);
      return b.ok
        ? found(asCooked(b.value.snapshot.plan, standing(b.value.events)), b.value.snapshot.kitchen)
        : undefined;
    }
    case 'plan': {
      const p = await store.plans.get(key);
      return p.ok ? found(p.value.plan) : undefined;
    }
    default:
      return undefined;
  }
}

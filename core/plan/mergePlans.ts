import type { Plan } from './schema';

type Json = unknown;
type Doc = Readonly<Record<string, Json>>;
const isDoc = (x: Json): x is Doc => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Whether two documents say the same; a key that is undefined is not there. */
function same(a: Json, b: Json): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]));
  if (!isDoc(a) || !isDoc(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) => same(a[k], b[k]));
}

/** The things of a list by their ids; undefined where it is no list of such things. */
function byId(list: Json): ReadonlyMap<string, Doc> | undefined {
  if (!Array.isArray(list)) return undefined;
  const all = new Map<string, Doc>();
  for (const x of list as readonly Json[]) {
    if (!isDoc(x) || typeof x.id !== 'string' || all.has(x.id)) return undefined;
    all.set(x.id, x);
  }
  return all;
}

export interface Merged {
  readonly plan: Plan;
  /** Where both changed the same thing, each to something else. */
  readonly clashes: readonly string[];
}

/**
 * Two changes of one plan put together: what only one of them touched is as that one has it; where both touched the same thing it is as the
 * preferred one has it, and told. Lines, batters and whatever else has an id are the same thing wherever they stand in their list.
 * @param base what both were made from
 */
export function mergePlans(base: Plan, mine: Plan, theirs: Plan, prefer: 'mine' | 'theirs'): Merged {
  const clashes: string[] = [];
  const clash = (at: string, m: Json, t: Json): Json => {
    clashes.push(at);
    return prefer === 'mine' ? m : t;
  };
  const merged = (at: string, b: Json, m: Json, t: Json): Json => {
    if (same(m, t) || same(b, t)) return m;
    if (same(b, m)) return t;
    const [lists, mines, theirses] = [byId(b ?? []), byId(m), byId(t)];
    if (lists && mines && theirses) {
      const ids = [...new Set([...(prefer === 'mine' ? mines : theirses).keys(), ...mines.keys(), ...theirses.keys()])];
      return ids.flatMap((id) => {
        const x = merged(`${at}.${id}`, lists.get(id), mines.get(id), theirses.get(id));
        return x === undefined ? [] : [x];
      });
    }
    if (isDoc(b) && isDoc(m) && isDoc(t))
      return Object.fromEntries(
        [...new Set([...Object.keys(m), ...Object.keys(t)])].flatMap((k) => {
          const x = merged(at === '' ? k : `${at}.${k}`, b[k], m[k], t[k]);
          return x === undefined ? [] : [[k, x]];
        }),
      );
    return clash(at, m, t);
  };
  const plan = merged('', base, mine, theirs) as Plan;
  return { plan, clashes };
}

import { problem, type Problem } from '../units';

interface Named {
  readonly id: string;
  readonly ingredient: string;
}

/** The lists of lines of a plan, whatever else is in it. */
interface Lists {
  readonly batters: readonly Grouped[];
  readonly addIns: readonly Named[];
  readonly fillings: readonly Grouped[];
  readonly colours: readonly Grouped[];
  readonly accompaniments: readonly Grouped[];
}
interface Grouped {
  readonly id: string;
  readonly lines: readonly Named[];
}

const listsOf = (plan: Lists): readonly (readonly Named[])[] => [
  ...plan.batters.map((b) => b.lines),
  plan.addIns,
  ...plan.fillings.map((f) => f.lines),
  ...plan.colours.map((c) => c.lines),
  ...plan.accompaniments.map((a) => a.lines),
];

/** Every line id a plan uses. */
export const lineIds = (plan: Lists): ReadonlySet<string> =>
  new Set(listsOf(plan).flatMap((lines) => lines.map((l) => l.id)));

/** The first free id for a line: its ingredient, else with a number behind it. */
export function freshLineId(taken: ReadonlySet<string>, ingredient: string): string {
  const base = ingredient.slice(0, 72) || 'line';
  if (!taken.has(base)) return base;
  for (let n = 2; ; n++) if (!taken.has(`${base}-${n}`)) return `${base}-${n}`;
}

/** Gives an id to each line that has none, in the order of the document: the ingredient, numbered where it comes again. */
export function withLineIds<P extends Lists>(plan: P): P {
  if (listsOf(plan).every((lines) => lines.every((l) => l.id !== ''))) return plan;
  const taken = new Set(lineIds(plan));
  const named = <L extends Named>(lines: readonly L[]): L[] =>
    lines.map((l) => {
      if (l.id !== '') return l;
      const id = freshLineId(taken, l.ingredient);
      taken.add(id);
      return { ...l, id };
    });
  return {
    ...plan,
    batters: plan.batters.map((b) => ({ ...b, lines: named(b.lines) })),
    addIns: named(plan.addIns),
    fillings: plan.fillings.map((f) => ({ ...f, lines: named(f.lines) })),
    colours: plan.colours.map((c) => ({ ...c, lines: named(c.lines) })),
    accompaniments: plan.accompaniments.map((a) => ({ ...a, lines: named(a.lines) })),
  };
}

/** Ids must name one line each, and one batter, filling, colour or accompaniment each. */
export function idProblems(plan: Lists): Problem[] {
  const out: Problem[] = [];
  const once = (what: string, path: string, ids: readonly string[]) => {
    const seen = new Set<string>();
    for (const id of ids) {
      if (seen.has(id)) out.push(problem('id-twice', path, `Two ${what} are called "${id}"; give each its own id.`));
      seen.add(id);
    }
  };
  once(
    'lines',
    'batters',
    listsOf(plan).flatMap((lines) => lines.map((l) => l.id)),
  );
  once(
    'batters',
    'batters',
    plan.batters.map((b) => b.id),
  );
  once(
    'fillings',
    'fillings',
    plan.fillings.map((f) => f.id),
  );
  once(
    'colours',
    'colours',
    plan.colours.map((c) => c.id),
  );
  once(
    'sauces or toppings',
    'accompaniments',
    plan.accompaniments.map((a) => a.id),
  );
  return out;
}

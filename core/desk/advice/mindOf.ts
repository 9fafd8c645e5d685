import { applyFix, type Advice, type Fix } from '../../stations/mix';
import type { Kitchen } from '../../kitchen';
import type { Plan } from '../../plan';
import type { Turns } from '../../units';
import { SHOWN } from './concerns';
import type { Look, Looker } from './look.types';
import { movesOf, opposed, type Moves } from './moves';
import { tryBoth, tryFix, type Tried } from './tryFix';
import type { Row } from './way.types';
import { waysOut } from './waysOut';

/** Ways out that are offered for one. */
const OFFERED = 3;
/** Where none works alone, so many that came near are tried with a second one, and so many seconds with each. */
const DOUBLED = 2;
const SECONDS = 8;

/** Something to mind with the ways out of it that were tried and work, best first. */
export interface Minded {
  readonly advice: Advice;
  readonly ways: readonly Tried[];
}

const equalPlans = (a: Plan, b: Plan): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * The ways out of one thing to mind: each proposed fix tried through the models, of a row of alike ones the first that works. One that raises
 * something lighter is offered only where none raises nothing, and two in one only where no single one works.
 */
export function* waysFor(before: Look, advice: Advice, kitchen: Kitchen, look: Looker): Turns<readonly Tried[]> {
  const rowsFor = (of: Look, a: Advice): readonly Row[] => [...a.fixes.map((f) => [f]), ...waysOut(of, a, kitchen)];
  const found: Tried[] = [];
  const almost: { readonly fix: Fix; readonly after: Look }[] = [];
  for (const row of rowsFor(before, advice)) {
    if (found.filter((t) => t.raises.length === 0).length >= OFFERED) break;
    for (const fix of row) {
      if (found.some((t) => equalPlans(t.plan, applyFix(before.plan, fix)))) break;
      const got = yield* tryFix(before, advice, fix, look);
      if (got.ok) {
        found.push(got.tried);
        break;
      }
      if (got.after) almost.push({ fix, after: got.after });
    }
  }
  const clean = found.filter((t) => t.raises.length === 0);
  if (clean.length > 0) return clean.slice(0, OFFERED);
  if (found.length > 0) return found.slice(0, 1);
  for (const { fix, after } of almost.slice(0, DOUBLED)) {
    const both = yield* tryBoth(
      before,
      advice,
      fix,
      after,
      (of, raised) => rowsFor(of, raised).flat().slice(0, SECONDS),
      look,
    );
    if (both) return [both];
  }
  return [];
}

/**
 * What to mind about a plan with the ways out, the worst so many, all tried. Of two that would undo each other the lighter one keeps its sentence
 * and loses its way: once the graver one is answered, it is looked at anew.
 * @param found told each as soon as it is tried, worst first
 */
export function* mindOf(
  before: Look,
  kitchen: Kitchen,
  look: Looker,
  most = SHOWN,
  found?: (one: Minded) => void,
): Turns<readonly Minded[]> {
  const above: Moves[] = [];
  const out: Minded[] = [];
  for (const advice of before.concerns.slice(0, most)) {
    const all = yield* waysFor(before, advice, kitchen, look);
    const tried = all.map((t) => ({ t, moves: movesOf(before.plan, t.plan) }));
    const ways = tried.filter(({ moves }) => !above.some((m) => opposed(m, moves)));
    above.push(...ways.map(({ moves }) => moves));
    const one = { advice, ways: ways.map(({ t }) => t) };
    out.push(one);
    found?.(one);
  }
  return out;
}

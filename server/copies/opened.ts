import { bad, good, type Result } from '@/core/units';
import {
  canTake,
  endWork,
  suggested,
  type CopyKind,
  type CopyLine,
  type CopyPlace,
  type Manifest,
  type Opened,
} from '@/db/copy';
import { closedProblem } from './uploads';

/** Differences of one kind in one place. */
export interface CopyGroup {
  readonly where: CopyPlace;
  readonly kind: CopyKind;
  readonly count: number;
  /** How many of them can be taken, and how many would be without looking at each. */
  readonly takeable: number;
  readonly suggested: number;
}
export interface OpenedCopy {
  readonly id: string;
  readonly called: string;
  readonly manifest: Omit<Manifest, 'files'>;
  readonly unreadable: number;
  readonly groups: readonly CopyGroup[];
}
/** A line of a preview as a page shows it. */
export interface ShownLine extends Omit<CopyLine, 'seal'> {
  readonly suggested: boolean;
  readonly takeable: boolean;
}
/** What is chosen of a group: all, none or what is suggested, and the other way round for some. */
export interface GroupChoice {
  readonly from: 'all' | 'none' | 'suggested';
  readonly but: readonly string[];
}
/** By place and kind, as "there plan". */
export type CopyChoice = Readonly<Record<string, GroupChoice>>;
const groupOf = (l: Pick<CopyLine, 'where' | 'kind'>): string => `${l.where} ${l.kind}`;
export const isSuggested = (l: CopyLine): boolean => canTake(l) && suggested(l);

const IDLE_MS = 3_600_000;
const LINES_AT_ONCE = 100;
const MOST_CHANGES = 12;

interface Lying extends Opened {
  readonly id: string;
  readonly called: string;
  readonly lines: readonly CopyLine[];
}

/** The one copy that lies open beside the kitchen. */
export function openedCopy() {
  let lying: Lying | undefined;
  let idle: NodeJS.Timeout | undefined;
  const close = (): void => {
    clearTimeout(idle);
    if (lying) endWork(lying.folder);
    lying = undefined;
  };
  const stay = (): void => {
    clearTimeout(idle);
    idle = setTimeout(close, IDLE_MS).unref();
  };
  return {
    close,
    now: () => lying,
    put(one: Lying): void {
      if (lying?.folder !== one.folder) close();
      lying = one;
      stay();
    },
    state(): OpenedCopy | null {
      if (!lying) return null;
      const groups = new Map<string, CopyGroup>();
      for (const l of lying.lines) {
        const g = groups.get(groupOf(l)) ?? { where: l.where, kind: l.kind, count: 0, takeable: 0, suggested: 0 };
        groups.set(groupOf(l), {
          ...g,
          count: g.count + 1,
          takeable: g.takeable + Number(canTake(l)),
          suggested: g.suggested + Number(isSuggested(l)),
        });
      }
      const { id, called, manifest, unreadable } = lying;
      return { id, called, manifest, unreadable, groups: [...groups.values()] };
    },
    /** Lines of a group, from one on. Errors: `no-such-thing`. */
    lines(
      id: string,
      group: string,
      from: number,
    ): Result<{ readonly lines: readonly ShownLine[]; readonly total: number }> {
      if (lying?.id !== id) return bad(closedProblem());
      stay();
      const some = lying.lines.filter((l) => groupOf(l) === group);
      return good({
        total: some.length,
        lines: some.slice(from, from + LINES_AT_ONCE).map(({ seal: _, ...l }) => ({
          ...l,
          changes: l.changes.slice(0, MOST_CHANGES),
          suggested: isSuggested({ ...l, seal: _ }),
          takeable: canTake({ ...l, seal: _ }),
        })),
      });
    },
    /** The lines that a choice names. */
    chosen(choice: CopyChoice): readonly CopyLine[] {
      return (lying?.lines ?? []).filter((l) => {
        const of = choice[groupOf(l)];
        if (!of || !canTake(l)) return false;
        const base = of.from === 'all' || (of.from === 'suggested' && suggested(l));
        return base !== of.but.includes(l.id);
      });
    },
  };
}

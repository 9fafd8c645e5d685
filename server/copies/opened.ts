import { bad, good, groupKey, inWhole, type ChosenFrom, type Result } from '@/core/units';
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
import { whenIdle } from './idle';
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
  readonly from: ChosenFrom;
  readonly but: readonly string[];
}
/** By place and kind, as "there plan". */
export type CopyChoice = Readonly<Record<string, GroupChoice>>;
const LINES_AT_ONCE = 100;
const MOST_CHANGES = 12;

interface Lying extends Opened {
  readonly id: string;
  readonly called: string;
  readonly lines: readonly CopyLine[];
}

function groupsOf(lines: readonly CopyLine[]): readonly CopyGroup[] {
  const groups = new Map<string, CopyGroup>();
  for (const l of lines) {
    const g = groups.get(groupKey(l)) ?? { where: l.where, kind: l.kind, count: 0, takeable: 0, suggested: 0 };
    groups.set(groupKey(l), {
      ...g,
      count: g.count + 1,
      takeable: g.takeable + Number(canTake(l)),
      suggested: g.suggested + Number(suggested(l)),
    });
  }
  return [...groups.values()];
}

/** The one copy that lies open beside the kitchen. */
export function openedCopy() {
  let lying: Lying | undefined;
  /** Worked out once a comparison: a page asks often. */
  let groups: readonly CopyGroup[] = [];
  let idle: NodeJS.Timeout | undefined;
  const close = (): void => {
    clearTimeout(idle);
    if (lying) endWork(lying.folder);
    lying = undefined;
  };
  const stay = (): void => {
    clearTimeout(idle);
    idle = whenIdle(close);
  };
  return {
    close,
    now: () => lying,
    put(one: Lying): void {
      if (lying?.folder !== one.folder) close();
      lying = one;
      groups = groupsOf(one.lines);
      stay();
    },
    state(): OpenedCopy | null {
      if (!lying) return null;
      const { id, called, manifest, unreadable } = lying;
      return { id, called, manifest, unreadable, groups };
    },
    /** Lines of a group, from one on. Errors: `no-such-thing`. */
    lines(
      id: string,
      group: string,
      from: number,
    ): Result<{ readonly lines: readonly ShownLine[]; readonly total: number }> {
      if (lying?.id !== id) return bad(closedProblem());
      stay();
      const some = lying.lines.filter((l) => groupKey(l) === group);
      return good({
        total: some.length,
        lines: some.slice(from, from + LINES_AT_ONCE).map(({ seal: _, ...l }) => ({
          ...l,
          changes: l.changes.slice(0, MOST_CHANGES),
          suggested: suggested(l),
          takeable: canTake(l),
        })),
      });
    },
    /** The lines that a choice names. */
    chosen(choice: CopyChoice): readonly CopyLine[] {
      return (lying?.lines ?? []).filter((l) => {
        const of = choice[groupKey(l)];
        const takeable = canTake(l);
        return of && takeable && inWhole(of.from, { takeable, suggested: suggested(l) }) !== of.but.includes(l.id);
      });
    },
  };
}

import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { getISOWeek, getISOWeekYear } from 'date-fns';
import { COPY_DAYS, COPY_WEEKS } from '@/core/kitchen';
import type { Why } from './manifest';

const DAY_MS = 86_400_000;

/** The copies of one kitchen in a folder, which may hold those of others and other files. */
export interface CopyShelf {
  readonly folder: string;
  /** What the kitchen's file is called: the copies' names begin with it. */
  readonly stem: string;
}
/** Words in the names of copies that are made unasked. */
const WHY_WORDS = { nightly: '', 'before-upgrade': ' before-upgrade', 'before-opening': ' before-opening' } as const;
export type KeptWhy = keyof typeof WHY_WORDS;
const two = (n: number): string => String(n).padStart(2, '0');
/** Name of a copy by the clock of this machine, to the second: "kitchen 2026-12-01 03.00.05.zip". */
export const copyName = (stem: string, why: KeptWhy, at: Date): string =>
  `${stem}${WHY_WORDS[why]} ${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())} ${two(at.getHours())}.${two(at.getMinutes())}.${two(at.getSeconds())}.zip`;

/** A file of a shelf that is not there yet: of two in one second the later bears the next one's name. */
export function newCopyIn(shelf: CopyShelf, why: KeptWhy, at: Date): string {
  const file = join(shelf.folder, copyName(shelf.stem, why, at));
  return existsSync(file) ? newCopyIn(shelf, why, new Date(at.getTime() + 1000)) : file;
}

const NAME = /^(.*?)( before-upgrade| before-opening)? (\d{4})-(\d\d)-(\d\d) (\d\d)\.(\d\d)\.(\d\d)\.zip$/;
export interface KeptCopy {
  readonly name: string;
  readonly why: Why;
  readonly at: Date;
}
/** What the name of a file in a folder of copies says; undefined for one that is none of this kitchen's. */
export function keptCopyOf(name: string, stem: string): KeptCopy | undefined {
  const found = NAME.exec(name);
  if (found?.[1] !== stem) return undefined;
  const [, , word = '', ...parts] = found;
  const [y = 0, mo = 1, d, h, mi, s] = parts.map(Number);
  const why = (Object.keys(WHY_WORDS) as KeptWhy[]).find((w) => WHY_WORDS[w] === word) ?? 'nightly';
  return { name, why, at: new Date(y, mo - 1, d, h, mi, s) };
}

/**
 * Which copies of a folder have had their time: of the nightly ones all but the last of each of the last seven days that have one and of each of the
 * last eight weeks that have one; of those made before something all that are older than eight weeks. The newest of all always stays.
 */
export function expired(copies: readonly KeptCopy[], now: Date): readonly KeptCopy[] {
  const newestFirst = [...copies].sort((a, b) => b.at.getTime() - a.at.getTime());
  const stays = new Set<KeptCopy>(newestFirst.slice(0, 1));
  const nightly = newestFirst.filter((c) => c.why === 'nightly');
  const firstOfEach = (of: (at: Date) => string, most: number) => {
    const seen = new Set<string>();
    for (const c of nightly) {
      const key = of(c.at);
      if (seen.has(key)) continue;
      if (seen.size >= most) return;
      seen.add(key);
      stays.add(c);
    }
  };
  firstOfEach((at) => at.toDateString(), COPY_DAYS);
  firstOfEach((at) => `${getISOWeekYear(at)} ${getISOWeek(at)}`, COPY_WEEKS);
  const oldest = now.getTime() - COPY_WEEKS * 7 * DAY_MS;
  return newestFirst.filter((c) => !stays.has(c) && (c.why === 'nightly' || c.at.getTime() < oldest));
}

/** Copies of a shelf, the newest first; none where there is no such folder. */
export function copiesIn({ folder, stem }: CopyShelf): readonly (KeptCopy & { readonly bytes: number })[] {
  let names: readonly string[];
  try {
    names = readdirSync(folder);
  } catch {
    return [];
  }
  return names
    .flatMap((name) => {
      const copy = keptCopyOf(name, stem);
      const there = copy && statSync(join(folder, name), { throwIfNoEntry: false });
      return copy && there ? [{ ...copy, bytes: there.size }] : [];
    })
    .sort((a, b) => b.at.getTime() - a.at.getTime());
}

/** Takes away what has had its time. */
export function clearOut(shelf: CopyShelf, now: Date): void {
  for (const { name } of expired(copiesIn(shelf), now)) rmSync(join(shelf.folder, name), { force: true });
}

/** The hour of the night at which copies are made, by the clock of this machine. */
const NIGHT_HOUR = 3;
/** True where the last night went by without a copy: also in the morning, on a machine that sleeps at night. */
export function isDue(last: Date | undefined, now: Date): boolean {
  const night = new Date(now);
  night.setHours(NIGHT_HOUR, 0, 0, 0);
  if (night > now) night.setDate(night.getDate() - 1);
  return last === undefined || last < night;
}

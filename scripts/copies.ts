import { basename, resolve } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { sayHoldings, THING_WORDS } from '@/core/kitchen';
import { plural, sayBytes } from '@/core/units';
import { kitchenStore } from '@/db';
import {
  canTake,
  cleanWork,
  CopyTrouble,
  endWork,
  makeCopy,
  openCopy,
  openingsOf,
  PLACES,
  previewOf,
  recordCopy,
  suggested,
  undoOpening,
  type CopyLine,
  type Progress,
} from '@/db/copy';
import { MIGRATIONS } from '@/db/migrate';
import { openDatabase } from '@/db';
import { copyHere } from '@/server/copies/work';
import { environment } from '@/server/environment';
import { copiesFolder, openKitchen, recordOf } from '@/server/openKitchen';
import { takeCopy } from '@/server/copies/take';

/** Shows how far it is on a terminal, and stops at Ctrl-C. */
function watched() {
  const stop = new AbortController();
  const onSignal = () => stop.abort();
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.once(signal, onSignal);
  return {
    signal: stop.signal,
    onProgress: ({ phase, done, all }: Progress) => {
      if (process.stderr.isTTY && all > 0)
        process.stderr.write(`\r${phase} ${Math.min(100, Math.round((100 * done) / all))} %   `);
    },
    end: () => {
      if (process.stderr.isTTY) process.stderr.write('\r                    \r');
      for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.removeListener(signal, onSignal);
    },
  };
}

/** `backup FILE`: makes a copy of the kitchen, also while it runs. */
export async function backup(args: string[]): Promise<void> {
  const { positionals } = parseArgs({ args, allowPositionals: true, options: {} });
  if (positionals.length !== 1)
    throw new CopyTrouble('no-place', 'Name the file that the copy is to be: npm run backup -- kitchen.zip');
  const live = environment().IDLE_LADLE_DB;
  const watch = watched();
  try {
    const made = await makeCopy(live, resolve(positionals[0]), { ...watch, why: 'command' });
    // A kitchen of an older release is not brought up to date by copying it.
    if (made.manifest.schema.length === MIGRATIONS.length) {
      const db = await openDatabase(live);
      await recordCopy(db, recordOf(made));
      await db.close();
    }
    watch.end();
    console.log(`Saved and proven: ${made.file}, ${sayBytes(made.bytes)}, with ${sayHoldings(made.manifest.counts)}.`);
    if (made.unreadable > 0)
      console.log(`${plural(made.unreadable, 'document')} cannot be read, in the copy as in the kitchen.`);
  } finally {
    watch.end();
  }
}

const PLACE_WORDS = { there: 'Only in the copy', both: 'In both, and not the same', here: 'Only here' } as const;
const day = (at: string | null): string => at?.slice(0, 16).replace('T', ' ') ?? '';
function said(l: CopyLine): string {
  const when =
    l.where === 'both' && l.kind !== 'batch'
      ? `here ${day(l.hereAt)}${l.hereDeleted ? ', deleted' : ''}; there ${day(l.thereAt)}${l.thereDeleted ? ', deleted' : ''}`
      : `${day(l.thereAt ?? l.hereAt)}${l.thereDeleted || l.hereDeleted ? ', deleted' : ''}`;
  const kind = l.kind in THING_WORDS ? THING_WORDS[l.kind as keyof typeof THING_WORDS] : l.kind;
  return `  ${kind}: ${l.name} (${when})${l.changes.length > 0 ? `: ${l.changes.join(', ')}` : ''}${l.readable ? '' : ' cannot be read'}`;
}
function show(lines: readonly CopyLine[]): void {
  for (const where of PLACES) {
    const some = lines.filter((l) => l.where === where);
    console.log(`${PLACE_WORDS[where]}: ${some.length}`);
    for (const l of some) console.log(said(l));
  }
}

async function agreed(question: string, yes: boolean): Promise<boolean> {
  if (yes) return true;
  if (!process.stdin.isTTY) {
    console.log('Nothing was taken in. Say --yes to take it in.');
    return false;
  }
  const ask = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await ask.question(`${question} (y/N) `);
  ask.close();
  return /^y(es)?$/i.test(answer.trim());
}

const TAKE = {
  /** What is only there, and what is later there. */
  suggested,
  missing: (l: CopyLine) => l.where === 'there',
  all: (l: CopyLine) => l.where !== 'here',
  /** This kitchen becomes as the copy is; what is only here goes to Deleted. */
  exactly: () => true,
} as const;

/** `restore FILE`: shows in what a copy and the kitchen differ, asks, and takes it in; `--undo` undoes the last. */
export async function restore(args: string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      take: { type: 'string', default: 'suggested' },
      only: { type: 'string', multiple: true, default: [] },
      yes: { type: 'boolean', default: false },
      undo: { type: 'boolean', default: false },
    },
  });
  const { IDLE_LADLE_DB: live, IDLE_LADLE_COPIES } = environment();
  const folder = copiesFolder(live, IDLE_LADLE_COPIES);
  if (!(values.take in TAKE)) throw new CopyTrouble('no-place', `--take is one of ${Object.keys(TAKE).join(', ')}.`);
  if (!values.undo && positionals.length !== 1)
    throw new CopyTrouble('no-place', 'Name the copy that is to be opened: npm run restore -- kitchen.zip');
  cleanWork(live, folder.always.folder);
  const db = await openKitchen(live, folder);
  const watch = watched();
  let work: string | undefined;
  try {
    if (values.undo) {
      const last = (await openingsOf(db)).find((o) => o.undoneAt === null);
      if (!last) throw new CopyTrouble('changed', 'There is nothing to undo.');
      const { undone, stayed } = await undoOpening(db, last.id);
      console.log(
        `Undone: ${plural(undone, 'thing')} as before.${stayed.length > 0 ? ` Changed since, and left: ${stayed.join(', ')}.` : ''}`,
      );
      return;
    }
    const file = resolve(positionals[0]);
    const opened = await openCopy(file, file, live, watch);
    watch.end();
    work = opened.folder;
    const { kitchen, madeAt, release, counts } = opened.manifest;
    console.log(
      `${basename(file)}: ${kitchen}, saved ${day(madeAt)} by Idle Ladle ${release}, with ${sayHoldings(counts)}.`,
    );
    const here = await kitchenStore(db).read();
    const lines = await previewOf(live, opened, here);
    show(lines);
    const takes = TAKE[values.take as keyof typeof TAKE];
    const chosen = lines.filter(
      (l) =>
        canTake(l) && (values.only.length > 0 ? values.only.includes(l.name) || values.only.includes(l.id) : takes(l)),
    );
    if (chosen.length === 0) {
      console.log('Nothing of it is to be taken in.');
      return;
    }
    if (!(await agreed(`Take in ${plural(chosen.length, 'thing')}?`, values.yes))) return;
    const done = await takeCopy(db, copyHere(live), folder, { opened, called: basename(file), chosen, kitchen: here });
    console.log(
      `Taken in: ${done.counts.there} brought in, ${done.counts.both} from the copy or put together, ${done.counts.here} put into Deleted. The kitchen as it was: ${done.safety}. To undo it: npm run restore -- --undo`,
    );
  } finally {
    watch.end();
    if (work !== undefined) endWork(work);
    await db.close();
  }
}

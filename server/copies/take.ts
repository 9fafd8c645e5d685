import type { Kitchen } from '@/core/kitchen';
import type { Database } from '@/db';
import {
  clearOut,
  newCopyIn,
  recordCopy,
  stopped,
  takeIn,
  type CopyLine,
  type Opened,
  type TakenIn,
  type Watched,
} from '@/db/copy';
import type { CopyWork } from './work';
import { recordOf, type CopiesFolder } from '../openKitchen';

/** Takes what was chosen of an opened copy into a kitchen; a copy of the kitchen as it is comes first. @throws CopyTrouble */
export async function takeCopy(
  db: Database,
  work: CopyWork,
  { always }: CopiesFolder,
  what: {
    readonly opened: Opened;
    readonly called: string;
    readonly chosen: readonly CopyLine[];
    readonly kitchen: Kitchen;
  },
  { signal, onProgress }: Watched = {},
): Promise<TakenIn & { readonly safety: string }> {
  const now = new Date();
  const made = await work.make(newCopyIn(always, 'before-opening', now), 'before-opening', { signal, onProgress });
  await recordCopy(db, recordOf(made));
  clearOut(always, now);
  if (signal?.aborted) throw stopped();
  onProgress?.({ phase: 'taking', done: 0, all: 0 });
  const { madeAt, kitchen } = what.opened.manifest;
  const done = await takeIn(db, what.opened.database, {
    kitchen: what.kitchen,
    chosen: what.chosen,
    copy: { called: what.called, madeAt, kitchen, safety: made.file },
  });
  return { ...done, safety: made.file };
}

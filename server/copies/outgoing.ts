import { createReadStream, existsSync } from 'node:fs';
import { basename, join } from 'node:path';
import { copyName, endWork, newWork, recordCopy, type CopyRecord } from '@/db/copy';
import type { Database } from '@/db';
import type { Result } from '@/core/units';
import { recordOf } from '../openKitchen';
import { whenIdle } from './idle';
import type { CopyJobs } from './jobs';
import type { CopyWork } from './work';

export interface Outgoing {
  readonly name: string;
  readonly bytes: number;
  readonly stream: NodeJS.ReadableStream;
}

export const outgoing = (file: string, bytes: number): Outgoing => ({
  name: basename(file),
  bytes,
  stream: createReadStream(file),
});

/** A copy that was asked for: made beside the kitchen, kept until it is downloaded, or for a while. */
export function savedCopy(db: Database, jobs: CopyJobs, work: CopyWork) {
  let saved:
    | {
        readonly id: string;
        readonly folder: string;
        readonly file: string;
        readonly record: Omit<CopyRecord, 'id'>;
        readonly idle: NodeJS.Timeout;
      }
    | undefined;
  const dropSaved = (): void => {
    if (!saved) return;
    clearTimeout(saved.idle);
    endWork(saved.folder);
    saved = undefined;
  };

  return {
    drop: dropSaved,
    /** Begins to make a copy that is then downloaded. Errors: `busy`. */
    save: (): Result<{ readonly job: string }> =>
      jobs.begin('save', async (watched, id) => {
        dropSaved();
        const folder = newWork(db.file);
        try {
          const made = await work.make(join(folder, copyName('kitchen', 'nightly', new Date())), 'asked', watched);
          saved = {
            id,
            folder,
            file: made.file,
            record: recordOf(made, 'downloaded'),
            idle: whenIdle(dropSaved),
          };
          return { saved: { name: basename(made.file), bytes: made.bytes } };
        } catch (e) {
          endWork(folder);
          throw e;
        }
      }),
    /** A saved copy as it goes out; once all of it is out it is written down as downloaded. */
    saved(id: string): Outgoing | undefined {
      const mine = saved?.id === id && existsSync(saved.file) ? saved : undefined;
      if (!mine) return undefined;
      const out = outgoing(mine.file, mine.record.bytes ?? 0);
      out.stream.once('end', () => void recordCopy(db, mine.record).catch(() => undefined));
      return out;
    },
  };
}

import { closeSync, openSync } from 'node:fs';
import { appendFile } from 'node:fs/promises';
import { join } from 'node:path';
import { bad, good, problem, type Result } from '@/core/units';
import { freshId } from '@/db/freshId';
import { CopyTrouble, copyTroubleOf, endWork, MOST_UNPACKED, newWork } from '@/db/copy';
import { whenIdle } from './idle';

export interface Upload {
  readonly file: string;
  /** What the cook calls it. */
  readonly called: string;
}
interface Coming extends Upload {
  readonly folder: string;
  readonly bytes: number;
  size: number;
  idle: NodeJS.Timeout;
  /** Pieces are written one after the other, also where one is sent while the one before it is still on its way to the disk. */
  written: Promise<void>;
}

/** So many come in at once. */
const MOST = 2;

export const closedProblem = () => problem('no-such-thing', 'id', 'That copy is not open any more; open it again.');

/** Copies that are sent, piece by piece, so that a lost connection goes on where it was, and memory stays as it is. */
export function copyUploads(database: string) {
  const coming = new Map<string, Coming>();
  const drop = (id: string): void => {
    const one = coming.get(id);
    if (!one) return;
    clearTimeout(one.idle);
    endWork(one.folder);
    coming.delete(id);
  };
  const waiting = (id: string): NodeJS.Timeout => whenIdle(() => drop(id));
  const troubleOf = (called: string, e: unknown): Result<never> => {
    const trouble = copyTroubleOf(`${called} on the kitchen’s machine`, e);
    if (trouble instanceof CopyTrouble) return bad(problem(trouble.code, '', trouble.message));
    throw e;
  };
  return {
    /** Errors: `too-large`, `no-room`. */
    begin(called: string, bytes: number): Result<{ readonly upload: string }> {
      if (bytes > MOST_UNPACKED)
        return bad(problem('too-large', 'bytes', 'That is larger than any copy of a kitchen.'));
      for (const id of [...coming.keys()].slice(0, Math.max(0, coming.size - MOST + 1))) drop(id);
      try {
        const folder = newWork(database);
        const id = freshId();
        const file = join(folder, 'sent.zip');
        closeSync(openSync(file, 'wx', 0o600));
        coming.set(id, { folder, file, called, bytes, size: 0, idle: waiting(id), written: Promise.resolve() });
        return good({ upload: id });
      } catch (e) {
        return troubleOf(called, e);
      }
    },
    /** Takes the piece from byte `at` on, and answers with how much is here: one that is not the next is not taken. Errors: `too-large`, `no-room`, `no-such-thing`. */
    async piece(id: string, at: number, bytes: Uint8Array): Promise<Result<{ readonly at: number }>> {
      const one = coming.get(id);
      if (!one) return bad(closedProblem());
      if (at !== one.size) return good({ at: one.size });
      if (at + bytes.length > one.bytes)
        return bad(problem('too-large', '', 'That is more than was said; choose the file again.'));
      clearTimeout(one.idle);
      one.idle = waiting(id);
      // Counted before it is written: the same piece sent twice is written once.
      one.size += bytes.length;
      try {
        one.written = one.written.then(() => appendFile(one.file, bytes));
        await one.written;
        return good({ at: one.size });
      } catch (e) {
        drop(id);
        return troubleOf(one.called, e);
      }
    },
    /** One that is whole. */
    whole(id: string): Upload | undefined {
      const one = coming.get(id);
      return one && one.size === one.bytes ? one : undefined;
    },
    drop,
    end: () => [...coming.keys()].forEach(drop),
  };
}

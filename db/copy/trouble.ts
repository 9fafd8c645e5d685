import { sqliteCode } from '../trouble';

export type CopyTroubleCode =
  | 'not-a-copy'
  | 'damaged-copy'
  | 'later-copy'
  | 'too-large'
  | 'no-room'
  | 'no-place'
  | 'stopped'
  | 'busy'
  | 'changed'
  | 'taken';

/** Why a copy cannot be made, opened or taken in, in one sentence for the cook. Nothing was changed. */
export class CopyTrouble extends Error {
  constructor(
    readonly code: CopyTroubleCode,
    sentence: string,
    cause?: unknown,
  ) {
    super(sentence, { cause });
    this.name = 'CopyTrouble';
  }
}

/** What is no copy, whatever else it may be. */
export const notACopy = (called: string): CopyTrouble =>
  new CopyTrouble('not-a-copy', `${called} is no copy of a kitchen; choose the .zip that “Save a copy” made.`);
/** @param what what was found, in a few words */
export const damagedCopy = (
  called: string,
  what = 'a part of it is missing or changed',
  cause?: unknown,
): CopyTrouble =>
  new CopyTrouble(
    'damaged-copy',
    `${called} is damaged or not whole: ${what}. Take another copy; this kitchen is as it was.`,
    cause,
  );

/** The cook does not want it any more. */
export const stopped = (): CopyTrouble => new CopyTrouble('stopped', 'It was stopped; nothing was changed.');

/** What went wrong while `where` was written or read, as a {@link CopyTrouble} where the disk, the stick or the file is the cause; else as it is. */
export function copyTroubleOf(where: string, e: unknown): unknown {
  if (e instanceof CopyTrouble) return e;
  switch (sqliteCode(e)) {
    case 'ABORT_ERR':
    case 'SQLITE_INTERRUPT':
      return stopped();
    case 'SQLITE_FULL':
    case 'ENOSPC':
    case 'EDQUOT':
      return new CopyTrouble(
        'no-room',
        `There is no room for ${where}: the disk is full. Make room there, or name another folder.`,
        e,
      );
    case 'SQLITE_IOERR':
    case 'EIO':
    case 'ENODEV':
    case 'ENXIO':
    case 'ESTALE':
      return new CopyTrouble(
        'no-place',
        `${where} cannot be reached any more; was a disk or stick pulled out? Put it back and try again.`,
        e,
      );
    case 'ENOENT':
    case 'ENOTDIR':
    case 'EEXIST':
    case 'SQLITE_CANTOPEN':
      return new CopyTrouble('no-place', `There is no ${where}, or its folder is not there; check the name.`, e);
    case 'EISDIR':
      return new CopyTrouble('no-place', `${where} is a folder; name a file.`, e);
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
    case 'SQLITE_READONLY':
    case 'SQLITE_PERM':
      return new CopyTrouble('no-place', `${where} may not be read or written by this user; choose another folder.`, e);
    case 'SQLITE_CORRUPT':
    case 'SQLITE_NOTADB':
      return new CopyTrouble('damaged-copy', `${where} is damaged: not all of it can be read.`, e);
    default:
      return e;
  }
}

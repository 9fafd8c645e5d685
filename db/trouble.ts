/** Why a database file cannot be used, in one sentence for who starts the program. */
export class DatabaseTrouble extends Error {
  constructor(
    readonly code: 'locked' | 'read-only' | 'damaged' | 'newer' | 'no-place' | 'no-room' | 'foreign',
    sentence: string,
    cause?: unknown,
  ) {
    super(sentence, { cause });
    this.name = 'DatabaseTrouble';
  }
}

/** SQLite's own word for what went wrong, from whatever wraps it. */
export function sqliteCode(e: unknown): string {
  for (let at: unknown = e, depth = 0; typeof at === 'object' && at !== null && depth < 5; depth++) {
    const { code, parent, original, cause } = at as Partial<Record<'code' | 'parent' | 'original' | 'cause', unknown>>;
    if (typeof code === 'string') return code;
    at = parent ?? original ?? cause;
  }
  return '';
}

/** What went wrong with a file as a {@link DatabaseTrouble}; undefined where it has nothing to do with the file. */
export function troubleOf(file: string, e: unknown): DatabaseTrouble | undefined {
  if (e instanceof DatabaseTrouble) return e;
  switch (sqliteCode(e)) {
    case 'SQLITE_BUSY':
    case 'SQLITE_LOCKED':
      return new DatabaseTrouble(
        'locked',
        `The database ${file} is held by another program; stop that one, then start again.`,
        e,
      );
    case 'SQLITE_READONLY':
    case 'SQLITE_PERM':
    case 'EACCES':
    case 'EROFS':
    case 'EPERM':
      return new DatabaseTrouble(
        'read-only',
        `The database ${file} cannot be written to; give this user the right to write it and its folder, or name another file in IDLE_LADLE_DB.`,
        e,
      );
    case 'SQLITE_FULL':
    case 'SQLITE_IOERR':
    case 'ENOSPC':
    case 'EDQUOT':
    case 'EIO':
      return new DatabaseTrouble(
        'no-room',
        `The database ${file} cannot be read or written: the disk is full or failing. Make room there, or name a file on another disk in IDLE_LADLE_DB.`,
        e,
      );
    case 'SQLITE_CORRUPT':
    case 'SQLITE_NOTADB':
      return new DatabaseTrouble(
        'damaged',
        `The database ${file} is damaged or is not a database; it was left as it is. Move it aside, then open your last copy with npm run restore -- COPY.`,
        e,
      );
    case 'SQLITE_CANTOPEN':
    case 'ENOENT':
    case 'ENOTDIR':
    case 'EISDIR':
    case 'EEXIST':
      return new DatabaseTrouble(
        'no-place',
        `The database ${file} cannot be opened or made there; check the folder, or name another file in IDLE_LADLE_DB.`,
        e,
      );
    default:
      return undefined;
  }
}

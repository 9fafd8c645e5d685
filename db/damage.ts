import { there } from '@/core/units';
import { statSync } from 'node:fs';
import { QueryTypes, Sequelize } from 'sequelize';
import { damageOf, LOOKED_THROUGH, type Database } from './connect';
import { RACK_TABLES } from './models';
import { isWhole } from './sum';

/** A row that is not what was written: its table and its number in it. */
export interface Damaged {
  readonly table: string;
  readonly row: number;
  /** Its id, or what it hangs on; empty for one that has none. */
  readonly of: string;
}
/** Where the next look goes on. */
export interface DamagePlace {
  readonly table: number;
  readonly after: number;
}

/** What each table keeps under a checksum, and what names a row of it. */
const KEPT: readonly (readonly [table: string, column: string, of: string])[] = [
  ...[...Object.values(RACK_TABLES), 'settings'].map((table) => [table, 'document', 'id'] as const),
  ['plans', 'document', 'id'],
  ['plan_versions', 'document', 'plan_id'],
  ['batches', 'snapshot', 'id'],
  ['batch_events', 'event', 'batch_id'],
  ['batch_photos', 'jpeg', 'batch_id'],
];

/** Looks at the next rows: what is damaged of them, and where to go on; after the last table it begins again. */
export async function lookForDamage(
  db: Database,
  { table, after }: DamagePlace,
  most: number,
): Promise<{ readonly found: readonly Damaged[]; readonly next: DamagePlace; readonly looked: number }> {
  const [name, column, of] = there(KEPT[table % KEPT.length]);
  const rows = await db.sequelize.query<{ row: number; kept: string | Buffer; sum: number | null; of: string | null }>(
    `SELECT rowid AS row, "${column}" AS kept, sum, "${of}" AS of FROM "${name}" WHERE rowid > ? ORDER BY rowid LIMIT ?`,
    { type: QueryTypes.SELECT, replacements: [after, most] },
  );
  const last = rows.at(-1);
  return {
    found: rows
      .filter((r) => !isWhole(r.kept, r.sum))
      .map((r) => ({ table: name, row: r.row, of: String(r.of ?? '') })),
    next: last && rows.length >= most ? { table, after: last.row } : { table: (table + 1) % KEPT.length, after: 0 },
    looked: rows.length,
  };
}

/** Looks through the whole of a file that was too large to be looked through before it was opened, on a connection of its own. */
async function lookThrough(file: string): Promise<string | undefined> {
  const own = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, retry: { max: 1 } });
  try {
    await own.query('PRAGMA query_only = ON');
    return await damageOf(own);
  } finally {
    await own.close();
  }
}

/** So often some rows are looked at, ms, and how many. */
const LOOK_MS = 20_000;
const AT_ONCE = 100;

/**
 * Looks for damage while the kitchen works: rows by turns, and once the whole of a file that is large. What is found is told, once.
 * @param tell is told of each thing that is damaged, in a sentence
 */
export function watchForDamage(db: Database, tell: (sentence: string) => void, everyMs = LOOK_MS) {
  const known = new Map<string, Damaged>();
  let place: DamagePlace = { table: 0, after: 0 };
  let whole: string | undefined;
  const look = async (): Promise<void> => {
    const { found, next } = await lookForDamage(db, place, AT_ONCE);
    place = next;
    for (const d of found) {
      const key = `${d.table} ${d.row}`;
      if (!known.has(key))
        tell(
          `Row ${d.row} of ${d.table} (${d.of}) is not what was written: the file is damaged there; the rest goes on.`,
        );
      known.set(key, d);
    }
  };
  const timer = setInterval(() => void look().catch(() => undefined), everyMs).unref();
  const size = statSync(db.file, { throwIfNoEntry: false })?.size ?? 0;
  if (size > LOOKED_THROUGH)
    void lookThrough(db.file).then(
      (damage) => {
        whole = damage;
        if (damage !== undefined) tell(`The database ${db.file} is damaged: ${damage}. Keep a copy of it as it is.`);
      },
      () => undefined,
    );
  return {
    look,
    /** What is damaged, as far as it was looked at. */
    found: (): readonly Damaged[] => [...known.values()],
    whole: (): string | undefined => whole,
    end: () => clearInterval(timer),
  };
}

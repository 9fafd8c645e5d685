import { QueryTypes, type Sequelize } from 'sequelize';
import { DatabaseTrouble } from './trouble';

/** What the file's header says whose it is: "IdLa". */
export const APPLICATION_ID = 0x49644c61;

type Select = <T extends object>(sql: string) => Promise<readonly T[]>;

/** True for a kitchen's database, or an empty one. A kitchen of before the mark was kept is known by its tables. */
export async function isOurs(select: Select): Promise<boolean> {
  const [mark] = await select<{ application_id: number }>('PRAGMA application_id');
  if (mark?.application_id === APPLICATION_ID) return true;
  const tables = (await select<{ name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'")).map(
    (t) => t.name,
  );
  const noted = tables.includes('SequelizeMeta')
    ? (await select<{ name: string }>('SELECT name FROM "SequelizeMeta"')).map((r) => r.name)
    : [];
  // The first release made its tables before it noted that it had.
  const ours = noted.includes('001-first') || (noted.length === 0 && tables.includes('ingredients'));
  return mark?.application_id === 0 && (tables.length === 0 || ours);
}

/**
 * Refuses a file that another program keeps its own things in, before anything is written into it.
 * @throws DatabaseTrouble `foreign`
 */
export async function refuseForeign(sequelize: Sequelize, file: string): Promise<void> {
  if (await isOurs((sql) => sequelize.query(sql, { type: QueryTypes.SELECT }) as never)) return;
  throw new DatabaseTrouble(
    'foreign',
    `The database ${file} is another program’s, with things of its own in it; it was left as it is. Name another file in IDLE_LADLE_DB.`,
  );
}

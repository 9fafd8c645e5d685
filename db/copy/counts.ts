import { RACK_TABLES } from '../models';
import type { Counts } from './manifest';
import { tablesOf, type Plain } from './plain';

/** How much there is in a kitchen's database, of whichever release. */
export async function countsOf(db: Pick<Plain, 'select'>): Promise<Counts> {
  const tables = await tablesOf(db);
  const count = async (table: string): Promise<number> =>
    tables.has(table) ? ((await db.select<{ n: number }>(`SELECT count(*) AS n FROM "${table}"`))[0]?.n ?? 0) : 0;
  let things = 0;
  for (const table of Object.values(RACK_TABLES)) things += await count(table);
  return {
    plans: await count('plans'),
    versions: await count('plan_versions'),
    batches: await count('batches'),
    events: await count('batch_events'),
    photos: await count('batch_photos'),
    things,
  };
}

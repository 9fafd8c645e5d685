import type { QueryInterface } from 'sequelize';
import { addColumns } from './kept';

const COLUMNS = { keep_days: 'REAL', eaten_at: 'TEXT' } as const;

export const name = '006-fridge';

/** What the fridge is told from: how long a batch keeps chilled, days, and when the last of it was eaten. */
export async function up(q: QueryInterface): Promise<void> {
  await addColumns(q, 'batches', COLUMNS);
}

export async function down(q: QueryInterface): Promise<void> {
  for (const column of Object.keys(COLUMNS)) await q.removeColumn('batches', column);
}

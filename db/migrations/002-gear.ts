import type { QueryInterface } from 'sequelize';
import { kept } from './kept';

const GEAR_TABLES = ['pots', 'appliances', 'scoops'] as const;

export const name = '002-gear';

/** Pots, appliances, and the cook's own spoons and ladles. */
export async function up(q: QueryInterface): Promise<void> {
  for (const table of GEAR_TABLES) await q.createTable(table, kept);
}

export async function down(q: QueryInterface): Promise<void> {
  for (const table of GEAR_TABLES) await q.dropTable(table);
}

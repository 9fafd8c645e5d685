import type { Transaction } from 'sequelize';
import { readPlan, type Plan } from '@/core/plan';
import { bad, good, problem, type Result } from '@/core/units';
import type { Database } from './connect';
import type { PlanRow } from './models';
import { readDocument, type Unreadable } from './unreadable';

export interface StoredPlan {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}
const missing = () => problem('no-such-plan', 'id', 'That plan is not here any more; it may have been deleted.');
export const stored = (row: PlanRow): Result<StoredPlan> => {
  const read = readDocument(row.document, readPlan, row.sum);
  return read.ok ? good({ id: row.id, revision: row.revision, updatedAt: row.updatedAt, plan: read.value }) : read;
};
export const unreadable = (row: PlanRow): Unreadable => {
  const read = stored(row);
  return { id: row.id, revision: row.revision, raw: row.document, problems: read.ok ? [] : read.problems };
};

/** Plans as they lie in the file, one at a time; what is in the trash is not there. */
export const planRows = (db: Database) => {
  const { plans } = db.models;
  const rowOf = async (id: string, transaction?: Transaction) => {
    const row = (await plans.findByPk(id, { transaction }))?.get({ plain: true });
    return row && !row.deletedAt ? row : undefined;
  };
  const get = async (id: string): Promise<Result<StoredPlan>> => {
    const found = await rowOf(id);
    return found ? stored(found) : bad(missing());
  };
  return {
    rowOf,
    get,
    /** A plan that is there but cannot be read, as its text. */
    async unreadable(id: string): Promise<Unreadable | undefined> {
      const found = await rowOf(id);
      return found && !stored(found).ok ? unreadable(found) : undefined;
    },
  };
};

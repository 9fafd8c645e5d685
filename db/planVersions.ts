import type { Transaction } from 'sequelize';
import { readPlan, type Plan } from '@/core/plan';
import { bad, problem, type Result } from '@/core/units';
import type { Database } from './connect';
import { thinned } from './thin';
import { readDocument } from './unreadable';

export interface PlanVersion {
  readonly version: number;
  readonly revision: number;
  readonly refused: boolean;
  readonly at: string;
  readonly document: Result<Plan>;
}

/** Every version of a plan that is kept, thinned as they grow old. */
export const planVersions = (db: Database) => {
  const { planVersions: rows, batches } = db.models;
  const addVersion = async (
    v: { planId: string; revision: number; refused: boolean; document: string; writer: string },
    transaction: Transaction,
  ) => (await rows.create({ ...v, createdAt: new Date().toISOString() }, { transaction })).get('id') as number;
  async function thin(planId: string, transaction: Transaction): Promise<void> {
    const all = await rows.findAll({
      where: { planId },
      attributes: ['id', 'revision', 'refused', 'createdAt'],
      order: [['id', 'DESC']],
      transaction,
    });
    const cooked = await batches.findAll({ where: { planId }, attributes: ['planRevision'], transaction });
    const held = new Set(cooked.map((b) => b.get('planRevision') as number));
    const gone = thinned(
      all
        .map((r) => r.get({ plain: true }))
        .map((r) => ({ id: r.id ?? 0, at: r.createdAt, refused: Boolean(r.refused), held: held.has(r.revision) })),
      Date.now(),
    );
    if (gone.length > 0) await rows.destroy({ where: { id: [...gone] }, transaction });
  }
  return {
    addVersion,
    thin,
    /** Every version that is kept of a plan, newest first. */
    async versions(id: string): Promise<readonly PlanVersion[]> {
      const all = await rows.findAll({ where: { planId: id }, order: [['id', 'DESC']] });
      return all
        .map((r) => r.get({ plain: true }))
        .map((r) => ({
          version: r.id ?? 0,
          revision: r.revision,
          refused: Boolean(r.refused),
          at: r.createdAt,
          document: readDocument(r.document, readPlan, r.sum),
        }));
    },
    /** A version as a plan. Errors: `no-such-version`, and why it cannot be read. */
    async version(id: string, version: number): Promise<Result<Plan>> {
      const row = (await rows.findOne({ where: { planId: id, id: version } }))?.get({ plain: true });
      return row
        ? readDocument(row.document, readPlan, row.sum)
        : bad(problem('no-such-version', 'version', 'That version is not kept any more; reload the list.'));
    },
  };
};

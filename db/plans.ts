import { Op } from 'sequelize';
import { readPlan, type Plan } from '@/core/plan';
import { bad, good, problem, type Result } from '@/core/units';
import type { Database } from './connect';
import type { PlanRow } from './models';

export interface StoredPlan {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}
/** A write that came too late: the version in the kitchen now, and the number under which the refused one is kept. */
export interface StalePlan {
  readonly current: StoredPlan;
  readonly refusedVersion: number;
}

const missing = () => problem('no-such-plan', 'id', 'That plan is not here any more; it may have been deleted.');

const read = (row: PlanRow): Result<StoredPlan> => {
  const parsed = readPlan(JSON.parse(row.document));
  return parsed.ok
    ? good({ id: row.id, revision: row.revision, updatedAt: row.updatedAt, plan: parsed.value })
    : parsed;
};
const now = () => new Date().toISOString();

export const planStore = (db: Database) => {
  const { plans, planVersions } = db.models;
  const row = async (id: string) => (await plans.findByPk(id))?.get({ plain: true });
  const get = async (id: string): Promise<Result<StoredPlan>> => {
    const found = await row(id);
    return found && !found.deletedAt ? read(found) : bad(missing());
  };
  return {
    get,
    async list(): Promise<StoredPlan[]> {
      const rows = await plans.findAll({
        where: { deletedAt: { [Op.is]: null } } as never,
        order: [['updatedAt', 'DESC']],
      });
      return rows.flatMap((r) => {
        const s = read(r.get({ plain: true }));
        return s.ok ? [s.value] : [];
      });
    },
    async create(plan: Plan): Promise<StoredPlan> {
      const at = now();
      const id = crypto.randomUUID();
      const document = JSON.stringify(plan);
      await db.sequelize.transaction(async (transaction) => {
        await plans.create(
          {
            id,
            document,
            revision: 1,
            deletedAt: null,
            createdAt: at,
            updatedAt: at,
            name: plan.name,
            family: plan.family,
          },
          { transaction },
        );
        await planVersions.create(
          { planId: id, revision: 1, refused: false, document, createdAt: at },
          { transaction },
        );
      });
      return { id, revision: 1, updatedAt: at, plan };
    },
    /** Writes a plan over revision `from`. A stale revision is refused; both versions are kept. */
    async save(
      id: string,
      from: number,
      plan: Plan,
    ): Promise<{ saved: StoredPlan } | { stale: StalePlan } | { missing: true }> {
      const at = now();
      const document = JSON.stringify(plan);
      return db.sequelize.transaction(async (transaction) => {
        const [count] = await plans.update(
          { document, revision: from + 1, updatedAt: at, name: plan.name, family: plan.family },
          { where: { id, revision: from, deletedAt: null }, transaction },
        );
        if (count === 1) {
          await planVersions.create(
            { planId: id, revision: from + 1, refused: false, document, createdAt: at },
            { transaction },
          );
          return { saved: { id, revision: from + 1, updatedAt: at, plan } };
        }
        const found = (await plans.findByPk(id, { transaction }))?.get({ plain: true });
        if (!found || found.deletedAt) return { missing: true as const };
        const refused = await planVersions.create(
          { planId: id, revision: from + 1, refused: true, document, createdAt: at },
          { transaction },
        );
        const current = read(found);
        if (!current.ok) throw new Error(`stored plan ${id} does not read`);
        return { stale: { current: current.value, refusedVersion: refused.get('id') as number } };
      });
    },
    async remove(id: string): Promise<boolean> {
      const [count] = await plans.update({ deletedAt: now() }, { where: { id, deletedAt: null } });
      return count === 1;
    },
    async restore(id: string): Promise<Result<StoredPlan>> {
      await plans.update({ deletedAt: null }, { where: { id } });
      return get(id);
    },
    async versions(id: string): Promise<{ version: number; revision: number; refused: boolean; at: string }[]> {
      const rows = await planVersions.findAll({ where: { planId: id }, order: [['id', 'DESC']], limit: 100 });
      return rows
        .map((r) => r.get({ plain: true }))
        .map((r) => ({ version: r.id ?? 0, revision: r.revision, refused: Boolean(r.refused), at: r.createdAt }));
    },
  };
};

import { isDeepStrictEqual } from 'node:util';
import type { Plan } from '@/core/plan';
import { good, type Result } from '@/core/units';
import type { Database } from './connect';
import { freshId } from './freshId';
import type { PlanRow } from './models';
import { searched } from './page';
import { planLists } from './planLists';
import { planRows, stored, unreadable, type StoredPlan } from './planRows';
import { planVersions } from './planVersions';
import type { Unreadable } from './unreadable';

export { PLAN_SORTS, type PlanLine, type PlanSort } from './planLists';
export type { StoredPlan } from './planRows';
export type { PlanVersion } from './planVersions';
/** A write that came too late: the version in the kitchen now, and the number under which the refused one is kept. */
export interface StalePlan {
  readonly current: StoredPlan | Unreadable;
  readonly refusedVersion: number;
}
export type Saved = { readonly saved: StoredPlan } | { readonly stale: StalePlan } | { readonly missing: true };

const now = () => new Date().toISOString();
const same = (plan: Plan, row: PlanRow): boolean => {
  const there = stored(row);
  return there.ok && isDeepStrictEqual(JSON.parse(JSON.stringify(there.value.plan)), JSON.parse(JSON.stringify(plan)));
};
/** A plan as its row has it: the document, and what lists and search read of it. */
const columnsOf = (plan: Plan) => ({
  document: JSON.stringify(plan),
  name: plan.name,
  search: searched(plan.name),
  family: plan.family,
});
/** After so many revisions the older versions are thinned. */
const THIN_EVERY = 25;

/** The shelf: a plan by itself, many at a time, every version that is kept, and what is written. */
export const planStore = (db: Database) => {
  const { plans } = db.models;
  const { rowOf, get, unreadable: asText } = planRows(db);
  const { addVersion, thin, versions, version } = planVersions(db);
  return {
    get,
    unreadable: asText,
    versions,
    ...planLists(db),
    /**
     * @param key under which it is made once, however often it is sent; it becomes its id
     */
    async create(plan: Plan, writer = '', key?: string): Promise<StoredPlan> {
      const at = now();
      const id = key ?? freshId();
      const columns = columnsOf(plan);
      const { document } = columns;
      const twin = await db.write(async (transaction) => {
        if (key !== undefined) {
          const there = (await plans.findByPk(id, { transaction }))?.get({ plain: true });
          if (there) return there;
        }
        const row = { id, ...columns, revision: 1, deletedAt: null, createdAt: at, updatedAt: at, writer };
        await plans.create(row, { transaction });
        await addVersion({ planId: id, revision: 1, refused: false, document, writer }, transaction);
        return undefined;
      });
      const there = twin && stored(twin);
      return there?.ok ? there.value : { id, revision: 1, updatedAt: at, plan };
    },
    /**
     * Writes a plan over revision `from`. A stale revision is refused and both versions are kept; but what is there already is no conflict,
     * and neither is what the sender wrote last without hearing of it.
     * @param sending name of this very sending @param unheard names of those before it whose answer the sender did not hear
     */
    async save(id: string, from: number, plan: Plan, sending = '', unheard: readonly string[] = []): Promise<Saved> {
      const columns = columnsOf(plan);
      const { document } = columns;
      return db.write<Saved>(async (transaction) => {
        const at = now();
        const found = await rowOf(id, transaction);
        if (!found) return { missing: true };
        if (same(plan, found)) return { saved: { id, revision: found.revision, updatedAt: found.updatedAt, plan } };
        const own = found.writer !== '' && unheard.includes(found.writer);
        if (found.revision !== from && !own) {
          const refusedVersion = await addVersion(
            { planId: id, revision: from + 1, refused: true, document, writer: sending },
            transaction,
          );
          const current = stored(found);
          return { stale: { current: current.ok ? current.value : unreadable(found), refusedVersion } };
        }
        const revision = found.revision + 1;
        const row = { ...columns, revision, updatedAt: at, writer: sending };
        await plans.update(row, { where: { id }, transaction });
        await addVersion({ planId: id, revision, refused: false, document, writer: sending }, transaction);
        if (revision % THIN_EVERY === 0) await thin(id, transaction);
        return { saved: { id, revision, updatedAt: at, plan } };
      });
    },
    async remove(id: string): Promise<boolean> {
      return db.write(async (transaction) => {
        const [count] = await plans.update({ deletedAt: now() }, { where: { id, deletedAt: null }, transaction });
        return count === 1;
      });
    },
    async restore(id: string): Promise<Result<StoredPlan>> {
      await db.write((transaction) => plans.update({ deletedAt: null }, { where: { id }, transaction }));
      return get(id);
    },
    /** Makes an earlier version the newest, over revision `from`. */
    async putBack(id: string, of: number, from: number): Promise<Result<Saved>> {
      const read = await version(id, of);
      return read.ok ? good(await this.save(id, from, read.value)) : read;
    },
  };
};

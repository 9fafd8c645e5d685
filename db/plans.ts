import { isDeepStrictEqual } from 'node:util';
import { Op, type Transaction } from 'sequelize';
import { readPlan, type Plan } from '@/core/plan';
import { bad, good, problem, type Result } from '@/core/units';
import type { Database } from './connect';
import { freshId } from './freshId';
import type { PlanRow } from './models';
import { afterPlace, holding, pageOf, searched, type Page, type Place } from './page';
import { thinned } from './thin';
import { readDocument, type Unreadable } from './unreadable';

export interface StoredPlan {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly plan: Plan;
}
/** A write that came too late: the version in the kitchen now, and the number under which the refused one is kept. */
export interface StalePlan {
  readonly current: StoredPlan | Unreadable;
  readonly refusedVersion: number;
}
/** Orders of the shelf: last changed first, by name, by kind of cake. */
export const PLAN_SORTS = ['changed', 'name', 'family'] as const;
export type PlanSort = (typeof PLAN_SORTS)[number];
const PLAN_ORDERS = {
  changed: ['updatedAt', 'DESC'],
  name: ['search', 'ASC'],
  family: ['family', 'ASC'],
} as const;
/** What a list shows of a plan without opening it. */
export interface PlanLine {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly name: string;
  readonly family: string;
}
export interface PlanVersion {
  readonly version: number;
  readonly revision: number;
  readonly refused: boolean;
  readonly at: string;
  readonly document: Result<Plan>;
}
export type Saved = { readonly saved: StoredPlan } | { readonly stale: StalePlan } | { readonly missing: true };

const missing = () => problem('no-such-plan', 'id', 'That plan is not here any more; it may have been deleted.');
const now = () => new Date().toISOString();
const stored = (row: PlanRow): Result<StoredPlan> => {
  const read = readDocument(row.document, readPlan, row.sum);
  return read.ok ? good({ id: row.id, revision: row.revision, updatedAt: row.updatedAt, plan: read.value }) : read;
};
const unreadable = (row: PlanRow): Unreadable => {
  const read = stored(row);
  return { id: row.id, revision: row.revision, raw: row.document, problems: read.ok ? [] : read.problems };
};
const same = (plan: Plan, row: PlanRow): boolean => {
  const there = stored(row);
  return there.ok && isDeepStrictEqual(JSON.parse(JSON.stringify(there.value.plan)), JSON.parse(JSON.stringify(plan)));
};
/** After so many revisions the older versions are thinned. */
const THIN_EVERY = 25;

export const planStore = (db: Database) => {
  const { plans, planVersions, batches } = db.models;
  const rowOf = async (id: string, transaction?: Transaction) => {
    const row = (await plans.findByPk(id, { transaction }))?.get({ plain: true });
    return row && !row.deletedAt ? row : undefined;
  };
  const get = async (id: string): Promise<Result<StoredPlan>> => {
    const found = await rowOf(id);
    return found ? stored(found) : bad(missing());
  };
  const addVersion = async (
    v: { planId: string; revision: number; refused: boolean; document: string; writer: string },
    transaction: Transaction,
  ) => (await planVersions.create({ ...v, createdAt: now() }, { transaction })).get('id') as number;
  async function thin(planId: string, transaction: Transaction): Promise<void> {
    const rows = await planVersions.findAll({
      where: { planId },
      attributes: ['id', 'revision', 'refused', 'createdAt'],
      order: [['id', 'DESC']],
      transaction,
    });
    const cooked = await batches.findAll({ where: { planId }, attributes: ['planRevision'], transaction });
    const held = new Set(cooked.map((b) => b.get('planRevision') as number));
    const gone = thinned(
      rows
        .map((r) => r.get({ plain: true }))
        .map((r) => ({ id: r.id ?? 0, at: r.createdAt, refused: Boolean(r.refused), held: held.has(r.revision) })),
      Date.now(),
    );
    if (gone.length > 0) await planVersions.destroy({ where: { id: [...gone] }, transaction });
  }
  return {
    get,
    /** A plan that is there but cannot be read, as its text. */
    async unreadable(id: string): Promise<Unreadable | undefined> {
      const found = await rowOf(id);
      return found && !stored(found).ok ? unreadable(found) : undefined;
    },
    /** One page of the shelf, in an order, of those whose name has a word. */
    async page(ask: { limit: number; after?: Place; word?: string; sort?: PlanSort }): Promise<Page<PlanLine>> {
      const [column, way] = PLAN_ORDERS[ask.sort ?? 'changed'];
      const where = [{ deletedAt: { [Op.is]: null } }, holding(ask.word)];
      const rows = await plans.findAll({
        where: { [Op.and]: [...where, afterPlace(column, ask.after, way)] } as never,
        attributes: ['id', 'revision', 'updatedAt', 'name', 'family', 'search'],
        order: [
          [column, way],
          ['id', way],
        ],
        limit: ask.limit + 1,
        raw: true,
      });
      const total = await plans.count({ where: { [Op.and]: where } as never });
      return pageOf(
        rows as unknown as (PlanLine & { search: string })[],
        ask.limit,
        total,
        (r) => ({ at: r[column], id: r.id }),
        ({ search: _, ...r }) => r,
      );
    },
    /** Plans by id, in no order: each read, or why it cannot be. */
    async some(ids: readonly string[]): Promise<ReadonlyMap<string, Result<StoredPlan>>> {
      if (ids.length === 0) return new Map();
      const rows = await plans.findAll({ where: { id: [...ids] }, raw: true });
      return new Map((rows as unknown as PlanRow[]).map((r) => [r.id, stored(r)]));
    },
    /**
     * @param key under which it is made once, however often it is sent; it becomes its id
     */
    async create(plan: Plan, writer = '', key?: string): Promise<StoredPlan> {
      const at = now();
      const id = key ?? freshId();
      const document = JSON.stringify(plan);
      const twin = await db.write(async (transaction) => {
        if (key !== undefined) {
          const there = (await plans.findByPk(id, { transaction }))?.get({ plain: true });
          if (there) return there;
        }
        await plans.create(
          {
            id,
            document,
            revision: 1,
            deletedAt: null,
            createdAt: at,
            updatedAt: at,
            name: plan.name,
            search: searched(plan.name),
            family: plan.family,
            writer,
          },
          { transaction },
        );
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
      const document = JSON.stringify(plan);
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
        await plans.update(
          {
            document,
            revision,
            updatedAt: at,
            name: plan.name,
            search: searched(plan.name),
            family: plan.family,
            writer: sending,
          },
          { where: { id }, transaction },
        );
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
    /** Every version that is kept of a plan, newest first. */
    async versions(id: string): Promise<readonly PlanVersion[]> {
      const rows = await planVersions.findAll({ where: { planId: id }, order: [['id', 'DESC']] });
      return rows
        .map((r) => r.get({ plain: true }))
        .map((r) => ({
          version: r.id ?? 0,
          revision: r.revision,
          refused: Boolean(r.refused),
          at: r.createdAt,
          document: readDocument(r.document, readPlan, r.sum),
        }));
    },
    /** Makes an earlier version the newest, over revision `from`. */
    async putBack(id: string, version: number, from: number): Promise<Result<Saved>> {
      const row = (await planVersions.findOne({ where: { planId: id, id: version } }))?.get({ plain: true });
      if (!row)
        return bad(problem('no-such-version', 'version', 'That version is not kept any more; reload the list.'));
      const read = readDocument(row.document, readPlan, row.sum);
      return read.ok ? good(await this.save(id, from, read.value)) : read;
    },
  };
};

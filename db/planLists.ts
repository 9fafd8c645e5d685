import { Op } from 'sequelize';
import type { Result } from '@/core/units';
import type { Database } from './connect';
import type { PlanRow } from './models';
import { afterPlace, holding, pageOf, type Page, type Place } from './page';
import { stored, type StoredPlan } from './planRows';

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

/** Plans many at a time. */
export const planLists = (db: Database) => {
  const { plans } = db.models;
  return {
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
  };
};

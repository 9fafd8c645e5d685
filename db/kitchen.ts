import { Op } from 'sequelize';
import { z } from 'zod';
import { ingredientSchema } from '@/core/larder';
import {
  applianceSchema,
  fryingPanSchema,
  hobSchema,
  kitchenSchema,
  kitchenSettingsSchema,
  potSchema,
  scoopSchema,
  steamerSchema,
  vesselSchema,
  type Kitchen,
} from '@/core/kitchen';
import { bad, good, problem, type Result } from '@/core/units';
import { problemsOf } from '@/core/plan';
import type { Database } from './connect';
import type { RackKind } from './models';

/** Schema of each kind of thing on the rack. */
export const RACK_SCHEMAS = {
  ingredients: ingredientSchema,
  vessels: vesselSchema,
  steamers: steamerSchema,
  hobs: hobSchema,
  fryingPans: fryingPanSchema,
  pots: potSchema,
  appliances: applianceSchema,
  scoops: scoopSchema,
} as const;
export const RACK_KINDS = Object.keys(RACK_SCHEMAS) as RackKind[];

export const settingsSchema = kitchenSettingsSchema;
export type Settings = z.infer<typeof settingsSchema>;
const SETTINGS_ID = 'kitchen';
const now = () => new Date().toISOString();

export interface Revised<T> {
  readonly revision: number;
  readonly value: T;
}

export const kitchenStore = (db: Database) => {
  const { rack, settings } = db.models;
  async function listKind<T>(kind: RackKind, schema: z.ZodType<T>): Promise<T[]> {
    const rows = await rack[kind].findAll({
      where: { deletedAt: { [Op.is]: null } } as never,
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    return rows.flatMap((r) => {
      const p = schema.safeParse(JSON.parse(r.get('document') as string));
      return p.success ? [p.data] : [];
    });
  }
  const readSettings = async (): Promise<Revised<Settings>> => {
    const row = (await settings.findByPk(SETTINGS_ID))?.get({ plain: true });
    return row
      ? { revision: row.revision, value: settingsSchema.parse(JSON.parse(row.document)) }
      : { revision: 0, value: settingsSchema.parse({}) };
  };
  return {
    readSettings,
    async read(): Promise<Kitchen> {
      const [own, ...lists] = await Promise.all([
        readSettings(),
        ...RACK_KINDS.map((kind) => listKind<unknown>(kind, RACK_SCHEMAS[kind])),
      ]);
      return kitchenSchema.parse({
        ...own.value,
        ...Object.fromEntries(RACK_KINDS.map((kind, i) => [kind, lists[i]])),
      });
    },
    /** Writes the settings over revision `from`; false when someone else wrote first. */
    async saveSettings(from: number, value: Settings): Promise<boolean> {
      const at = now();
      if (from === 0) {
        if (await settings.findByPk(SETTINGS_ID)) return false;
        await settings.create({
          id: SETTINGS_ID,
          document: JSON.stringify(value),
          revision: 1,
          createdAt: at,
          updatedAt: at,
        });
        return true;
      }
      const [count] = await settings.update(
        { document: JSON.stringify(value), revision: from + 1, updatedAt: at },
        { where: { id: SETTINGS_ID, revision: from } },
      );
      return count === 1;
    },
    async put(kind: RackKind, doc: unknown): Promise<Result<{ id: string }>> {
      const parsed = RACK_SCHEMAS[kind].safeParse(doc);
      if (!parsed.success) return bad(...problemsOf(parsed.error));
      const at = now();
      const value = parsed.data;
      const row = await rack[kind].findByPk(value.id);
      if (row)
        await row.update({
          document: JSON.stringify(value),
          revision: (row.get('revision') as number) + 1,
          updatedAt: at,
          deletedAt: null,
        });
      else
        await rack[kind].create({
          id: value.id,
          document: JSON.stringify(value),
          revision: 1,
          deletedAt: null,
          createdAt: at,
          updatedAt: at,
        });
      return good({ id: value.id });
    },
    async remove(kind: RackKind, id: string): Promise<Result<{ id: string }>> {
      const [count] = await rack[kind].update({ deletedAt: now() }, { where: { id, deletedAt: null } });
      return count === 1 ? good({ id }) : bad(problem('no-such-thing', 'id', 'That is not on the rack any more.'));
    },
    async restore(kind: RackKind, id: string): Promise<void> {
      await rack[kind].update({ deletedAt: null }, { where: { id } });
    },
  };
};

import { isDeepStrictEqual } from 'node:util';
import { QueryTypes } from 'sequelize';
import { z } from 'zod';
import { ingredientSchema } from '@/core/larder';
import {
  applianceSchema,
  emptyKitchen,
  fryingPanSchema,
  hobSchema,
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
import type { KeptRow, RackKind } from './models';
import { readDocument, readWith, type Unreadable } from './unreadable';

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
export const SETTINGS_ID = 'kitchen';
const now = () => new Date().toISOString();

export interface Revised<T> {
  readonly revision: number;
  readonly value: T;
}
/** What cannot be read of the kitchen; `settings` stands for the settings themselves. */
export interface UnreadableThing extends Unreadable {
  readonly kind: RackKind | 'settings';
}
/** The kitchen with the revision of every part of it, and what of it cannot be read. */
export interface KitchenState {
  readonly kitchen: Kitchen;
  readonly settings: Revised<Settings>;
  readonly revisions: Readonly<Record<RackKind, Readonly<Record<string, number>>>>;
  readonly unreadable: readonly UnreadableThing[];
}
/** A write over a revision that is not the newest: what is there now, undefined where it was taken away. */
export interface StaleThing {
  readonly revision: number;
  readonly value: unknown;
}
export type Put = { readonly put: { readonly id: string; readonly revision: number } } | { readonly stale: StaleThing };

const readable = (raw: string): unknown => {
  const read = readDocument<unknown>(raw, good);
  return read.ok ? read.value : undefined;
};

/** A row of the kitchen: a thing on the rack, or its settings. */
interface Row {
  readonly kind: RackKind | 'settings';
  readonly id: string;
  readonly revision: number;
  readonly document: string;
  readonly sum?: number | null;
}

function settingsOf(row: Omit<Row, 'kind'> | undefined): Revised<Settings> & {
  readonly unreadable?: UnreadableThing;
} {
  if (!row) return { revision: 0, value: settingsSchema.parse({}) };
  const { id, revision, document } = row;
  const read = readDocument(document, readWith(settingsSchema), row.sum);
  if (read.ok) return { revision, value: read.value };
  return {
    revision,
    value: settingsSchema.parse({}),
    unreadable: { kind: 'settings', id, revision, raw: document, problems: read.problems },
  };
}

function shelfOf<T>(kind: RackKind, schema: z.ZodType<T>, rows: readonly Row[]) {
  const things: T[] = [];
  const unreadable: UnreadableThing[] = [];
  const revisions: Record<string, number> = {};
  for (const { id, revision, document, sum } of rows.filter((r) => r.kind === kind)) {
    const read = readDocument(document, readWith(schema), sum);
    revisions[id] = revision;
    if (read.ok) things.push(read.value);
    else unreadable.push({ kind, id, revision, raw: document, problems: read.problems });
  }
  return { kind, things, unreadable, revisions };
}

function stateOf(rows: readonly Row[]): KitchenState {
  const { unreadable, ...settings } = settingsOf(rows.find((r) => r.kind === 'settings' && r.id === SETTINGS_ID));
  const shelves = RACK_KINDS.map((kind) => shelfOf<unknown>(kind, RACK_SCHEMAS[kind], rows));
  return {
    settings,
    // Settings and shelves have each been through the schema of their own.
    kitchen: {
      ...emptyKitchen(),
      ...settings.value,
      ...Object.fromEntries(shelves.map((s) => [s.kind, s.things])),
    } as Kitchen,
    revisions: Object.fromEntries(shelves.map((s) => [s.kind, s.revisions])) as KitchenState['revisions'],
    unreadable: [...(unreadable ? [unreadable] : []), ...shelves.flatMap((s) => s.unreadable)],
  };
}

export const kitchenStore = (db: Database) => {
  const { rack, settings } = db.models;
  const ROWS = [
    `SELECT 'settings' AS kind, id, revision, document, sum, created_at FROM ${String(settings.getTableName())}`,
    ...RACK_KINDS.map(
      (kind) =>
        `SELECT '${kind}', id, revision, document, sum, created_at FROM ${String(rack[kind].getTableName())} WHERE deleted_at IS NULL`,
    ),
  ];
  const WHOLE = `${ROWS.join(' UNION ALL ')} ORDER BY created_at, id`;
  let kept: { readonly rows: readonly Row[]; readonly state: KitchenState } | undefined;
  /** The kitchen as it stands; the very same as before where nothing of it was written. */
  const state = async (): Promise<KitchenState> => {
    const rows = await db.sequelize.query<Row>(WHOLE, { type: QueryTypes.SELECT });
    if (!kept || !isDeepStrictEqual(kept.rows, rows)) kept = { rows, state: stateOf(rows) };
    return kept.state;
  };
  const readSettings = async () => settingsOf((await settings.findByPk(SETTINGS_ID))?.get({ plain: true }));
  const staleOf = (row: KeptRow): { stale: StaleThing } => ({
    stale: {
      revision: row.revision,
      value: row.deletedAt ? undefined : readable(row.document),
    },
  });
  return {
    readSettings,
    state,
    read: async (): Promise<Kitchen> => (await state()).kitchen,
    /**
     * Writes the settings over revision `from`; false when someone else wrote first, or where what is there cannot be read and the cook has not
     * said that it may go.
     */
    saveSettings: (from: number, value: Settings, overUnreadable = false): Promise<boolean> =>
      db.write(async (transaction) => {
        const at = now();
        // What is written is what can be read again: a settings document that its own reader refused would be lost to the cook.
        const document = JSON.stringify(settingsSchema.parse(value));
        const there = (await settings.findByPk(SETTINGS_ID, { transaction }))?.get({ plain: true });
        if ((there?.revision ?? 0) !== from) return false;
        if (there && !overUnreadable && !readDocument(there.document, readWith(settingsSchema), there.sum).ok)
          return false;
        if (there)
          await settings.update(
            { document, revision: from + 1, updatedAt: at },
            { where: { id: SETTINGS_ID }, transaction },
          );
        else
          await settings.create(
            { id: SETTINGS_ID, document, revision: 1, createdAt: at, updatedAt: at },
            { transaction },
          );
        return true;
      }),
    /** Writes a thing over revision `from`; 0 for one that was not there. What is there already is no conflict. */
    async put(kind: RackKind, from: number, doc: unknown): Promise<Result<Put>> {
      const parsed = RACK_SCHEMAS[kind].safeParse(doc);
      if (!parsed.success) return bad(...problemsOf(parsed.error));
      const value = parsed.data;
      const document = JSON.stringify(value);
      return good(
        await db.write<Put>(async (transaction) => {
          const at = now();
          const there = (await rack[kind].findByPk(value.id, { transaction }))?.get({ plain: true });
          if (there && !there.deletedAt && there.document === document)
            return { put: { id: value.id, revision: there.revision } };
          if ((there?.revision ?? 0) !== from)
            return there ? staleOf(there) : { stale: { revision: 0, value: undefined } };
          const revision = from + 1;
          const row = { id: value.id, document, revision, deletedAt: null, updatedAt: at };
          if (there) await rack[kind].update(row, { where: { id: value.id }, transaction });
          else await rack[kind].create({ ...row, createdAt: at }, { transaction });
          return { put: { id: value.id, revision } };
        }),
      );
    },
    /** Takes a thing away over revision `from`; putting it over the revision this answers with brings it back. */
    async remove(kind: RackKind, id: string, from: number): Promise<Result<Put>> {
      return db.write<Result<Put>>(async (transaction) => {
        const there = (await rack[kind].findByPk(id, { transaction }))?.get({ plain: true });
        if (!there || there.deletedAt) return bad(problem('no-such-thing', 'id', 'That is not on the rack any more.'));
        if (there.revision !== from) return good(staleOf(there));
        const at = now();
        await rack[kind].update({ deletedAt: at, revision: from + 1, updatedAt: at }, { where: { id }, transaction });
        return good({ put: { id, revision: from + 1 } });
      });
    },
  };
};

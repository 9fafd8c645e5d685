import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';
import { keepSum } from './sum';

/** A row whose document has a checksum; null for one of before they were kept. */
interface Summed {
  sum?: number | null;
}
export interface KeptRow extends Summed {
  id: string;
  document: string;
  revision: number;
  deletedAt: string | null;
  createdAt: string;
  updatedAt: string;
}
export interface PlanRow extends KeptRow {
  name: string;
  family: string;
  /** Its name as it is searched. */
  search: string;
  /** The editing session that wrote it last. */
  writer: string;
}
export interface PlanVersionRow extends Summed {
  id?: number;
  planId: string;
  revision: number;
  refused: boolean;
  writer: string;
  document: string;
  createdAt: string;
}
export interface SettingsRow extends Summed {
  id: string;
  document: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
}
export interface BatchRow extends Summed {
  id: string;
  planId: string | null;
  planRevision: number;
  name: string;
  snapshot: string;
  startedAt: string;
  finishedAt: string | null;
  /** Version of the models by which `modelS` was worked out later, s; null: not yet. */
  modelVersion?: number | null;
  modelS?: number | null;
  /** What lists and learning read, worked out from the document and the events; `derived` says by which version of that. */
  family?: string | null;
  overall?: number | null;
  note?: string | null;
  cleanAtS?: number | null;
  plannedS?: number | null;
  keepDays?: number | null;
  eatenAt?: string | null;
  search?: string | null;
  facts?: string | null;
  seen?: string | null;
  derived?: number;
  deletedAt?: string | null;
  createdAt: string;
  updatedAt: string;
}
export interface BatchEventRow extends Summed {
  id?: number;
  batchId: string;
  /** When it happened, and when the kitchen heard of it. */
  at: string;
  receivedAt?: string | null;
  event: string;
  key: string;
}

export interface BatchPhotoRow extends Summed {
  id: string;
  batchId: string;
  jpeg: Buffer;
  deletedAt?: string | null;
  createdAt: string;
}

type Rows<T extends object> = ModelStatic<Model<T, T>>;
export type RackKind =
  'ingredients' | 'vessels' | 'steamers' | 'hobs' | 'fryingPans' | 'pots' | 'appliances' | 'scoops';

/** The table of each kind of thing. */
export const RACK_TABLES: Readonly<Record<RackKind, string>> = {
  ingredients: 'ingredients',
  vessels: 'vessels',
  steamers: 'steamers',
  hobs: 'hobs',
  fryingPans: 'frying_pans',
  pots: 'pots',
  appliances: 'appliances',
  scoops: 'scoops',
};

export interface Models {
  readonly rack: Readonly<Record<RackKind, Rows<KeptRow>>>;
  readonly settings: Rows<SettingsRow>;
  readonly plans: Rows<PlanRow>;
  readonly planVersions: Rows<PlanVersionRow>;
  readonly batches: Rows<BatchRow>;
  readonly batchEvents: Rows<BatchEventRow>;
  readonly batchPhotos: Rows<BatchPhotoRow>;
}

const text = (field?: string) => ({ type: DataTypes.TEXT, field });
const kept = {
  id: { type: DataTypes.TEXT, primaryKey: true },
  document: text(),
  revision: { type: DataTypes.INTEGER },
  sum: { type: DataTypes.INTEGER },
  deletedAt: text('deleted_at'),
  createdAt: text('created_at'),
  updatedAt: text('updated_at'),
};

/** Models over the migrated tables; times are ISO 8601 text that the repositories set. */
export function defineModels(sequelize: Sequelize): Models {
  const define = <T extends object>(
    name: string,
    tableName: string,
    attributes: object,
    summed = 'document',
  ): Rows<T> => {
    const rows = sequelize.define<Model<T, T>>(name, attributes as never, { tableName, timestamps: false }) as Rows<T>;
    keepSum(rows, summed);
    return rows;
  };
  return {
    rack: {
      ingredients: define<KeptRow>('Ingredient', RACK_TABLES.ingredients, kept),
      vessels: define<KeptRow>('Vessel', RACK_TABLES.vessels, kept),
      steamers: define<KeptRow>('Steamer', RACK_TABLES.steamers, kept),
      hobs: define<KeptRow>('Hob', RACK_TABLES.hobs, kept),
      fryingPans: define<KeptRow>('FryingPan', RACK_TABLES.fryingPans, kept),
      pots: define<KeptRow>('Pot', RACK_TABLES.pots, kept),
      appliances: define<KeptRow>('Appliance', RACK_TABLES.appliances, kept),
      scoops: define<KeptRow>('Scoop', RACK_TABLES.scoops, kept),
    },
    settings: define<SettingsRow>('Settings', 'settings', {
      id: kept.id,
      document: kept.document,
      revision: kept.revision,
      sum: kept.sum,
      createdAt: kept.createdAt,
      updatedAt: kept.updatedAt,
    }),
    plans: define<PlanRow>('Plan', 'plans', {
      ...kept,
      name: text(),
      family: text(),
      search: text(),
      writer: text(),
    }),
    planVersions: define<PlanVersionRow>('PlanVersion', 'plan_versions', {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      planId: text('plan_id'),
      revision: { type: DataTypes.INTEGER },
      refused: { type: DataTypes.BOOLEAN },
      writer: text(),
      document: text(),
      sum: kept.sum,
      createdAt: text('created_at'),
    }),
    batches: define<BatchRow>(
      'Batch',
      'batches',
      {
        id: kept.id,
        planId: text('plan_id'),
        planRevision: { type: DataTypes.INTEGER, field: 'plan_revision' },
        name: text(),
        snapshot: text(),
        startedAt: text('started_at'),
        finishedAt: text('finished_at'),
        modelVersion: { type: DataTypes.INTEGER, field: 'model_version' },
        modelS: { type: DataTypes.REAL, field: 'model_s' },
        family: text(),
        overall: { type: DataTypes.INTEGER },
        note: text(),
        cleanAtS: { type: DataTypes.REAL, field: 'clean_at_s' },
        plannedS: { type: DataTypes.REAL, field: 'planned_s' },
        keepDays: { type: DataTypes.REAL, field: 'keep_days' },
        eatenAt: text('eaten_at'),
        search: text(),
        facts: text(),
        seen: text(),
        derived: { type: DataTypes.INTEGER },
        sum: kept.sum,
        deletedAt: kept.deletedAt,
        createdAt: kept.createdAt,
        updatedAt: kept.updatedAt,
      },
      'snapshot',
    ),
    batchPhotos: define<BatchPhotoRow>(
      'BatchPhoto',
      'batch_photos',
      {
        id: kept.id,
        batchId: text('batch_id'),
        jpeg: { type: DataTypes.BLOB },
        sum: kept.sum,
        deletedAt: kept.deletedAt,
        createdAt: kept.createdAt,
      },
      'jpeg',
    ),
    batchEvents: define<BatchEventRow>(
      'BatchEvent',
      'batch_events',
      {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        batchId: text('batch_id'),
        at: text(),
        receivedAt: text('received_at'),
        event: text(),
        key: text(),
        sum: kept.sum,
      },
      'event',
    ),
  };
}

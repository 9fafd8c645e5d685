import type { Transaction } from 'sequelize';
import { QueryTypes, type Sequelize } from 'sequelize';
import { thingChanges, type Kitchen } from '@/core/kitchen';
import { differs, plural } from '@/core/units';
import { namesIn, planChanges, readPlan } from '@/core/plan';
import { RACK_KINDS, RACK_SCHEMAS, SETTINGS_ID, settingsSchema } from '../kitchen';
import { RACK_TABLES, type RackKind } from '../models';
import { readDocument, readWith } from '../unreadable';

export const COPY_KINDS = ['plan', 'batch', 'settings', ...RACK_KINDS] as const;
export type CopyKind = (typeof COPY_KINDS)[number];
export const PLACES = ['there', 'both', 'here'] as const;
/** Where a thing is: in the copy alone, in this kitchen alone, or in both and not the same. */
export type CopyPlace = (typeof PLACES)[number];

/** One difference between a copy and this kitchen. */
export interface CopyLine {
  readonly kind: CopyKind;
  readonly id: string;
  readonly where: CopyPlace;
  readonly name: string;
  /** When it was last changed, ISO 8601; of a batch, when it was begun. */
  readonly hereAt: string | null;
  readonly thereAt: string | null;
  readonly hereDeleted: boolean;
  readonly thereDeleted: boolean;
  /** What taking the copy's would change, one short phrase each. */
  readonly changes: readonly string[];
  /** False where the copy's cannot be read. */
  readonly readable: boolean;
  /** A batch at the stove now. */
  readonly running: boolean;
  /** What of this kitchen it was compared with: another now is another difference. */
  readonly seal: string;
}

/** Reads on a connection that has this kitchen as `main` and the copy as `there`. */
export type Select = <T extends object>(sql: string, replacements?: Record<string, unknown>) => Promise<readonly T[]>;
export const selectOn =
  (sequelize: Sequelize, transaction?: Transaction): Select =>
  (sql, replacements) =>
    sequelize.query(sql, { type: QueryTypes.SELECT, replacements, transaction }) as never;

/** What learning works out by itself: no difference that a cook has made. */
export const LEARNED = ['timeFactors', 'textureOffsets'] as const;
/** The settings as far as a cook makes them, as text. */
export const ownSettings = (document: string): string => {
  const read = readDocument(document, readWith(settingsSchema));
  if (!read.ok) return document;
  return JSON.stringify({ ...read.value, ...Object.fromEntries(LEARNED.map((key) => [key, undefined])) });
};

interface Pair {
  readonly id: string;
  readonly here: string | null;
  readonly there: string | null;
  readonly hereSum: number | null;
  readonly thereSum: number | null;
  readonly hereAt: string | null;
  readonly thereAt: string | null;
  readonly hereDeleted: string | null;
  readonly thereDeleted: string | null;
}

/** Rows of a table that are not the same in both; deleted ones of this kitchen that the copy does not know are nobody's business. */
const pairsOf = (select: Select, table: string, deleted: boolean, where = '1'): Promise<readonly Pair[]> =>
  select<Pair>(
    `SELECT coalesce(h.id, t.id) AS id, h.document AS here, t.document AS there, h.sum AS hereSum, t.sum AS thereSum,
       h.updated_at AS hereAt, t.updated_at AS thereAt,
       ${deleted ? 'h.deleted_at' : 'NULL'} AS hereDeleted, ${deleted ? 't.deleted_at' : 'NULL'} AS thereDeleted
     FROM main."${table}" h FULL OUTER JOIN there."${table}" t ON t.id = h.id
     WHERE (${where}) AND ${
       deleted
         ? `((h.id IS NULL) OR (t.id IS NULL AND h.deleted_at IS NULL)
            OR (t.id IS NOT NULL AND (h.deleted_at IS NULL OR t.deleted_at IS NULL)
                AND (h.document <> t.document OR (h.deleted_at IS NULL) <> (t.deleted_at IS NULL))))`
         : '(h.id IS NULL OR t.id IS NULL OR h.document <> t.document)'
     }
     ORDER BY coalesce(t.updated_at, h.updated_at) DESC, id`,
  );

type Reader = (
  text: string,
  sum: number | null,
) => { readonly ok: true; readonly value: unknown } | { readonly ok: false };

/** How a document of a kind is read, and what differs between two of them. */
function readerOf(kind: Exclude<CopyKind, 'batch'>, kitchen: Kitchen) {
  if (kind === 'plan')
    return {
      read: ((text, sum) => readDocument(text, readPlan, sum)) as Reader,
      changes: (was: unknown, is: unknown) => planChanges(was as never, is as never, namesIn(kitchen, is as never)),
    };
  const schema = kind === 'settings' ? settingsSchema : RACK_SCHEMAS[kind];
  return {
    read: ((text, sum) => readDocument<unknown>(text, readWith<unknown>(schema as never), sum)) as Reader,
    changes: (was: unknown, is: unknown) => thingChanges(was as never, is as never, kind === 'settings' ? LEARNED : []),
  };
}
const nameOf = (value: unknown): string | undefined => {
  const name = (value as { name?: unknown } | undefined)?.name;
  return typeof name === 'string' && name !== '' ? name : undefined;
};
const placeOf = (here: boolean, there: boolean): CopyPlace => (here ? (there ? 'both' : 'here') : 'there');
/** By what a cook would know what cannot be read. */
const UNNAMED = 'without a name that can be read';

function lineOf(kind: Exclude<CopyKind, 'batch'>, pair: Pair, kitchen: Kitchen): CopyLine | undefined {
  const { read, changes } = readerOf(kind, kitchen);
  const readHere = pair.here === null ? undefined : read(pair.here, pair.hereSum);
  const readThere = pair.there === null ? undefined : read(pair.there, pair.thereSum);
  const [here, there] = [readHere?.ok ? readHere.value : undefined, readThere?.ok ? readThere.value : undefined];
  const both = here !== undefined && there !== undefined;
  const deletedAlike = (pair.hereDeleted === null) === (pair.thereDeleted === null);
  const same =
    both &&
    deletedAlike &&
    (kind === 'settings' ? ownSettings(pair.here ?? '') === ownSettings(pair.there ?? '') : !differs(here, there));
  if (same) return undefined;
  const seal =
    kind === 'settings'
      ? ownSettings(pair.here ?? '')
      : `${pair.here === null ? '' : (pair.hereSum ?? pair.here)}|${pair.hereDeleted ?? ''}`;
  return {
    kind,
    id: pair.id,
    where: placeOf(pair.here !== null, pair.there !== null),
    name: kind === 'settings' ? 'Settings' : (nameOf(there) ?? nameOf(here) ?? UNNAMED),
    hereAt: pair.hereAt,
    thereAt: pair.thereAt,
    hereDeleted: pair.hereDeleted !== null,
    thereDeleted: pair.thereDeleted !== null,
    changes: both ? changes(here, there) : [],
    readable: readThere?.ok ?? true,
    running: false,
    seal,
  };
}

interface BatchPair {
  readonly id: string;
  readonly inHere: number;
  readonly inThere: number;
  readonly name: string;
  readonly startedAt: string;
  readonly hereAt: string | null;
  readonly thereAt: string | null;
  readonly hereDeleted: string | null;
  readonly thereDeleted: string | null;
  readonly hereSum: number | null;
  readonly running: number;
  readonly moreThere: number;
  readonly photosThere: number;
  readonly other: number;
}

/** Batches: what was written down is put together, so that only what the copy knows beyond this kitchen is a difference. */
async function batchLines(select: Select): Promise<readonly CopyLine[]> {
  const rows = await select<BatchPair>(
    `WITH more AS (SELECT t.batch_id AS id, count(*) AS n FROM there.batch_events t
         WHERE NOT EXISTS (SELECT 1 FROM main.batch_events h WHERE h.key = t.key) GROUP BY t.batch_id),
       pictures AS (SELECT t.batch_id AS id, count(*) AS n FROM there.batch_photos t
         WHERE NOT EXISTS (SELECT 1 FROM main.batch_photos h WHERE h.id = t.id) GROUP BY t.batch_id)
     SELECT coalesce(h.id, t.id) AS id, h.id IS NOT NULL AS inHere, t.id IS NOT NULL AS inThere,
       coalesce(t.name, h.name) AS name, coalesce(t.started_at, h.started_at) AS startedAt,
       h.updated_at AS hereAt, t.updated_at AS thereAt, h.deleted_at AS hereDeleted, t.deleted_at AS thereDeleted, h.sum AS hereSum,
       h.id IS NOT NULL AND h.finished_at IS NULL AND h.deleted_at IS NULL AS running,
       coalesce(more.n, 0) AS moreThere, coalesce(pictures.n, 0) AS photosThere,
       h.id IS NOT NULL AND t.id IS NOT NULL AND h.snapshot <> t.snapshot AS other
     FROM main.batches h FULL OUTER JOIN there.batches t ON t.id = h.id
       LEFT JOIN more ON more.id = t.id LEFT JOIN pictures ON pictures.id = t.id
     WHERE h.id IS NULL OR (t.id IS NULL AND h.deleted_at IS NULL)
       OR (t.id IS NOT NULL AND (h.deleted_at IS NULL OR t.deleted_at IS NULL)
           AND (more.n > 0 OR pictures.n > 0 OR h.snapshot <> t.snapshot OR (h.deleted_at IS NULL) <> (t.deleted_at IS NULL)))
     ORDER BY startedAt DESC, id`,
  );
  return rows.map((r) => ({
    kind: 'batch' as const,
    id: r.id,
    where: placeOf(r.inHere === 1, r.inThere === 1),
    name: r.name,
    hereAt: r.inHere === 1 ? r.startedAt : null,
    thereAt: r.inThere === 1 ? r.startedAt : null,
    hereDeleted: r.hereDeleted !== null,
    thereDeleted: r.thereDeleted !== null,
    changes:
      r.inHere === 1 && r.inThere === 1
        ? [
            ...(r.moreThere > 0 ? [`${plural(r.moreThere, 'more entry', 'more entries')}`] : []),
            ...(r.photosThere > 0 ? [plural(r.photosThere, 'more photo')] : []),
            ...(r.other === 1 ? ['what was planned'] : []),
          ]
        : [],
    readable: true,
    running: r.running === 1,
    // What is written down at the stove meanwhile is kept either way.
    seal: `${r.hereSum ?? ''}|${r.hereDeleted ?? ''}`,
  }));
}

/** So many documents are read in one breath. */
const AT_ONCE = 40;

/** Everything in which a copy and this kitchen differ, by kind; of each kind the last changed first. */
export async function compare(select: Select, kitchen: Kitchen): Promise<readonly CopyLine[]> {
  const of = async (kind: Exclude<CopyKind, 'batch'>, table: string, deleted = true, where?: string) => {
    const found: CopyLine[] = [];
    let n = 0;
    for (const pair of await pairsOf(select, table, deleted, where)) {
      // A thousand documents take a second: who is at the stove is answered in between.
      if (++n % AT_ONCE === 0) await new Promise(setImmediate);
      const line = lineOf(kind, pair, kitchen);
      if (line) found.push(line);
    }
    return found;
  };
  const lines = [
    ...(await of('plan', 'plans')),
    ...(await batchLines(select)),
    // A copy without settings has nothing to say of them.
    ...(await of('settings', 'settings', false, `t.id = '${SETTINGS_ID}'`)),
  ];
  for (const kind of RACK_KINDS) lines.push(...(await of(kind satisfies RackKind, RACK_TABLES[kind])));
  return lines;
}

/** Kinds of which the kitchen learns. */
export const teaches = (kind: string): boolean => kind === 'batch' || kind === 'settings';

/** What is named by one line: a kind and an id. */
export const lineKey = (line: Pick<CopyLine, 'kind' | 'id'>): string => `${line.kind} ${line.id}`;

type Unsealed = Omit<CopyLine, 'seal'>;
/** Of what can be taken, what a cook would want without looking at each: what is missing here; the copy's where it is the later, or what is here cannot be read. */
export function suggested(line: Unsealed): boolean {
  if (line.where === 'here') return false;
  if (line.where === 'there') return true;
  if (line.kind === 'batch') return !line.hereDeleted && !line.thereDeleted;
  return line.readable && !line.hereDeleted && !line.thereDeleted && (line.thereAt ?? '') > (line.hereAt ?? '');
}
/** What can be taken over at all. */
export const canTake = (line: Unsealed): boolean =>
  line.where === 'here' ? !line.running && line.kind !== 'settings' : line.where === 'there' || line.readable;

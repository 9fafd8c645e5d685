import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { buffer, text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { isDeepStrictEqual } from 'node:util';
import { eventSchema, readSnapshot } from '@/core/work/notebook';
import { readPlan } from '@/core/plan';
import { version as RELEASE } from '@/package.json';
import type { Result } from '@/core/units';
import { RACK_KINDS, RACK_SCHEMAS, settingsSchema, SETTINGS_ID } from '../kitchen';
import { MIGRATIONS } from '../migrate';
import { RACK_TABLES } from '../models';
import { isOurs } from '../ours';
import { isWhole } from '../sum';
import { readDocument, readWith } from '../unreadable';
import { MOST_MANIFEST, readArchive, type Archive } from './archive';
import { countsOf } from './counts';
import { headSchema, KITCHEN, MANIFEST, manifestSchema, type Manifest } from './manifest';
import { openPlain, rowsOf, tablesOf, type Plain } from './plain';
import type { Watched } from './progress';
import { CopyTrouble, copyTroubleOf, damagedCopy, notACopy, stopped } from './trouble';
import { roomIn } from './work';

const later = (called: string, release: string) =>
  new CopyTrouble(
    'later-copy',
    `${called} was made by Idle Ladle ${release}, and this one is ${RELEASE}: update this one to ${release}, then open it.`,
  );

/** A document of more than this is none of a kitchen, bytes. */
const MOST_DOCUMENT = 64e6;
const ROOM_LEFT = 50e6;

async function readManifest(archive: Archive, called: string): Promise<Manifest> {
  if (!archive.names.has(MANIFEST) || !archive.names.has(KITCHEN)) throw notACopy(called);
  if (archive.bytesOf(MANIFEST) > MOST_MANIFEST) throw damagedCopy(called, 'its list of files is too long');
  let said: unknown;
  try {
    said = JSON.parse(await text(archive.stream(MANIFEST)));
  } catch (e) {
    if (e instanceof CopyTrouble) throw e;
    throw damagedCopy(called, 'its list of files cannot be read');
  }
  const head = headSchema.safeParse(said);
  if (!head.success) throw notACopy(called);
  const read = manifestSchema.safeParse(said);
  if (!read.success) {
    if (head.data.version > manifestSchema.shape.version.value) throw later(called, head.data.release);
    throw damagedCopy(called, 'its list of files cannot be read');
  }
  const known = new Set<string>(MIGRATIONS.map((m) => m.name));
  if (read.data.schema.some((name) => !known.has(name))) throw later(called, read.data.release);
  return read.data;
}

/** What an archive says of itself, nothing else of it being checked. @throws CopyTrouble */
export async function manifestOf(file: string, called: string): Promise<Manifest> {
  const archive = await readArchive(file, called);
  try {
    return await readManifest(archive, called);
  } finally {
    archive.close();
  }
}

/** Reads a file whole against its length and checksum, each part handed on. */
async function* checked(
  archive: Archive,
  { name, bytes, sha256 }: Manifest['files'][number],
  called: string,
): AsyncGenerator<Uint8Array> {
  const hash = createHash('sha256');
  let length = 0;
  for await (const part of archive.stream(name)) {
    hash.update(part);
    length += part.length;
    yield part;
  }
  if (length !== bytes || hash.digest('hex') !== sha256) throw damagedCopy(called, `${name} is not what was saved`);
}

interface Kept {
  readonly kept: string;
  readonly sum?: number | null;
}
type Reader = (doc: unknown) => Result<unknown>;

/** How many documents their readers refuse, of every table. */
async function unreadableIn(db: Plain): Promise<number> {
  const tables = await tablesOf(db);
  const readers: [table: string, column: string, read: Reader][] = [
    ['plans', 'document', readPlan],
    ['plan_versions', 'document', readPlan],
    ['batches', 'snapshot', readSnapshot],
    ['batch_events', 'event', readWith(eventSchema)],
    ...RACK_KINDS.map((kind): [string, string, Reader] => [
      RACK_TABLES[kind],
      'document',
      readWith<unknown>(RACK_SCHEMAS[kind]),
    ]),
  ];
  let count = 0;
  for (const [table, column, read] of readers) {
    if (!tables.has(table)) continue;
    const summed = (await db.select<{ name: string }>(`SELECT name FROM pragma_table_info('${table}')`)).some(
      (c) => c.name === 'sum',
    );
    for await (const { kept, sum } of rowsOf<Kept>(db, table, `"${column}" AS kept${summed ? ', sum' : ''}`))
      if (!readDocument(kept, read, sum).ok) count++;
  }
  const settings = await db.select<Kept>('SELECT document AS kept FROM settings WHERE id = $1', [SETTINGS_ID]);
  return count + settings.filter((s) => !readDocument(s.kept, readWith(settingsSchema)).ok).length;
}

/** Looks a database that came out of an archive through before anything else is done with it. */
async function lookThrough(db: Plain, manifest: Manifest, called: string): Promise<void> {
  if (!(await isOurs(db.select)))
    throw new CopyTrouble('not-a-copy', `The database in ${called} is another program’s; it was not opened.`);
  const [odd] = await db.select<{ name: string }>("SELECT name FROM sqlite_master WHERE type = 'view'");
  if (odd) throw damagedCopy(called, 'its database holds what no kitchen does');
  const [found] = await db.select<{ integrity_check: string }>('PRAGMA integrity_check(1)');
  if (found?.integrity_check !== 'ok') throw damagedCopy(called, 'its database is broken');
  const [loose] = await db.select('PRAGMA foreign_key_check');
  if (loose) throw damagedCopy(called, 'its database does not hang together');
  if (!isDeepStrictEqual(await countsOf(db), manifest.counts)) throw damagedCopy(called, 'not everything is in it');
}

export interface Proven {
  readonly manifest: Manifest;
  /** Its database, unpacked. */
  readonly database: string;
  /** Documents that cannot be read; they could not in the kitchen it was made of. */
  readonly unreadable: number;
}

/**
 * Opens an archive and checks all of it: its list, the checksum of every file, the database, its counts, each picture, and every document through
 * its reader. The database is unpacked into `work`.
 * @param called what the cook calls the file
 * @param keep also puts the pictures back into the database, so that it is whole
 * @throws CopyTrouble
 */
export async function proveCopy(
  file: string,
  called: string,
  work: string,
  { signal, onProgress, keep = false }: Watched & { readonly keep?: boolean } = {},
): Promise<Proven> {
  const archive = await readArchive(file, called);
  let db: Plain | undefined;
  try {
    const manifest = await readManifest(archive, called);
    const listed = new Set([MANIFEST, ...manifest.files.map((f) => f.name)]);
    if (listed.size !== archive.names.size || [...listed].some((name) => !archive.names.has(name)))
      throw damagedCopy(called, 'what is in it is not what its list says');
    const all = manifest.files.reduce((sum, f) => sum + f.bytes, 0);
    const photos = manifest.files.filter((f) => f.photo !== undefined);
    const unpacked = archive.bytesOf(KITCHEN) + (keep ? photos.reduce((sum, f) => sum + f.bytes, 0) : 0);
    if ((await roomIn(work)) < unpacked + ROOM_LEFT)
      throw new CopyTrouble(
        'no-room',
        `There is no room to open ${called}: it unpacks to ${Math.ceil(unpacked / 1e6)} MB. Make room beside the kitchen first.`,
      );
    let done = 0;
    const step = (bytes: number): void => {
      if (signal?.aborted) throw stopped();
      done += bytes;
      onProgress?.({ phase: keep ? 'unpacking' : 'proving', done, all });
    };
    const database = join(work, 'unpacked.sqlite');
    const kitchen = manifest.files.find((f) => f.name === KITCHEN);
    if (!kitchen) throw damagedCopy(called, 'its database is not in its list');
    await pipeline(
      Readable.from(checked(archive, kitchen, called)),
      createWriteStream(database, { flags: 'wx', mode: 0o600 }),
      { signal },
    );
    step(kitchen.bytes);
    db = await openPlain(database, { write: true });
    await db.run('PRAGMA journal_mode = OFF');
    await db.run('PRAGMA synchronous = OFF');
    await db.run('PRAGMA trusted_schema = OFF');
    await lookThrough(db, manifest, called);
    await db.run('BEGIN');
    const seen = new Set<string>();
    let unreadable = 0;
    for (const entry of manifest.files) {
      if (entry === kitchen) continue;
      if (entry.photo === undefined) {
        if (entry.bytes > MOST_DOCUMENT) throw damagedCopy(called, `${entry.name} is larger than any document`);
        for await (const _ of checked(archive, entry, called));
      } else {
        const jpeg = await buffer(checked(archive, entry, called));
        const [row] = await db.select<{ sum?: number | null }>('SELECT * FROM batch_photos WHERE id = $1', [
          entry.photo,
        ]);
        if (!row || seen.has(entry.photo)) throw damagedCopy(called, `${entry.name} belongs to nothing in it`);
        seen.add(entry.photo);
        // One that was damaged in the kitchen is so in the copy.
        if (!isWhole(jpeg, row.sum)) unreadable++;
        if (keep) await db.run('UPDATE batch_photos SET jpeg = $1 WHERE id = $2', [jpeg, entry.photo]);
      }
      step(entry.bytes);
    }
    await db.run('COMMIT');
    if (seen.size !== manifest.counts.photos) throw damagedCopy(called, 'not all pictures are in it');
    unreadable += await unreadableIn(db);
    return { manifest, database, unreadable };
  } catch (e) {
    throw copyTroubleOf(called, e);
  } finally {
    await db?.close();
    archive.close();
  }
}

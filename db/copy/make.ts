import { createReadStream, existsSync, mkdirSync, renameSync, statSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { version as RELEASE } from '@/package.json';
import { writeArchive } from './archive';
import { besideOf } from './beside';
import { countsOf } from './counts';
import { COPY_VERSION, KITCHEN, MANIFEST, type Manifest, type ManifestEntry, type Why } from './manifest';
import { openPlain, tablesOf, type Plain } from './plain';
import type { Watched } from './progress';
import { manifestOf, proveCopy } from './prove';
import { CopyTrouble, copyTroubleOf, stopped } from './trouble';
import { endWork, newWork, partOf, roomIn } from './work';

export { RELEASE };

/** A proven copy. */
export interface Made {
  readonly file: string;
  readonly bytes: number;
  readonly manifest: Omit<Manifest, 'files'>;
  /** Documents that cannot be read, as they cannot in the kitchen. */
  readonly unreadable: number;
}

const README = `This is a copy of a kitchen of Idle Ladle.

To open it: in the program, under "Copies", choose "Open a copy" and this file; or npm run restore -- FILE.

To read it without the program: plans/, batches/, rack/, larder.json and settings.json are JSON, photos/ are JPEG pictures.
kitchen.sqlite is the whole database (SQLite 3), but for the pictures, which are in photos/.
manifest.json names every file with its length and its checksum (SHA-256).
`;

const bytesOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;
/** A file part by part; opened only once somebody reads it. */
async function* partsOf(file: string): AsyncGenerator<Buffer> {
  for await (const part of createReadStream(file)) yield part as Buffer;
}
const said = (signal: AbortSignal | undefined): void => {
  if (signal?.aborted) throw stopped();
};

/** The whole database as it stands at this moment, into a file of its own; nobody who writes waits for it. */
async function snapshot(live: string, into: string, { signal, onProgress }: Watched): Promise<void> {
  const from = await openPlain(live);
  const all = bytesOf(live) + bytesOf(`${live}-wal`);
  const look = setInterval(() => onProgress?.({ phase: 'gathering', done: bytesOf(into), all }), 300);
  signal?.addEventListener('abort', from.interrupt);
  try {
    await from.run('VACUUM INTO $1', [into]);
  } catch (e) {
    const trouble = copyTroubleOf(`The kitchen in ${live}`, e);
    throw trouble instanceof CopyTrouble && trouble.code === 'damaged-copy' ? trouble : e;
  } finally {
    clearInterval(look);
    signal?.removeEventListener('abort', from.interrupt);
    await from.close();
  }
}

const nameOfKitchen = async (db: Plain): Promise<string> => {
  const [row] = await db.select<{ document: string }>("SELECT document FROM settings WHERE id = 'kitchen'");
  try {
    const { name } = JSON.parse(row?.document ?? '{}') as { name?: unknown };
    return typeof name === 'string' ? name.slice(0, 400) : '';
  } catch {
    return '';
  }
};

/** Pictures and documents beside the database; the pictures are then taken out of it, since they are in the archive once. */
async function packBeside(
  db: Plain,
  zip: ReturnType<typeof writeArchive>,
  watched: Watched,
  all: number,
): Promise<ManifestEntry[]> {
  const files: ManifestEntry[] = [];
  let done = 0;
  for await (const { name, content, photo } of besideOf(db)) {
    said(watched.signal);
    const entry = await zip.add(name, content, { plain: photo !== undefined, bytes: content.length });
    files.push(photo === undefined ? entry : { ...entry, photo });
    done += content.length;
    watched.onProgress?.({ phase: 'packing', done, all: Math.max(all, done) });
  }
  if ((await tablesOf(db)).has('batch_photos')) {
    await db.run("UPDATE batch_photos SET jpeg = x''");
    await db.run('VACUUM');
  }
  return files;
}

/** May be written over: nothing is there, or another copy of a kitchen. */
async function mayWrite(file: string): Promise<void> {
  if (!existsSync(file)) return;
  if (statSync(file).isDirectory())
    throw new CopyTrouble(
      'taken',
      `${file} is a folder; name the file in it, for example ${join(file, 'kitchen.zip')}.`,
    );
  await manifestOf(file, file).catch(() => {
    throw new CopyTrouble(
      'taken',
      `${file} is there already and is no copy of a kitchen; it was left as it is. Name another file.`,
    );
  });
}

/**
 * Makes a copy of a kitchen while it runs: everything that was written before it began is in it. It is opened and checked before it bears its name.
 * @param live the database file @param file the archive to be
 * @throws CopyTrouble with a sentence; nothing is left behind
 */
export async function makeCopy(
  live: string,
  file: string,
  { why, now = new Date(), ...watched }: Watched & { readonly why: Why; readonly now?: Date },
): Promise<Made> {
  const part = partOf(file);
  let work: string | undefined;
  try {
    if (!existsSync(live))
      throw new CopyTrouble('no-place', `There is no kitchen in ${live}; name its file in IDLE_LADLE_DB.`);
    await mayWrite(file);
    mkdirSync(dirname(file), { recursive: true });
    endWork(part);
    work = newWork(live);
    if ((await roomIn(work)) < bytesOf(live))
      throw new CopyTrouble(
        'no-room',
        `There is no room to make a copy beside ${live}: it needs as much again. Make room there first.`,
      );
    const database = join(work, KITCHEN);
    await snapshot(live, database, watched);
    said(watched.signal);
    const all = bytesOf(database);
    const db = await openPlain(database, { write: true });
    let manifest: Manifest;
    const zip = writeArchive(part, watched.signal);
    try {
      await db.run('PRAGMA journal_mode = OFF');
      await db.run('PRAGMA synchronous = OFF');
      const head = {
        format: 'idle-ladle/copy' as const,
        version: COPY_VERSION as typeof COPY_VERSION,
        release: RELEASE,
        madeAt: now.toISOString(),
        why,
        kitchen: await nameOfKitchen(db),
        schema: (await tablesOf(db)).has('SequelizeMeta')
          ? (await db.select<{ name: string }>('SELECT name FROM "SequelizeMeta" ORDER BY name')).map((m) => m.name)
          : [],
        counts: await countsOf(db),
      };
      const files = [await zip.add('README.txt', Buffer.from(README)), ...(await packBeside(db, zip, watched, all))];
      await db.close();
      files.push(await zip.add(KITCHEN, partsOf(database), { bytes: bytesOf(database) }));
      manifest = { ...head, files };
      await zip.add(MANIFEST, Buffer.from(JSON.stringify(manifest)));
      await zip.end();
    } catch (e) {
      await zip.drop(e);
      throw e;
    } finally {
      await db.close().catch(() => undefined);
    }
    const { unreadable } = await proveCopy(part, file, work, watched);
    said(watched.signal);
    renameSync(part, file);
    await syncFolder(dirname(file));
    const { files: _, ...rest } = manifest;
    return { file, bytes: bytesOf(file), manifest: rest, unreadable };
  } catch (e) {
    throw copyTroubleOf(file, e);
  } finally {
    endWork(part);
    if (work !== undefined) endWork(work);
  }
}

/** Its new name is on the disk too, where the system can do that. */
async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, 'r').catch(() => undefined);
  await handle?.sync().catch(() => undefined);
  await handle?.close();
}

import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { open, stat } from 'node:fs/promises';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { crc32 } from 'node:zlib';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { ZipFile as Writing } from 'yazl';
import type { ManifestEntry } from './manifest';
import { CopyTrouble, copyTroubleOf, damagedCopy, notACopy } from './trouble';

/** What an archive may unpack to in all, bytes, and how many files may be in it. */
export const MOST_UNPACKED = 40e9;
const MOST_FILES = 400_000;
/** Documents and pages of a database pack to a tenth; what packs to less than a hundredth is made to fill a disk. */
const MOST_RATIO = 100;
const RATIO_FROM = 50e6;
/** A manifest of so many files is no longer than this, bytes. */
export const MOST_MANIFEST = 100e6;

type Content = Uint8Array | AsyncIterable<Uint8Array>;

/** Writes an archive file by file, each streamed; at its end it is on the disk. */
export function writeArchive(file: string, signal?: AbortSignal) {
  const zip = new Writing();
  // A file that is there already is nobody's to write over.
  const written = pipeline(zip.outputStream, createWriteStream(file, { flags: 'wx', flush: true, mode: 0o600 }), {
    signal,
  });
  written.catch(() => undefined);
  let failed: unknown;
  const broken = written.then(
    () => new Promise<never>(() => undefined),
    (e: unknown) => {
      failed = e;
      throw e;
    },
  );
  broken.catch(() => undefined);
  return {
    /**
     * Adds a file, once all of it was read.
     * @param plain true for what is packed already
     */
    async add(
      name: string,
      content: Content,
      { plain = false, bytes: size = undefined as number | undefined } = {},
    ): Promise<ManifestEntry> {
      if (failed !== undefined) throw failed;
      const hash = createHash('sha256');
      let bytes = 0;
      // The list of files is kept to the end, and with it what each is read by: what is in them is not to be kept with it.
      const held: { parts?: Iterable<Uint8Array> | AsyncIterable<Uint8Array> } = {
        parts: content instanceof Uint8Array ? [content] : content,
      };
      const read = new Promise<void>((done, fail) => {
        zip.addReadStreamLazy(
          name,
          { compress: !plain, mode: 0o600, ...(size === undefined ? {} : { size }) },
          (give) => {
            const from = Readable.from(held.parts ?? [], { objectMode: false });
            held.parts = undefined;
            const through = new Transform({
              transform(part: Buffer, _, next) {
                hash.update(part);
                bytes += part.length;
                next(undefined, part);
              },
            });
            pipeline(from, through).then(done, fail);
            give(undefined, through);
          },
        );
      });
      await Promise.race([read, broken]);
      return { name, bytes, sha256: hash.digest('hex') };
    },
    async end(): Promise<void> {
      zip.end();
      await written;
    },
    /** Leaves it as it is, half written. */
    async drop(why: unknown): Promise<void> {
      (zip.outputStream as Readable).destroy(why instanceof Error ? why : new Error('dropped'));
      await written.catch(() => undefined);
    },
  };
}

const bomb = (file: string) =>
  new CopyTrouble('too-large', `${file} would unpack to more than any kitchen holds; it was not opened.`);

/** Where neither disk nor cook is the cause, the archive is. */
function archiveTroubleOf(called: string, e: unknown): CopyTrouble {
  const trouble = copyTroubleOf(called, e);
  return trouble instanceof CopyTrouble ? trouble : damagedCopy(called, undefined, e);
}

const LOCAL_HEADER = 0x04034b50;
async function beginsAsZip(file: string): Promise<boolean> {
  const handle = await open(file, 'r');
  try {
    const head = Buffer.alloc(4);
    await handle.read(head, 0, 4, 0);
    return head.readUInt32LE(0) === LOCAL_HEADER;
  } finally {
    await handle.close();
  }
}

export interface Archive {
  readonly names: ReadonlySet<string>;
  /** Bytes of a file, as the archive says. */
  bytesOf(name: string): number;
  /** A file as a stream, checked against its checksum as it ends. */
  stream(name: string): AsyncIterable<Uint8Array>;
  close(): void;
}

/**
 * Opens an archive and looks through its list of files, unpacking nothing yet.
 * @param called what the cook calls it
 * @throws CopyTrouble `not-a-copy`, `too-large`, `damaged-copy`
 */
export async function readArchive(file: string, called: string): Promise<Archive> {
  let zip: ZipFile | undefined;
  const entries = new Map<string, Entry>();
  try {
    const { size } = await stat(file);
    if (!(await beginsAsZip(file))) throw notACopy(called);
    zip = await openPromise(file, { lazyEntries: true, autoClose: false, strictFileNames: true });
    if (zip.entryCount > MOST_FILES) throw bomb(called);
    let all = 0;
    for await (const entry of zip.eachEntry()) {
      if (entries.has(entry.fileName)) throw damagedCopy(called);
      entries.set(entry.fileName, entry);
      all += entry.uncompressedSize;
      if (all > MOST_UNPACKED) throw bomb(called);
    }
    if (all > RATIO_FROM && all > size * MOST_RATIO) throw bomb(called);
  } catch (e) {
    zip?.close();
    throw archiveTroubleOf(called, e);
  }
  const opened = zip;
  const entryOf = (name: string): Entry => {
    const entry = entries.get(name);
    if (!entry) throw damagedCopy(called);
    return entry;
  };
  return {
    names: new Set(entries.keys()),
    bytesOf: (name) => entryOf(name).uncompressedSize,
    async *stream(name) {
      const entry = entryOf(name);
      let sum = 0;
      try {
        for await (const part of await opened.openReadStreamPromise(entry)) {
          sum = crc32(part as Buffer, sum);
          yield part as Buffer;
        }
      } catch (e) {
        throw archiveTroubleOf(called, e);
      }
      if (sum !== entry.crc32) throw damagedCopy(called);
    },
    close: () => opened.close(),
  };
}

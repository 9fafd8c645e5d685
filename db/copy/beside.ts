import { RACK_TABLES } from '../models';
import { rowsOf, tablesOf, type Plain } from './plain';

/** A file of an archive: its name and what is in it. */
export interface BesideFile {
  readonly name: string;
  readonly content: Uint8Array;
  /** Of a photo: its id. It is packed already. */
  readonly photo?: string;
}

interface Row {
  readonly id: string;
  readonly document: string;
  readonly revision: number;
  readonly deleted_at?: string | null;
  readonly updated_at?: string | null;
}
interface BatchRow {
  readonly id: string;
  readonly name: string;
  readonly plan_id: string | null;
  readonly plan_revision: number;
  readonly snapshot: string;
  readonly started_at: string;
  readonly finished_at: string | null;
  readonly deleted_at?: string | null;
}
interface EventRow {
  readonly at: string;
  readonly received_at?: string | null;
  readonly event: string;
  readonly key: string;
}
interface PhotoRow {
  readonly id: string;
  readonly batch_id: string;
  readonly jpeg: Buffer;
}

const LONGEST_NAME = 60;
/** A name as part of a file's name, on any system. */
const plainName = (name: string): string =>
  name
    .normalize('NFC')
    .replace(/[^\p{L}\p{N} _-]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, LONGEST_NAME)
    .trim() || 'unnamed';

/** JSON as it stands, or its text where it is none. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return { unreadable: text };
  }
}
const nameIn = (document: unknown): string => {
  const name = (document as { name?: unknown } | null)?.name;
  return typeof name === 'string' ? name : '';
};
const jsonOf = (what: unknown): Uint8Array => Buffer.from(`${JSON.stringify(what, undefined, 2)}\n`);

/**
 * What of a kitchen can be read without this program: JSON and pictures, beside its database in an archive, one at a time. Reads any release's
 * tables: what a release had not yet is left out.
 */
export async function* besideOf(db: Pick<Plain, 'select'>): AsyncGenerator<BesideFile> {
  const tables = await tablesOf(db);
  const used = new Set<string>();
  const named = (folder: string, words: string, ending: string): string => {
    const first = `${folder}/${plainName(words)}`;
    let name = `${first}${ending}`;
    for (let n = 2; used.has(name.toLowerCase()); n++) name = `${first} ${n}${ending}`;
    used.add(name.toLowerCase());
    return name;
  };
  for await (const { id, document, revision, deleted_at, updated_at } of rowsOf<Row>(db, 'plans')) {
    const plan = parsed(document);
    yield {
      name: named('plans', nameIn(plan), '.json'),
      content: jsonOf({ id, revision, updatedAt: updated_at, deletedAt: deleted_at ?? null, plan }),
    };
  }
  for (const [kind, table] of Object.entries(RACK_TABLES)) {
    if (!tables.has(table)) continue;
    const things: unknown[] = [];
    for await (const { document, deleted_at } of rowsOf<Row>(db, table)) if (!deleted_at) things.push(parsed(document));
    yield { name: kind === 'ingredients' ? 'larder.json' : `rack/${kind}.json`, content: jsonOf(things) };
  }
  const settings: Record<string, unknown> = {};
  for await (const { id, document } of rowsOf<Row>(db, 'settings')) settings[id] = parsed(document);
  yield { name: 'settings.json', content: jsonOf(settings) };
  for await (const b of rowsOf<BatchRow>(db, 'batches')) {
    const words = `${b.started_at.slice(0, 10)} ${b.name}`;
    const photos: string[] = [];
    if (tables.has('batch_photos'))
      for (const p of await db.select<PhotoRow>(
        'SELECT id, batch_id, jpeg FROM batch_photos WHERE batch_id = $1 ORDER BY rowid',
        [b.id],
      )) {
        const name = named('photos', words, '.jpg');
        photos.push(name);
        yield { name, content: p.jpeg, photo: p.id };
      }
    const events = await db.select<EventRow>('SELECT * FROM batch_events WHERE batch_id = $1 ORDER BY id', [b.id]);
    yield {
      name: named('batches', words, '.json'),
      content: jsonOf({
        id: b.id,
        name: b.name,
        planId: b.plan_id,
        planRevision: b.plan_revision,
        startedAt: b.started_at,
        finishedAt: b.finished_at,
        deletedAt: b.deleted_at ?? null,
        photos,
        snapshot: parsed(b.snapshot),
        events: events.map((e) => ({
          at: e.at,
          receivedAt: e.received_at ?? null,
          key: e.key,
          event: parsed(e.event),
        })),
      }),
    };
  }
}

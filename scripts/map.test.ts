import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname } from 'node:path';

/** What git knows of some paths, new files too. */
const known = (...of: readonly string[]): readonly string[] =>
  execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', ...of], { encoding: 'utf8' })
    .trim()
    .split('\n');

const files = known().filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$|\/testing\//.test(f));
const page = readFileSync('docs/how-it-works.md', 'utf8');
/** Rows of the map: room, job, and where to begin. */
const rows = [...page.matchAll(/^\| `([\w/]+)` \| ([^|]+) \| `(\w+)` \|$/gm)].map(([, room, job, entry]) => ({
  room,
  job: job.trim(),
  entry,
}));
/** Tables of data, ways and migrations are told with the room they are of. */
const WITHIN = ['core/larder/table', 'db/migrations', 'core/stations', 'core/desk'];

test('every room of the core, the database, the server, the workers, the devices and the interface is on the map, and no other', () => {
  const there = new Set(
    files.map(dirname).filter((d) => /^(core|db|server|workers|devices|ui)\b/.test(d) && !WITHIN.includes(d)),
  );
  expect(rows.map((r) => r.room).sort()).toEqual([...there].sort());
});

test.each(rows.map((r) => [r.room, r.entry] as const))('%s: one begins at %s, which it exports', (room, entry) => {
  const own = files.filter((f) => dirname(f) === room);
  const exported = new RegExp(`^export (default )?(async )?(function\\*?|const|class|interface|type) ${entry}\\b`, 'm');
  expect(own.filter((f) => exported.test(readFileSync(f, 'utf8')))).toHaveLength(1);
});

test('one job a room, said in a line; the map is a page', () => {
  for (const { room, job } of rows) expect([room, job.length > 3 && job.length < 110]).toEqual([room, true]);
  expect(page.split(/\s+/).length).toBeLessThan(1500);
});

test('every path that the documents name is there', () => {
  const all = known();
  const named = known('docs/*.md', 'docs/chapters/*.md', 'README.md').flatMap((doc) =>
    [...readFileSync(doc, 'utf8').matchAll(/`((?:core|ui|db|server|workers|devices|scripts)\/[\w./-]+)`/g)].map(
      (m) => [m[1], doc] as const,
    ),
  );
  expect(named.length).toBeGreaterThan(100);
  expect(named.filter(([p]) => !all.some((f) => f === p || f.startsWith(`${p}/`) || f.startsWith(`${p}.`)))).toEqual(
    [],
  );
});

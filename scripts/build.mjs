import { readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { bundle } from './bundle.mjs';
import { bin, run } from './ready.mjs';
import { THROWN_AWAY } from './whole.mjs';

/**
 * Builds all that a kitchen runs: the pages; `dist/idle-ladle.mjs`, the one file that starts them, and its threads for the heat and for copies; and the static files
 * packed once, so that none is packed while somebody waits. What each route brings along and is the same for all of them is one file. What it is built
 * with is not needed to run it.
 */
const dist = process.env.IDLE_LADLE_DIST ?? '.next';
const PACKED = /\.(js|css|svg|json|txt)$/;
/** The last tenth takes most of the time. */
const QUALITY = THROWN_AWAY ? 4 : 11;
/** Below this, packing saves nothing on the wire, bytes. */
const LEAST = 600;

const folders = process.argv.slice(2);
const only = (what) => folders.length === 0 || folders.includes(what);

const files = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((f) =>
    f.isDirectory() ? files(join(folder, f.name)) : [join(folder, f.name)],
  );

async function packAll() {
  const waiting = files(join(dist, 'static')).filter((f) => PACKED.test(f));
  const [brotli, zip] = [promisify(brotliCompress), promisify(gzip)];
  const next = async () => {
    for (let file = waiting.pop(); file !== undefined; file = waiting.pop()) {
      const plain = readFileSync(file);
      if (plain.length < LEAST) continue;
      const [br, gz] = await Promise.all([
        brotli(plain, {
          params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY, [constants.BROTLI_PARAM_SIZE_HINT]: plain.length },
        }),
        zip(plain, { level: THROWN_AWAY ? 1 : 9 }),
      ]);
      if (br.length < plain.length) writeFileSync(`${file}.br`, br);
      if (gz.length < plain.length) writeFileSync(`${file}.gz`, gz);
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, next));
}

/** The bundler writes the same chunk once for each route; read once, a start takes half the time and a third less memory. */
function sameOnce(folder) {
  const first = new Map();
  for (const name of readdirSync(folder).filter((f) => f.endsWith('.js'))) {
    const chunk = readFileSync(join(folder, name), 'utf8').replace(/\n\/\/# sourceMappingURL=.*\s*$/, '');
    const same = first.get(chunk);
    if (same === undefined) first.set(chunk, name);
    else {
      rmSync(join(folder, name));
      symlinkSync(same, join(folder, name));
    }
  }
}

if (only('pages')) {
  const done = run(bin('next'), ['build'], { orGoOn: true });
  if (done.status !== 0) process.exit(done.status ?? 1);
  await packAll();
  for (const folder of ['chunks', 'chunks/ssr']) sameOnce(join(dist, 'server', folder));
}
if (only('file'))
  await bundle(
    {
      'idle-ladle': 'scripts/idleLadle.ts',
      'core.thread': 'workers/core.thread.ts',
      'copy.thread': 'server/copies/thread.ts',
    },
    'dist',
  );

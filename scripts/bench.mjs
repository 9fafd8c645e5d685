import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import { existsSync } from 'node:fs';
import { bin, run } from './ready.mjs';

/** Speed and accuracy of the models, on code bundled as the browser gets it; then how long lists take to answer in a kitchen with a long life. */
const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-bench-'));
const file = join(folder, 'bench.mjs');
await build({
  entryPoints: ['scripts/bench.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile: file,
  logLevel: 'error',
});
run('node', [file], { orGoOn: true });
rmSync(folder, { recursive: true, force: true });
if (!existsSync('.next/BUILD_ID') || !existsSync('dist/idle-ladle.mjs')) run('node', ['scripts/build.mjs']);
run(bin('tsx'), ['scripts/benchLists.ts'], { orGoOn: true });
run(bin('tsx'), ['scripts/benchBrowser.ts'], { orGoOn: true });

import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname } from 'node:path';
import { bin, installPackages, runBeside } from './ready.mjs';

/**
 * What is run at every thought, in under a minute: types of everything; layout and lint of what was changed since the last commit (or since the
 * commit that is named: `npm run check -- main~3`); and the tests that look at it. Everything else is `npm test`.
 */
await installPackages();
const since = process.argv[2] ?? 'HEAD';
/** More tests than this are not all run: then those in the rooms that were changed are. */
const MOST = 16;

const git = (...args) => execFileSync('git', args, { encoding: 'utf8' }).split('\n').filter(Boolean);
const changed = [
  ...new Set([...git('diff', '--name-only', since), ...git('ls-files', '--others', '--exclude-standard')]),
].filter((f) => existsSync(f));
const code = changed.filter((f) => /\.(ts|tsx|mjs|cjs)$/.test(f));
const formatted = changed.filter((f) => /\.(ts|tsx|mjs|cjs|css|json)$/.test(f));
const sources = code.filter((f) => /\.tsx?$/.test(f) && !f.startsWith('e2e/'));

async function tests() {
  if (sources.length === 0) return undefined;
  const listed = await runBeside(bin('jest'), ['--listTests', '--findRelatedTests', ...sources]);
  const related = listed.output.split('\n').filter((l) => /\.test\.tsx?$/.test(l));
  if (related.length === 0) return undefined;
  if (related.length <= MOST) return ['--runTestsByPath', ...related];
  const rooms = new Set(sources.map(dirname));
  const near = related.filter((t) => [...rooms].some((r) => dirname(t).endsWith(`/${r}`)));
  console.log(
    `${related.length} test files look at what was changed; the ${near.length} in its own rooms are run, npm test runs them all.`,
  );
  return near.length > 0 ? ['--runTestsByPath', ...near] : undefined;
}

let failed = false;
const step = async (title, command, args, env = {}) => {
  const from = Date.now();
  const done = await runBeside(command, args, env);
  console.log(`\n== ${title} (${Math.round((Date.now() - from) / 1000)} s)`);
  if (done.status !== 0) {
    failed = true;
    console.log(done.output.trim());
  }
};
const from = Date.now();
await Promise.all([
  step('Types', bin('tsc'), [
    '--noEmit',
    '--incremental',
    '--tsBuildInfoFile',
    'node_modules/.cache/types.tsbuildinfo',
  ]),
  (async () => {
    if (code.length > 0) await step(`Lint of ${code.length} files`, bin('eslint'), ['--no-warn-ignored', ...code]);
    if (formatted.length > 0)
      await step('Layout', bin('prettier'), ['--check', '--ignore-unknown', '--log-level', 'warn', ...formatted]);
    const which = await tests();
    if (which) await step('Tests', bin('jest'), ['--maxWorkers=2', ...which]);
  })(),
]);
console.log(`\n${failed ? 'Something is wrong.' : 'All well.'} (${Math.round((Date.now() - from) / 1000)} s)`);
process.exitCode = failed ? 1 : 0;

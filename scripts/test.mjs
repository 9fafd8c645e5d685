import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, installChromium, installPackages, run, runBeside } from './ready.mjs';

/**
 * Types, lint with the arrow rules, unit tests, a production build, and browser tests; the last line counts the tests. Everything runs in three lanes
 * beside one another: what is looked at in a browser, what is read, and what is run. What is timed comes last, alone.
 */
const ALL = process.env.IDLE_LADLE_TESTS === 'all';
const began = Date.now();
const installed = installPackages();
installChromium();
const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-'));
const report = (name) => JSON.parse(readFileSync(join(folder, name), 'utf8'));
let passed = 0;
let failed = 0;
let broken = false;
const parts = [];

/** Runs a part and prints what it said when it is done; true where it found nothing. */
const part = async (title, command, args, env = {}) => {
  const since = Date.now();
  const done = await runBeside(command, args, env);
  const took = Math.round((Date.now() - since) / 1000);
  parts.push(`${title} ${took} s`);
  console.log(`\n== ${title}\n(${took} s)`);
  if (done.output.trim()) console.log(done.output.trim());
  if (done.status !== 0) broken = true;
  return done.status === 0;
};
/** Counts the tests of a part by what it wrote down. */
const count = (name, counted) => {
  try {
    const [good, bad] = counted(report(name));
    passed += good;
    failed += bad;
  } catch {
    failed += 1;
  }
};
const browser = async (title, args) => {
  const name = `${title.replaceAll(' ', '-')}.json`;
  await part(title, bin('playwright'), ['test', ...args], { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, name) });
  count(name, ({ stats }) => [stats.expected, stats.unexpected + stats.flaky]);
};

run(bin('next'), ['typegen'], { orGoOn: true, quiet: true });
const rooms = ['core', 'server', 'db', 'workers', 'ui', 'app', 'devices', 'scripts'];
const env = { IDLE_LADLE_DIST: '.next-test', IDLE_LADLE_TEST_FOLDER: folder, IDLE_LADLE_TYPES: 'checked' };
// Linter and formatter go by the text of a file, so what they found of it the last time holds; in continuous integration all is looked at.
const known = (name) =>
  process.env.CI ? [] : ['--cache', '--cache-strategy', 'content', '--cache-location', `node_modules/.cache/${name}`];

/** Files whose layout is looked at: all, or in `npm test` those of the last commits and what is not committed, and a fifth of the others by turns. */
function layout() {
  if (ALL) return ['.'];
  const git = (...args) => spawnSync('git', args, { encoding: 'utf8' }).stdout?.split('\n').filter(Boolean) ?? [];
  const files = git('ls-files').filter((f) => /\.(ts|tsx|mjs|cjs|css|json)$/.test(f) && existsSync(f));
  const late = new Set([...git('diff', '--name-only', 'HEAD'), ...git('log', '-3', '--name-only', '--format=')]);
  const turn = Number(process.env.IDLE_LADLE_TURN ?? Math.floor(Date.now() / 86_400_000)) % 5;
  return ['--ignore-unknown', ...files.filter((f, i) => late.has(f) || i % 5 === turn)];
}

let timed = false;
await Promise.all([
  (async () => {
    await installed;
    if (!(await part('Build', process.execPath, ['scripts/build.mjs'], env))) {
      failed += 1;
      return;
    }
    await browser('Browser tests', [
      '--project',
      'galley',
      '--project',
      'safe',
      '--project',
      'empty',
      '--project',
      'stations',
      '--project',
      'stove',
    ]);
    timed = true;
  })(),
  (async () => {
    await part('Types', bin('tsc'), [
      '--noEmit',
      '--incremental',
      '--tsBuildInfoFile',
      'node_modules/.cache/types.tsbuildinfo',
    ]);
    await part('Arrows', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...rooms]);
    await part('Lint', bin('eslint'), [...known('eslint.json'), '.']);
    await part('Layout', bin('prettier'), ['--check', '--log-level', 'warn', ...known('prettier.json'), ...layout()]);
  })(),
  (async () => {
    await installed;
    // One more than there are cores: some of them wait for timers, files and servers.
    await part(
      'Unit tests',
      bin('jest'),
      [`--maxWorkers=${ALL ? 3 : 2}`, '--silent', '--json', `--outputFile=${join(folder, 'unit.json')}`],
      { IDLE_LADLE_TURNS: '1' },
    );
    count('unit.json', (unit) => [unit.numPassedTests, unit.numFailedTests + unit.numRuntimeErrorTestSuites]);
  })(),
]);
if (timed) await browser('Timed tests', ['--project', 'timed', '--no-deps', '--pass-with-no-tests']);

rmSync(folder, { recursive: true, force: true });
const bad = broken || failed > 0;
if (bad && failed === 0) failed = 1;
console.log(`\n${parts.join(', ')}; in all ${Math.round((Date.now() - began) / 1000)} s`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = bad ? 1 : 0;

import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { git } from './git.mjs';
import { bin, installChromium, installPackages, runBeside } from './ready.mjs';
import { lateFiles, turnNow } from './turn.mjs';
import { hasTurn } from './turns.mjs';
import { WHOLE } from './whole.mjs';

/**
 * Types, lint with the arrow rules, unit tests, a production build, and browser tests; the last line counts the tests. Three lanes run beside one
 * another: what is looked at in a browser, what is read, and what is run; in continuous integration one after the other. What is timed comes last, alone.
 */
const began = Date.now();
// One for all parts.
const turn = turnNow();
process.env.IDLE_LADLE_TURN = String(turn);
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
const browser = async (title, args, more = {}) => {
  const name = `${title.replaceAll(' ', '-')}.json`;
  await part(title, bin('playwright'), ['test', ...args], {
    ...env,
    ...more,
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, name),
  });
  count(name, ({ stats }) => [stats.expected, stats.unexpected + stats.flaky]);
};

const rooms = ['core', 'server', 'db', 'workers', 'ui', 'app', 'devices', 'scripts'];
const env = { IDLE_LADLE_DIST: '.next-test', IDLE_LADLE_TEST_FOLDER: folder, IDLE_LADLE_TYPES: 'checked' };
const CODE = /\.(ts|tsx|mjs|cjs)$/;
const LAID_OUT = /\.(ts|tsx|mjs|cjs|css|json)$/;

/**
 * What linter and formatter are given, as they go by the text of a file: all files, or in `npm test` those of the last commits and what is not committed, and
 * a fifth of the others by turns. There what was found of a file the last time holds, so all are looked at where that was written down.
 */
function looked(name, kinds) {
  if (WHOLE) return ['.'];
  const found = `node_modules/.cache/${name}`;
  const kept = ['--cache', '--cache-strategy', 'content', '--cache-location', found];
  if (existsSync(found)) return [...kept, '.'];
  const files = git('ls-files').filter((f) => kinds.test(f) && existsSync(f));
  const late = lateFiles(10);
  const some = files.filter((f, i) => late.has(f) || i % 5 === turn % 5);
  // Where there is no history to ask, all.
  return [...kept, ...(late.size > 0 ? some : ['.'])];
}

/** What is read: types, then lint. */
async function read() {
  await runBeside(bin('next'), ['typegen']);
  const kept = ['--noEmit', '--incremental', '--tsBuildInfoFile', 'node_modules/.cache/types.tsbuildinfo'];
  await part('Types', bin('tsc'), kept);
  await part('Lint', bin('eslint'), ['--no-warn-ignored', ...looked('eslint.json', CODE)], {
    IDLE_LADLE_LINT: WHOLE ? 'whole' : 'quick',
  });
}
/** What is read and needs no types. */
async function readPlain() {
  await part('Arrows', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...rooms]);
  await part('Layout', bin('prettier'), [
    '--check',
    '--log-level',
    'warn',
    '--ignore-unknown',
    ...looked('prettier.json', LAID_OUT),
  ]);
}
/** What is run. */
async function units() {
  await installed;
  // Where it is alone, one more than there are cores: some of them wait for timers, files and servers.
  const workers = `--maxWorkers=${WHOLE ? 3 : 2}`;
  await part('Unit tests', bin('jest'), [workers, '--silent', '--json', `--outputFile=${join(folder, 'unit.json')}`], {
    IDLE_LADLE_TURNS: '1',
  });
  count('unit.json', (unit) => [unit.numPassedTests, unit.numFailedTests + unit.numRuntimeErrorTestSuites]);
}
/** What is looked at: answers whether there is something to look at. */
async function built() {
  await installed;
  const good = await part('Build', process.execPath, ['scripts/build.mjs'], env);
  if (!good) failed += 1;
  return good;
}
const look = () => browser('Browser tests', ['--project', 'bench', '--project', 'kitchens']);
const timed = () =>
  browser('Timed tests', ['--project', 'timed', '--no-deps', '--pass-with-no-tests'], {
    IDLE_LADLE_KITCHENS: 'galley',
  });

if (WHOLE) {
  // Nobody waits for it, so nothing of it waits for the rest.
  const [there] = await Promise.all([
    built().then(async (good) => {
      await readPlain();
      return good;
    }),
    read(),
  ]);
  await units();
  // What is timed follows in the same kitchens, as nothing else runs.
  if (there) await browser('Browser tests', []);
} else {
  const [there] = await Promise.all([
    built().then(async (good) => {
      if (good) await look();
      return good;
    }),
    read().then(readPlain),
    units(),
  ]);
  // Where none of them has its turn, not even kitchens are started.
  if (there && hasTurn('e2e', 'galley.speed.spec.ts', turn)) await timed();
}

rmSync(folder, { recursive: true, force: true });
const bad = broken || failed > 0;
if (bad && failed === 0) failed = 1;
console.log(`\n${parts.join(', ')}; in all ${Math.round((Date.now() - began) / 1000)} s; turn ${turn}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = bad ? 1 : 0;

import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, installChromium, installPackages, run, runBeside } from './ready.mjs';

/** Types, lint with the arrow rules, unit tests, a production build, and browser tests; the last line counts the tests. */
const installed = installPackages();
installChromium();
const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-'));
const report = (name) => JSON.parse(readFileSync(join(folder, name), 'utf8'));
let passed = 0;
let failed = 0;
let broken = false;
const took = (since) => `(${Math.round((Date.now() - since) / 1000)} s)`;
const step = (title, command, args, env = {}) => {
  console.log(`\n== ${title}`);
  const since = Date.now();
  const done = run(command, args, { orGoOn: true, env });
  console.log(took(since));
  if (done.status !== 0) broken = true;
  return done.status === 0;
};

/** A check that prints when it is done; true where it found nothing. */
const checked = async (title, command, args, env = {}) => {
  const since = Date.now();
  const done = await runBeside(command, args, env);
  console.log(`\n== ${title}\n${took(since)}`);
  if (done.output.trim()) console.log(done.output.trim());
  if (done.status !== 0) broken = true;
  return done.status === 0;
};

run(bin('next'), ['typegen'], { orGoOn: true, quiet: true });
// Linter and layout take as long as the others together, so they run beside them; each prints its own when it is done.
const rooms = ['core', 'server', 'db', 'workers', 'ui', 'app', 'devices', 'scripts'];
const env = { IDLE_LADLE_DIST: '.next-test', IDLE_LADLE_TEST_FOLDER: folder, IDLE_LADLE_TYPES: 'checked' };
const [, built] = await Promise.all([
  (async () => {
    await checked('Lint', bin('eslint'), ['.']);
    await checked('Layout', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
  })(),
  (async () => {
    await checked('Types', bin('tsc'), ['--noEmit']);
    await checked('Arrows', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', ...rooms]);
    await installed;
    return checked('Build', bin('next'), ['build'], env);
  })(),
]);

// One more than there are cores: some of them wait for timers, files and servers.
step('Unit tests', bin('jest'), ['--maxWorkers=3', '--json', `--outputFile=${join(folder, 'unit.json')}`]);
try {
  const unit = report('unit.json');
  passed += unit.numPassedTests;
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
} catch {
  failed += 1;
}

if (built) {
  step('Browser tests', bin('playwright'), ['test'], { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(folder, 'e2e.json') });
  try {
    const { stats } = report('e2e.json');
    passed += stats.expected;
    failed += stats.unexpected + stats.flaky;
  } catch {
    failed += 1;
  }
} else failed += 1;

rmSync(folder, { recursive: true, force: true });
const bad = broken || failed > 0;
if (bad && failed === 0) failed = 1;
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = bad ? 1 : 0;

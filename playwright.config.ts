import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { GALLEY, PORTS } from './e2e/kitchens';
import { CHROMIUM_FLAGS } from './scripts/chromium';
import { lateFiles, turnNow } from './scripts/turn.mjs';
import { longOfOtherTurns, testsOfTurn } from './scripts/turns.mjs';
import { WHOLE } from './scripts/whole.mjs';

process.env.IDLE_LADLE_TEST_FOLDER ??= mkdtempSync(join(tmpdir(), 'idle-ladle-'));
const folder = process.env.IDLE_LADLE_TEST_FOLDER;
const dist = process.env.IDLE_LADLE_DIST ?? '.next';
const READY = 3210;
/** Those that are opened: all, or the one that is named. */
const opened =
  process.env.IDLE_LADLE_KITCHENS === 'galley' ? [PORTS.galley] : ['empty', PORTS.empty, PORTS.galley, PORTS.other];
/**
 * Browser tests against a production build: an empty kitchen and two with the demo galley, each on its own temporary
 * database. `npm test` runs some of them, others each day; continuous integration all but three quarters of the long ones, others with each commit
 * (`scripts/turns`). `SOAK=1` runs all, then, alone, what is timed, and what tries every family.
 */
const soak = process.env.SOAK === '1';
const some = () =>
  WHOLE ? { grepInvert: longOfOtherTurns('e2e', turnNow(), lateFiles(4)) } : { grep: testsOfTurn('e2e', turnNow()) };
const BENCH = /galley\.(access|bench|keys|larder|learned|mind|mix|stage|steam)\.spec\.ts/;
const APART = [/galley\.speed\.spec\.ts/, /soak\..*\.spec\.ts/];
const chromium = (...more: readonly string[]) => ({
  executablePath: '/usr/bin/chromium',
  args: [...CHROMIUM_FLAGS, ...more],
});
// Two lanes that end at about the same time, each with a browser of its own; which kitchen a file works in it says itself.
const lanes = [
  { name: 'bench', testMatch: BENCH },
  { name: 'kitchens', testIgnore: [BENCH, ...APART] },
].map((lane) => ({
  ...lane,
  workers: 1,
  // Two browsers on two cores: compiling and clearing up in threads beside the page's own costs more than it saves. What is timed has them.
  use: { launchOptions: chromium('--js-flags=--single-threaded') },
}));
/** Timed alone, once the others are through. */
const timed = {
  name: 'timed',
  testMatch: /galley\.speed\.spec\.ts/,
  workers: 1,
  dependencies: lanes.map((l) => l.name),
};
export default defineConfig({
  testDir: 'e2e',
  timeout: 150_000,
  workers: 2,
  fullyParallel: false,
  retries: 0,
  expect: { timeout: 30_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
  use: {
    ...GALLEY,
    // A page that is compiled anew takes twice its time.
    reuseContext: true,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: chromium(),
  },
  ...(soak ? {} : some()),
  projects: [
    ...lanes,
    timed,
    ...(soak ? [{ name: 'soak', testMatch: /soak\..*\.spec\.ts/, workers: 1, dependencies: ['timed'] }] : []),
  ],
  webServer: {
    command: `node scripts/testGalleys.mjs ${folder} ${READY} ${opened.join(' ')}`,
    url: `http://127.0.0.1:${READY}`,
    timeout: 180_000,
    reuseExistingServer: false,
    env: { IDLE_LADLE_DIST: dist },
  },
});

import { defineConfig } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS } from './scripts/chromium';
import { turnToday } from './scripts/turn.mjs';
import { testsOfTurn } from './scripts/turns';
import { WHOLE } from './scripts/whole.mjs';

process.env.IDLE_LADLE_TEST_FOLDER ??= mkdtempSync(join(tmpdir(), 'idle-ladle-'));
const folder = process.env.IDLE_LADLE_TEST_FOLDER;
const dist = process.env.IDLE_LADLE_DIST ?? '.next';
const READY = 3210;
const galleys = (...kitchens: string[]) => ({
  command: `node scripts/testGalleys.mjs ${folder} ${READY} ${kitchens.join(' ')}`,
  url: `http://127.0.0.1:${READY}`,
  timeout: 180_000,
  reuseExistingServer: false,
  env: { IDLE_LADLE_DIST: dist },
});

/**
 * Browser tests against a production build: an empty kitchen and three with the demo galley, each on its own temporary database,
 * two of them at a time. `npm test` runs some of them, others each day (`scripts/turns`); continuous integration
 * all. `SOAK=1` runs the long ones, then, alone, what is timed and what tries every family.
 */
const soak = process.env.SOAK === '1';
// In this order they end at about the same time.
const kitchens = [
  {
    name: 'galley',
    testMatch: /galley\.(access|bench|keys|larder|learned|mind|stage|trust)\.spec\.ts/,
    workers: 1,
    use: { baseURL: 'http://127.0.0.1:3212' },
  },
  { name: 'safe', testMatch: /galley\.safe\.spec\.ts/, workers: 1, use: { baseURL: 'http://127.0.0.1:3214' } },
  { name: 'empty', testMatch: /empty\..*\.spec\.ts/, workers: 1, use: { baseURL: 'http://127.0.0.1:3211' } },
  {
    name: 'stations',
    testMatch: /galley\.(flow|mix|rest|steam)\.spec\.ts/,
    workers: 1,
    use: { baseURL: 'http://127.0.0.1:3213' },
  },
  // It starts, stops and practises on a kitchen of its own.
  { name: 'stove', testMatch: /galley\.stove\.spec\.ts/, workers: 1 },
];
/** Timed alone, once the others are through. */
const timed = {
  name: 'timed',
  testMatch: /galley\.speed\.spec\.ts/,
  workers: 1,
  dependencies: kitchens.map((k) => k.name),
  use: { baseURL: 'http://127.0.0.1:3212' },
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
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: CHROMIUM_FLAGS,
    },
  },
  ...(soak || WHOLE ? {} : { grep: testsOfTurn('e2e', turnToday()) }),
  projects: soak
    ? [
        ...kitchens.map((k) => ({ ...k, grep: /@long/ })),
        {
          name: 'soak',
          testMatch: /soak\..*\.spec\.ts/,
          workers: 1,
          dependencies: kitchens.map((k) => k.name),
          use: { baseURL: 'http://127.0.0.1:3212' },
        },
      ]
    : [...kitchens, timed],
  webServer: galleys('empty', '3211', '3212', '3213', '3214'),
});

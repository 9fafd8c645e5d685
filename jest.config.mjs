import { heatFolder } from './scripts/heatFolder.mjs';
import { LONG } from './scripts/longFirst.mjs';
import { turnNow } from './scripts/turn.mjs';
import { EVERY_CASE } from './scripts/whole.mjs';

const turn = turnNow();
// The cases within the tests go by the same turn.
process.env.IDLE_LADLE_TURN = String(turn);
const byTurns = process.env.IDLE_LADLE_TURNS === '1';
const later = byTurns ? LONG.filter((_, i) => i % 4 !== turn % 4) : [];

process.env.IDLE_LADLE_EVERY_CASE = EVERY_CASE ? '1' : '0';

try {
  process.env.IDLE_LADLE_HEAT ??= heatFolder();
} catch {
  // Where nothing can be kept everything is worked out.
}

export default {
  testEnvironment: 'node',
  roots: [
    '<rootDir>/core',
    '<rootDir>/db',
    '<rootDir>/devices',
    '<rootDir>/server',
    '<rootDir>/scripts',
    '<rootDir>/ui',
    '<rootDir>/workers',
  ],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  // These ship ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-[a-z]+|internmap|nanoid|tinykeys|lru-cache)/)'],
  transform: {
    '^.+\\.(tsx?|mjs|js)$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  moduleNameMapper: { '\\.css$': 'identity-obj-proxy', '^@/(.*)$': '<rootDir>/$1' },
  testTimeout: 30000,
  // A test file runs in a world of its own, where what is global is looked up by name each time: a loop over cells took three times as long for `Math`.
  sandboxInjectedGlobals: [
    'Math',
    'Number',
    'Infinity',
    'Object',
    'Array',
    'Map',
    'Set',
    'Float64Array',
    'JSON',
    'Symbol',
  ],
  testSequencer: '<rootDir>/scripts/longFirst.mjs',
  setupFiles: ['<rootDir>/scripts/heatOnDisk.ts'],
  // The whole table of practice takes half a minute before its first test, the census reads the whole project: continuous integration has them each time.
  testPathIgnorePatterns: [
    '/node_modules/',
    ...(EVERY_CASE
      ? []
      : ['<rootDir>/core/testing/truth/', '<rootDir>/scripts/census.test.ts', ...later.map((f) => `<rootDir>/${f}`)]),
  ],
};

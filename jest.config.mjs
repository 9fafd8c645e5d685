import { heatFolder } from './scripts/heatFolder.mjs';

const all = process.env.IDLE_LADLE_TESTS === 'all' || process.env.SOAK === '1';

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
  setupFiles: ['<rootDir>/scripts/heatOnDisk.ts'],
  // The whole table of practice takes half a minute before its first test: continuous integration and the soak have it.
  testPathIgnorePatterns: ['/node_modules/', ...(all ? [] : ['<rootDir>/core/truth/'])],
};

export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/core', '<rootDir>/db', '<rootDir>/server', '<rootDir>/scripts', '<rootDir>/ui'],
  testMatch: ['**/*.test.ts'],
  // d3 ships ES modules only.
  transformIgnorePatterns: ['/node_modules/(?!(d3-[a-z]+|internmap)/)'],
  transform: {
    '^.+\\.(tsx?|mjs|js)$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
  testTimeout: 30000,
};

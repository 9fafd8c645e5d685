export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/core', '<rootDir>/db', '<rootDir>/server', '<rootDir>/scripts', '<rootDir>/ui'],
  testMatch: ['**/*.test.ts'],
  transform: { '^.+\\.tsx?$': ['@swc/jest', { jsc: { parser: { syntax: 'typescript', tsx: true }, target: 'es2022' }, module: { type: 'commonjs' } }] },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1' },
  testTimeout: 30000,
};

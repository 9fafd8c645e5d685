import js from '@eslint/js';
import globals from 'globals';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';
import { WHOLE } from './scripts/whole.mjs';

/**
 * The rules that work through each component as the compiler does take half of the linter's time, and the build does the same: in `npm test` they are
 * left to it, in continuous integration they run.
 */
const QUICK_HOOKS = { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'warn' };

export default ts.config(
  {
    ignores: [
      '.next/**',
      'dist/**',
      '.next-*/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
      'docs/**',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', ignoreRestSiblings: true, varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: 'error',
      'no-console': 'off',
    },
  },
  {
    // Reading types takes most of the linter's time, and there are promises in these rooms only.
    files: ['{app,db,devices,server,ui,workers}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', '**/testing/**'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  { files: ['ui/**/*.{ts,tsx}', 'app/**/*.tsx'], ...a11y.flatConfigs.recommended },
  {
    files: ['ui/**/*.{ts,tsx}', 'app/**/*.tsx'],
    plugins: { 'react-hooks': hooks },
    rules: WHOLE ? hooks.configs.recommended.rules : QUICK_HOOKS,
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/testing/runs.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness takes a seed.' },
      ],
    },
  },
  { files: ['**/*.cjs'], languageOptions: { sourceType: 'commonjs' } },
);

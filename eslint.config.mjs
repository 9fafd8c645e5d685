import js from '@eslint/js';
import globals from 'globals';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/**
 * In `npm test` two things are left to `npm run check`, which does them for what was changed, and to continuous integration: reading types, which takes
 * most of the linter's time, and the rules that work through each component as the compiler does, half of the rest.
 */
const QUICK = process.env.IDLE_LADLE_LINT === 'quick';
const QUICK_HOOKS = { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'warn' };
const TYPED = {
  // There are promises in these rooms only.
  files: ['{app,db,devices,server,ui,workers}/**/*.{ts,tsx}'],
  ignores: ['**/*.test.{ts,tsx}', '**/testing/**'],
  languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
  rules: { '@typescript-eslint/no-floating-promises': 'error' },
};

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
  ...(QUICK ? [] : [TYPED]),
  { files: ['ui/**/*.{ts,tsx}', 'app/**/*.tsx'], ...a11y.flatConfigs.recommended },
  {
    files: ['ui/**/*.{ts,tsx}', 'app/**/*.tsx'],
    plugins: { 'react-hooks': hooks },
    rules: QUICK ? QUICK_HOOKS : hooks.configs.recommended.rules,
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
  {
    files: ['ui/**/*.{ts,tsx}', 'app/**/*.{ts,tsx}'],
    ignores: ['ui/kit/deviceStore.ts', '**/*.test.{ts,tsx}', '**/testing/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'localStorage', message: 'The one store of a device is ui/kit/deviceStore.' },
        { name: 'sessionStorage', message: 'The one store of a device is ui/kit/deviceStore.' },
      ],
    },
  },
  {
    // Bench and stove are drawn with our own kit; the library draws larder, rack, pages about them, and every dialog.
    files: [
      'ui/{bench,cut,gallery,lines,method,mix,rest,sear,section,serve,stage,steam,stove,timeline,try,vessel}/**/*.tsx',
    ],
    ignores: ['**/*Dialog.tsx', '**/*.test.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@mui/material',
              allowImportNames: ['Autocomplete', 'Dialog'],
              message: 'Bench and stove are drawn with ui/kit.',
            },
          ],
        },
      ],
    },
  },
  { files: ['**/*.cjs'], languageOptions: { sourceType: 'commonjs' } },
);

import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What a room must not import: dependencies point one way, and the core knows no framework. */
const forbid = (files, patterns) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }] },
});

const FRAMEWORKS = ['react*', '@nestjs/*', 'typeorm', 'express', 'styled-components', '@reduxjs/*'];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'test-results/**', 'apps/web/src/api/described.ts'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: {
      parserOptions: {
        project: ['tsconfig.lint.json', 'apps/web/tsconfig.json', 'e2e/tsconfig.json', 'bench/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
    },
  },
  {
    // Nest injects by the types of constructor parameters, which therefore have to be there at run time.
    files: ['apps/server/src/**/*.ts', 'packages/core/src/model/**/*.ts'],
    rules: { '@typescript-eslint/consistent-type-imports': 'off' },
  },
  forbid(
    ['packages/core/src/**/*.ts'],
    [
      [[...FRAMEWORKS, '@dialoga/*', 'comlink'], 'The core imports no framework and no other room.'],
      [['node:*', 'fs', 'path'], 'The core has no Node API; it runs in the browser too.'],
    ],
  ),
  {
    // Its tests may read files: tables that were made by other programs.
    files: ['packages/core/src/**/*.test.ts', 'packages/core/src/**/*.testing.ts'],
    rules: { 'no-restricted-imports': 'off' },
  },
  forbid(
    ['apps/web/src/**/*.ts', 'apps/web/src/**/*.tsx'],
    [
      [
        ['@dialoga/server*', '@dialoga/cli*', '@dialoga/core/entry', 'typeorm', '@nestjs/*'],
        'The page is thin over the core.',
      ],
    ],
  ),
  forbid(
    ['apps/server/src/**/*.ts'],
    [[['@dialoga/web*', '@dialoga/cli*', 'react*'], 'The server is thin over the core.']],
  ),
  forbid(
    ['apps/cli/src/**/*.ts'],
    [[['@dialoga/web*', '@dialoga/server*', ...FRAMEWORKS], 'The command line is thin over the core.']],
  ),
  { files: ['apps/web/src/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['apps/web/src/**/*.tsx', 'apps/web/src/**/*.ts'], ...hooks.configs.flat['recommended-latest'] },
  {
    // The React compiler is not used; the grid's rows are drawn by a virtualiser that it would skip.
    files: ['apps/web/src/grid/grid.tsx'],
    rules: { 'react-hooks/incompatible-library': 'off' },
  },
  {
    files: ['scripts/**/*.mjs', 'apps/cli/src/{check,rehearse,serve-file}.ts', 'bench/**/*.ts'],
    rules: { 'no-console': 'off' },
  },
);

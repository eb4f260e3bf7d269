import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import { configs as regexp } from 'eslint-plugin-regexp';
import ts from 'typescript-eslint';

export default ts.config(
  {
    ignores: [
      '**/dist/',
      '**/generated/',
      '.data/',
      '.stamps/',
      'packages/core/src/geometry/font-tables.ts',
      'packages/core/src/geometry/font-sources.ts',
      '**/test-results/',
      '*.cjs',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        project: [
          'packages/*/tsconfig.json',
          'apps/*/tsconfig.json',
          'demo/tsconfig.json',
          'bench/tsconfig.json',
          'e2e/tsconfig.json',
          'tsconfig.test.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/require-await': 'off',
      // A type with a name of its own is said by that name, in errors too.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'chance is passed in' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // Patterns read what people send: none of them may go back and forth over it.
    files: ['apps/server/src/**', 'packages/{contract,core,formats,livemap}/src/**'],
    plugins: regexp['flat/recommended'].plugins,
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': 'error',
      'regexp/no-misleading-capturing-group': 'error',
      'regexp/no-empty-alternative': 'error',
      'regexp/no-dupe-characters-character-class': 'error',
    },
  },
  {
    // Everything else goes through the unit of work: nothing inside one can reach a second connection.
    files: ['apps/server/src/**'],
    ignores: [
      'apps/server/src/common/database{,.test}.ts',
      'apps/server/src/common/patience{,.test}.ts',
      'apps/server/src/app.module.ts',
    ],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            { name: 'typeorm', importNames: ['DataSource', 'EntityManager'], message: 'ask for Database' },
            {
              name: '@nestjs/typeorm',
              importNames: ['InjectDataSource', 'InjectRepository', 'InjectEntityManager'],
              message: 'ask for Database',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['apps/web/src/**'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['packages/core/src/**'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'crypto', 'performance'],
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "MemberExpression[object.name='Date'][property.name='now'], NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core has no clock',
        },
      ],
    },
  },
  {
    files: ['**/*.test.ts', '**/testing/**', 'apps/server/test/**', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-explicit-any': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      'no-restricted-globals': 'off',
    },
  },
  {
    files: ['**/*.mjs'],
    ...ts.configs.disableTypeChecked,
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        fetch: 'readonly',
        document: 'readonly',
      },
      parserOptions: { project: null },
    },
  },
);

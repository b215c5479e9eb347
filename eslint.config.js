import js from '@eslint/js';
import angular from 'angular-eslint';
import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig([
  globalIgnores(['dist/', '.angular/', 'coverage/', 'node_modules/']),
  {
    files: ['**/*.ts'],
    extends: [js.configs.recommended, tseslint.configs.recommendedTypeChecked, tseslint.configs.stylistic],
    languageOptions: {
      parserOptions: {
        project: [
          'tsconfig.json',
          'web/tsconfig.app.json',
          'web/tsconfig.spec.json',
          'web/tsconfig.worker.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      // A field that is left out of the rest is taken out by naming it.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
  },
  {
    files: ['web/**/*.ts'],
    extends: [angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
  },
  {
    files: ['web/**/*.html'],
    extends: [angular.configs.templateRecommended, angular.configs.templateAccessibility],
  },
  {
    files: ['**/*.spec.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/require-await': 'off',
    },
  },
  {
    // core/ is pure: nothing from the server, the page or Node.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.spec.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['\\#server/*', '\\#words/*', 'node:*', '@angular/*', '**/web/**', '**/server/**'] },
      ],
    },
  },
]);

import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      'data/**',
      '**/test-results/**',
      '**/playwright-report/**',
      'coverage/**',
      '.stryker-tmp/**',
      'reports/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        projectService: {
          allowDefaultProject: [
            'eslint.config.js',
            'vitest.config.ts',
            'vitest.stryker.config.ts',
            'web/vite.config.ts',
            'web/vitest.config.ts',
          ],
        },
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      // Endpoints without an argument are typed with void; a checked body is named by the type its schema guarantees.
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unnecessary-type-parameters': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      // What is left out of a thing is named beside the rest of it.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      'max-lines': ['error', { max: 320, skipBlankLines: true, skipComments: true }],
      eqeqeq: 'error',
    },
  },
  {
    // Run before anything that is built.
    files: ['web/public/*.js'],
    languageOptions: {
      globals: Object.fromEntries(
        [
          'document',
          'localStorage',
          'matchMedia',
          'requestAnimationFrame',
          'setTimeout',
          'addEventListener',
          'removeEventListener',
          'KeyboardEvent',
        ].map((name) => [name, 'readonly']),
      ),
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
  {
    files: ['core/src/**'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'setTimeout', 'Date'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is deterministic: pass a seed.' },
      ],
    },
  },
  // TypeORM types the options of an entity schema as a class that is never made with new.
  { files: ['server/src/db/*ntities.ts'], rules: { '@typescript-eslint/no-unsafe-class-instance-assignment': 'off' } },
  {
    files: ['**/*.test.{ts,tsx}', 'e2e/**', '**/src/**/test/**'],
    rules: {
      '@typescript-eslint/unbound-method': 'off',
      '@typescript-eslint/no-unnecessary-condition': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
    },
  },
  {
    files: ['**/*.{js,mjs,cjs}'],
    extends: [tseslint.configs.disableTypeChecked],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        URL: 'readonly',
        module: 'readonly',
      },
    },
  },
);

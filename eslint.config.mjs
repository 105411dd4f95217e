import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

export default defineConfig([
  globalIgnores([
    '.next/**',
    'next-env.d.ts',
    'store/**',
    'test-results/**',
    'drizzle/**',
    'data/**',
    'docs/**',
  ]),
  ...next,
  ...nextTs,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 260, skipBlankLines: true, skipComments: true }],
      'max-lines-per-function': ['error', { max: 50, skipBlankLines: true, skipComments: true }],
      complexity: ['error', 16],
      eqeqeq: ['error', 'smart'],
      'no-console': 'off',
    },
  },
  // Suites are lists of cases; there is nothing to take apart.
  {
    files: ['**/*.test.ts', 'e2e/**'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off', 'react-hooks/rules-of-hooks': 'off' },
  },
  { files: ['harness/**', 'truth/**'], rules: { 'max-lines-per-function': 'off' } },
]);

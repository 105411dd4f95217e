import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

/** Of `navigator`, what browsers have on secure pages alone. */
const SECURE_NAVIGATOR = [
  'clipboard',
  'credentials',
  'geolocation',
  'gpu',
  'locks',
  'mediaDevices',
  'permissions',
  'serviceWorker',
  'share',
  'storage',
  'usb',
  'wakeLock',
];

/** Globals that browsers have on secure pages alone. */
const SECURE_GLOBALS = [
  'AudioDecoder',
  'AudioEncoder',
  'caches',
  'cookieStore',
  'ImageDecoder',
  'Notification',
  'SharedArrayBuffer',
  'showDirectoryPicker',
  'showOpenFilePicker',
  'showSaveFilePicker',
  'VideoDecoder',
  'VideoEncoder',
  'VideoFrame',
];

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
  // The page is served over plain http in a network of one's own, where browsers keep these back.
  // Source: W3C Secure Contexts, and the specifications that ask for them.
  {
    files: ['src/{core,render,formats,real-screen,workers,ui}/**'],
    ignores: ['**/*.test.*'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'MemberExpression[object.name="crypto"][property.name=/^(randomUUID|subtle)$/]',
          message:
            'Browsers keep it for secure pages: use newId of workers/new-id, or sha256Of of core/review/digest.',
        },
        {
          selector: `MemberExpression[object.name="navigator"][property.name=/^(${SECURE_NAVIGATOR.join('|')})$/]`,
          message:
            'Browsers keep it for secure pages: find another way, such as copyText of ui/ship/clipboard.',
        },
      ],
      'no-restricted-globals': [
        'error',
        ...SECURE_GLOBALS.map((name) => ({ name, message: 'Browsers keep it for secure pages.' })),
      ],
    },
  },
  // Suites are lists of cases; there is nothing to take apart.
  {
    files: ['**/*.test.ts', 'e2e/**'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off', 'react-hooks/rules-of-hooks': 'off' },
  },
  { files: ['harness/**', 'truth/**'], rules: { 'max-lines-per-function': 'off' } },
]);

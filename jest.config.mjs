const swc = [
  '@swc/jest',
  {
    swcrc: false,
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs', ignoreDynamic: true },
  },
];

/** @type {import('jest').Config} */
const config = {
  watchman: false,
  maxWorkers: '100%',
  testEnvironment: 'node',
  // What is asserted is results: a busy machine may take its time.
  testTimeout: 300_000,
  // Tests run within a context of their own, in which what is global is looked up slowly; loops over pixels do little else.
  sandboxInjectedGlobals: ['Math', 'Infinity', 'Uint8Array', 'Float64Array'],
  globalSetup: '<rootDir>/scripts/jest-shared.mjs',
  setupFiles: ['<rootDir>/scripts/property-seed.mjs', '<rootDir>/scripts/jest.dom.ts'],
  // Those of parts of the page say on their first line that they need one: `@jest-environment jsdom`.
  testMatch: [
    '<rootDir>/src/**/*.test.{ts,tsx}',
    '<rootDir>/demo/**/*.test.ts',
    '<rootDir>/scripts/**/*.test.mjs',
  ],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transform: { '^.+\\.(t|j|mj)sx?$': swc },
  transformIgnorePatterns: [
    '/node_modules/(?!(commander|comlink|p-queue|p-timeout|eventemitter3|file-type|strtok3|token-types|uint8array-extras|@tokenizer|@borewit|lru-cache)/)',
  ],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/store/'],
};

export default config;

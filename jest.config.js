/** @type {import('jest').Config} */
export default {
  testEnvironment: '<rootDir>/scripts/jest-environment.js',
  // A guard against a test that hangs, far from what any machine needs: no test is about speed.
  testTimeout: 1_800_000,
  roots: ['<rootDir>/core', '<rootDir>/app', '<rootDir>/cli'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  setupFiles: ['fake-indexeddb/auto', '<rootDir>/scripts/fixed-draws.js'],
  moduleNameMapper: { '^@core/(.*)$': '<rootDir>/core/$1', '^~/(.*)$': '<rootDir>/app/$1' },
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};

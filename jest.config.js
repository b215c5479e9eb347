// Tests run in one fixed zone that is not UTC, so that dates cannot pass by luck.
process.env.TZ = 'Australia/Adelaide';

import presets from 'jest-preset-angular/presets/index.js';

/** Packages (with their dependencies) that ship only ESM as .js: Jest must compile them to CommonJS. */
const esmOnly = ['echarts', 'zrender', 'd3-delaunay', 'delaunator', 'robust-predicates'];
const transformIgnorePatterns = [
  `/node_modules/(?!(.*\\.mjs$|@angular/common/locales/.*\\.js$|(${esmOnly.join('|')})/))`,
];

const node = {
  testEnvironment: 'node',
  transform: {
    '^.+\\.(ts|m?js)$': [
      '@swc/jest',
      {
        jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns,
};

/** @type {import('jest').Config} */
export default {
  // A loaded machine takes its time; what hangs still ends.
  testTimeout: 90_000,
  projects: [
    { ...node, displayName: 'core', testMatch: ['<rootDir>/{core,contract,words}/**/*.spec.ts'] },
    { ...node, displayName: 'server', testMatch: ['<rootDir>/server/**/*.spec.ts'] },
    {
      ...presets.createCjsPreset({
        tsconfig: '<rootDir>/web/tsconfig.spec.json',
        testEnvironment: 'jest-preset-angular/environments/jest-jsdom-env',
      }),
      displayName: 'web',
      testMatch: ['<rootDir>/web/**/*.spec.ts'],
      setupFilesAfterEnv: ['<rootDir>/web/src/setup-jest.ts'],
      transformIgnorePatterns,
    },
  ],
};

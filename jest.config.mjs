/** SWC stands in for tsc here: types are checked once, by `npm run types`, not by every test run. */
const swc = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        target: 'es2023',
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          react: { runtime: 'automatic' },
        },
        keepClassNames: true,
      },
      module: { type: 'commonjs' },
    },
  ],
  '^.+/node_modules/(uuid|idb|intl-messageformat|@formatjs)/.+\\.js$': [
    '@swc/jest',
    { module: { type: 'commonjs' } },
  ],
};

const shared = {
  rootDir: import.meta.dirname,
  transform: swc,
  transformIgnorePatterns: [
    '/node_modules/(?!(uuid|idb|intl-messageformat|@formatjs|partysocket)/)',
  ],
  moduleNameMapper: {
    '^@orthokin/core/(.*)$': '<rootDir>/packages/core/src/$1/index.ts',
    '^@orthokin/contract/(beacons|live-messages|pattern-file|room|routes)$':
      '<rootDir>/packages/contract/src/$1.ts',
    '^@orthokin/contract$': '<rootDir>/packages/contract/src/index.ts',
    '^(\\.{1,2}/.*)\\.js$': '$1',
    // As a script: what is named .mjs Jest takes for a module, and a test's own world has none.
    '^d3-dsv$': '<rootDir>/node_modules/d3-dsv/dist/d3-dsv.js',
  },
  // Looked up in a test's own world with every call, arithmetic would take several times as long.
  sandboxInjectedGlobals: ['Math'],
  testPathIgnorePatterns: ['/node_modules/', '/dist'],
};

const project = (displayName, folder) => ({
  ...shared,
  displayName,
  testMatch: [`<rootDir>/${folder}/test/**/*.test.{ts,tsx}`],
});

export default {
  // Suites run beside each other on small machines: a slow moment is no failure.
  testTimeout: 20_000,
  projects: [
    project('core', 'packages/core'),
    project('contract', 'packages/contract'),
    {
      ...project('web', 'apps/web'),
      setupFilesAfterEnv: ['<rootDir>/apps/web/test/support/as-read.ts'],
    },
    project('beacons', 'apps/beacons'),
    project('scripts', 'scripts'),
    {
      ...project('server', 'apps/server'),
      setupFiles: ['reflect-metadata'],
      globalSetup: '<rootDir>/apps/server/test/support/template.mjs',
    },
  ],
};

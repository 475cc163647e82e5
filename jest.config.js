// Days are told by the time zone of the house: tests have one of their own.
process.env.TZ ??= 'UTC';

const alias = { '^@/(.*)$': '<rootDir>/src/$1', '^@data/(.*)$': '<rootDir>/data/$1' };
const fixedDay = '<rootDir>/src/core/testing/fixedDay.ts';
const inNode = {
  testEnvironment: 'node',
  moduleNameMapper: alias,
  transform: { '\\.tsx?$': '<rootDir>/bin/lib/jestEsbuild.cjs' },
  setupFiles: [fixedDay],
};

/** Tests that ask a real server: one stands for each worker. */
const onServers = {
  globalSetup: '<rootDir>/src/server/testing/beginServers.ts',
  globalTeardown: '<rootDir>/src/server/testing/endServers.ts',
};
const inDocument = {
  preset: 'jest-expo/web',
  snapshotResolver: '<rootDir>/bin/lib/snapshots.cjs',
  transform: { '\\.[jt]sx?$': '<rootDir>/bin/lib/jestEsbuild.cjs' },
  setupFiles: [fixedDay, '<rootDir>/src/ui/testing/resizes.ts'],
  moduleNameMapper: {
    ...alias,
    '^react-native$': 'react-native-web',
    '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
  },
  transformIgnorePatterns: [
    'node_modules/(?!(?:@rneui|expo.*|@expo.*|@react-native.*|react-native.*|react-native-svg|lucide-react-native|uuid)/)',
  ],
};

/** Core, contract and server run in Node as they do in life; the interface in a browser's document. */
module.exports = {
  maxWorkers: '100%',
  testTimeout: 60_000,
  projects: [
    {
      ...inNode,
      displayName: 'node',
      testMatch: ['<rootDir>/{src/core,src/contract,src/server,demo}/**/*.test.ts'],
      globalSetup: '<rootDir>/src/server/testing/globalSetup.ts',
    },
    {
      ...inNode,
      displayName: 'stories',
      ...onServers,
      testMatch: ['<rootDir>/stories/*.test.ts'],
    },
    {
      ...inDocument,
      displayName: 'interface',
      testMatch: ['<rootDir>/src/{ui,client,words}/**/*.test.{ts,tsx}'],
      testPathIgnorePatterns: ['/node_modules/', '<rootDir>/src/ui/walks/'],
    },
    {
      ...inDocument,
      ...onServers,
      displayName: 'walks',
      testEnvironment: '<rootDir>/bin/lib/jestWalks.cjs',
      setupFiles: [fixedDay, '<rootDir>/src/ui/testing/layouts.ts'],
      testMatch: ['<rootDir>/src/ui/walks/*.test.ts'],
      moduleNameMapper: {
        ...inDocument.moduleNameMapper,
        '^expo-router$': '<rootDir>/src/ui/testing/memoryRouter.tsx',
        '^comlink$': '<rootDir>/src/ui/testing/comlink.ts',
        // As the page is built for its keepers: React checks nothing twice.
        '^react$': '<rootDir>/node_modules/react/cjs/react.production.js',
        '^react/jsx-(dev-)?runtime$': '<rootDir>/node_modules/react/cjs/react-jsx-runtime.production.js',
        '^react-dom$': '<rootDir>/node_modules/react-dom/cjs/react-dom.production.js',
        '^react-dom/client$': '<rootDir>/node_modules/react-dom/cjs/react-dom-client.production.js',
      },
    },
  ],
};

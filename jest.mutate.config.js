const { projects } = require('./jest.config');

const node = projects.find(({ displayName }) => displayName === 'node');

/** Only the tests of the folder that is changed: what kills a mutant stands beside it. */
module.exports = {
  ...node,
  displayName: undefined,
  globalSetup: undefined,
  testSequencer: '<rootDir>/bin/lib/quickFirst.cjs',
  setupFilesAfterEnv: [...(node.setupFilesAfterEnv ?? []), '<rootDir>/bin/lib/mutateProperties.cjs'],
  testMatch: [`<rootDir>/src/core/${process.env.VB_MUTATE}/**/*.test.ts`],
};

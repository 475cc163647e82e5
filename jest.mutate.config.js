const { projects } = require('./jest.config');

/** Only the tests of the folder that is changed: what kills a mutant stands beside it. */
module.exports = {
  ...projects.find(({ displayName }) => displayName === 'node'),
  displayName: undefined,
  globalSetup: undefined,
  testMatch: [`<rootDir>/src/core/${process.env.VB_MUTATE}/**/*.test.ts`],
};

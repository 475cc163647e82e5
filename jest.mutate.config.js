const { projects } = require('./jest.config');

/** Of the tests in Node only those of the core: what kills a mutant should stand beside what was changed. */
module.exports = {
  ...projects.find(({ displayName }) => displayName === 'node'),
  displayName: undefined,
  globalSetup: undefined,
  testMatch: ['<rootDir>/src/core/**/*.test.ts', '<rootDir>/src/contract/**/*.test.ts'],
};

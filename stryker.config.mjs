// Mutation testing of one folder of the core: `npm run mutate -- climate`. Not part of bin/test: it takes many minutes.
const folder = process.env.VB_MUTATE ?? 'measure';

export default {
  mutate: [`src/core/${folder}/**/*.ts`, '!src/core/**/*.test.ts'],
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules'],
  jest: { projectType: 'custom', configFile: 'jest.mutate.config.js', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  // Words are not numbers: what a message says is looked at where it is shown.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  // What is not changed since the last run is not run again.
  incremental: true,
  incrementalFile: `.cache/mutation/${folder}.incremental.json`,
  concurrency: 2,
  // A mutant that goes on for ever costs this and a new process: no more than it takes to tell it from a slow one.
  timeoutMS: 1_500,
  timeoutFactor: 1.25,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: {
    allowColor: false,
    logTests: false,
    reportTests: false,
    reportMutants: true,
    reportScoreTable: true,
  },
  jsonReporter: { fileName: `.cache/mutation/${folder}.json` },
  tempDirName: '.cache/stryker',
  cleanTempDir: 'always',
  thresholds: { high: 90, low: 80, break: 80 },
  symlinkNodeModules: true,
  ignorePatterns: ['dist', '.cache', 'docs', 'e2e', 'test-results', '.demo-data', 'bench'],
};

import { drawn } from './bin/lib/mutateSample.mjs';

// Mutation testing of one folder of the core: `npm run mutate -- climate`. Not part of bin/test: it takes many minutes.
const folder = process.env.VB_MUTATE ?? 'measure';
const share = Number(process.env.VB_MUTATE_SHARE ?? 1);
const isWhole = share >= 1;
/** Of a part the results stand in files of their own: the whole is not told by them. */
const result = isWhole ? folder : `${folder}-part`;

export default {
  mutate: isWhole ? [`src/core/${folder}/**/*.ts`, '!src/core/**/*.test.ts'] : drawn(`src/core/${folder}`, share),
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules'],
  jest: { projectType: 'custom', configFile: 'jest.mutate.config.js', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  // Words are not numbers: what a message says is looked at where it is shown.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignoreStatic: true,
  // What is not changed since the last run is not run again.
  incremental: true,
  incrementalFile: `.cache/mutation/${result}.incremental.json`,
  concurrency: Number(process.env.VB_MUTATE_AT_ONCE ?? 2),
  // A mutant that goes on for ever costs this and a new process: no more than it takes to tell it from a slow one.
  timeoutMS: 4_000,
  timeoutFactor: 1.5,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  clearTextReporter: {
    allowColor: false,
    logTests: false,
    reportTests: false,
    reportMutants: true,
    reportScoreTable: true,
  },
  jsonReporter: { fileName: `.cache/mutation/${result}.json` },
  tempDirName: '.cache/stryker',
  cleanTempDir: 'always',
  thresholds: { high: 90, low: 80, break: 80 },
  symlinkNodeModules: true,
  ignorePatterns: ['dist', '.cache', 'docs', 'e2e', 'test-results', '.demo-data', 'bench'],
};

/** Arrows point one way: app -> ui -> words -> client -> contract -> core, server -> words, contract -> core. */
const only = (name, from, allowed, comment, besides = []) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: ['\\.test\\.tsx?$', ...besides] },
  to: { pathNot: allowed },
});

/** Reads the data that ships, from where the program lies. */
const SHIPPED = '^src/contract/(shipped|rootAbove)\\.ts$';

/** The floors of the core: foundations, then science, then the house. */
const FOUNDATIONS = 'measure|numerics|profiles';
const OF_THE_HOUSE = 'house|plan|handbook|training|ground';

module.exports = {
  forbidden: [
    only(
      'core-knows-nature-only',
      '^src/core',
      ['^src/core', '^node_modules/(date-fns|dequal|ml-levenberg-marquardt|pure-rand)/'],
      'The computation is pure: no interface, no server, no storage, no schemas, no Node.',
    ),
    {
      name: 'core-foundations-know-no-science',
      comment: 'Measures, numbers and profiles are what the engines stand on.',
      severity: 'error',
      from: { path: `^src/core/(${FOUNDATIONS})/`, pathNot: '\\.test\\.ts$' },
      to: {
        path: '^src/core/',
        pathNot: `^src/core/((${FOUNDATIONS})/|[^/]+\\.ts$)`,
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'core-science-knows-no-house',
      comment: 'An engine answers for one animal, one home, one colony; what a house makes of it is decided above.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: `^src/core/(${OF_THE_HOUSE})/|\\.test\\.ts$` },
      to: { path: `^src/core/(${OF_THE_HOUSE})/`, dependencyTypesNot: ['type-only'] },
    },
    only(
      'contract-knows-core-only',
      '^src/contract',
      ['^src/(contract|core)', '^data/', '^node_modules/(zod|date-fns)/'],
      'The schemas are shared by both sides and know neither.',
      [SHIPPED],
    ),
    {
      name: 'pages-ask-for-data',
      comment: 'The data that ships is read from files, which a page does not have.',
      severity: 'error',
      from: { path: '^(src/(ui|client|words|core)|app)', pathNot: '\\.test\\.tsx?$|/testing/' },
      to: { path: SHIPPED },
    },
    {
      name: 'server-knows-no-interface',
      severity: 'error',
      from: { path: '^src/server' },
      to: { path: ['^src/(ui|client)', '^app/', '^node_modules/(react|react-native|expo|@rneui)'] },
    },
    {
      name: 'client-knows-no-screens',
      severity: 'error',
      from: { path: '^src/client' },
      to: {
        path: [
          '^src/(ui|words|server)',
          '^app/',
          '^node_modules/(react-native|expo-router|@rneui|express|@electric-sql|pg)/',
        ],
      },
    },
    only(
      'words-know-no-screens',
      '^src/words',
      ['^src/(words|client|contract|core)', '^data/', '^node_modules/(date-fns|react|zustand)/'],
      'What is said to a keeper is made of codes and numbers, wherever it is said.',
    ),
    {
      name: 'ui-knows-no-server',
      severity: 'error',
      from: { path: '^(src/ui|app)' },
      to: { path: ['^src/server', '^demo/', '^node_modules/(express|@electric-sql|pg)/'] },
    },
    {
      name: 'routes-hold-no-logic',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: ['^src/(core|contract|client)'] },
    },
    {
      name: 'sql-stays-in-storage',
      severity: 'error',
      from: { path: '^src/server', pathNot: '^src/server/(storage|testing)|\\.test\\.ts$' },
      to: { path: '^node_modules/(@electric-sql|pg)/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'nothing-missing', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\.woff2$' } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['browser', 'import', 'require', 'node', 'default', 'types'],
      extensions: ['.web.tsx', '.web.ts', '.ts', '.tsx', '.js', '.mjs', '.json', '.d.ts'],
    },
  },
};

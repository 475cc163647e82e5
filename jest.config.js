const alias = { '^@/(.*)$': '<rootDir>/src/$1', '^@data/(.*)$': '<rootDir>/data/$1' };

/** Core, contract and server run in Node as they do in life; the interface in a browser's document. */
module.exports = {
  projects: [
    {
      displayName: 'node',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src/core,src/contract,src/server,demo}/**/*.test.ts'],
      moduleNameMapper: alias,
      transform: { '\\.tsx?$': ['babel-jest', { caller: { name: 'metro', platform: 'web' } }] },
      globalSetup: '<rootDir>/src/server/testing/globalSetup.ts',
    },
    {
      displayName: 'interface',
      preset: 'jest-expo/web',
      testMatch: ['<rootDir>/src/{ui,client}/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/src/ui/testing/resizes.ts'],
      moduleNameMapper: {
        ...alias,
        '^lucide-react-native/icons/(.*)$': '<rootDir>/node_modules/lucide-react-native/dist/cjs/icons/$1.js',
      },
      transformIgnorePatterns: [
        'node_modules/(?!(?:@rneui|expo.*|@expo.*|@react-native.*|react-native.*|react-native-svg|lucide-react-native|uuid)/)',
      ],
    },
  ],
};

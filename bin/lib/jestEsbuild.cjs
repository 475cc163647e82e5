// Turns TypeScript into what Node runs, for Jest, many times faster than Babel. Babel keeps what esbuild does not know: calls
// of `jest.mock` that must come before the imports, and the Flow types of React Native.
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');
const babelJest = require('babel-jest').default;

const OPTIONS = {
  format: 'cjs',
  target: 'node20',
  sourcemap: 'inline',
  sourcesContent: false,
  jsx: 'automatic',
  define: { 'process.env.EXPO_OS': '"web"' },
  supported: { 'dynamic-import': false },
};
const babel = babelJest.createTransformer({ caller: { name: 'metro', bundler: 'metro', platform: 'web' } });
const needsBabel = (source) => /\bjest\.mock\(|@flow\b/.test(source);
const OWN = readFileSync(__filename);

module.exports = {
  getCacheKey: (source, file, options) =>
    needsBabel(source)
      ? babel.getCacheKey(source, file, options)
      : createHash('sha256').update(OWN).update(version).update(file).update(source).digest('hex'),
  process: (source, file, options) =>
    needsBabel(source)
      ? babel.process(source, file, options)
      : transformSync(source, { ...OPTIONS, loader: /\.ts$/.test(file) ? 'ts' : 'tsx', sourcefile: file }),
};

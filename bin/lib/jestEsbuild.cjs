// Turns TypeScript into what Node runs, for Jest: many times faster than Babel, which only tests that mock modules need.
const { createHash } = require('node:crypto');
const { readFileSync } = require('node:fs');
const { transformSync, version } = require('esbuild');

const OPTIONS = { format: 'cjs', target: 'node20', sourcemap: 'inline', sourcesContent: false, jsx: 'automatic' };
const OWN = readFileSync(__filename);

module.exports = {
  getCacheKey: (source, file, { instrument }) =>
    createHash('sha256').update(OWN).update(version).update(file).update(String(instrument)).update(source).digest('hex'),
  process: (source, file) => transformSync(source, { ...OPTIONS, loader: /\.[jt]sx$/.test(file) ? 'tsx' : 'ts', sourcefile: file }),
};

// Bundles sources of the server into one file each (when one of them has changed): loading them one by one takes longer than
// opening the database.
const fs = require('node:fs');
const path = require('node:path');

const root = path.resolve(__dirname, '../..');
/**
 * What lies beside the bundle: PGlite finds its WebAssembly beside its own files, and Piscina its worker; pg looks for an optional native
 * part, and argon2 for one that may not be there.
 */
const EXTERNAL = ['@electric-sql/pglite', '@electric-sql/pglite/*', 'pg', 'piscina', 'argon2'];
const inCache = (name) => path.join(root, '.cache', name);

/** Bundles what an entry needs; answers the sources. Written aside and renamed: a server that starts at the same moment never reads half of it. */
function bundled(entry, outfile) {
  const draft = `${outfile}.${process.pid}`;
  const { metafile } = require('esbuild').buildSync({
    absWorkingDir: root,
    entryPoints: [entry],
    outfile: draft,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'cjs',
    external: EXTERNAL,
    // Beside it, and read only where somebody looks for a fault (VB_DEBUG): to parse it takes a third of a start.
    sourcemap: 'linked',
    metafile: true,
    logLevel: 'error',
  });
  fs.renameSync(`${draft}.map`, `${outfile}.map`);
  // It names its map by the name it was written under.
  fs.writeFileSync(
    draft,
    fs
      .readFileSync(draft, 'utf8')
      .replace(/\/\/# sourceMappingURL=.*\s*$/, `//# sourceMappingURL=${path.basename(outfile)}.map\n`),
  );
  fs.renameSync(draft, outfile);
  return Object.keys(metafile.inputs).filter((file) => !file.startsWith('node_modules/'));
}

function canBundle() {
  try {
    return Boolean(require.resolve('esbuild'));
  } catch {
    return false;
  }
}

function isFresh(files, inputsFile) {
  try {
    const made = Math.min(...files.map((file) => fs.statSync(file).mtimeMs));
    const inputs = JSON.parse(fs.readFileSync(inputsFile, 'utf8'));
    return inputs.every((file) => fs.statSync(path.join(root, file)).mtimeMs < made);
  } catch {
    return false;
  }
}

/**
 * The bundles of some entries, made anew where one of their sources is newer.
 * @param {string} name of what is bundled
 * @param {Record<string, string>} entries by the name of their bundle
 * @returns {Record<string, string>} the bundles by their names
 */
exports.bundles = function bundles(name, entries) {
  const files = Object.fromEntries(Object.keys(entries).map((each) => [each, inCache(`${each}.cjs`)]));
  // A server that was released has no sources and nothing that bundles: what came with it is what it is.
  if (!canBundle()) return files;
  const inputsFile = inCache(`${name}-inputs.json`);
  if (!isFresh(Object.values(files), inputsFile)) {
    const sources = Object.entries(entries).flatMap(([each, entry]) => bundled(entry, files[each]));
    const inputs = ['bin/lib/bundle.cjs', 'package-lock.json', ...new Set(sources)];
    fs.writeFileSync(`${inputsFile}.${process.pid}`, JSON.stringify(inputs));
    fs.renameSync(`${inputsFile}.${process.pid}`, inputsFile);
  }
  return files;
};
exports.root = root;
exports.EXTERNAL = EXTERNAL;

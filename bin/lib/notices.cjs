// The licences of everything that is served or run: of each package that is in a bundle or lies beside it, as its authors wrote them. Fonts
// are packages too.
const fs = require('node:fs');
const path = require('node:path');
const { EXTERNAL } = require('./bundle.cjs');
const { PROGRAMS } = require('./programs.cjs');

const root = path.resolve(__dirname, '../..');
/** The folder of the package that a file belongs to. */
function packageAt(file) {
  const [, folder] = /^(.*node_modules\/(?:@[^/]+\/)?[^/]+)\//.exec(file) ?? [];
  return folder === undefined ? undefined : path.resolve(root, folder);
}

/** The packages of the web app, by the maps of its bundle. */
function ofWeb(maps) {
  const sources = maps.flatMap((file) => JSON.parse(fs.readFileSync(file, 'utf8')).sources);
  return sources.map((each) => packageAt(each.replace(/^\//, '').replace(/^.*?(?=node_modules\/)/, '')));
}

/** The packages of the server: those in its bundle, and those that lie beside it, with what these need. */
function ofServer() {
  const entryPoints = Object.values(PROGRAMS).flatMap((entries) => Object.values(entries));
  const { metafile } = require('esbuild').buildSync({
    ...{ absWorkingDir: root, entryPoints, bundle: true, platform: 'node', metafile: true, write: false },
    ...{ outdir: '.cache/unused', packages: 'bundle', external: EXTERNAL, logLevel: 'error' },
  });
  return Object.keys(metafile.inputs).map(packageAt);
}

/** Where a package lies, seen from another one. */
function folderOf(name, from) {
  for (let at = from; ; at = path.dirname(at)) {
    const folder = path.join(at, 'node_modules', name);
    if (fs.existsSync(path.join(folder, 'package.json'))) return folder;
    if (at === path.dirname(at)) return undefined;
  }
}

function licenceIn(folder) {
  const files = fs.readdirSync(folder).filter((name) => /^(licen[cs]e|copying|notice)/i.test(name));
  return files.flatMap((name) => {
    const file = path.join(folder, name);
    return fs.statSync(file).isFile() ? [fs.readFileSync(file, 'utf8').trim()] : [];
  });
}

/** Beside its bundle the server needs these, and all that they need. */
function needed() {
  const { dependencies } = require('../../package.json');
  const found = new Set();
  const queue = Object.keys(dependencies).map((name) => folderOf(name, root));
  for (let folder = queue.shift(); folder !== undefined || queue.length > 0; folder = queue.shift()) {
    if (folder === undefined || found.has(folder)) continue;
    found.add(folder);
    const facts = JSON.parse(fs.readFileSync(path.join(folder, 'package.json'), 'utf8'));
    queue.push(...Object.keys(facts.dependencies ?? {}).map((name) => folderOf(name, folder)));
  }
  return [...found];
}

/**
 * The notices as one text.
 * @param {string[]} maps source maps of the web app
 * @throws where a package that is used says nothing of its licence
 */
exports.notices = function notices(maps) {
  const found = new Map();
  const besides = ['swagger-ui-dist', 'workbox-build'].map((name) => folderOf(name, root));
  for (const folder of new Set([...ofWeb(maps), ...ofServer(), ...needed(), ...besides])) {
    if (folder === undefined) continue;
    const facts = JSON.parse(fs.readFileSync(path.join(folder, 'package.json'), 'utf8'));
    const key = `${facts.name} ${facts.version}`;
    if (found.has(key) || facts.name === 'verdant-burrow') continue;
    const licence =
      typeof facts.license === 'string' ? facts.license : (facts.license?.type ?? facts.licenses?.[0]?.type);
    const texts = licenceIn(folder);
    if (licence === undefined && texts.length === 0) throw new Error(`${key} names no licence.`);
    found.set(key, [`${key} (${licence ?? 'see below'})`, ...texts].join('\n\n'));
  }
  const own = fs.readFileSync(path.join(root, 'LICENSE'), 'utf8').trim();
  const rest = [...found].sort(([a], [b]) => a.localeCompare(b, 'en')).map(([, text]) => text);
  return [`Verdant Burrow\n\n${own}`, 'It is made with these, each under the licence of its authors.', ...rest].join(
    `\n\n${'-'.repeat(80)}\n\n`,
  );
};

import fs from 'node:fs';
import path from 'node:path';

/** The folder of the checkout, whether this runs from `src` or from the bundle in `.cache`. */
export const ROOT = findRoot(__dirname);

function findRoot(folder: string): string {
  if (fs.existsSync(path.join(folder, 'package.json'))) return folder;
  const parent = path.dirname(folder);
  if (parent === folder) throw new Error(`No package.json above ${__dirname}.`);
  return findRoot(parent);
}

/** What package.json says of this program. */
export const packageFacts = JSON.parse(fs.readFileSync(path.join(ROOT, 'package.json'), 'utf8')) as {
  version: string;
  dependencies: Record<string, string>;
};

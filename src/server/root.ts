import fs from 'node:fs';
import path from 'node:path';
import { rootAbove } from '../contract/rootAbove';

/** The folder of the checkout, whether this runs from `src` or from the bundle in `.cache`. */
export const ROOT = rootAbove(__dirname);

/** What package.json says of this program. */
export const packageFacts = JSON.parse(fs.readFileSync(path.join(ROOT, 'package.json'), 'utf8')) as {
  version: string;
  dependencies: Record<string, string>;
};

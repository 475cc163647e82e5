import fs from 'node:fs';
import path from 'node:path';

/** The folder of the program above one of its own, whether that is in `src` or holds a bundle. @throws Error where there is none */
export function rootAbove(folder: string): string {
  if (fs.existsSync(path.join(folder, 'package.json'))) return folder;
  const parent = path.dirname(folder);
  if (parent === folder) throw new Error('There is no package.json above this program.');
  return rootAbove(parent);
}

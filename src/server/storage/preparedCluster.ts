import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { packageFacts, ROOT } from '../root';

// PGlite is pinned to one version; a cluster made by another one must not be loaded.
const FILE = path.join(ROOT, '.cache', `empty-cluster-${packageFacts.dependencies['@electric-sql/pglite']}.tar.gz`);
const MAKER = path.join(ROOT, 'src/server/storage/makeCluster.ts');

/**
 * An empty database cluster, packed. Making one takes seconds and most of a gigabyte of memory that a process never
 * gives back, so it is made once on a machine, by a process of its own, and kept in `.cache`.
 */
export function preparedCluster(): Blob {
  if (!fs.existsSync(FILE)) {
    const made = spawnSync(process.execPath, ['--import', 'tsx', MAKER, FILE], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    if (made.status !== 0) throw new Error(`An empty database could not be made: ${String(made.stderr).trim()}`);
  }
  return new Blob([fs.readFileSync(FILE)]);
}

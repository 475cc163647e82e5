import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';

const CACHE = path.resolve(__dirname, '../../../.cache');
// The version is pinned there; a cluster made by another one must not be loaded.
const { dependencies } = require('../../../package.json') as { dependencies: Record<string, string> };
const FILE = path.join(CACHE, `empty-cluster-${dependencies['@electric-sql/pglite']}.tar.gz`);

/**
 * An empty database cluster, packed. Making one takes seconds and most of a gigabyte of memory that a process never
 * gives back, so it is made once on a machine, by a process of its own, and kept in `.cache`.
 */
export function preparedCluster(): Blob {
  if (!fs.existsSync(FILE)) {
    const made = spawnSync(process.execPath, ['--import', 'tsx', __filename], { stdio: ['ignore', 'ignore', 'pipe'] });
    if (made.status !== 0) throw new Error(`An empty database could not be made: ${String(made.stderr).trim()}`);
  }
  return new Blob([fs.readFileSync(FILE)]);
}

async function make(): Promise<void> {
  const database = await PGlite.create();
  const packed = await database.dumpDataDir('gzip');
  await database.close();
  fs.mkdirSync(CACHE, { recursive: true });
  // Two first starts at once each write their own file; the rename makes either whole.
  const draft = `${FILE}.${process.pid}`;
  fs.writeFileSync(draft, Buffer.from(await packed.arrayBuffer()));
  fs.renameSync(draft, FILE);
}

if (require.main === module) {
  make().catch((error: unknown) => {
    console.error(error);
    process.exit(1);
  });
}

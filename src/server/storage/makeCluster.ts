import fs from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';

/** A process of its own (see `preparedCluster`): makes an empty database cluster and packs it into the named file. */
async function make(file: string): Promise<void> {
  const database = await PGlite.create();
  const packed = await database.dumpDataDir('gzip');
  await database.close();
  fs.mkdirSync(path.dirname(file), { recursive: true });
  // Two first starts at once each write their own draft; the rename makes either whole.
  const draft = `${file}.${process.pid}`;
  fs.writeFileSync(draft, Buffer.from(await packed.arrayBuffer()));
  fs.renameSync(draft, file);
}

make(process.argv[2] ?? '').catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});

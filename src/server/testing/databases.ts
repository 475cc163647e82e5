import type { Database } from '../storage/database';
import { eraseRecords } from '../storage/meta';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import { openPostgres } from '../storage/postgres';

/** The databases that the storage has to serve alike; PostgreSQL where `bin/test` has started one. */
export const databases: { kind: string; open: () => Promise<Database> }[] = [
  { kind: 'PGlite', open: () => openMemory() },
  ...(process.env.VB_TEST_POSTGRES
    ? [{ kind: 'PostgreSQL', open: () => openPostgres(process.env.VB_TEST_POSTGRES ?? '') }]
    : []),
];

/** An open database with its tables and no records. */
export async function emptyDatabase(open: () => Promise<Database> = () => openMemory()): Promise<Database> {
  const database = await open();
  await migrate(database);
  await eraseRecords(database);
  return database;
}

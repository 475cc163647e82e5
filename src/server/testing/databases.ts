import { Client } from 'pg';
import type { Database } from '../storage/database';
import { eraseRecords } from '../storage/meta';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import { openPostgres } from '../storage/postgres';

/**
 * A database of this worker's own on the server that `bin/test` has started: test files that run side by side do not meet.
 * @param purpose a part of its name
 */
async function ownPostgres(url: string, purpose: string): Promise<Database> {
  const name = `vb_${purpose}_${process.env.JEST_WORKER_ID ?? '1'}`;
  const client = new Client({ connectionString: url });
  await client.connect();
  await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
  await client.query(`CREATE DATABASE ${name}`);
  await client.end();
  const own = new URL(url);
  own.pathname = `/${name}`;
  return openPostgres(own.href);
}

const postgres = process.env.VB_TEST_POSTGRES;

/** The databases that the storage has to serve alike; PostgreSQL where `bin/test` has started one. */
export const databases: { kind: string; open: () => Promise<Database> }[] = [
  { kind: 'PGlite', open: () => openMemory() },
  ...(postgres ? [{ kind: 'PostgreSQL', open: () => ownPostgres(postgres, 'storage') }] : []),
];

/** An open database with its tables and no records. */
export async function emptyDatabase(open: () => Promise<Database> = () => openMemory()): Promise<Database> {
  const database = await open();
  await migrate(database);
  await eraseRecords(database);
  return database;
}

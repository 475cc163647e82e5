import { eraseAccess } from '../storage/access';
import type { Database, Queries } from '../storage/database';

/** Every table of records; which migrations were made is none of them, nor what was touched. */
async function tables(queries: Queries): Promise<string[]> {
  const rows = await queries.query<{ name: string }>(
    `SELECT quote_ident(tablename) AS name FROM pg_tables
      WHERE schemaname = 'public' AND tablename NOT IN ('schema_migration', 'touched') ORDER BY tablename`,
  );
  return rows.map(({ name }) => name);
}

export async function hasKeptRecords(queries: Queries): Promise<boolean> {
  return (await queries.query(`SELECT 1 FROM pg_namespace WHERE nspname = 'kept'`)).length > 0;
}

/** Keeps a copy of everything that is written, beside it in the same database, to be put back any number of times. */
export async function keepRecords(database: Database): Promise<void> {
  await database.transaction(async (queries) => {
    const names = await tables(queries);
    await queries.query('CREATE SCHEMA kept');
    for (const name of names) await queries.query(`CREATE TABLE kept.${name} AS TABLE public.${name}`);
  });
}

/** Empties the tables and, where that is wanted, writes what was kept into them: some tenths of a second for the demo. */
export async function putBack(database: Database, holds: 'nothing' | 'kept'): Promise<void> {
  await database.transaction(async (queries) => {
    const names = await tables(queries);
    await queries.query(`TRUNCATE ${names.join(', ')}`);
    await eraseAccess(queries);
    if (holds === 'nothing') return;
    // The copy was whole when it was made: what points to what need not be asked again, so that any order does.
    await queries.query('SET LOCAL session_replication_role = replica');
    for (const name of names) {
      await queries.query(`INSERT INTO ${name} OVERRIDING SYSTEM VALUE SELECT * FROM kept.${name}`);
    }
  });
}

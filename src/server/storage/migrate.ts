import fs from 'node:fs';
import path from 'node:path';
import { ROOT } from '../root';
import type { Database } from './database';

const FOLDER = path.join(ROOT, 'src/server/sql');

interface Migration {
  number: number;
  name: string;
}

/** The numbered scripts, `001_begin.sql` first. */
function migrations(): Migration[] {
  return fs
    .readdirSync(FOLDER)
    .filter((name) => /^\d{3}_.+\.sql$/.test(name))
    .sort()
    .map((name) => ({ number: Number(name.slice(0, 3)), name }));
}

/** The number of the last script that this program knows. */
export const newestMigration = (): number => migrations().at(-1)?.number ?? 0;

/**
 * Brings the tables to the state this program needs: all missing scripts in one transaction, or none.
 * @param upTo an earlier state, for what was written then
 * @throws when the data was last written by a newer program.
 */
export async function migrate(database: Database, upTo = Infinity): Promise<void> {
  await database.transaction(async (queries) => {
    // On a shared server two programs may start at once; the second waits here for the first.
    await queries.query('SELECT pg_advisory_xact_lock(4870)');
    await queries.query(
      `CREATE TABLE IF NOT EXISTS schema_migration (
         number integer PRIMARY KEY, name text NOT NULL, applied_at timestamptz NOT NULL DEFAULT now())`,
    );
    const rows = await queries.query<{ number: number }>('SELECT number FROM schema_migration');
    const applied = new Set(rows.map((row) => row.number));
    const known = migrations().filter(({ number }) => number <= upTo);
    const newest = Math.max(0, ...applied);
    if (newest > newestMigration()) {
      throw new Error(`The data was written by a newer Verdant Burrow (migration ${newest}). Update this program.`);
    }
    for (const { number, name } of known.filter((each) => !applied.has(each.number))) {
      await database.script(queries, fs.readFileSync(path.join(FOLDER, name), 'utf8'));
      await queries.query('INSERT INTO schema_migration (number, name) VALUES ($1, $2)', [number, name]);
    }
  });
}

import { Pool, types, type PoolClient } from 'pg';
import { typeParsers, type Database, type Queries } from './database';
import { complain } from '../log';

/** The same storage on a PostgreSQL server (15 or later), for those who run one. */
export async function openPostgres(url: string): Promise<Database> {
  const pool = new Pool({
    connectionString: url,
    max: 5,
    options: '-c TimeZone=UTC -c DateStyle=ISO',
    types: {
      getTypeParser: ((oid: number, format?: 'text') =>
        typeParsers[oid] ?? types.getTypeParser(oid, format)) as typeof types.getTypeParser,
    },
  });
  pool.on('error', (error) => complain(`PostgreSQL connection lost: ${error.message}`));
  const queriesOf = (on: Pool | PoolClient): Queries => ({
    query: async <Row>(sql: string, parameters: unknown[] = []) => (await on.query(sql, parameters)).rows as Row[],
  });
  const [{ version } = { version: '' }] = await queriesOf(pool).query<{ version: string }>(
    `SELECT current_setting('server_version') AS version`,
  );
  return {
    name: `PostgreSQL ${version}`,
    ...queriesOf(pool),
    transaction: async (work) => {
      const client = await pool.connect();
      try {
        await client.query('BEGIN');
        const result = await work(queriesOf(client));
        await client.query('COMMIT');
        return result;
      } catch (error) {
        await client.query('ROLLBACK');
        throw error;
      } finally {
        client.release();
      }
    },
    // Without parameters the protocol takes several statements at once.
    script: async (queries, sql) => {
      await queries.query(sql, undefined);
    },
    close: () => pool.end(),
  };
}

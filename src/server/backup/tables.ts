import type { Queries } from '../storage/database';

/** Which migrations were made is told by the manifest; what was touched is of this moment alone. */
const LEFT_OUT = ['schema_migration', 'touched'];

/** What the program notes about itself, also in a house without records. */
const OF_THE_PROGRAM = 'meta';

export interface Table {
  name: string;
  /** Those that are written: what is generated from others is generated again. */
  columns: string[];
}

/** Every table of records with its columns. */
export async function tablesOf(queries: Queries): Promise<Table[]> {
  return queries.query<Table>(
    `SELECT t.tablename AS name, json_agg(quote_ident(c.column_name) ORDER BY c.ordinal_position) AS columns
     FROM pg_tables t JOIN information_schema.columns c ON c.table_schema = 'public' AND c.table_name = t.tablename
     WHERE t.schemaname = 'public' AND c.is_generated = 'NEVER' AND NOT t.tablename = ANY ($1::text[])
     GROUP BY t.tablename ORDER BY t.tablename`,
    [LEFT_OUT],
  );
}

/** Whether anything was ever written down in a house. */
export async function holdsAnything(queries: Queries): Promise<boolean> {
  for (const { name } of await tablesOf(queries)) {
    if (name === OF_THE_PROGRAM) continue;
    if ((await queries.query(`SELECT 1 FROM "${name}" LIMIT 1`)).length > 0) return true;
  }
  return false;
}

/** The last migration that was made. */
export async function schemaOf(queries: Queries): Promise<number> {
  const [row] = await queries.query<{ schema: number }>('SELECT max(number) AS schema FROM schema_migration');
  return row?.schema ?? 0;
}

/** Blocks of a table that are read at once: about a millisecond's work for rows as they are here. */
const BLOCKS_AT_ONCE = 8;
const BLOCK_BYTES = 8192;

/** The rows of a table as lines of JSON, some blocks at a time, so that others are answered in between. */
export async function* linesOf(queries: Queries, name: string): AsyncGenerator<string[]> {
  const [{ bytes } = { bytes: 0 }] = await queries.query<{ bytes: number }>(
    'SELECT pg_relation_size(quote_ident($1)::regclass) AS bytes',
    [name],
  );
  const blocks = Math.ceil(bytes / BLOCK_BYTES);
  for (let from = 0; from < blocks; from += BLOCKS_AT_ONCE) {
    const rows = await queries.query<{ line: string }>(
      `SELECT to_json(t)::text AS line FROM "${name}" t WHERE t.ctid >= $1::tid AND t.ctid < $2::tid`,
      [`(${from},0)`, `(${from + BLOCKS_AT_ONCE},0)`],
    );
    yield rows.map(({ line }) => line);
    await new Promise(setImmediate);
  }
}

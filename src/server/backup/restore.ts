import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Database, Queries } from '../storage/database';
import { migrate, newestMigration } from '../storage/migrate';
import { openFolder } from '../storage/pglite';
import { BadBackup, openBackup, type OpenBackup } from './read';
import { schemaOf, tablesOf } from './tables';
import { writeBackup } from './write';

/** Rows go into the database in parts of this size. Bytes, chosen here */
const PART_BYTES = 2 ** 17;

/** What was put into the place of what was there. */
export interface Restored {
  madeAt: string;
  rows: number;
}

/**
 * Puts what a backup holds in the place of everything that a database holds: all of it, or nothing. A file of an earlier version is
 * brought into a database of its time first, and up to this one.
 * @throws BadBackup with what is wrong; the database is as it was
 */
export async function restore(database: Database, file: string): Promise<Restored> {
  const backup = await openBackup(file);
  try {
    const { schema, madeAt } = backup.manifest;
    if (schema > newestMigration())
      throw new BadBackup('It was made by a newer Verdant Burrow: update this program first.');
    if (schema === (await schemaOf(database))) return { madeAt, rows: await load(database, backup) };
    return { madeAt, rows: await broughtUp(backup, (newer) => load(database, newer)) };
  } finally {
    backup.close();
  }
}

/** A backup of an earlier version, as this program would have made it. */
async function broughtUp<Result>(backup: OpenBackup, use: (newer: OpenBackup) => Promise<Result>): Promise<Result> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-restore-'));
  const inFolder = (name: string) => path.join(folder, name);
  const scratch = {
    cluster: inFolder('cluster'),
    draft: inFolder('draft'),
    isNew: true,
    isHeld: () => true,
    release: () => undefined,
  };
  try {
    const database = await openFolder(scratch);
    const { schema, program, madeAt } = backup.manifest;
    try {
      await migrate(database, schema);
      await load(database, backup);
      await migrate(database);
      await writeBackup(database, inFolder('newer.zip'), { program, madeAt });
    } finally {
      await database.close();
    }
    const newer = await openBackup(inFolder('newer.zip'));
    try {
      return await use(newer);
    } finally {
      newer.close();
    }
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

interface ForeignKey {
  name: string;
  table: string;
  definition: string;
}

/** Empties every table and fills it again, in one transaction. @throws BadBackup for rows that do not fit */
async function load(database: Database, { manifest: told, lines }: OpenBackup): Promise<number> {
  return database.transaction(async (queries) => {
    const tables = new Map((await tablesOf(queries)).map((each) => [each.name, each]));
    const foreign = told.tables.find(({ name }) => !tables.has(name));
    if (foreign) throw new BadBackup(`It holds a table ${foreign.name} that this program does not know.`);
    // Rows come in any order: what points to what is asked once all are there.
    const keys = await foreignKeys(queries);
    for (const { name, table } of keys) await queries.query(`ALTER TABLE ${table} DROP CONSTRAINT ${name}`);
    await queries.query(`TRUNCATE ${[...tables.keys()].map((name) => `"${name}"`).join(', ')}`);
    let rows = 0;
    for (const { name } of told.tables) rows += await fill(queries, name, tables.get(name)?.columns ?? [], lines(name));
    for (const { name, table, definition } of keys)
      await fitting(`What the rows of ${table} point to is not there`, () =>
        queries.query(`ALTER TABLE ${table} ADD CONSTRAINT ${name} ${definition}`),
      );
    await countOn(queries);
    await queries.query(`INSERT INTO touched (what) VALUES ('all')`);
    return rows;
  });
}

const foreignKeys = (queries: Queries): Promise<ForeignKey[]> =>
  queries.query<ForeignKey>(
    `SELECT quote_ident(conname) AS name, conrelid::regclass::text AS "table", pg_get_constraintdef(oid) AS definition
     FROM pg_constraint WHERE contype = 'f' AND connamespace = 'public'::regnamespace`,
  );

async function fill(
  queries: Queries,
  table: string,
  columns: readonly string[],
  lines: AsyncGenerator<string>,
): Promise<number> {
  const names = columns.join(', ');
  const insert = `INSERT INTO "${table}" (${names}) OVERRIDING SYSTEM VALUE
    SELECT ${names} FROM json_populate_recordset(NULL::"${table}", $1::json)`;
  let [rows, bytes, part] = [0, 0, [] as string[]];
  const send = async () => {
    if (part.length === 0) return;
    const asked = `[${part.join(',')}]`;
    await fitting(`Rows of ${table} near the ${rows}th do not fit`, () => queries.query(insert, [asked]));
    [bytes, part] = [0, []];
  };
  for await (const line of lines) {
    part.push(line);
    rows += 1;
    bytes += line.length;
    if (bytes >= PART_BYTES) await send();
  }
  await send();
  return rows;
}

/** What the database refuses is the file's fault. */
async function fitting(what: string, work: () => Promise<unknown>): Promise<void> {
  try {
    await work();
  } catch (error) {
    throw new BadBackup(`${what}: ${error instanceof Error ? error.message : String(error)}`, { cause: error });
  }
}

/** Numbers that are given one after another go on behind the last that came in. */
async function countOn(queries: Queries): Promise<void> {
  const counters = await queries.query<{ table: string; column: string }>(
    `SELECT quote_ident(table_name) AS "table", quote_ident(column_name) AS "column" FROM information_schema.columns
     WHERE table_schema = 'public' AND is_identity = 'YES' AND table_name <> 'touched'`,
  );
  for (const { table, column } of counters)
    await queries.query(
      `SELECT setval(pg_get_serial_sequence('${table}', '${column}'), coalesce(max(${column}), 0) + 1, false) FROM ${table}`,
    );
}

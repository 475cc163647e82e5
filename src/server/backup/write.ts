import { createHash } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type { Database, Queries } from '../storage/database';
import { fileOf, FORMAT, FORMAT_VERSION, MANIFEST, type BackedUpTable, type Manifest } from './manifest';
import { linesOf, schemaOf, tablesOf } from './tables';

/** Somebody wrote while it was read: it is read again, so often; then others wait until it is read. Chosen here */
const TRIES = 3;

export interface BackupFacts {
  program: string;
  /** UTC */
  madeAt: string;
  /** Told of each table that was read, and of how many there are. */
  progress?: (done: number, of: number) => void;
}

/**
 * Writes everything that is kept into one file: a zip with a manifest and the rows of each table as JSON Lines. It is of one moment:
 * a server is asked within one snapshot; the embedded database, which has one connection, is read while others go on, and read again
 * where something was written meanwhile.
 * @param file is written aside and renamed: what stands under its name is whole
 */
export async function writeBackup(database: Database, file: string, facts: BackupFacts): Promise<Manifest> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-backup-'));
  const draft = `${file}.${process.pid}.part`;
  try {
    const made = await readAtOneMoment(database, folder, facts);
    await pack(made, folder, draft);
    fs.renameSync(draft, file);
    return made;
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
    fs.rmSync(draft, { force: true });
  }
}

async function readAtOneMoment(database: Database, folder: string, facts: BackupFacts): Promise<Manifest> {
  const { writes } = database;
  if (!writes)
    return database.transaction(async (queries) => {
      await queries.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ, READ ONLY');
      return readAll(queries, folder, facts);
    });
  for (let time = 0; time < TRIES; time += 1) {
    const before = writes();
    const made = await readAll(database, folder, facts);
    if (writes() === before) return made;
  }
  return database.transaction((queries) => readAll(queries, folder, facts));
}

async function readAll(
  queries: Queries,
  folder: string,
  { program, madeAt, progress }: BackupFacts,
): Promise<Manifest> {
  const schema = await schemaOf(queries);
  const names = await tablesOf(queries);
  const tables: BackedUpTable[] = [];
  for (const { name } of names) {
    tables.push(await readTable(queries, name, path.join(folder, name)));
    progress?.(tables.length, names.length);
  }
  return { format: FORMAT, formatVersion: FORMAT_VERSION, schema, program, madeAt, tables };
}

async function readTable(queries: Queries, name: string, file: string): Promise<BackedUpTable> {
  const sum = createHash('sha256');
  const handle = await fs.promises.open(file, 'w', 0o600);
  let [rows, bytes] = [0, 0];
  try {
    for await (const lines of linesOf(queries, name)) {
      if (lines.length === 0) continue;
      const text = Buffer.from(`${lines.join('\n')}\n`);
      sum.update(text);
      await handle.write(text);
      rows += lines.length;
      bytes += text.length;
    }
  } finally {
    await handle.close();
  }
  return { name, rows, bytes, sha256: sum.digest('hex') };
}

async function pack(made: Manifest, folder: string, file: string): Promise<void> {
  const zip = new ZipFile();
  zip.addBuffer(Buffer.from(`${JSON.stringify(made, null, 2)}\n`), MANIFEST);
  for (const { name } of made.tables) zip.addFile(path.join(folder, name), fileOf(name));
  zip.end();
  await pipeline(zip.outputStream, fs.createWriteStream(file, { mode: 0o600 }));
}

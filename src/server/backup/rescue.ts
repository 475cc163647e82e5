import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Database, Queries } from '../storage/database';
import { openFolder } from '../storage/pglite';
import { writeBackup, type BackupFacts } from './write';

/** What of a damaged house was saved. */
export interface Rescued {
  rows: number;
  /** Rows that read, and are about somebody or something that does not: they cannot be brought in, and lie in a file beside. */
  left: number;
  /** Where those lie, a line of JSON each; null where there are none. */
  leftIn: string | null;
}

/**
 * Saves what still reads of a damaged cluster as a backup. It works on a copy: what is there is not touched. A page that is not what
 * was written counts as empty, and no index is believed.
 * @source PostgreSQL, runtime configuration, developer options: zero_damaged_pages
 * @throws where the cluster is damaged where it says what its tables are
 */
export async function rescue(cluster: string, file: string, facts: BackupFacts): Promise<Rescued> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-rescue-'));
  try {
    const copy = path.join(folder, 'cluster');
    fs.cpSync(cluster, copy, { recursive: true });
    const database = await openFolder({
      cluster: copy,
      draft: `${copy}.new`,
      isNew: false,
      isHeld: () => true,
      release: () => undefined,
    });
    try {
      await readWhatReads(database);
      const leftIn = `${file}.left.jsonl`;
      const left = await leaveOrphans(database, leftIn);
      const { tables } = await writeBackup(database, file, facts);
      return { rows: tables.reduce((sum, { rows }) => sum + rows, 0), left, leftIn: left > 0 ? leftIn : null };
    } finally {
      await database.close();
    }
  } catch (error) {
    throw new Error(
      `What the database keeps about itself is damaged: nothing of it reads here. The newest backup is the way back. (${(error as Error).message})`,
      { cause: error },
    );
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

async function readWhatReads(queries: Queries): Promise<void> {
  const settings = ['zero_damaged_pages = on', 'session_replication_role = replica'];
  const indexes = ['enable_indexscan', 'enable_indexonlyscan', 'enable_bitmapscan'].map((each) => `${each} = off`);
  for (const each of [...settings, ...indexes]) await queries.query(`SET ${each}`);
}

interface Reference {
  child: string;
  parent: string;
  of: string;
  to: string;
}

/** Takes what points to nobody out into a file, until nothing does: each may have been pointed to itself. */
async function leaveOrphans(database: Database, file: string): Promise<number> {
  const references = await database.query<Reference>(
    `SELECT c.conrelid::regclass::text AS child, c.confrelid::regclass::text AS parent,
       quote_ident(a.attname) AS of, quote_ident(b.attname) AS to
     FROM pg_constraint c
       JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = c.conkey[1]
       JOIN pg_attribute b ON b.attrelid = c.confrelid AND b.attnum = c.confkey[1]
     WHERE c.contype = 'f' AND c.connamespace = 'public'::regnamespace AND cardinality(c.conkey) = 1`,
  );
  let left = 0;
  for (let more = true; more;) {
    more = false;
    for (const { child, parent, of, to } of references) {
      const gone = await database.query<{ line: string }>(
        `DELETE FROM ${child} c WHERE c.${of} IS NOT NULL AND NOT EXISTS (SELECT 1 FROM ${parent} p WHERE p.${to} = c.${of})
         RETURNING jsonb_build_object('table', '${child}', 'row', to_jsonb(c))::text AS line`,
      );
      if (gone.length > 0) fs.appendFileSync(file, gone.map(({ line }) => `${line}\n`).join(''), { mode: 0o600 });
      left += gone.length;
      more ||= gone.length > 0;
    }
  }
  return left;
}

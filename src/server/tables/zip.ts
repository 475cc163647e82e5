import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import type { Entry, ZipFile as ZipFileRead } from 'yauzl';
import { ZipFile } from 'yazl';
import { TABLES, TABLES_IN, type TableIn, type TablesBroughtIn } from '@/contract/tables';
import { BadBackup, entriesOf, openZip, streamOf } from '../backup/read';
import { invalid } from '../http/problem';
import type { Deps } from '../resources/deps';
import { inThread } from '../threads/pool';
import { bringTablesIn } from './bringIn';
import { schemaOf } from './columns';
import { asCsv } from './lines';
import { rowsIn } from './readCsv';
import type { Cells } from './rowsIn';
import { COLUMNS_OUT } from './tableColumns';
import { tableOut } from './tables';

/** A table of more is brought in as a backup. Bytes, chosen here: a hundred years of a large house */
const MOST_TABLE_BYTES = 128 * 2 ** 20;

/** Every table as CSV, with what its columns are as JSON Schema, in one zip. */
export function tablesZip(deps: Deps): Readable {
  const zip = new ZipFile();
  const out = zip.outputStream as Readable;
  for (const name of TABLES) {
    const table = tableOut(deps, name);
    zip.addBuffer(Buffer.from(`${JSON.stringify(schemaOf(name, table.columns), null, 2)}\n`), `${name}.schema.json`);
    const lines = Readable.from(asCsv(table));
    // The packer does not listen: what goes wrong in a table goes wrong in the file, and stops no server.
    lines.on('error', (error) => out.destroy(error));
    zip.addReadStream(lines, `${name}.csv`);
  }
  zip.end();
  return out;
}

/** Brings in the tables of a zip: those it has, as CSV or JSON. @throws Problem naming what cannot be */
export async function tablesFromZip(deps: Deps, file: string): Promise<TablesBroughtIn> {
  const texts = await textsIn(file);
  const found = TABLES_IN.filter((name) => texts.has(name));
  if (found.length === 0)
    throw invalid('file', `It holds none of ${TABLES_IN.map((name) => `${name}.csv`).join(', ')}.`);
  const tables: Partial<Record<TableIn, Iterable<Cells>>> = {};
  for (const name of found) {
    const { text, form } = texts.get(name) ?? { text: '', form: 'csv' };
    const names = Object.fromEntries(
      COLUMNS_OUT[name].flatMap(({ id, title }) => [
        [id.toLowerCase(), id],
        [title.toLowerCase(), id],
      ]),
    );
    const read = await inThread('tableLines', { text, form, names });
    if ('problem' in read) throw invalid(`${name}.${form}`, read.problem);
    tables[name] = rowsIn(read.lines);
  }
  return bringTablesIn(deps.database, tables, deps.clock.today());
}

async function textOf(zip: ZipFileRead, entry: Entry): Promise<string> {
  try {
    return (await buffer(await streamOf(zip, entry))).toString('utf8');
  } catch (error) {
    throw new BadBackup(`${entry.fileName} is not what was packed: the file was cut off or changed.`, { cause: error });
  }
}

async function textsIn(file: string): Promise<Map<string, { text: string; form: 'csv' | 'json' }>> {
  try {
    const zip = await openZip(file);
    try {
      const texts = new Map<string, { text: string; form: 'csv' | 'json' }>();
      for (const [path, entry] of await entriesOf(zip)) {
        const [, name, form] = /(?:^|\/)([a-z]+)\.(csv|json)$/.exec(path) ?? [];
        if (name === undefined || (form !== 'csv' && form !== 'json')) continue;
        if (entry.uncompressedSize > MOST_TABLE_BYTES) throw new BadBackup(`${path} is larger than 128 MB.`);
        texts.set(name, { text: await textOf(zip, entry), form });
      }
      return texts;
    } finally {
      zip.close();
    }
  } catch (error) {
    if (error instanceof BadBackup) throw invalid('file', error.message.replace('no backup', 'no zip of tables'));
    throw error;
  }
}

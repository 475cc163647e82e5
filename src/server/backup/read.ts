import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { StringDecoder } from 'node:string_decoder';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { MOST_BYTES } from '../http/fileTransfer';
import { fileOf, FORMAT, MANIFEST, manifest, type Manifest } from './manifest';

/** What is wrong with a file that is brought as a backup, in words for its keeper. */
export class BadBackup extends Error {}

const MANIFEST_BYTES = 2 ** 20;
/** A photo of ten megabytes is one row, of twice its size. Characters, chosen here */
const MOST_LINE = 2 ** 26;
/** Rows of JSON shrink to a twentieth; what shrinks more than this is a bomb. Chosen here */
const MOST_RATIO = 200;

/** A backup that was opened: what it says of itself, and the rows of each of its tables. */
export interface OpenBackup {
  manifest: Manifest;
  /** The lines of a table, with its sum, its size and its number of rows checked once the last was read. @throws BadBackup */
  lines(table: string): AsyncGenerator<string>;
  close(): void;
}

/**
 * Opens a file and looks at everything that can be known before its rows are read: that it is a zip, whole, with a manifest of this
 * format, with the files that the manifest names and no others, of the sizes it names.
 * @throws BadBackup with what is wrong
 */
export async function openBackup(file: string): Promise<OpenBackup> {
  const zip = await openZip(file);
  try {
    const entries = await entriesOf(zip);
    const told = await manifestIn(zip, entries);
    const names = new Set([MANIFEST, ...told.tables.map(({ name }) => fileOf(name))]);
    const foreign = [...entries.keys()].find((name) => !names.has(name));
    if (foreign !== undefined) throw new BadBackup(`It holds ${foreign}, which its manifest does not name.`);
    for (const { name, bytes } of told.tables) {
      const entry = entries.get(fileOf(name));
      if (!entry) throw new BadBackup(`The rows of ${name} are missing.`);
      if (entry.uncompressedSize !== bytes)
        throw new BadBackup(`The rows of ${name} should be ${bytes} bytes, and are ${entry.uncompressedSize}.`);
    }
    return {
      manifest: told,
      lines: (table) => checkedLines(zip, entries, told, table),
      close: () => zip.close(),
    };
  } catch (error) {
    zip.close();
    throw error;
  }
}

/** @throws BadBackup where it is no zip */
export async function openZip(file: string): Promise<ZipFile> {
  try {
    return await yauzl.openPromise(file, { lazyEntries: true, autoClose: false, validateEntrySizes: true });
  } catch (error) {
    throw new BadBackup('It is no backup, or was cut off: it cannot be opened as a zip file.', { cause: error });
  }
}

/** The files in it by their names; none of them out of its folder, none so large that it would fill the disk. */
export async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let bytes = 0;
  try {
    for await (const entry of zip.eachEntry()) {
      const { fileName, uncompressedSize, compressedSize } = entry;
      if (entries.has(fileName)) throw new BadBackup(`It holds ${fileName} twice.`);
      bytes += uncompressedSize;
      if (bytes > MOST_BYTES) throw new BadBackup('It unpacks to more than 2 GB: that is no house.');
      if (uncompressedSize > MANIFEST_BYTES && uncompressedSize > MOST_RATIO * compressedSize)
        throw new BadBackup(`${fileName} unpacks to ${MOST_RATIO} times its size and more: it is not opened.`);
      entries.set(fileName, entry);
    }
  } catch (error) {
    if (error instanceof BadBackup) throw error;
    throw new BadBackup('What it holds cannot be read: a name leads out of it, or it was cut off.', { cause: error });
  }
  return entries;
}

async function manifestIn(zip: ZipFile, entries: ReadonlyMap<string, Entry>): Promise<Manifest> {
  const entry = entries.get(MANIFEST);
  if (!entry || entry.uncompressedSize > MANIFEST_BYTES)
    throw new BadBackup('It has no manifest of its own: it was not made by this program.');
  const parts: Buffer[] = [];
  for await (const part of await streamOf(zip, entry)) parts.push(part as Buffer);
  const text = Buffer.concat(parts).toString('utf8');
  const parsed = manifest.safeParse(jsonIn(text));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  const place = issue?.path.join('.') ?? '';
  throw new BadBackup(
    place === 'format' || place === ''
      ? `Its manifest is not one of ${FORMAT}.`
      : `Its manifest is damaged at ${place}: ${issue?.message ?? ''}`,
  );
}

function jsonIn(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export async function streamOf(zip: ZipFile, entry: Entry): Promise<Readable> {
  try {
    return await zip.openReadStreamPromise(entry);
  } catch (error) {
    throw new BadBackup(`${entry.fileName} cannot be read.`, { cause: error });
  }
}

async function* checkedLines(
  zip: ZipFile,
  entries: ReadonlyMap<string, Entry>,
  { tables }: Manifest,
  name: string,
): AsyncGenerator<string> {
  const told = tables.find((each) => each.name === name);
  const entry = entries.get(fileOf(name));
  if (!told || !entry) return;
  const sum = createHash('sha256');
  let rows = 0;
  try {
    for await (const line of linesIn(await streamOf(zip, entry), (part) => sum.update(part))) {
      rows += 1;
      yield line;
    }
  } catch (error) {
    if (error instanceof BadBackup) throw error;
    throw changed(name, error);
  }
  if (rows !== told.rows || sum.digest('hex') !== told.sha256) throw changed(name);
}

const changed = (name: string, cause?: unknown) =>
  new BadBackup(`The rows of ${name} are not what was written: the file was cut off or changed.`, { cause });

/** A stream as lines, none of them longer than a row can be: the library's reader would gather one of any length. */
async function* linesIn(source: Readable, seen: (part: Buffer) => void): AsyncGenerator<string> {
  const decoder = new StringDecoder('utf8');
  let [begun, length] = [[] as string[], 0];
  for await (const part of source as AsyncIterable<Buffer>) {
    seen(part);
    const [first = '', ...others] = decoder.write(part).split('\n');
    begun.push(first);
    length += first.length;
    if (length > MOST_LINE) throw new BadBackup('One of its rows is larger than 64 MB: that is no record.');
    for (const next of others) {
      yield begun.join('');
      [begun, length] = [[next], next.length];
    }
  }
  const last = begun.join('');
  if (last !== '') yield last;
}

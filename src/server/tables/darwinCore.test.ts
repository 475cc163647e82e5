import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { DOMParser } from '@xmldom/xmldom';
import { entriesOf, openZip, streamOf } from '../backup/read';
import { seedDemo } from '../demo';
import type { Database } from '../storage/database';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import { fixedClock, startServer, type TestServer } from '../testing/server';

describe('the collection as a Darwin Core Archive', () => {
  let database: Database;
  let server: TestServer;
  beforeAll(async () => {
    database = await openMemory();
    await migrate(database);
  }, 120_000);
  beforeEach(async () => {
    server = await startServer(database);
  });
  afterEach(() => server.close());
  afterAll(() => database.close());

  const archive = async (): Promise<Map<string, string>> => {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-dwc-'));
    const file = path.join(folder, 'archive.zip');
    fs.writeFileSync(file, Buffer.from(await (await fetch(`${server.address}/api/darwin-core`)).arrayBuffer()));
    const zip = await openZip(file);
    const files = new Map<string, string>();
    for (const [name, entry] of await entriesOf(zip))
      files.set(name, (await buffer(await streamOf(zip, entry))).toString());
    zip.close();
    fs.rmSync(folder, { recursive: true });
    return files;
  };
  /** A document of XML that another reader takes without a complaint. */
  const xml = (text = '') => {
    const complaints: string[] = [];
    const note = (said: string) => void complaints.push(said);
    const errorHandler = { warning: note, error: note, fatalError: note };
    const document = new DOMParser({ errorHandler }).parseFromString(text, 'text/xml');
    expect(complaints).toEqual([]);
    return document;
  };
  const rowsOf = (text = '') =>
    text
      .replace(/\n$/, '')
      .split('\n')
      .map((line) => line.split('\t'));

  it('of an empty house has its files, and no rows', async () => {
    const files = await archive();
    expect([...files.keys()].sort()).toEqual([
      ...['eml.xml', 'event.txt', 'measurementorfact.txt', 'meta.xml', 'occurrence.txt'],
    ]);
    for (const name of ['event.txt', 'occurrence.txt', 'measurementorfact.txt'])
      expect(rowsOf(files.get(name))).toHaveLength(1);
  });

  // The form by the Darwin Core text guide and the terms by its quick reference (TDWG), from memory: no schema lies here.
  it('says of each column what it holds, points nowhere but into its core, and has every birth and death', async () => {
    await seedDemo(database, fixedClock());
    const files = await archive();
    const meta = xml(files.get('meta.xml'));
    const tables = [
      ...Array.from(meta.getElementsByTagName('core')),
      ...Array.from(meta.getElementsByTagName('extension')),
    ];
    expect(tables.map((each) => each.getAttribute('rowType')?.split('/').at(-1))).toEqual([
      ...['Event', 'Occurrence', 'MeasurementOrFact'],
    ]);
    const events = new Set(
      rowsOf(files.get('event.txt'))
        .slice(1)
        .map(([id]) => id),
    );
    expect(events.size).toBe(rowsOf(files.get('event.txt')).length - 1);
    for (const table of tables) {
      const [head = [], ...rows] = rowsOf(files.get(table.getElementsByTagName('location')[0]?.textContent ?? ''));
      const fields = Array.from(table.getElementsByTagName('field'));
      expect(fields.map((each) => Number(each.getAttribute('index')))).toEqual(
        head.slice(1).map((_, index) => index + 1),
      );
      expect(fields.map((each) => each.getAttribute('term'))).toEqual(
        head.slice(1).map((name) => `http://rs.tdwg.org/dwc/terms/${name}`),
      );
      expect(rows.length).toBeGreaterThan(20);
      for (const row of rows) {
        expect(row).toHaveLength(head.length);
        expect(row[0]).toMatch(/^urn:uuid:[0-9a-f-]{36}$/);
        expect(events).toContain(row[0]);
      }
    }
    const kinds = rowsOf(files.get('event.txt')).map((row) => row[1]);
    const count = async (sql: string) => (await database.query<{ count: number }>(sql))[0]?.count;
    const ever = 'SELECT r.id FROM resident r';
    for (const [kind, entry] of [
      ['arrival', 'taken-in'],
      ['death', 'died'],
    ] as const)
      expect(kinds.filter((each) => each === kind)).toHaveLength(
        (await count(
          `SELECT count(*)::int AS count FROM entry e WHERE e.kind = '${entry}' AND e.undone_at IS NULL AND e.resident_id IN (${ever})`,
        )) ?? -1,
      );
    const eml = xml(files.get('eml.xml'));
    for (const tag of ['title', 'creator', 'metadataProvider', 'pubDate', 'abstract', 'intellectualRights', 'contact'])
      expect(eml.getElementsByTagName(tag).length).toBeGreaterThan(0);
    expect(eml.getElementsByTagName('surName')[0]?.textContent).toBe('Bram Lindqvist-Oro');
  });
});

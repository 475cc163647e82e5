import { randomUUID } from 'node:crypto';
import { createHash, randomBytes } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { seedDemo } from '../demo';
import { settableClock } from '../clock';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import type { Database } from '../storage/database';
import { FORMAT, FORMAT_VERSION } from './manifest';
import { BadBackup, openBackup } from './read';
import { restore } from './restore';
import { insertPerson, listPeople } from '../storage/access';
import { emptyDatabase } from '../testing/databases';
import { linesOf, tablesOf } from './tables';
import { writeBackup } from './write';

const FACTS = { program: '0.1.0', madeAt: '2026-03-14T18:00:00.000Z' };

describe('a backup', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'vb-backup-test-'));
  const at = (name: string) => path.join(folder, name);
  let demo: Database;
  let empty: Database;
  beforeAll(async () => {
    [demo, empty] = [await openMemory(), await openMemory()];
    await migrate(demo);
    await migrate(empty);
    await seedDemo(demo, settableClock('2026-03-14T18:00:00.000Z'));
    await demo.query(
      `INSERT INTO home_photo (home_id, jpeg) SELECT id, decode('ffd8ff00010203fe', 'hex') FROM home LIMIT 2`,
    );
    await writeBackup(demo, at('demo.zip'), FACTS);
  }, 120_000);
  afterAll(async () => {
    await demo.close();
    await empty.close();
    fs.rmSync(folder, { recursive: true });
  });

  /** Everything that a database holds, in one order. */
  async function held(database: Database): Promise<Record<string, string[]>> {
    const all: Record<string, string[]> = {};
    for (const { name } of await tablesOf(database)) {
      const rows: string[] = [];
      for await (const lines of linesOf(database, name)) rows.push(...lines);
      all[name] = rows.sort();
    }
    return all;
  }

  it('holds nobody’s password, and lets nobody in or out where it is brought in', async () => {
    const [from, into] = [await emptyDatabase(), await emptyDatabase()];
    const ada = { id: randomUUID(), name: 'Ada', role: 'keeper', password: 'a hash that no file has' } as const;
    await insertPerson(from, ada);
    await writeBackup(from, at('people.zip'), FACTS);
    expect(fs.readFileSync(at('people.zip')).includes('access')).toBe(false);
    const ben = { ...ada, id: randomUUID(), name: 'Ben' };
    await insertPerson(into, ben);
    await restore(into, at('people.zip'));
    expect((await listPeople(into)).map(({ name }) => name)).toEqual(['Ben']);
    await Promise.all([from.close(), into.close()]);
  });

  it('brings the same house into an empty one: every row of every table, photos byte for byte', async () => {
    const { rows, madeAt } = await restore(empty, at('demo.zip'));
    expect(madeAt).toBe(FACTS.madeAt);
    expect(rows).toBeGreaterThan(3000);
    expect(await held(empty)).toEqual(await held(demo));
    // What is written next is behind what came in.
    const next = `SELECT nextval(pg_get_serial_sequence('entry', 'seq')) AS next, (SELECT max(seq) FROM entry) AS last`;
    const [{ next: seq, last } = { next: 0, last: 0 }] = await empty.query<{ next: number; last: number }>(next);
    expect(seq).toBeGreaterThan(last);
    // And it holds together as before.
    await expect(empty.query('DELETE FROM home')).rejects.toThrow();
  });

  it('says what it is and what lies in it', async () => {
    const { manifest, close } = await openBackup(at('demo.zip'));
    close();
    expect(manifest).toMatchObject({ format: FORMAT, formatVersion: FORMAT_VERSION, ...FACTS });
    expect(manifest.tables.map(({ name }) => name)).toEqual(expect.arrayContaining(['entry', 'home_photo', 'keeper']));
    expect(manifest.tables.map(({ name }) => name)).not.toContain('schema_migration');
  });

  it('is of one moment, though somebody goes on writing', async () => {
    const writing = (async () => {
      for (let time = 0; time < 12; time += 1) {
        await demo.transaction(async (queries) => {
          await queries.query(`INSERT INTO meta (key, value) VALUES ($1, $2)`, [`a${time}`, '1']);
          await queries.query(`UPDATE shelf SET name = $1 WHERE id = (SELECT min(id::text)::uuid FROM shelf)`, [
            `S${time}`,
          ]);
        });
        await new Promise((resolve) => setTimeout(resolve, 15));
      }
    })();
    await writeBackup(demo, at('busy.zip'), FACTS);
    await writing;
    await restore(empty, at('busy.zip'));
    const [{ count } = { count: 0 }] = await empty.query<{ count: number }>(
      `SELECT count(*)::int AS count FROM meta WHERE key ~ '^a[0-9]+$'`,
    );
    const [{ name } = { name: '' }] = await empty.query<{ name: string }>(
      'SELECT name FROM shelf ORDER BY id::text LIMIT 1',
    );
    if (count > 0) expect(name).toBe(`S${count - 1}`);
    await demo.query(`DELETE FROM meta WHERE key ~ '^a[0-9]+$'`);
  });

  describe('that is not right leaves the house as it was, and says why', () => {
    let before: Record<string, string[]>;
    beforeAll(async () => {
      await restore(empty, at('demo.zip'));
      before = await held(empty);
    });
    const refused = async (file: string): Promise<string> => {
      const error = await restore(empty, file).catch((problem: unknown) => problem);
      expect(error).toBeInstanceOf(BadBackup);
      expect(await held(empty)).toEqual(before);
      return (error as BadBackup).message;
    };
    /** A file that somebody made by hand. */
    async function made(name: string, files: Record<string, string | Buffer>): Promise<string> {
      const zip = new ZipFile();
      for (const [each, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), each);
      zip.end();
      await pipeline(zip.outputStream, fs.createWriteStream(at(name)));
      return at(name);
    }
    const told = (tables: object[], more: object = {}) =>
      JSON.stringify({ format: FORMAT, formatVersion: FORMAT_VERSION, schema: 15, ...FACTS, tables, ...more });
    const sum = '0'.repeat(64);

    it('no zip, or cut off', async () => {
      fs.writeFileSync(at('text.zip'), 'A list of my spiders');
      expect(await refused(at('text.zip'))).toMatch(/no backup/);
      const whole = fs.readFileSync(at('demo.zip'));
      fs.writeFileSync(at('cut.zip'), whole.subarray(0, whole.length - 2000));
      expect(await refused(at('cut.zip'))).toMatch(/cut off/);
    });

    it('of another program, of a newer one, with a manifest that is damaged', async () => {
      expect(await refused(await made('foreign.zip', { 'notes.txt': 'x' }))).toMatch(/no manifest/);
      expect(await refused(await made('other.zip', { 'manifest.json': '{"format":"other"}' }))).toMatch(/not one of/);
      expect(await refused(await made('newer.zip', { 'manifest.json': told([], { schema: 99 }) }))).toMatch(/newer/);
    });

    it('with a row changed, a table missing, one that nobody knows, or a path that leads out of it', async () => {
      const table = { name: 'shelf', rows: 1, bytes: 3, sha256: sum };
      expect(
        await refused(await made('sum.zip', { 'manifest.json': told([table]), 'tables/shelf.jsonl': '{}\n' })),
      ).toMatch(/shelf .*(not what was written|do not fit)|do not fit/);
      expect(await refused(await made('gone.zip', { 'manifest.json': told([table]) }))).toMatch(/missing/);
      const secret = { name: 'pg_authid', rows: 0, bytes: 0, sha256: sum };
      const known = await made('unknown.zip', { 'manifest.json': told([secret]), 'tables/pg_authid.jsonl': '' });
      expect(await refused(known)).toMatch(/does not know/);
      const extra = await made('extra.zip', { 'manifest.json': told([]), 'tables/shelf.jsonl': '{}' });
      expect(await refused(extra)).toMatch(/does not name/);
      const out = fs.readFileSync(await made('path.zip', { 'manifest.json': told([]), 'aa/evil': 'x' }));
      fs.writeFileSync(at('path.zip'), Buffer.from(out.toString('latin1').replaceAll('aa/evil', '../evil'), 'latin1'));
      expect(await refused(at('path.zip'))).toMatch(/leads out of it|cut off/);
    });

    it('that would fill the disk', async () => {
      const zeros = Buffer.alloc(64 * 2 ** 20);
      const table = { name: 'entry', rows: 1, bytes: zeros.length, sha256: sum };
      expect(
        await refused(await made('bomb.zip', { 'manifest.json': told([table]), 'tables/entry.jsonl': zeros })),
      ).toMatch(/times its size/);
      // Less dense, but one row that no string would hold in the end.
      const row = Buffer.concat(
        Array.from({ length: 700 }, () => Buffer.from(randomBytes(500).toString('hex') + '0'.repeat(102_000))),
      );
      const long = { ...table, bytes: row.length };
      const file = await made('long.zip', { 'manifest.json': told([long]), 'tables/entry.jsonl': row });
      expect(await refused(file)).toMatch(/larger than 64 MB/);
    });

    it('whose rows point to nobody', async () => {
      const row = `{"id":"11111111-1111-4111-8111-111111111111","name":"A","room_id":"22222222-2222-4222-8222-222222222222","position":1}\n`;
      const sha256 = createHash('sha256').update(row).digest('hex');
      const table = { name: 'shelf', rows: 1, bytes: row.length, sha256 };
      const file = await made('lost.zip', { 'manifest.json': told([table]), 'tables/shelf.jsonl': row });
      expect(await refused(file)).toMatch(/point to is not there/);
    });
  });
});

import Ajv from 'ajv/dist/2020';
import { buffer } from 'node:stream/consumers';
import Papa from 'papaparse';
import { TABLES } from '@/contract/tables';
import { migrate } from '../storage/migrate';
import { openMemory } from '../storage/pglite';
import type { Database } from '../storage/database';
import { seedDemo } from '../demo';
import { fixedClock, startServer, TODAY, type TestServer } from '../testing/server';
import { csvLines, titleOf } from './columns';
import { tablesZip } from './zip';

describe('tables of what is kept', () => {
  let database: Database;
  let server: TestServer;
  beforeAll(async () => {
    database = await openMemory();
    await migrate(database);
    await seedDemo(database, fixedClock());
    server = await startServer(database);
  }, 120_000);
  afterAll(async () => {
    await server.close();
    await database.close();
  });
  const text = async (file: string) => (await fetch(`${server.address}/api/tables/${file}`)).text();

  it.each(TABLES)(
    'go out as %s.csv and .json with the same rows, and the JSON is what its schema says',
    async (name) => {
      const csv = await text(`${name}.csv`);
      expect(csv.endsWith('\r\n')).toBe(true);
      const { data, errors } = Papa.parse<string[]>(csv, { skipEmptyLines: true });
      expect(errors).toEqual([]);
      const rows = JSON.parse(await text(`${name}.json`)) as Record<string, unknown>[];
      expect(rows.length).toBe(data.length - 1);
      const schema = JSON.parse(await text(`${name}.schema.json`)) as object;
      const isValid = new Ajv().compile(schema);
      expect([isValid(rows), isValid.errors?.slice(0, 2)]).toEqual([true, undefined]);
      const [{ count } = { count: 0 }] = await database.query<{ count: number }>(
        {
          residents: 'SELECT count(*)::int AS count FROM resident',
          homes: 'SELECT count(*)::int AS count FROM home',
          shelves: 'SELECT count(*)::int AS count FROM shelf',
          entries: 'SELECT count(*)::int AS count FROM entry WHERE undone_at IS NULL',
          readings: 'SELECT count(*)::int AS count FROM reading',
          store: 'SELECT count(*)::int AS count FROM stock_entry WHERE undone_at IS NULL',
          keepers: 'SELECT count(*)::int AS count FROM keeper',
          absences: 'SELECT count(*)::int AS count FROM absence',
          rooms: 'SELECT count(*)::int AS count FROM room',
          probes: 'SELECT count(*)::int AS count FROM probe',
          schools: 'SELECT count(*)::int AS count FROM school_choice',
          // Worked out, and written nowhere.
          plans: `SELECT ${rows.length}::int AS count`,
        }[name],
      );
      expect(rows.length).toBe(count);
    },
  );

  it('have headings with units, and an event its own columns', async () => {
    expect((await text('residents.csv')).split('\r\n')[0]).toMatch(/scientific name,.*leg span \(mm\),.*mass \(g\)/);
    const [entry] = (JSON.parse(await text('entries.json')) as Record<string, unknown>[]).filter(
      ({ kind }) => kind === 'damped',
    );
    expect(entry).toMatchObject({ kind: 'damped', waterMl: expect.any(Number) });
    expect(entry).not.toHaveProperty('headCount');
    expect(titleOf('bodyLengthMm')).toBe('body length (mm)');
    expect(titleOf('temperatureC')).toBe('temperature (C)');
    expect(titleOf('since')).toBe('since');
  });

  it('hold commas, quotes and line ends, and no formula that a spreadsheet would run', () => {
    const columns = [
      { id: 'note', title: 'note', type: 'string' as const, of: (row: { note: string | number }) => row.note },
    ];
    const notes = ['a, "b"\r\nc', '=HYPERLINK("x")', '@SUM(A1)', '+1', '-2', -2];
    const csv = csvLines(
      columns,
      notes.map((note) => ({ note })),
    );
    const read = Papa.parse<string[]>(csv, { skipEmptyLines: true }).data.map(([cell]) => cell);
    expect(read).toEqual(['a, "b"\r\nc', '\'=HYPERLINK("x")', "'@SUM(A1)", "'+1", "'-2", '-2']);
  });

  it('of the work ahead say what the round of today says, and go on for a season', async () => {
    const plans = JSON.parse(await text('plans.json')) as { on: string; job: string; residentId: string }[];
    const { stops } = (await server.get('/api/round')).body as {
      stops: { residentId: string; jobs: { cannotWait: boolean; doneBy?: string }[] }[];
    };
    const pressing = stops.filter(({ jobs }) => jobs.some(({ cannotWait, doneBy }) => cannotWait && !doneBy));
    const today = new Set(plans.filter(({ on }) => on === TODAY).map(({ residentId }) => residentId));
    expect(pressing.length).toBeGreaterThan(5);
    expect(pressing.filter(({ residentId }) => !today.has(residentId))).toEqual([]);
    expect(plans.map(({ on }) => on)).toEqual(plans.map(({ on }) => on).toSorted());
    expect(new Set(plans.map(({ on }) => on)).size).toBeGreaterThan(60);
  });

  it('are what a list shows, where that is asked for', async () => {
    const [one, other] = JSON.parse(await text('residents.json')) as { id: string }[];
    const some = JSON.parse(await text(`residents.json?ids=${one?.id},${other?.id}`)) as { id: string }[];
    expect(some.map(({ id }) => id)).toEqual([one?.id, other?.id]);
    const moults = JSON.parse(await text(`entries.json?kinds=moulted,sexed`)) as { kind: string }[];
    expect(new Set(moults.map(({ kind }) => kind))).toEqual(new Set(['moulted', 'sexed']));
    const own = JSON.parse(await text(`entries.json?resident=${one?.id}`)) as { residentId: string }[];
    expect(new Set(own.map(({ residentId }) => residentId))).toEqual(new Set([one?.id]));
    expect((await server.get('/api/tables/entries.csv?kinds=eaten-up')).status).toBe(422);
  });

  it('end with the error where one cannot be read, and stop no server', async () => {
    const failing = { ...database, query: () => Promise.reject(new Error('The disk is gone.')) };
    const zip = tablesZip({ database: failing, clock: fixedClock(), version: 'test' });
    await expect(buffer(zip as AsyncIterable<Buffer> & NodeJS.ReadableStream)).rejects.toThrow('The disk is gone.');
  });

  it('of another name, or in another form, there is none', async () => {
    for (const file of ['secrets.csv', 'residents.xml', '..%2Fentries.csv'])
      expect((await server.get(`/api/tables/${file}`)).status).toBe(404);
  });
});

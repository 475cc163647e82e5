import fc from 'fast-check';
import { ZipFile } from 'yazl';
import { buffer } from 'node:stream/consumers';
import { TABLES_IN, type TableName } from '@/contract/tables';
import { migrate } from '../storage/migrate';
import { eraseRecords } from '../storage/meta';
import { openMemory } from '../storage/pglite';
import type { Database } from '../storage/database';
import { seedDemo } from '../demo';
import { fixedClock, startServer, TODAY, type TestServer } from '../testing/server';

async function zipOf(files: Record<string, string>): Promise<Uint8Array> {
  const zip = new ZipFile();
  for (const [name, text] of Object.entries(files)) zip.addBuffer(Buffer.from(text), name);
  zip.end();
  return buffer(zip.outputStream as NodeJS.ReadableStream & AsyncIterable<Buffer>);
}

describe('what goes out as tables', () => {
  let databases: Database[];
  let houses: TestServer[];
  beforeAll(async () => {
    databases = await Promise.all([openMemory(), openMemory()]);
    for (const database of databases) await migrate(database);
    houses = await Promise.all(databases.map((database) => startServer(database)));
  }, 120_000);
  afterAll(async () => {
    for (const house of houses) await house.close();
    for (const database of databases) await database.close();
  });
  const [from, to] = [() => houses[0] as TestServer, () => houses[1] as TestServer];
  const text = async (house: TestServer, file: string) => (await fetch(`${house.address}/api/tables/${file}`)).text();
  const send = async (body: Uint8Array) => {
    const response = await fetch(`${to().address}/api/tables`, {
      ...{ method: 'POST', headers: { 'Content-Type': 'application/zip' }, body: Buffer.from(body) },
    });
    return { status: response.status, body: (await response.json()) as never as Record<string, never> };
  };
  const all = async (house: TestServer) =>
    Object.fromEntries(
      await Promise.all(TABLES_IN.map(async (name) => [name, await text(house, `${name}.csv`)] as const)),
    );
  const outAndIn = async () => {
    const zip = new Uint8Array(await (await fetch(`${from().address}/api/tables`)).arrayBuffer());
    const { status, body } = await send(zip);
    expect([status, body]).toEqual([200, { written: expect.anything() }]);
    expect(await all(to())).toEqual(await all(from()));
  };

  it('makes the same house of an empty one: the example house, with its round', async () => {
    await seedDemo(databases[0] as Database, fixedClock());
    await outAndIn();
    for (const path of ['/api/residents', '/api/homes', '/api/shelves', '/api/broods', '/api/rests'])
      expect((await to().get(path)).body).toEqual((await from().get(path)).body);
    const rounds = await Promise.all([from(), to()].map((house) => house.get('/api/round')));
    expect(rounds[1]?.body.stops.map(({ residentId }: { residentId: string }) => residentId)).toEqual(
      rounds[0]?.body.stops.map(({ residentId }: { residentId: string }) => residentId),
    );
  }, 240_000);

  it('makes the same house of an empty one, whatever was written in it', async () => {
    const nasty = fc.constantFrom(
      '=SUM(A1)',
      "'=x",
      '+1',
      '-2',
      '@a',
      'a, "b"',
      "''",
      'Ünal; Ωμ',
      '1e3',
      'true',
      '[1]',
    );
    const word = fc.oneof(nasty, fc.stringMatching(/^[a-z][a-z ]{0,12}[a-z]$/));
    const back = fc.integer({ min: 0, max: 300 });
    const animal = fc.record({
      ...{ called: word, span: fc.integer({ min: 8, max: 150 }), sex: fc.constantFrom('unknown', 'female', 'male') },
      ...{
        days: back,
        source: fc.option(word),
        permit: fc.option(word),
        note: word,
        grams: fc.double({ min: 0.01, max: 80, noNaN: true }),
      },
    });
    const dayBefore = (days: number) => new Date(Date.parse(TODAY) - days * 86_400_000).toISOString().slice(0, 10);
    await fc.assert(
      fc.asyncProperty(fc.array(animal, { maxLength: 5 }), word, async (animals, shelfName) => {
        for (const database of databases) await eraseRecords(database);
        const shelf = (await from().post('/api/shelves', { room: 'Room', name: shelfName })).body.shelf;
        for (const [index, each] of animals.entries()) {
          const container = {
            ...{ shape: 'box', lengthMm: 300 + index, widthMm: 200, heightMm: 200, lid: 'mesh', walls: 'glass' },
            vents: [{ side: 'front', shape: 'hole', count: 3, diameterMm: 4, centreHeightMm: 100 }],
          };
          const { home } = (
            await from().post('/api/homes', { code: `B${index}`, shelfId: shelf.id, container, substrateDepthMm: 50 })
          ).body;
          const { called, sex, source, permit, span, days } = each;
          const { body } = await from().post('/api/residents', {
            ...{ scientificName: 'Grammostola pulchra', stage: 'juvenile', legSpanMm: span, homeId: home.id },
            ...{ called, sex, on: dayBefore(days), ...(source && { source }), ...(permit && { permit }) },
          });
          const residentId = body.resident.id as string;
          for (const entry of [
            { kind: 'noted', note: each.note },
            { kind: 'measured', massG: each.grams },
            { kind: 'offered', preyCount: 2 },
            { kind: 'watered' },
          ])
            expect((await from().post('/api/entries', { ...entry, residentId })).status).toBe(201);
        }
        await outAndIn();
      }),
      { numRuns: 12 },
    );
  }, 240_000);

  it('comes in whole or not at all: what cannot be names its table, line and field', async () => {
    const tables = async (change: (files: Record<TableName, string>) => void) => {
      for (const database of databases) await eraseRecords(database);
      const shelf = (await from().post('/api/shelves', { room: 'Room', name: 'Shelf' })).body.shelf;
      const container = { shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
      const asked = { code: 'B1', shelfId: shelf.id, container, substrateDepthMm: 50 };
      const { home } = (await from().post('/api/homes', asked)).body;
      await from().post('/api/residents', {
        ...{ scientificName: 'Grammostola pulchra', stage: 'juvenile', legSpanMm: 40, homeId: home.id },
      });
      const files = (await all(from())) as Record<TableName, string>;
      change(files);
      const zip = await zipOf(Object.fromEntries(Object.entries(files).map(([name, csv]) => [`${name}.csv`, csv])));
      const { status, body } = await send(zip);
      expect((await to().get('/api/homes')).body.homes).toEqual([]);
      return { status, error: body.error as unknown as { fields: { path: string; message: string }[] } };
    };
    const size = await tables((files) => (files.homes = files.homes.replace(',300,200,', ',300,nought,')));
    expect(size.error.fields[0]).toMatchObject({
      path: expect.stringMatching(/^homes, line 2, home\.container\.widthMm/),
    });
    const nobody = await tables((files) => {
      files.residents = files.residents.split('\r\n')[0] ?? '';
    });
    expect(nobody.error.fields[0]?.path).toMatch(/^entries, line/);
    const ofKind = await tables((files) => (files.entries = files.entries.replace(',taken-in,', ',eaten-up,')));
    expect(ofKind.error.fields[0]?.path).toMatch(/^entries, line \d+, kind/);
    expect((await send(await zipOf({ 'photo.jpg': 'x' }))).status).toBe(422);
    expect((await send(Buffer.from('no zip'))).status).toBe(422);
    const torn = Buffer.from(await zipOf({ 'rooms.csv': 'id,name\r\n'.repeat(500) }));
    torn.fill(0x5a, 45, 60);
    expect((await send(torn)).body).toMatchObject({ error: { fields: [{ path: 'file' }] } });
  }, 120_000);
});

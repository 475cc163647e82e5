import type { Database } from './storage/database';
import { insertShelf } from './storage/shelves';
import { emptyDatabase } from './testing/databases';
import { startServer, type TestServer } from './testing/server';

/** A long list that comes in is one transaction of the embedded database, which has one at a time. */
describe('while one writes for long', () => {
  let database: Database;
  let server: TestServer;

  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
  }, 60_000);

  afterAll(async () => {
    await server.close();
    await database.close();
  });

  const BOX = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 200, lid: 'solid', vents: [] };
  const codes = async () => ((await server.get('/api/homes')).body.homes as { code: string }[]).map(({ code }) => code);

  it('others are answered with what was so before, and with what it wrote as soon as it has ended', async () => {
    const shelfId = (await server.post('/api/shelves', { room: 'Hall', name: 'Shelf' })).body.shelf.id as string;
    await server.post('/api/homes', { code: 'H1', shelfId, container: BOX, substrateDepthMm: 50 });
    expect(await codes()).toEqual(['H1']);
    let goOn = () => {};
    const held = new Promise<void>((resume) => (goOn = resume));
    let began = () => {};
    const hasBegun = new Promise<void>((resume) => (began = resume));
    const writing = database.transaction(async (queries) => {
      await queries.query(`UPDATE home SET code = 'H2'`);
      began();
      await held;
    });
    await hasBegun;
    expect(await codes()).toEqual(['H1']);
    expect((await server.get('/api/health')).body).toMatchObject({ ok: true });
    goOn();
    await writing;
    expect(await codes()).toEqual(['H2']);
  });

  it('what it writes counts once it has ended, were it by failing', async () => {
    const before = database.writes?.() ?? NaN;
    const failing = database.transaction(async (queries) => {
      await insertShelf(queries, { id: '00000000-0000-4000-8000-000000000001', room: 'Hall', name: 'Another' });
      expect(database.writes?.()).toBe(before);
      throw new Error('It makes no sense.');
    });
    await expect(failing).rejects.toThrow('It makes no sense.');
    expect(database.writes?.()).toBeGreaterThan(before);
    await database.transaction((queries) => database.script(queries, 'SELECT 1'));
    expect(database.writes?.()).toBeGreaterThan(before + 1);
  });
});

import { seedDemo } from '../demo';
import { databases, emptyDatabase } from '../testing/databases';
import { startServer, TODAY, type Answer, type TestServer } from '../testing/server';

/** A clock that stands: how often each database is asked moves nothing. */
const CLOCK = { today: () => TODAY, now: () => `${TODAY}T19:00:00.000Z` };

/**
 * One house in two databases: the demo is laid into PGlite and into a PostgreSQL server, the same is written to both, and every
 * list of the house is asked of both.
 */
const READS = [
  ...['shelves', 'homes', 'residents', 'round', 'rooms', 'probes', 'profiles', 'materials', 'store', 'store/entries'],
  ...[
    'store/plan',
    'keepers',
    'absences',
    'seasons',
    'rests',
    'colonies',
    'broods',
    'residents/moults',
    'residents/gone',
  ],
  ...['schools', 'emergency', 'handbook', 'training', 'supplier', 'house'],
];

type Ids = { resident: string; home: string; room: string };

/** A write for every module of the storage. */
const WRITES: [string, (server: TestServer, ids: Ids) => Promise<Answer>][] = [
  ['a shelf', (server) => server.post('/api/shelves', { room: 'Attic', name: 'Sill', loadLimitKg: 12 })],
  [
    'an entry',
    (server, { resident }) => server.post('/api/entries', { kind: 'noted', residentId: resident, note: 'Œuf' }),
  ],
  [
    'the air of a room',
    (server, { room }) => server.put(`/api/rooms/${room}`, { air: { temperatureC: 24, relativeHumidityPct: 51 } }),
  ],
  [
    'readings',
    (server, { home }) =>
      server.post(`/api/homes/${home}/readings`, { place: 'air', temperatureC: 22.25, relativeHumidityPct: 71 }),
  ],
  [
    'a probe',
    (server, { home }) =>
      server.post('/api/probes', { name: 'By the door', kind: 'device', place: 'cool', homeId: home }),
  ],
  [
    'stock',
    (server) => server.post('/api/store/entries', { item: 'field-cricket-medium', kind: 'counted', amount: 33 }),
  ],
  [
    'a culture',
    (server) =>
      server.post('/api/cultures', {
        called: 'Crickets',
        kind: 'field-cricket',
        breeders: 40,
        harvested: 'field-cricket-small',
      }),
  ],
  [
    'a price list',
    (server) =>
      server.put('/api/supplier', { csv: 'item,pack_size,pack_price,lead_days,handling\ndubia-roach-small,90,4,2,1' }),
  ],
  [
    'a keeper',
    (server) => server.post('/api/keepers', { name: 'Wren Aldous', walkAt: '18:30', zone: 'Europe/London' }),
  ],
  ['an absence', (server) => server.post('/api/absences', { from: '2026-04-01', until: '2026-04-06', sitter: 'Wren' })],
  [
    'a school',
    (server, { resident }) =>
      server.put('/api/schools', { scope: 'resident', about: resident, topic: 'feeding', school: 'large-and-rarely' }),
  ],
  ['a material', (server) => server.put('/api/materials/coir', { looseDensityGPerL: 95, waterHeldMlPerL: 480 })],
  ['the house', (server) => server.put('/api/house', { hemisphere: 'south' })],
  ['a training answer', (server) => server.post('/api/training', { keeper: 'Imre Talsk', kind: 'fit', isRight: true })],
];

/** The same text, with each id that was drawn by lot named by when it first comes up, and sums to twelve digits. */
function plain(body: unknown): string {
  const seen = new Map<string, string>();
  const text = JSON.stringify(body, (_, value) => (typeof value === 'number' ? Number(value.toPrecision(12)) : value));
  return text.replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g, (id) => {
    if (!seen.has(id)) seen.set(id, `id ${seen.size}`);
    return seen.get(id) ?? id;
  });
}

const both = databases.length > 1 ? describe : describe.skip;

both('PGlite and PostgreSQL', () => {
  const servers: { kind: string; server: TestServer; close: () => Promise<void> }[] = [];
  beforeAll(async () => {
    for (const { kind, open } of databases) {
      const database = await emptyDatabase(open);
      await seedDemo(database, CLOCK);
      const server = await startServer(database, CLOCK);
      servers.push({ kind, server, close: () => server.close().then(() => database.close()) });
    }
  }, 120_000);
  afterAll(async () => {
    for (const { close } of servers) await close();
  });

  const everywhere = async (path: string) => {
    const answers = [];
    for (const { server } of servers) {
      const { status, body } = await server.get(path);
      answers.push(`${status} ${plain(body)}`);
    }
    return answers;
  };

  it('take every kind of record alike', async () => {
    for (const [what, write] of WRITES) {
      for (const { kind, server } of servers) {
        const { homes } = (await server.get('/api/homes')).body;
        const [resident] = (await server.get('/api/residents')).body.residents;
        const [room] = (await server.get('/api/rooms')).body.rooms;
        const { status, body } = await write(server, { resident: resident.id, home: homes[0].id, room: room.id });
        expect([what, kind, status < 300 ? 'taken' : body]).toEqual([what, kind, 'taken']);
      }
    }
  });

  it.each(READS)('answer /api/%s alike', async (list) => {
    const [here, there] = await everywhere(`/api/${list}`);
    expect(here?.slice(0, 3)).toBe('200');
    expect(there).toBe(here);
  });
});

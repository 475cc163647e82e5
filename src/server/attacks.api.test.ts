import net from 'node:net';
import { routes } from '@/contract/routes';
import { endpointRoles } from '@/contract/endpointRoles';
import type { Database } from './storage/database';
import { emptyDatabase } from './testing/databases';
import { readPdf } from './testing/readPdf';
import { startServer, type TestServer } from './testing/server';

const SCRIPT = '<img src=x onerror=alert(1)>';
const FORMULA = '=HYPERLINK("http://evil.example")';
const BOX = { shape: 'box', lid: 'solid', lengthMm: 300, widthMm: 200, heightMm: 200, vents: [] };

describe('what somebody tries who means no good', () => {
  let server: TestServer;
  let database: Database;
  beforeEach(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
  });
  afterEach(() => server.close());

  const furnished = async (text = 'S') => {
    const { shelf } = (await server.post('/api/shelves', { name: text.slice(0, 40), room: text.slice(0, 40) })).body;
    const made = await server.post('/api/homes', {
      code: 'A1',
      shelfId: shelf.id,
      container: BOX,
      substrateDepthMm: 60,
    });
    const animal = {
      scientificName: 'Grammostola pulchra',
      homeId: made.body.home.id,
      stage: 'juvenile',
      legSpanMm: 60,
    };
    const taken = await server.post('/api/residents', {
      ...animal,
      called: text.slice(0, 60),
      source: text,
      permit: text,
    });
    expect(taken.status).toBe(201);
    return taken.body.resident as { id: string; homeId: string };
  };

  it('a script in a name stays text: in JSON, on paper, in a calendar, in a table', async () => {
    const resident = await furnished(SCRIPT);
    await server.post('/api/entries', { kind: 'looked', residentId: resident.id, note: SCRIPT, keeper: SCRIPT });
    const { keeper } = (await server.post('/api/keepers', { name: SCRIPT, zone: 'UTC' })).body;
    const get = (place: string) => fetch(`${server.address}${place}`);
    const answer = await get('/api/residents');
    expect(answer.headers.get('content-type')).toMatch(/^application\/json/);
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(answer.headers.get('content-security-policy')).toMatch(/script-src 'self'/);
    const pdf = await get(`/api/paper/record.pdf?resident=${resident.id}`);
    expect(pdf.headers.get('content-type')).toBe('application/pdf');
    expect(
      (await readPdf(new Uint8Array(await pdf.arrayBuffer())))
        .map(({ words }) => words)
        .join('')
        .replace(/\s+/g, ''),
    ).toContain('onerror=alert(1)');
    const calendar = await get(`/api/keepers/${keeper.id}/calendar.ics`);
    expect(calendar.headers.get('content-type')).toMatch(/^text\/calendar/);
    expect(calendar.headers.get('content-disposition')).toMatch(/^attachment/);
    // No line of a calendar is made by what is in a name.
    expect((await calendar.text()).split(/\r\n(?! )/).every((line) => line === '' || /^[A-Z-]+[;:]/.test(line))).toBe(
      true,
    );
  });

  it('a formula in a name is none in a spreadsheet', async () => {
    await furnished(FORMULA);
    const csv = await (await fetch(`${server.address}/api/tables/residents.csv`)).text();
    expect(csv).toContain(`'${FORMULA.slice(0, 10)}`);
    expect(csv).not.toMatch(/(^|,|")=HYPERLINK/m);
  });

  it('leads nowhere outside its folders', async () => {
    const ways = ['/../../etc/passwd', '/%2e%2e/%2e%2e/etc/passwd', '/..%2f..%2fetc%2fpasswd', '/assets/..%5c..%5cetc'];
    const names = ['..%2f..%2fetc%2fpasswd', '....%2f%2f', '%00', 'house.zip%00.pdf'];
    const places = [
      ...ways,
      ...names.flatMap((each) => [
        `/api/backups/${each}`,
        `/api/paper/${each}`,
        `/api/tables/${each}`,
        `/api/label-prints/${each}`,
      ]),
    ];
    for (const place of places) {
      const answer = await fetch(server.address + place);
      expect([place, answer.status >= 400 && answer.status < 500]).toEqual([place, true]);
      expect(await answer.text()).not.toContain('root:');
    }
  });

  it('takes for a photo what is one, whatever it is called', async () => {
    const { id } = await furnished();
    const photo = (bytes: Buffer) =>
      server.post(`/api/residents/${id}/photos`, { jpegBase64: bytes.toString('base64') });
    const html = Buffer.concat([
      Buffer.from([0xff, 0xd8, 0xff, 0xe0]),
      Buffer.from(`<script>${'x'.repeat(400)}</script>`),
    ]);
    for (const bytes of [Buffer.from('<svg onload=alert(1)>'), Buffer.from('GIF89a'), html]) {
      expect((await photo(bytes)).status).toBe(422);
    }
    // Base64 that ends in between.
    expect((await server.post(`/api/residents/${id}/photos`, { jpegBase64: '/9j/4AAQA' })).status).toBe(422);
  });

  it('a job that ten tick at once is done once, and all of them are told of', async () => {
    const { id } = await furnished();
    const names = Array.from({ length: 10 }, (_, index) => `Keeper ${index}`);
    const answers = 'look 2026-03-14';
    const ticked = await Promise.all(
      names.map((keeper) => server.post('/api/entries', { kind: 'looked', residentId: id, answers, keeper })),
    );
    expect(ticked.every(({ status }) => status === 201)).toBe(true);
    const { entries } = (await server.get(`/api/residents/${id}/entries?kinds=looked`)).body;
    expect(entries).toHaveLength(1);
    expect([entries[0].keeper, ...entries[0].data.alsoBy.split(', ')].sort()).toEqual(names);
  });

  it('twenty who write at once all are written, each once', async () => {
    const { id } = await furnished();
    const written = await Promise.all(
      Array.from({ length: 20 }, () =>
        server.post('/api/entries/bulk', {
          entries: Array.from({ length: 5 }, () => ({ kind: 'looked', residentId: id })),
        }),
      ),
    );
    expect(written.every(({ status }) => status < 300)).toBe(true);
    const [row] = await database.query<{ count: number }>(`SELECT count(*) AS count FROM entry WHERE kind = 'looked'`);
    expect(row?.count).toBe(100);
  });

  it('opens so many streams of events and no more, and takes others when some are shut', async () => {
    const shut = new AbortController();
    const open = () => fetch(`${server.address}/api/events`, { signal: shut.signal });
    const opened = await Promise.all(Array.from({ length: 40 }, open));
    expect(opened.filter(({ status }) => status === 200)).toHaveLength(24);
    expect(opened.filter(({ status }) => status === 429)).toHaveLength(16);
    shut.abort();
    await new Promise((resume) => setTimeout(resume, 200));
    const again = await fetch(`${server.address}/api/events`);
    expect(again.status).toBe(200);
    await again.body?.cancel();
  });

  it('is not held up by a body that never comes', async () => {
    const { port } = new URL(server.address);
    const slow = Array.from({ length: 50 }, () => {
      const socket = net.connect(Number(port), '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(
        'POST /api/entries HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 900000\r\n\r\n{',
      );
      return socket;
    });
    await new Promise((resume) => setTimeout(resume, 100));
    expect((await server.get('/api/round')).status).toBe(200);
    for (const socket of slow) socket.destroy();
  });

  it.each([
    [
      'a year after all of them',
      '/api/compute/rest',
      { profile: 'ant-small-temperate', asOf: '9999-12-31', roomC: 22, latitudeDeg: 50 },
      'asOf',
    ],
    ['half of a character', '/api/plants', '{"name":"\\ud800","evergreen":true}', undefined],
    ['a character that no text has', '/api/shelves', '{"name":"a\\u0000b","room":"R"}', undefined],
    ['more than can be counted', '/api/compute/population', { matrix: [[1e6]], initial: [1e6], steps: 1000 }, 'steps'],
    [
      'a matrix of the largest numbers',
      '/api/compute/population',
      {
        matrix: [
          [1e308, 1e308],
          [1e308, 1e308],
        ],
        initial: [1, 1],
        steps: 0,
      },
      'matrix',
    ],
    [
      'more residents than are read in one go',
      '/api/compute/work-ahead',
      { from: '2026-03-14', days: 366, residents: Array(501).fill({}) },
      'residents',
    ],
  ])('%s is refused at its field', async (_name, path, body, field) => {
    const sent = typeof body === 'string' ? body : JSON.stringify(body);
    const answer = await server.raw(path, {
      method: 'POST',
      body: sent,
      headers: { 'Content-Type': 'application/json' },
    });
    expect([400, 422]).toContain(answer.status);
    if (field === undefined) expect(answer.body.error.code).toBe('bad-json');
    else expect(answer.body.error.fields.map((each: { path: string }) => each.path.split('.')[0])).toContain(field);
  });

  it('a filling so small that no brick is whole takes a piece of one', async () => {
    const container = { shape: 'cylinder', lid: 'solid', diameterMm: 5, heightMm: 5, vents: [] };
    const asked = { container, depthMm: 5, recipe: [{ material: 'coir', parts: 1 }], wetnessFrom: 0, wetnessTo: 1 };
    const { status, body } = await server.post('/api/compute/substrate', asked);
    expect(status).toBe(200);
    expect(body.bricks[0]).toMatchObject({ count: 1, wetness: expect.any(Number) });
  });

  it('a wrong field of each of thousands is named sixty times', async () => {
    const { body } = await server.post('/api/compute/score', { windows: Array(4000).fill({}) });
    expect(body.error.fields.length).toBe(60);
    expect(body.error.message).toMatch(/\d{4,} fields/);
  });

  it('gives a role to every endpoint, and to each that only computes the one of a reader', () => {
    expect(Object.keys(endpointRoles).sort()).toEqual(Object.keys(routes).sort());
    const computing = Object.entries(routes).filter(([, { path }]) => path.startsWith('/api/compute/'));
    expect(computing.every(([name]) => endpointRoles[name as keyof typeof endpointRoles] === 'reader')).toBe(true);
  });
});

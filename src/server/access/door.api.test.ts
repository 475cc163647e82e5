import { isAllowed, ROLES, type Role } from '@/contract/roles';
import { emptyDatabase } from '../testing/databases';
import { startServer, type TestServer } from '../testing/server';
import { KNOWN_ROUTES } from './routeTable';
import { setupCodeOf } from './setupCode';

/** Chromium, as it names itself. */
const AGENT = 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/120.0 Safari/537.36';
const PASSWORD = 'seven damp isopods';
const NO_ID = '00000000-0000-4000-8000-000000000000';

describe('the door of a house', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await startServer(await emptyDatabase());
  });
  afterEach(() => server.close());

  const ask = async (
    method: string,
    path: string,
    cookie?: string,
    body?: unknown,
    more: Record<string, string> = {},
  ) => {
    const response = await fetch(server.address + path, {
      method,
      headers: { 'Content-Type': 'application/json', 'User-Agent': AGENT, ...(cookie && { Cookie: cookie }), ...more },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
    const text =
      method === 'GET' && path === '/api/events' ? (await response.body?.cancel(), '') : await response.text();
    return {
      status: response.status,
      cookie: /^([^;]+)/.exec(response.headers.get('set-cookie') ?? '')?.[1] ?? '',
      setCookie: response.headers.get('set-cookie') ?? '',
      body: text.startsWith('{') ? JSON.parse(text) : text,
    };
  };
  const setUp = async () => {
    const answer = await ask('POST', '/api/access/setup', undefined, { name: 'Ada', password: PASSWORD });
    expect(answer).toMatchObject({ status: 200, body: { state: 'signed-in', who: { name: 'Ada', role: 'keeper' } } });
    return answer.cookie;
  };
  const add = async (keeper: string, name: string, role: Role) => {
    const added = await ask('POST', '/api/access/people', keeper, { name, role, password: PASSWORD });
    expect(added.status).toBe(201);
    return added.body.person.id as string;
  };
  const signIn = async (name: string, more: object = {}) => {
    const answer = await ask('POST', '/api/access/sign-in', undefined, { name, password: PASSWORD, ...more });
    expect(answer.status).toBe(200);
    return answer.cookie;
  };

  it('lets each role into its own addresses and no others, and nobody into any', async () => {
    const keeper = await setUp();
    await add(keeper, 'Ben', 'helper');
    await add(keeper, 'Cleo', 'reader');
    const cookies: Record<Role, string> = { keeper: '', helper: await signIn('Ben'), reader: await signIn('Cleo') };
    // Keepers are let in everywhere: what an address answers them is for the tests of each.
    const walked: string[] = [];
    for (const { method, path, role } of KNOWN_ROUTES.filter(({ path }) => !/^\/api\/access/.test(path))) {
      const address = path.replace(/:\w+/g, NO_ID);
      for (const who of [null, ...ROLES.filter((each) => each !== 'keeper')]) {
        const { status } = await ask(method.toUpperCase(), address, who ? cookies[who] : undefined);
        const isShut = status === 403 || (status === 401 && role !== 'secret');
        if (isShut === isAllowed(who, role)) walked.push(`${method} ${path}: ${who ?? 'nobody'} got ${status}`);
      }
    }
    expect(walked).toEqual([]);
  });

  it('refuses an address that was given to no role, even where something would answer', async () => {
    expect((await ask('GET', '/api/nothing')).status).toBe(404);
    expect((await ask('GET', '/API/residents', undefined)).status).toBe(404);
  });

  it('is open to whoever sits at this machine until somebody can sign in, and then to nobody else', async () => {
    expect((await ask('GET', '/api/access')).body).toMatchObject({ state: 'open', who: null });
    expect((await ask('GET', '/api/residents')).status).toBe(200);
    // Somebody whom another program brings is not at this machine.
    for (const header of ['X-Forwarded-For', 'Forwarded', 'Via', 'X-Real-IP']) {
      const brought = await ask('GET', '/api/residents', undefined, undefined, { [header]: '192.0.2.7' });
      expect([header, brought.status]).toEqual([header, 401]);
    }
    await setUp();
    expect((await ask('GET', '/api/residents')).status).toBe(401);
    expect((await ask('GET', '/api/access')).body).toMatchObject({ state: 'signed-out' });
    // Set up once: whoever comes later makes no keeper of themselves.
    const again = await ask('POST', '/api/access/setup', undefined, { name: 'Eve', password: PASSWORD });
    expect(again.status).toBe(401);
  });

  it('keeps the cookie from scripts and from other pages', async () => {
    const { setCookie } = await ask('POST', '/api/access/setup', undefined, { name: 'Ada', password: PASSWORD });
    expect(setCookie).toMatch(/HttpOnly/);
    expect(setCookie).toMatch(/SameSite=Strict/);
  });

  it('signs what is written by whose session it is, whatever the body says', async () => {
    const keeper = await setUp();
    await add(keeper, 'Ben', 'helper');
    const ben = await signIn('Ben');
    const { shelf } = (await ask('POST', '/api/shelves', keeper, { name: 'S', room: 'R' })).body;
    const container = { shape: 'box', lid: 'solid', lengthMm: 300, widthMm: 200, heightMm: 200, vents: [] };
    const { home } = (
      await ask('POST', '/api/homes', ben, { code: 'A1', shelfId: shelf.id, container, substrateDepthMm: 60 })
    ).body;
    const animal = { scientificName: 'Grammostola pulchra', homeId: home.id, stage: 'juvenile', legSpanMm: 60 };
    const { resident } = (await ask('POST', '/api/residents', ben, { ...animal, keeper: 'Ada' })).body;
    const note = { kind: 'looked', residentId: resident.id, note: 'seen', keeper: 'Ada' };
    expect((await ask('POST', '/api/entries', ben, note)).body.entry.keeper).toBe('Ben');
    const bulk = (await ask('POST', '/api/entries/bulk', ben, { entries: [note, note] })).body.entries;
    expect(bulk.map(({ keeper }: { keeper: string }) => keeper)).toEqual(['Ben', 'Ben']);
    const { entries } = (await ask('GET', `/api/residents/${resident.id}/entries`, ben)).body;
    expect(new Set(entries.map(({ keeper }: { keeper: string }) => keeper))).toEqual(new Set(['Ben']));
  });

  it('ends sessions: one’s own, somebody’s, and all of a person who is let in no more', async () => {
    const keeper = await setUp();
    const benId = await add(keeper, 'Ben', 'helper');
    const [phone, tablet] = [await signIn('Ben'), await signIn('Ben')];
    const mine = (await ask('GET', '/api/access/sessions', phone)).body.sessions;
    expect(mine.map(({ name, device, isThis }: Record<string, unknown>) => [name, device, isThis])).toEqual(
      expect.arrayContaining([
        ['Ben', 'Chrome on Linux', true],
        ['Ben', 'Chrome on Linux', false],
      ]),
    );
    const other = mine.find(({ isThis }: { isThis: boolean }) => !isThis);
    await ask('DELETE', `/api/access/sessions/${other.id}`, phone);
    expect((await ask('GET', '/api/round', tablet)).status).toBe(401);
    // Nobody ends what is not theirs to end.
    const adas = (await ask('GET', '/api/access/sessions', keeper)).body.sessions.find(
      ({ name }: { name: string }) => name === 'Ada',
    );
    expect((await ask('DELETE', `/api/access/sessions/${adas.id}`, phone)).status).toBe(404);
    await ask('DELETE', `/api/access/people/${benId}`, keeper);
    expect((await ask('GET', '/api/round', phone)).status).toBe(401);
    // The last who can sign in as keeper stays.
    const [{ id: adaId }] = (await ask('GET', '/api/access/people', keeper)).body.people;
    for (const [method, body] of [
      ['DELETE', undefined],
      ['PATCH', { role: 'helper' }],
      ['PATCH', { password: null }],
    ] as const) {
      expect((await ask(method, `/api/access/people/${adaId}`, keeper, body)).status).toBe(409);
    }
  });

  it('pairs a phone by a code that works once, for ten minutes', async () => {
    const keeper = await setUp();
    const benId = await add(keeper, 'Ben', 'helper');
    const { address } = (await ask('POST', `/api/access/people/${benId}/pairing`, keeper)).body;
    const secret = address.split('#')[1];
    const paired = await ask('POST', '/api/access/pair', undefined, { secret });
    expect(paired.body).toMatchObject({ state: 'signed-in', who: { name: 'Ben' } });
    expect((await ask('GET', '/api/round', paired.cookie)).status).toBe(200);
    expect((await ask('POST', '/api/access/pair', undefined, { secret })).status).toBe(404);
  });

  it('locks, and is opened by a PIN; five wrong ones end the session', async () => {
    const keeper = await setUp();
    await add(keeper, 'Ben', 'helper');
    await ask('PATCH', '/api/access/own', keeper, { pin: '2468' });
    const tablet = await signIn('Ben', { isShared: true });
    expect((await ask('POST', '/api/access/lock', tablet)).body).toMatchObject({ state: 'locked', withPin: ['Ada'] });
    expect((await ask('GET', '/api/round', tablet)).status).toBe(401);
    const opened = await ask('POST', '/api/access/unlock', tablet, { name: 'ada', pin: '2468' });
    expect(opened.body).toMatchObject({ state: 'signed-in', who: { name: 'Ada', role: 'keeper' } });
    expect((await ask('GET', '/api/backups', tablet)).status).toBe(200);
    await ask('POST', '/api/access/lock', tablet);
    for (let wrong = 0; wrong < 5; wrong += 1) {
      expect((await ask('POST', '/api/access/unlock', tablet, { name: 'Ada', pin: '1111' })).status).toBe(401);
    }
    expect((await ask('GET', '/api/access', tablet)).body.state).toBe('signed-out');
  });

  it('counts wrong PINs that come all at once', async () => {
    const keeper = await setUp();
    await ask('PATCH', '/api/access/own', keeper, { pin: '2468' });
    await ask('POST', '/api/access/lock', keeper);
    const guess = (digit: number) =>
      ask('POST', '/api/access/unlock', keeper, { name: 'Ada', pin: String(digit).repeat(4) });
    await Promise.all([1, 2, 3, 4, 5, 6].map(guess));
    expect((await ask('GET', '/api/access', keeper)).body.state).toBe('signed-out');
  });

  it('changes what is asked, and nothing that somebody else changes at that moment', async () => {
    const keeper = await setUp();
    const benId = await add(keeper, 'Ben', 'keeper');
    const ben = await signIn('Ben');
    await Promise.all([
      ask('PATCH', '/api/access/own', ben, { pin: '2468' }),
      ask('PATCH', `/api/access/people/${benId}`, keeper, { role: 'reader' }),
    ]);
    expect((await ask('GET', '/api/access', ben)).body).toMatchObject({ who: { role: 'reader' }, withPin: ['Ben'] });
  });

  it('keeps nothing of a change that is refused in part', async () => {
    await setUp();
    const tablet = await signIn('Ada', { isShared: true });
    const change = { password: 'another seven isopods', before: PASSWORD, pin: '2468', lockAfterMin: 700 };
    expect((await ask('PATCH', '/api/access/own', tablet, change)).body.error.fields[0].path).toBe('lockAfterMin');
    const wrong = { password: 'another seven isopods', before: 'not this one', pin: '2468' };
    expect((await ask('PATCH', '/api/access/own', tablet, wrong)).body.error.fields[0].path).toBe('before');
    expect((await ask('GET', '/api/access', tablet)).body.withPin).toEqual([]);
    await signIn('Ada');
  });

  it('asks whoever comes by a proxy for the code, once, and gives a cookie for this house over TLS alone', async () => {
    await server.close();
    const setupCode = setupCodeOf('h4k2p-x7m9q');
    const hosts = () => ['burrow.example'];
    server = await startServer(await emptyDatabase(), undefined, {
      proxies: ['loopback'],
      isShared: true,
      hosts,
      setupCode,
    });
    const brought = { 'X-Forwarded-Proto': 'https', 'X-Forwarded-For': '192.0.2.7' };
    const come = (code?: string) =>
      ask('POST', '/api/access/setup', undefined, { name: 'Ada', password: PASSWORD, ...(code && { code }) }, brought);
    // Also without a word of where from: a proxy need not tell.
    expect((await ask('GET', '/api/access')).body.state).toBe('setup');
    expect((await come()).status).toBe(401);
    expect((await come('h4k2p-x7m9r')).status).toBe(401);
    const { status, setCookie } = await come('H4K2P X7M9Q');
    expect(status).toBe(200);
    expect(setCookie).toMatch(/^__Host-burrow=[\w-]{32}; .*Path=\/; .*HttpOnly; Secure; SameSite=Strict$/);
    expect((await come('h4k2p-x7m9q')).status).toBe(401);
    const { events } = (await ask('GET', '/api/access/log', setCookie.split(';')[0])).body;
    expect(events[0].address).toBe('192.0.2.7');
  });

  it('takes no more guesses after ten wrong passwords, and no longer for a name that is not there', async () => {
    await setUp();
    for (let wrong = 0; wrong < 10; wrong += 1) {
      const guess = { name: wrong % 2 === 0 ? 'Ada' : 'Nobody', password: `guess ${wrong}` };
      expect((await ask('POST', '/api/access/sign-in', undefined, guess)).status).toBe(401);
    }
    const right = await ask('POST', '/api/access/sign-in', undefined, { name: 'Ada', password: PASSWORD });
    expect(right).toMatchObject({ status: 429, body: { error: { code: 'too-many' } } });
  });

  it('tells who came in, was refused, changed rules and took data out', async () => {
    const keeper = await setUp();
    await add(keeper, 'Ben', 'helper');
    await ask('POST', '/api/access/sign-in', undefined, { name: 'Ben', password: 'not this one' });
    await signIn('Ben');
    await ask('PUT', '/api/house', keeper, { hemisphere: 'south' });
    await ask('GET', '/api/tables', keeper);
    const { events } = (await ask('GET', '/api/access/log', keeper)).body;
    const told = events.map(({ who, what }: Record<string, string>) => `${who} ${what}`).reverse();
    // What an address does, and not the whole sentence about it.
    expect(events[1].detail).toBe('Says where the house stands');
    expect(told).toEqual(['Ada set-up', 'Ada changed', 'Ben refused', 'Ben signed-in', 'Ada changed', 'Ada exported']);
  });

  it('lets no form and no page of another address write', async () => {
    const body = JSON.stringify({ name: 'S', room: 'R' });
    const send = (headers: Record<string, string>, sent: string | null = body) =>
      fetch(`${server.address}/api/shelves`, { method: 'POST', headers, body: sent }).then(({ status }) => status);
    const json = { 'Content-Type': 'application/json' };
    expect(await send({ 'Content-Type': 'text/plain' })).toBe(415);
    expect(await send({}, null)).toBe(415);
    expect(await send({ ...json, 'Sec-Fetch-Site': 'cross-site' })).toBe(403);
    expect(await send({ ...json, 'Sec-Fetch-Site': 'same-site' })).toBe(403);
    expect(await send({ ...json, Origin: 'http://127.0.0.1:9' })).toBe(403);
    expect(await send({ ...json, 'Sec-Fetch-Site': 'same-origin', Origin: server.address })).toBe(201);
  });
});

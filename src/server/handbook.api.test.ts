import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);
const BOX = {
  ...{ shape: 'box', lengthMm: 240, widthMm: 200, heightMm: 140, lid: 'solid' },
  vents: (['left', 'right'] as const).map((side) => ({ side, shape: 'hole', count: 6, diameterMm: 3 })),
};

describe('the handbook', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let spiderId = '';
  let antId = '';
  let roomId = '';
  beforeAll(async () => {
    const { body } = await server.post('/api/shelves', { room: 'R', name: 'S' });
    roomId = body.shelf.roomId;
    const home = async (code: string) =>
      (await server.post('/api/homes', { code, shelfId: body.shelf.id, container: BOX, substrateDepthMm: 40 })).body
        .home.id;
    const taken = async (resident: object, homeId: string) =>
      (await server.post('/api/residents', { ...resident, homeId, on: '2026-01-10' })).body.resident.id;
    const spider = { scientificName: 'Brachypelma albopilosum', profile: 'ground-tarantula', stage: 'juvenile' };
    spiderId = await taken({ ...spider, legSpanMm: 80 }, await home('A1'));
    const ants = { scientificName: 'Formica fusca', profile: 'ant-small-temperate', stage: 'adult', headCount: 40 };
    antId = await taken(ants, await home('A2'));
  }, 60_000);
  const write = (body: object) => server.post('/api/entries', { residentId: spiderId, ...body });

  it('keeps a name as it was written, and knows the species by it all the same', async () => {
    const { body } = await server.get('/api/residents');
    expect(body.residents.map((each: { scientificName: string }) => each.scientificName)).toContain(
      'Brachypelma albopilosum',
    );
    const { body: names } = await server.post('/api/compute/names', { typed: 'brachypelma albopilosum' });
    expect(names).toMatchObject({ isWellFormed: false, suggestion: 'Brachypelma albopilosum' });
    const { body: now } = await server.post('/api/compute/names', { typed: 'Brachypelma albopilosum (Valerio, 1980)' });
    expect(now).toMatchObject({ isWellFormed: true, nowNamed: 'Tliltocatl albopilosus' });
    const { body: sheet } = await server.get(`/api/residents/${spiderId}/handling`);
    expect(sheet.steps[0]).toMatchObject({ id: 'barbed-hairs' });
  });

  it('finds names in spite of slips, and tells a circle of synonyms', async () => {
    const found = await server.post('/api/compute/names', { typed: 'poecilotheria regallis', most: 1 });
    expect(found.body.found).toEqual([{ id: 'Poecilotheria regalis', by: 'Poecilotheria regalis', distance: 1 }]);
    const synonyms = [
      { name: 'Aus bus', nowNamed: 'Cus dus' },
      { name: 'Cus dus', nowNamed: 'Aus bus' },
    ];
    const circle = await server.post('/api/compute/names', { typed: 'Aus bus', synonyms });
    expect([circle.status, fields(circle)]).toEqual([422, ['synonyms']]);
  });

  it('takes an own card, refuses one with parts missing, and synonyms that lead astray; nothing is half kept', async () => {
    const card = { name: 'Aus bus', profile: 'mantis', notes: { home: 'Tall and airy.' }, synonyms: ['Aus cus'] };
    const put = (name: string, body: object) => server.put(`/api/handbook/own/${encodeURIComponent(name)}`, body);
    expect((await put('Aus bus', card)).status).toBe(200);
    expect(fields(await put('Aus bus', { notes: {} }))).toEqual(['name', 'profile']);
    expect(fields(await put('Aus bus', { ...card, profile: 'dragon' }))).toEqual(['profile']);
    expect(fields(await put('Aus dus', card))).toEqual(['name']);
    expect(fields(await put('Aus bus', { ...card, notes: { attic: 'x' } }))[0]).toMatch(/^notes/);
    // A name that ships leads elsewhere already, as does the synonym of another card.
    expect(fields(await put('Aus bus', { ...card, synonyms: ['Aus bus'] }))).toEqual(['synonyms.0']);
    expect(fields(await put('Aus bus', { ...card, synonyms: ['Avicularia versicolor'] }))).toEqual(['synonyms.0']);
    // Nor is there a card under a name that leads elsewhere: nobody would find it.
    expect(fields(await put('Avicularia versicolor', { ...card, name: 'Avicularia versicolor' }))).toEqual(['name']);
    const circle = { ...card, name: 'Aus cus', synonyms: ['Aus bus'] };
    expect(fields(await put('Aus cus', circle))).toEqual(['name']);
    const { body } = await server.get('/api/handbook');
    expect(body.ownCards).toEqual([{ ...card, commonName: null, grownMm: null, keeper: null }]);
    expect((await server.remove('/api/handbook/own/Aus%20bus')).status).toBe(200);
    expect((await server.remove('/api/handbook/own/Aus%20bus')).status).toBe(404);
  });

  it('keeps whom to call, and refuses what is no number', async () => {
    const card = { contacts: [{ who: 'Poison centre', number: '01632 960 240' }], address: 'Saltmere' };
    expect((await server.put('/api/emergency', card)).status).toBe(200);
    const bad = { ...card, contacts: [...card.contacts, { who: 'Doctor', number: 'call me' }] };
    expect(fields(await server.put('/api/emergency', bad))).toEqual(['contacts.1.number']);
    expect((await server.get('/api/emergency')).body).toEqual(card);
  });

  it('reads the box of one that is unwell, and keeps what was tried and whether it helped', async () => {
    const { body: before } = await server.get(`/api/residents/${spiderId}/trouble`);
    expect(before.tried).toEqual([]);
    const ids = before.box.map(({ id }: { id: string }) => id);
    expect(ids).toEqual(expect.arrayContaining(['air-dry', 'air-still', 'cold-now', 'moved-lately', 'far-to-fall']));
    const trouble = {
      kind: 'trouble',
      seen: ['over-dish'],
      notSeen: ['curled'],
      cause: 'dry',
      tried: 'Filled the dish',
    };
    expect(fields(await write({ ...trouble, seen: ['sneezes'] }))).toEqual(['seen.0']);
    expect(fields(await write({ ...trouble, notSeen: ['over-dish'] }))).toEqual(['seen.0']);
    expect(fields(await write({ ...trouble, cause: 'curse' }))).toEqual(['cause']);
    expect(fields(await write({ kind: 'trouble' }))).toEqual(['seen']);
    const { body: written } = await write(trouble);
    const after = { kind: 'trouble-after', troubleId: written.entry.id, helped: 'helped' };
    expect(fields(await write({ ...after, troubleId: spiderId }))).toEqual(['troubleId']);
    expect((await write(after)).status).toBe(201);
    const { body } = await server.get(`/api/residents/${spiderId}/trouble`);
    expect(body.tried).toEqual([
      expect.objectContaining({
        tried: 'Filled the dish',
        helped: 'helped',
        seen: ['over-dish'],
        cause: 'dry',
        on: TODAY,
      }),
    ]);
  });

  it('ranks causes over HTTP as the core does, and refuses signs of another kind', async () => {
    const { body } = await server.post('/api/compute/trouble', { profile: 'ground-tarantula', yes: ['at-mouth'] });
    expect(body.ranked[0].id).toBe('parasites');
    expect(body.next.length).toBeGreaterThan(0);
    const wrong = await server.post('/api/compute/trouble', { profile: 'ground-tarantula', yes: ['rasps-shells'] });
    expect(fields(wrong)).toEqual(['yes.0']);
    expect(fields(await server.post('/api/compute/trouble', { profile: 'dragon' }))).toEqual(['profile']);
  });

  it('that a moult is near is likely for a nymph and for no grown mantis', async () => {
    const causes = async (stage?: string) =>
      (await server.post('/api/compute/trouble', { profile: 'mantis', stage, yes: [] })).body.causes;
    expect(await causes('nymph')).toContain('premoult');
    expect(await causes()).toContain('premoult');
    expect(await causes('adult')).not.toContain('premoult');
    expect(await causes('adult')).toContain('age');
  });

  it('shows what a school would change without changing it, also for a whole room', async () => {
    const choice = { scope: 'room', about: roomId, topic: 'feeding', school: 'large-and-rarely' };
    const { body } = await server.post('/api/schools/effect', choice);
    expect(body.residents).toHaveLength(1);
    expect(body.residents[0]).toMatchObject({
      residentId: spiderId,
      before: 'small-and-often',
      after: 'large-and-rarely',
    });
    expect(body.minutesAfter).toBeLessThan(body.minutesBefore);
    expect((await server.get('/api/schools')).body.choices).toEqual([]);
    const none = await server.post('/api/schools/effect', { ...choice, school: 'small-and-often' });
    expect(none.body.residents).toEqual([]);
    expect(fields(await server.post('/api/schools/effect', { ...choice, school: 'never' }))).toEqual(['school']);
  });

  it('shows what another school on openings would have a new box cut', async () => {
    const choice = { scope: 'kind', about: 'ground-tarantula', topic: 'openings', school: 'one-cut-out' };
    const { body } = await server.post('/api/schools/effect', choice);
    expect(body.residents.length).toBeGreaterThan(0);
    for (const { change } of body.residents) {
      expect(change).toMatchObject({
        work: [],
        openings: { before: { kind: 'holes' }, after: { kind: 'mesh-holes' } },
      });
    }
    expect(body.minutesAfter).toBe(body.minutesBefore);
  });

  it('keeps the walk going where a room is kept by a school that not all of its kinds know', async () => {
    const choice = { scope: 'room', about: roomId, topic: 'air', school: 'mist-to-a-number' };
    expect((await server.put('/api/schools', choice)).status).toBe(200);
    expect((await server.get('/api/round')).status).toBe(200);
    expect((await server.get(`/api/residents/${spiderId}/trouble`)).status).toBe(200);
    await server.put('/api/schools', { ...choice, school: null });
  });

  it('knows a winter without a rest', async () => {
    const choice = { scope: 'resident', about: antId, topic: 'winter', school: 'no-rest' };
    const { body } = await server.post('/api/schools/effect', choice);
    const rest = body.residents[0].change.work.find(({ kind }: { kind: string }) => kind === 'rest');
    expect(rest.timesBefore).toBeGreaterThan(3);
    expect(rest.timesAfter).toBe(0);
    // The engine alone says the same of a colony that nobody here keeps.
    const ants = { id: 'a', profile: 'ant-small-temperate', stage: 'adult', headCount: 40, form: 'colony', log: [] };
    const { body: alone } = await server.post('/api/compute/school-change', {
      ...{ on: TODAY, topic: 'winter', school: 'no-rest' },
      resident: { ...ants, home: { container: BOX, substrateDepthMm: 40 } },
    });
    expect(alone.work).toContainEqual(expect.objectContaining({ kind: 'rest', timesAfter: 0 }));
    expect((await server.put('/api/schools', choice)).status).toBe(200);
    const rests = (await server.get('/api/rests')).body.rests;
    expect(rests.find(({ residentId }: { residentId: string }) => residentId === antId)).toMatchObject({ need: 'may' });
  });

  it('asks for papers before they end, and keeps them in the history', async () => {
    const jobs = async () =>
      (await server.get('/api/round')).body.stops
        .flatMap((stop: { jobs: { kind: string }[] }) => stop.jobs)
        .filter(({ kind }: { kind: string }) => kind === 'papers');
    expect((await write({ kind: 'paper', paper: 'Permit', expiresOn: '2026-04-01' })).status).toBe(201);
    expect(await jobs()).toEqual([expect.objectContaining({ until: '2026-04-01' })]);
    await write({ kind: 'paper', paper: 'Permit', expiresOn: '2027-04-01' });
    expect(await jobs()).toEqual([]);
  });

  it('trains a helper with cases of this house, the same for the same seed, and counts each answer once', async () => {
    const { body } = await server.get('/api/training/cases?seed=7');
    expect(body.cases.length).toBeGreaterThan(2);
    for (const { answers, right, why } of body.cases) {
      expect(answers).toContain(right);
      expect(why.length).toBeGreaterThan(0);
    }
    expect((await server.get('/api/training/cases?seed=7')).body).toEqual(body);
    const answer = { id: '6f1f4a2e-0000-4000-8000-000000000001', keeper: 'Bram', kind: 'fit', isRight: true };
    await server.post('/api/training', answer);
    const { body: tallies } = await server.post('/api/training', answer);
    expect(tallies.tallies).toEqual([
      expect.objectContaining({ keeper: 'Bram', kinds: [{ kind: 'fit', right: 1, asked: 1 }] }),
    ]);
    expect(fields(await server.post('/api/training', { keeper: '', kind: 'fit', isRight: 'yes' }))).toEqual([
      ...['keeper', 'isRight'],
    ]);
    expect((await server.get('/api/training/cases?seed=-1')).status).toBe(422);
  });
});

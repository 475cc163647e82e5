import fs from 'node:fs';
import { randomUUID } from 'node:crypto';
import type { Database } from './storage/database';
import { fingerprint } from './storage/meta';
import { emptyDatabase } from './testing/databases';
import { startServer, TODAY, type TestServer } from './testing/server';

const box = { shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', vents: [] };
const UNKNOWN = '00000000-0000-4000-8000-000000000000';

describe('the API', () => {
  let database: Database;
  let server: TestServer;
  let shelfId: string;
  let homeId: string;
  let otherHomeId: string;

  const newcomer = (change: object = {}) => ({
    scientificName: 'Tliltocatl albopilosus',
    called: 'Bramble',
    profile: 'ground-tarantula',
    stage: 'adult',
    legSpanMm: 118,
    homeId,
    ...change,
  });
  const addHome = async (code: string, change: object = {}) => {
    const added = await server.post('/api/homes', { code, shelfId, container: box, substrateDepthMm: 98, ...change });
    return added.body.home.id as string;
  };

  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
    shelfId = (await server.post('/api/shelves', { room: 'Boiler Room', name: 'Shelf B' })).body.shelf.id;
    homeId = await addHome('B3');
    otherHomeId = await addHome('B4');
  }, 60_000);

  afterAll(async () => {
    await server.close();
    await database.close();
  });

  it('says that it is ready', async () => {
    expect(await server.get('/api/health')).toEqual({
      status: 200,
      body: { ok: true, version: '0.0.0-test', database: expect.stringContaining('PGlite'), today: TODAY },
    });
  });

  it('computes without records', async () => {
    const animal = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118 };
    const fit = await server.post('/api/compute/fit', { ...animal, container: box, substrateDepthMm: 98 });
    expect(fit.status).toBe(200);
    expect(fit.body).toMatchObject({ verdict: 'fail', substrateDepthMm: { min: 119, max: 237, recommended: 119 } });
    const homes = [{ id: 'x', code: 'x', container: box, substrateDepthMm: 98 }];
    const ranked = await server.post('/api/compute/rank-homes', { ...animal, homes });
    expect(ranked.body.ranking).toMatchObject([
      { homeId: 'x', depthMm: 119, fit: { verdict: 'pass' }, drill: { kind: 'holes' } },
    ]);
  });

  it('describes itself', async () => {
    const { body } = await server.get('/api/openapi.json');
    const fit = body.paths['/api/compute/fit'].post;
    expect(fit.requestBody.content['application/json'].schema.$ref).toBe('#/components/schemas/FitRequest');
    expect(Object.keys(body.components.schemas.FitRequest.properties)).toEqual(
      expect.arrayContaining(['profile', 'stage', 'legSpanMm', 'container', 'substrateDepthMm', 'school']),
    );
    expect(body.paths['/api/residents/{id}/entries'].get.parameters[0]).toMatchObject({ in: 'path', name: 'id' });
  });

  it('lists the profiles and the species', async () => {
    const { body } = await server.get('/api/profiles');
    expect(body.profiles).toHaveLength(fs.readdirSync('data/profiles').length);
    expect(body.own).toEqual([]);
    expect((await server.get('/api/species')).body.species.length).toBeGreaterThan(3);
  });

  describe('an animal from taking in to undo', () => {
    let residentId: string;
    let takenIn: string;
    const round = async () => (await server.get('/api/round')).body.stops;
    const log = (entry: object) => server.post('/api/entries', { residentId, ...entry });

    it('is taken in and its box filled', async () => {
      const taken = await server.post('/api/residents', newcomer({ substrateDepthMm: 130, on: '2026-03-01' }));
      expect(taken.status).toBe(201);
      residentId = taken.body.resident.id;
      takenIn = taken.body.entry.id;
      const { homes } = (await server.get('/api/homes')).body;
      expect(homes[0]).toMatchObject({ code: 'B3', substrateDepthMm: 130, residentIds: [residentId] });
    });

    it('stands on the round until it is done, and again once that is undone', async () => {
      expect((await round())[0].jobs.map((job: { kind: string }) => job.kind)).toEqual(['feed', 'water']);
      const id = randomUUID();
      const first = await log({ kind: 'offered', id, preyCount: 2, preyLengthMm: 22 });
      expect(first.body.entry).toMatchObject({ id, on: TODAY, data: { preyCount: 2, preyLengthMm: 22 } });
      expect(await log({ kind: 'offered', id, preyCount: 9 })).toEqual(first);
      expect((await round())[0].jobs[0]).toMatchObject({ kind: 'feed', doneBy: id });
      expect((await server.post(`/api/entries/${id}/undo`, {})).body.entry.undoneAt).not.toBeNull();
      expect((await round())[0].jobs[0].doneBy).toBeUndefined();
    });

    it('moves, and moves back unless its old box is taken meanwhile', async () => {
      const moved = (await log({ kind: 'moved', homeId: otherHomeId })).body.entry;
      const squatter = await server.post('/api/residents', newcomer({ called: 'Soot' }));
      const refused = await server.post(`/api/entries/${moved.id}/undo`, {});
      expect(refused).toMatchObject({
        status: 409,
        body: { error: { code: 'conflict', message: /Soot lives in it/ } },
      });
      expect((await server.get('/api/residents')).body.residents).toHaveLength(2);
      await server.post(`/api/entries/${squatter.body.entry.id}/undo`, {});
      expect((await server.post(`/api/entries/${moved.id}/undo`, {})).status).toBe(200);
      expect((await server.get('/api/residents')).body.residents).toMatchObject([{ homeId }]);
    });

    it('keeps its history', async () => {
      await log({ kind: 'sign', sign: 'dark' });
      const { entries } = (await server.get(`/api/residents/${residentId}/entries`)).body;
      expect(entries.map((entry: { kind: string }) => entry.kind)).toEqual([
        'sign',
        'soil-set',
        'soil-set',
        'taken-in',
      ]);
      expect((await round())[0].leaveAlone).toMatchObject({ code: 'premoult', signs: ['dark'], since: TODAY });
    });

    it('is gone once its taking in is undone, and its box free', async () => {
      await server.post(`/api/entries/${takenIn}/undo?along=yes`, {});
      expect((await server.get('/api/residents')).body.residents).toEqual([]);
      expect((await server.get('/api/homes')).body.homes[0].residentIds).toEqual([]);
      expect((await log({ kind: 'looked' })).body.error.fields[0].path).toBe('residentId');
    });
  });

  it('changes a box, but not to one lower than its soil', async () => {
    const changed = await server.patch(`/api/homes/${homeId}`, { code: 'B33' });
    expect(changed.body.home).toMatchObject({ code: 'B33', container: box });
    const low = await server.patch(`/api/homes/${homeId}`, { container: { ...box, heightMm: 90 } });
    expect(low).toMatchObject({ status: 422, body: { error: { fields: [{ path: 'container.heightMm' }] } } });
    await server.patch(`/api/homes/${homeId}`, { code: 'B3' });
  });

  it('leaves a home its first depth', async () => {
    const id = await addHome('C9');
    const set = await server.post('/api/entries', { kind: 'soil-set', homeId: id, substrateDepthMm: 50 });
    expect((await server.post(`/api/entries/${set.body.entry.id}/undo`, {})).status).toBe(200);
    const { homes } = (await server.get('/api/homes')).body;
    expect(homes.find((home: { id: string }) => home.id === id).substrateDepthMm).toBe(98);
  });

  describe('refuses, and saves nothing of', () => {
    const cases: [string, () => [string, unknown], number, string][] = [
      [
        'a name out of form',
        () => ['/api/residents', newcomer({ scientificName: 'tliltocatl albopilosus' })],
        422,
        'scientificName',
      ],
      ['no size', () => ['/api/residents', newcomer({ legSpanMm: undefined })], 422, 'legSpanMm'],
      ['a size of zero', () => ['/api/residents', newcomer({ legSpanMm: 0 })], 422, 'legSpanMm'],
      ['a size of ten metres', () => ['/api/residents', newcomer({ legSpanMm: 10_000 })], 422, 'legSpanMm'],
      ['a size in another unit', () => ['/api/residents', newcomer({ legSpanIn: 4 })], 422, 'legSpanIn'],
      ['a day to come', () => ['/api/residents', newcomer({ on: '2026-03-15' })], 422, 'on'],
      ['a day that is none', () => ['/api/residents', newcomer({ on: '2026-02-30' })], 422, 'on'],
      ['an unknown kind', () => ['/api/residents', newcomer({ profile: 'dragon' })], 422, 'profile'],
      ['a stage it cannot have', () => ['/api/residents', newcomer({ stage: 'pupa' })], 422, 'stage'],
      ['an unknown school', () => ['/api/residents', newcomer({ school: 'nobodys' })], 422, 'school'],
      ['an unknown home', () => ['/api/residents', newcomer({ homeId: UNKNOWN })], 422, 'homeId'],
      ['soil above the lid', () => ['/api/residents', newcomer({ substrateDepthMm: 297 })], 422, 'substrateDepthMm'],
      ['a line break in a name', () => ['/api/residents', newcomer({ called: 'a\nb' })], 422, 'called'],
      ['a code twice', () => ['/api/homes', { code: 'b3', shelfId, container: box, substrateDepthMm: 0 }], 409, 'code'],
      ['a shelf twice', () => ['/api/shelves', { room: 'boiler room', name: 'SHELF B' }], 409, 'name'],
      [
        'an unknown shelf',
        () => ['/api/homes', { code: 'X1', shelfId: UNKNOWN, container: box, substrateDepthMm: 0 }],
        422,
        'shelfId',
      ],
      [
        'a box of no size',
        () => ['/api/homes', { code: 'X1', shelfId, container: { ...box, widthMm: 0 }, substrateDepthMm: 0 }],
        422,
        'container.widthMm',
      ],
      ['an entry of no kind', () => ['/api/entries', { kind: 'sang', residentId: UNKNOWN }], 422, 'kind'],
      ['an entry about nobody', () => ['/api/entries', { kind: 'looked', residentId: UNKNOWN }], 422, 'residentId'],
      ['an id that is none', () => ['/api/entries', { kind: 'looked', residentId: 'x' }], 422, 'residentId'],
      ['a list', () => ['/api/residents', []], 422, ''],
    ];

    it.each(cases)('%s', async (_name, request, status, path) => {
      const before = await fingerprint(database);
      const answer = await server.post(...request());
      expect(answer.status).toBe(status);
      expect(answer.body.error.fields.map((field: { path: string }) => field.path)).toContain(path);
      expect(JSON.stringify(answer.body)).not.toMatch(/at .*\.ts|node_modules|SELECT|INSERT/);
      expect(await fingerprint(database)).toBe(before);
    });

    const json = { 'Content-Type': 'application/json' };
    it.each([
      ['what is not JSON', { method: 'POST', body: '{"a":', headers: json }, 400, 'bad-json'],
      [
        'two megabytes',
        { method: 'POST', body: JSON.stringify({ called: 'x'.repeat(2 ** 21) }), headers: json },
        413,
        'too-large',
      ],
      [
        'another format',
        { method: 'POST', body: 'a=b', headers: { 'Content-Type': 'text/plain' } },
        415,
        'unsupported-media-type',
      ],
      ['no body', { method: 'POST', headers: json }, 422, 'invalid'],
      ['no word of what it sends', { method: 'POST' }, 415, 'unsupported-media-type'],
    ])('%s', async (_name, init, status, code) => {
      const answer = await server.raw('/api/residents', init);
      expect(answer).toMatchObject({ status, body: { error: { code, message: expect.stringMatching(/.+/) } } });
    });

    it.each([
      ['/api/residents/x/entries'],
      [`/api/residents/${UNKNOWN}/entries`],
      ['/api/nothing'],
      ['/api/residents/%E0%A4%A/entries'],
    ])('what is not there: %s', async (path) => {
      expect(await server.get(path)).toMatchObject({ status: 404, body: { error: { code: 'not-found' } } });
    });

    it('an undo of nothing, and a round of no day', async () => {
      expect((await server.post(`/api/entries/${UNKNOWN}/undo`, {})).status).toBe(404);
      expect((await server.get('/api/round?on=yesterday')).body.error.fields[0].path).toBe('on');
      expect((await server.get('/api/round?when=2026-03-14')).body.error.fields[0].path).toBe('when');
    });

    it('an entry from before the animal came', async () => {
      const taken = await server.post('/api/residents', newcomer({ on: '2026-03-10' }));
      const early = await server.post('/api/entries', {
        kind: 'looked',
        residentId: taken.body.resident.id,
        on: '2026-03-09',
      });
      expect(early.body.error.fields).toEqual([{ path: 'on', message: expect.stringContaining('2026-03-10') }]);
      const second = await server.post('/api/residents', newcomer());
      expect(second.status).toBe(409);
      expect(second.body.error.message).toMatch(/^B3 is taken: Bramble lives in it\. .*one to a box/);
    });
  });
});

import { TINY_JPEG } from '@/core/testing/tinyJpeg';
import { profileOf } from '@/contract/testing/profileOf';
import type { Database } from './storage/database';
import { fingerprint } from './storage/meta';
import { emptyDatabase } from './testing/databases';
import { startServer, TODAY, type TestServer } from './testing/server';

const box = { shape: 'box', lengthMm: 310, widthMm: 240, heightMm: 296, lid: 'solid', vents: [] };

describe('homes, profiles and materials over HTTP', () => {
  let database: Database;
  let server: TestServer;
  let shelfId: string;

  const addHome = async (code: string, change: object = {}) => {
    const body = { code, shelfId, container: box, substrateDepthMm: 98, ...change };
    return (await server.post('/api/homes', body)).body.home;
  };
  const takeIn = (homeId: string, change: object = {}) =>
    server.post('/api/residents', {
      scientificName: 'Porcellio laevis',
      profile: 'isopod-temperate',
      stage: 'adult',
      headCount: 12,
      homeId,
      ...change,
    });
  const unchanged = async (work: () => Promise<unknown>) => {
    const before = await fingerprint(database);
    await work();
    expect(await fingerprint(database)).toBe(before);
  };

  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
    const shelf = { room: 'North Store', name: 'Shelf E', loadLimitKg: 50 };
    shelfId = (await server.post('/api/shelves', shelf)).body.shelf.id;
  }, 60_000);

  afterAll(async () => {
    await server.close();
    await database.close();
  });

  describe('a home', () => {
    it('is kept with all that is in it, and corrected', async () => {
      const soil = { shape: 'slope', frontMm: 120, backMm: 76 };
      const furniture = [{ kind: 'bark', count: 2 }];
      const home = await addHome('E1', {
        soil,
        furniture,
        litterDepthMm: 15,
        mixId: 'isopod-litter',
        weightLimitKg: 30,
      });
      expect(home).toMatchObject({ soil, furniture, litterDepthMm: 15, mixId: 'isopod-litter', weightLimitKg: 30 });
      const container = { ...box, walls: 'plastic', opens: 'top', coveredSides: ['back'], topLengthMm: 330 };
      const changed = await server.patch(`/api/homes/${home.id}`, {
        container,
        litterDepthMm: null,
        quarantineSince: TODAY,
      });
      expect(changed.body.home).toMatchObject({ container, furniture, quarantineSince: TODAY });
      expect(changed.body.home.litterDepthMm).toBeUndefined();
    });

    it('keeps a photo', async () => {
      const { id } = await addHome('E2');
      const kept = await server.put(`/api/homes/${id}/photo`, { jpegBase64: TINY_JPEG });
      expect(kept.body.home.photoVersion).toEqual(expect.any(Number));
      const address = `/api/homes/${id}/photo`;
      expect((await server.remove(address)).body.home.photoVersion).toBeNull();
      expect((await server.get(address)).status).toBe(404);
      await unchanged(async () => {
        const wrong = await server.put(address, { jpegBase64: 'iVBORw0KGgo=' });
        expect(wrong).toMatchObject({ status: 422, body: { error: { fields: [{ path: 'jpegBase64' }] } } });
      });
    });

    it.each([
      ['a mix nobody has', { mixId: 'gold' }, 'mixId'],
      ['a quarantine to come', { quarantineSince: '2026-03-15' }, 'quarantineSince'],
      ['a lower box than its perch', { furniture: [{ kind: 'perch', heightMm: 400 }] }, 'furniture.0.heightMm'],
      ['litter in another unit', { litterDepthCm: 2 }, 'litterDepthCm'],
      ['a lower box than its soil', { container: { ...box, heightMm: 90 } }, 'container.heightMm'],
      [
        'a nest of no size',
        { nest: { chambers: [{ lengthMm: 0, widthMm: 10, heightMm: 10 }] } },
        'nest.chambers.0.lengthMm',
      ],
    ])('refuses %s', async (_name, change, path) => {
      const { homes } = (await server.get('/api/homes')).body;
      await unchanged(async () => {
        const refused = await server.patch(`/api/homes/${homes[0].id}`, change);
        expect(refused.status).toBe(422);
        expect(refused.body.error.fields[0].path).toBe(path);
      });
    });

    it('is put at another place, there and on another shelf; a refusal moves nothing', async () => {
      const room = (await server.post('/api/shelves', { room: 'North Store', name: 'Shelf P' })).body.shelf.id;
      const other = (await server.post('/api/shelves', { room: 'North Store', name: 'Shelf Q' })).body.shelf.id;
      const [a, b, c] = [
        (await addHome('P1', { shelfId: room })).id,
        (await addHome('P2', { shelfId: room })).id,
        (await addHome('P3', { shelfId: other })).id,
      ];
      const stands = async (shelf: string) =>
        (await server.get('/api/homes')).body.homes.flatMap((home: { code: string; shelfId: string }) =>
          home.shelfId === shelf ? [home.code] : [],
        );
      const put = (shelf: string, homeIds: unknown) => server.put(`/api/shelves/${shelf}/homes`, { homeIds });
      expect((await put(room, [c, b])).body.homeIds).toEqual([c, b, a]);
      expect([await stands(room), await stands(other)]).toEqual([['P3', 'P2', 'P1'], []]);
      await unchanged(async () => {
        const refusals = [
          [await put(room, [a, a]), 'homeIds.1'],
          [await put(room, [a, shelfId]), 'homeIds.1'],
          [await put(room, []), 'homeIds'],
        ] as const;
        for (const [{ status, body }, path] of refusals) {
          expect([status, body.error.fields[0].path]).toEqual([422, path]);
        }
        expect((await put(a, [b])).status).toBe(404);
      });
    });

    it('stands on a shelf that bears so much', async () => {
      const changed = await server.patch(`/api/shelves/${shelfId}`, { loadLimitKg: 45.5 });
      expect(changed.body.shelf).toMatchObject({ name: 'Shelf E', loadLimitKg: 45.5 });
      const none = await server.patch(`/api/shelves/${shelfId}`, { loadLimitKg: 0 });
      expect(none.body.error.fields[0].path).toBe('loadLimitKg');
    });
  });

  describe('company', () => {
    it('moves in where it is borne, and not otherwise', async () => {
      const { id } = await addHome('E5');
      expect((await takeIn(id)).status).toBe(201);
      expect(
        (await takeIn(id, { scientificName: 'Folsomia candida', profile: 'springtail', headCount: 200 })).status,
      ).toBe(201);
      await unchanged(async () => {
        const hunter = await takeIn(id, {
          scientificName: 'Heterometrus silenus',
          profile: 'forest-scorpion',
          bodyLengthMm: 60,
          headCount: undefined,
        });
        expect(hunter.status).toBe(409);
        expect(hunter.body.error.message).toMatch(/E5 is taken/);
      });
    });

    it('does not join those in quarantine', async () => {
      const { id } = await addHome('E6');
      await takeIn(id);
      await server.patch(`/api/homes/${id}`, { quarantineSince: TODAY });
      const late = await takeIn(id);
      expect(late).toMatchObject({ status: 409, body: { error: { message: /in quarantine/ } } });
    });
  });

  describe('a profile', () => {
    const own = { ...profileOf('isopod-temperate'), id: 'isopod-temperate-own', name: 'Isopods, ours' };

    it('is copied, put in force and kept by, and what ships stays as it is', async () => {
      expect((await server.post('/api/profiles', own)).status).toBe(201);
      expect((await server.get('/api/profiles')).body.own).toEqual([own.id]);
      expect((await server.get(`/api/profiles/${own.id}`)).body).toEqual(own);
      const { id } = await addHome('E7');
      const { resident } = (await takeIn(id)).body;
      const changed = await server.patch(`/api/residents/${resident.id}`, { profile: own.id });
      expect(changed.body.resident.profile).toBe(own.id);
      const wide = own.fit.map((rule) => (rule.id === 'soil-depth' ? { ...rule, min: { plus: 90 } } : rule));
      const next = { ...own, fit: wide };
      expect((await server.put(`/api/profiles/${own.id}`, next)).status).toBe(200);
      const asked = { profile: own.id, stage: 'adult', headCount: 12, container: box, substrateDepthMm: 50 };
      const { body } = await server.post('/api/compute/fit', asked);
      expect(body.checks.find((check: { rule: string }) => check.rule === 'soil-depth')).toMatchObject({ min: 90 });
      expect((await server.remove(`/api/profiles/${own.id}`)).status).toBe(409);
    });

    it('that does not parse leaves the last good one in force', async () => {
      await unchanged(async () => {
        const broken = { ...own, fit: [{ ...own.fit[0], min: { of: 'tailMm' } }] };
        const refused = await server.put(`/api/profiles/${own.id}`, broken);
        expect(refused.status).toBe(422);
        expect(refused.body.error.fields[0].path).toBe('fit.0.min.of');
        const without = await server.put(`/api/profiles/${own.id}`, { ...own, stages: ['juvenile'] });
        expect(without.body.error.fields[0]).toMatchObject({ path: 'stages', message: /Must hold adult/ });
        const renamed = await server.put(`/api/profiles/${own.id}`, { ...own, id: 'another' });
        expect(renamed.body.error.fields[0].path).toBe('id');
        expect((await server.post('/api/profiles', own)).status).toBe(409);
        expect((await server.put('/api/profiles/mantis', { ...own, id: 'mantis' })).status).toBe(409);
        expect((await server.remove('/api/profiles/mantis')).status).toBe(404);
      });
      expect((await server.get(`/api/profiles/${own.id}`)).body.fit).not.toEqual(own.fit);
    });

    it('nobody has is refused by name', async () => {
      const asked = { profile: 'dragon', stage: 'adult', legSpanMm: 50, container: box, substrateDepthMm: 50 };
      const { status, body } = await server.post('/api/compute/fit', asked);
      expect(status).toBe(422);
      expect(body.error.fields[0]).toMatchObject({ path: 'profile', message: /Known are ground-tarantula/ });
    });
  });

  describe('a material', () => {
    const ask = async () =>
      (
        await server.post('/api/compute/substrate', {
          container: box,
          depthMm: 100,
          recipe: [{ material: 'coir', parts: 1 }],
          wetnessFrom: 0,
          wetnessTo: 1,
        })
      ).body;

    it('is reckoned with as its keeper says, and as usual again', async () => {
      // 310 x 240 x 100 mm = 7.44 L of coir at 80 g and 550 mL a litre.
      expect(await ask()).toMatchObject({
        volumeL: expect.closeTo(7.44),
        materials: [{ material: 'coir', volumeL: expect.closeTo(7.44), dryMassG: expect.closeTo(595.2) }],
        bricks: [{ material: 'coir', count: 1 }],
        waterMl: expect.closeTo(4092),
        wetMassG: expect.closeTo(4687.2),
      });
      const numbers = { looseDensityGPerL: 100, waterHeldMlPerL: 500 };
      const set = await server.put('/api/materials/coir', numbers);
      expect(set.body.material).toMatchObject({
        isOwn: true,
        looseDensityGPerL: { value: 100, basis: 'your own setting' },
      });
      expect((await ask()).waterMl).toBeCloseTo(3720, 6);
      await server.remove('/api/materials/coir');
      expect((await ask()).waterMl).toBeCloseTo(4092, 6);
    });

    it.each([
      ['a brick that holds nothing', 'coir', { looseDensityGPerL: 90, waterHeldMlPerL: 0 }, 422, 'waterHeldMlPerL'],
      ['a density of nothing', 'coir', { looseDensityGPerL: 0, waterHeldMlPerL: 500 }, 422, 'looseDensityGPerL'],
      [
        'bricks of sand',
        'sand',
        { looseDensityGPerL: 1500, waterHeldMlPerL: 250, brick: { massG: 650, soakWaterL: 4, looseVolumeL: 8 } },
        422,
        'brick',
      ],
      ['an unknown material', 'gold', { looseDensityGPerL: 1500, waterHeldMlPerL: 250 }, 404, 'materialId'],
    ])('refuses %s', async (_name, id, body, status, path) => {
      await unchanged(async () => {
        const refused = await server.put(`/api/materials/${id}`, body);
        expect(refused.status).toBe(status);
        expect(refused.body.error.fields[0].path).toBe(path);
      });
    });
  });

  it('computes ladders, shopping lists, company, plaster, refresh plans, loads and build sheets', async () => {
    const animal = { profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 14 };
    const compute = async (name: string, body: object) => (await server.post(`/api/compute/${name}`, body)).body;
    expect((await compute('size-ladder', animal)).steps[0].size.id).toBe('vial-small');
    const shopping = await compute('boxes-to-buy', { residents: [{ id: 'a', ...animal }], freeHomes: [] });
    expect(shopping.buy[0].residentIds).toEqual(['a']);
    const lodgers = ['a', 'b'].map((label) => ({ label, scientificName: 'Hierodula membranacea', profile: 'mantis' }));
    expect(await compute('company', { lodgers })).toMatchObject({ verdict: 'fail', checks: [{ rule: 'alone' }] });
    expect((await compute('plaster', { areaMm2: 10_000, thicknessMm: 10 })).volumeMl).toBe(100);
    const refresh = { volumeL: 8, sharePct: 50, everyDays: 60, oldLeftPct: 25, startOn: TODAY };
    expect((await compute('refresh-plan', refresh)).steps).toHaveLength(2);
    expect(await compute('shelf-load', { massesG: [12_000], limitKg: 10 })).toMatchObject({
      status: 'fail',
      usedPct: 120,
    });
    const recipe = [{ material: 'coir', parts: 1 }];
    const home = { code: 'B3', ...animal, legSpanMm: 118, container: box, substrateDepthMm: 119, recipe };
    const sheet = await compute('build-sheet', { homes: [home, { ...home, code: 'B4' }] });
    expect(sheet.homes.map((each: { code: string }) => each.code)).toEqual(['B3', 'B4']);
    expect(sheet.pooled.volumeL).toBeCloseTo(2 * sheet.homes[0].filling.volumeL, 9);
    const cut = await compute('build-sheet', { homes: [{ ...home, openings: 'one-cut-out' }] });
    const drilling = cut.homes[0].steps.find(({ code }: { code: string }) => code === 'drill');
    expect(drilling.plan).toMatchObject({ kind: 'mesh-holes', diameterMm: 20, meshApertureMm: 1 });
    const { body } = await server.post('/api/compute/build-sheet', { homes: [{ ...home, openings: 'slots' }] });
    expect(body.error.fields).toEqual([
      { path: 'homes.0.openings', message: expect.stringMatching(/small-holes, one-cut-out/) },
    ]);
  });
});

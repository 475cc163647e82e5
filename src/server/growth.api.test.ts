import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type TestServer } from './testing/server';

describe('growth over HTTP', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));

  it('forecasts a moult from dates alone, and knows the quiet days after one', async () => {
    const moults = ['2025-07-01', '2025-10-20', '2026-02-08'].map((on, index) => ({ on, sizeMm: 40 * 1.25 ** index }));
    const { status, body } = await server.post('/api/compute/moult', {
      profile: 'ground-tarantula',
      moults,
      asOf: TODAY,
    });
    expect(status).toBe(200);
    expect(body.next.p10 >= TODAY).toBe(true);
    expect(body.next.p10 <= body.next.median && body.next.median <= body.next.p90).toBe(true);
    expect(body.sizeMm[0].median).toBeGreaterThan(62.5);
    expect(body.quietUntil).toBeNull();
    const fresh = [{ on: '2026-03-12', sizeMm: 60 }];
    const after = await server.post('/api/compute/moult', {
      profile: 'ground-tarantula',
      stage: 'juvenile',
      moults: fresh,
      asOf: TODAY,
    });
    expect(after.body.firstFeedOn).toBe('2026-03-19');
    expect(after.body.quietUntil).toBe('2026-03-18');
    const dark = await server.post('/api/compute/moult', {
      profile: 'ground-tarantula',
      moults,
      asOf: TODAY,
      signs: ['bald-patch-dark'],
    });
    expect(dark.body.premoultPct).toBeGreaterThan(body.premoultPct);
  });

  it.each([
    ['moult', { profile: 'ground-tarantula', moults: [{ on: '2026-04-01' }], asOf: TODAY }, 'moults.0.on'],
    ['moult', { profile: 'unicorn', moults: [], asOf: TODAY }, 'profile'],
    ['moult', { profile: 'mantis', stage: 'spiderling', moults: [], asOf: TODAY }, 'stage'],
    ['moult', { profile: 'mantis', moults: [], asOf: TODAY, signs: ['sulking'] }, 'signs.0'],
    ['survival', { durations: [1, 2], died: [true] }, 'died'],
    ['survival', { durations: [-1], died: [true] }, 'durations.0'],
    ['degree-days', { minC: 20, maxC: 10, baseC: 5 }, 'maxC'],
  ])('%s refuses what cannot be, by field', async (name, request, path) => {
    const { status, body } = await server.post(`/api/compute/${name}`, request);
    expect(status).toBe(422);
    expect(body.error.fields.map((field: { path: string }) => field.path)).toContain(path);
  });

  it('counts survivors and degree-days', async () => {
    const survival = await server.post('/api/compute/survival', {
      durations: [6, 6, 7, 9],
      died: [true, true, false, false],
    });
    expect(survival.body.steps[0]).toMatchObject({ time: 6, atRisk: 4, deaths: 2, survival: 0.5 });
    expect(
      (await server.post('/api/compute/degree-days', { minC: 15, maxC: 25, baseC: 10 })).body.degreeDays,
    ).toBeCloseTo(10, 9);
    const series = [0, 24].map((hour) => ({ hour, temperatureC: 20 }));
    expect((await server.post('/api/compute/degree-days', { series, baseC: 10 })).body.degreeDays).toBeCloseTo(10, 9);
  });

  it('of a resident learns from its log, is moved by a moult written down, and brought back by undo', async () => {
    const { shelf } = (await server.post('/api/shelves', { room: 'R', name: 'A' })).body;
    const container = { shape: 'box', lengthMm: 170, widthMm: 130, heightMm: 100, lid: 'solid', vents: [] };
    const body = { code: 'A1', shelfId: shelf.id, container, substrateDepthMm: 45 };
    const { home } = (await server.post('/api/homes', body)).body;
    const { resident } = (
      await server.post('/api/residents', {
        scientificName: 'Grammostola pulchra',
        profile: 'ground-tarantula',
        stage: 'juvenile',
        legSpanMm: 58,
        homeId: home.id,
        on: '2025-09-01',
      })
    ).body;
    const ask = async () => (await server.get(`/api/residents/${resident.id}/moult`)).body;
    const before = await ask();
    expect(before).toMatchObject({ moults: [], sizeMm: 58, temperatureC: 22 });
    expect(before.outgrownMm).toBeGreaterThan(58);
    expect(before.forecast.outgrown.median >= before.forecast.next.p10).toBe(true);
    const moulted = { kind: 'moulted', residentId: resident.id, on: '2026-03-10', legSpanMm: 70 };
    const { entry } = (await server.post('/api/entries', moulted)).body;
    const after = await ask();
    expect(after.moults).toEqual([{ on: '2026-03-10', sizeMm: 70 }]);
    expect(after.forecast.next.median > before.forecast.next.median).toBe(true);
    await server.post(`/api/entries/${entry.id}/undo`, {});
    expect(await ask()).toEqual(before);
    expect((await server.get('/api/residents/00000000-0000-4000-8000-000000000000/moult')).status).toBe(404);
  });
});

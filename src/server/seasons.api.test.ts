import { addDays } from '@/core/measure/day';
import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);
const ago = (days: number) => addDays(TODAY, -days);

/** A house with a warm room and a cellar, and one box of each kind. */
async function houseOf(server: TestServer) {
  const shelfIn = async (room: string) =>
    (await server.post('/api/shelves', { room, name: `Shelf in ${room}` })).body.shelf;
  const [warm, cellar] = [await shelfIn('Warm'), await shelfIn('Cellar')];
  const air = (temperatureC: number) => ({ air: { temperatureC, relativeHumidityPct: 60, draughtMS: 0.1 } });
  await server.put(`/api/rooms/${warm.roomId}`, air(24));
  await server.put(`/api/rooms/${cellar.roomId}`, air(8));
  const container = { shape: 'box', lengthMm: 200, widthMm: 200, heightMm: 150, lid: 'mesh', vents: [] };
  const home = async (code: string, more: object = {}) =>
    (await server.post('/api/homes', { code, shelfId: warm.id, container, substrateDepthMm: 0, ...more })).body.home.id;
  return { warm, cellar, home };
}

describe('a winter rest', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let house: Awaited<ReturnType<typeof houseOf>>;
  let ants: { id: string };
  beforeAll(async () => {
    house = await houseOf(server);
    const nest = { chambers: [{ lengthMm: 60, widthMm: 40, heightMm: 10 }], tubeBoreMm: 8 };
    const red = { scientificName: 'Myrmica rubra', profile: 'ant-small-temperate', stage: 'adult', headCount: 120 };
    const homeId = await house.home('F1', { nest });
    ants = (await server.post('/api/residents', { ...red, homeId, on: '2025-05-01' })).body.resident;
    // In March it is the south that cools down next: there its season comes at the end of April.
    await server.put('/api/house', { hemisphere: 'south' });
  }, 60_000);

  const write = (body: object) => server.post('/api/entries', { residentId: ants.id, ...body });
  const rest = async () => (await server.get(`/api/residents/${ants.id}/rest`)).body;
  const plan = (more: object = {}) => write({ kind: 'rest-planned', roomId: house.cellar.roomId, ...more });
  const jobs = async () => {
    const { stops } = (await server.get('/api/round')).body;
    return stops.find((stop: { residentId: string }) => stop.residentId === ants.id) ?? { jobs: [], leaveAlone: null };
  };

  it('in a place below what the kind bears, for a kind without one, or too short, is refused by name', async () => {
    expect(fields(await plan({ placeC: -3 }))).toEqual(['placeC']);
    expect(fields(await plan({ startOn: '2026-08-20' }))).toEqual(['startOn']);
    expect(fields(await plan({ roomId: ants.id }))).toEqual(['roomId']);
    expect(fields(await write({ kind: 'rest-step', step: 'cool-1' }))).toEqual(['residentId']);
    const spider = {
      scientificName: 'Grammostola pulchra',
      profile: 'ground-tarantula',
      stage: 'adult',
      legSpanMm: 120,
    };
    const other = (await server.post('/api/residents', { ...spider, homeId: await house.home('B1') })).body.resident;
    expect(fields(await plan({ residentId: other.id }))).toEqual(['profile']);
    expect((await rest()).rest).toBeNull();
  });

  it('is planned for its season, in one place at a time, and given up again', async () => {
    const planned = (await plan()).body.entry;
    expect((await rest()).rest).toMatchObject({ place: 'Cellar', placeC: 8, course: { phase: 'before' } });
    const again = await plan();
    expect(again.status).toBe(409);
    const board = (await server.get('/api/rests')).body.rests;
    expect(board.find((row: { residentId: string }) => row.residentId === ants.id)).toMatchObject({
      need: 'must',
      phase: 'before',
      beginsOn: '2026-04-29',
    });
    // What was done by a plan that is taken back is no step of the next one.
    await write({ kind: 'rest-step', step: 'feed-well-1' });
    expect((await server.post(`/api/entries/${planned.id}/undo`, {})).status).toBe(409);
    await server.post(`/api/entries/${planned.id}/undo?along=yes`, {});
    expect((await rest()).rest).toBeNull();
    const next = (await plan()).body.entry;
    const { steps } = (await rest()).rest.course;
    expect(steps.find((step: { key: string }) => step.key === 'feed-well-1').doneOn).toBeNull();
    await server.post(`/api/entries/${next.id}/undo`, {});
  });

  it('goes step by step: the round asks for each once, feeds no more, and leaves it alone in the cold', async () => {
    // Planned some weeks back, so that its first steps lie behind us.
    await plan({ on: ago(40), startOn: ago(16) });
    const done = async (step: string, on: string) => {
      const { id } = (await rest()).rest;
      return write({ kind: 'rest-step', step, on, answers: `rest ${id} ${step}` });
    };
    await done('feed-well-1', ago(34));
    expect((await done('last-food-1', ago(20))).status).toBe(201);
    expect((await jobs()).jobs.map((job: { kind: string }) => job.kind)).not.toContain('feed');
    await done('clear-food-1', ago(19));
    await done('count-1', ago(16));
    for (const [index, days] of [16, 12, 8].entries()) await done(`cool-${index + 1}`, ago(days));
    const now = await jobs();
    expect(now.leaveAlone).toMatchObject({ code: 'resting', since: ago(16) });
    expect(now.jobs).toMatchObject([{ kind: 'rest', rest: { what: 'cool', key: 'cool-4', targetC: 8 } }]);
    // Both keepers tick it: it is written once.
    const first = await done('cool-4', TODAY);
    const second = await write({
      kind: 'rest-step',
      step: 'cool-4',
      keeper: 'Imre Talsk',
      answers: first.body.entry.data.answers,
    });
    expect(second.body.already.id).toBe(first.body.entry.id);
    expect((await done('cool-9', TODAY)).body.error.fields[0].path).toBe('step');
    expect((await jobs()).jobs).toMatchObject([{ kind: 'rest', doneBy: first.body.entry.id }]);
    expect((await rest()).rest.course).toMatchObject({ phase: 'cold', targetC: 8, isQuiet: true });
    // Food in it would rot: it is asked about.
    const offer = await write({ kind: 'offered', dishes: [{ food: 'sugar-water', volumeMl: 0.1 }] });
    expect(fields(offer)).toEqual(['insist']);
  });

  it('is measured in its place: too warm for half a day is called out, and so is a probe that lies', async () => {
    const added = (
      await server.post('/api/probes', { name: 'Cellar', kind: 'device', place: 'room', roomId: house.cellar.roomId })
    ).body;
    const { probe } = added;
    let { token } = added;
    const now = Date.parse(`${TODAY}T19:00:00Z`);
    const send = (readings: object[]) =>
      server.raw('/api/readings', {
        method: 'POST',
        body: JSON.stringify({ readings }),
        headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
      });
    const hourly = (temperatureC: (hour: number) => number) =>
      Array.from({ length: 20 }, (_, hour) => ({
        at: new Date(now - (19 - hour) * 3_600_000).toISOString(),
        temperatureC: temperatureC(hour),
        relativeHumidityPct: 70 + (hour % 3),
      }));
    expect((await send(hourly((hour) => 13 + (hour % 4) / 10))).status).toBeLessThan(300);
    expect((await rest()).rest.alarms).toMatchObject([{ kind: 'too-warm', probeId: probe.id, limit: 10 }]);
    expect((await jobs()).jobs[0]).toMatchObject({ kind: 'alarm', cannotWait: true });
    expect((await rest()).rest.degreeHours?.above ?? 0).toBeGreaterThan(0);
    await server.remove(`/api/probes/${probe.id}`);
    // The very same value hour after hour: the probe says nothing of the place.
    const other = { name: 'Cellar, low', kind: 'device', place: 'room', roomId: house.cellar.roomId };
    token = (await server.post('/api/probes', other)).body.token;
    await send(hourly(() => 7.5).map((each) => ({ ...each, relativeHumidityPct: 70 })));
    expect((await rest()).rest.alarms).toMatchObject([{ kind: 'stuck' }]);
  });

  it('broken off leaves the colony as before', async () => {
    await write({ kind: 'rest-ended' });
    expect((await rest()).rest).toBeNull();
    expect((await jobs()).leaveAlone).toBeNull();
    expect((await write({ kind: 'rest-ended' })).status).toBe(409);
  });

  it('under way is worked out for anybody over HTTP, with degree-hours of a place', async () => {
    const asked = {
      ...{ profile: 'ant-small-temperate', latitudeDeg: 52, asOf: '2026-10-01', roomC: 22, placeC: 6 },
      ...{ done: { 'last-food-1': '2026-11-02' }, on: '2026-11-02' },
      readings: [
        { at: '2026-12-01T00:00:00.000Z', temperatureC: 12 },
        { at: '2026-12-01T02:00:00.000Z', temperatureC: 12 },
      ],
    };
    const { body } = await server.post('/api/compute/rest-course', asked);
    expect(body.course.steps.find((step: { key: string }) => step.key === 'cool-1').on).toBe('2026-11-06');
    expect(body.degreeHours).toEqual({ above: 4, below: 0, hours: 2 });
    expect(fields(await server.post('/api/compute/rest-course', { ...asked, done: { x: '2026-11-02' } }))).toEqual([
      'done.x',
    ]);
  });
});

describe('broods and cultures', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let house: Awaited<ReturnType<typeof houseOf>>;
  beforeAll(async () => {
    house = await houseOf(server);
  }, 60_000);
  const takeIn = async (body: object) =>
    (await server.post('/api/residents', { on: '2025-09-01', ...body })).body.resident;
  const write = (body: object) => server.post('/api/entries', body);
  const brood = async (id: string) =>
    (await server.get('/api/broods')).body.broods.find((each: { residentId: string }) => each.residentId === id);

  it('of eggs are dated, planned for before they hatch, and never more than there are', async () => {
    const stick = { scientificName: 'Carausius morosus', profile: 'stick-insect', stage: 'egg', headCount: 100 };
    const eggs = await takeIn({ ...stick, homeId: await house.home('D1') });
    expect(await brood(eggs.id)).toMatchObject({ isGuessed: true, laidFrom: '2025-09-01', mating: 'unknown' });
    const about = { residentId: eggs.id };
    expect(fields(await write({ kind: 'laid', ...about, laidFrom: '2026-05-01', mating: 'mated' }))).toEqual([
      'laidFrom',
    ]);
    expect(fields(await write({ kind: 'laid', ...about, laidFrom: '1900-01-01', mating: 'mated' }))).toEqual([
      'laidFrom',
    ]);
    await write({ kind: 'laid', ...about, laidFrom: ago(100), laidTo: ago(60), mating: 'mated' });
    expect(fields(await write({ kind: 'surplus', ...about, keep: 90, passOn: 20, feedOff: 0 }))).toEqual(['keep']);
    await write({ kind: 'surplus', ...about, keep: 20, passOn: 10, feedOff: 5 });
    const known = await brood(eggs.id);
    expect(known).toMatchObject({ isGuessed: false, eggs: 100, problem: null, surplus: { placed: 35 } });
    expect(known.surplus.freezeEggs).toBeGreaterThan(30);
    expect(known.inHalfAYear.heads).toBeGreaterThan(10);
    expect(known.inHalfAYear.foodGPerWeek).toBeGreaterThan(0);
    const bugs = {
      scientificName: 'Pristhesancus plagipennis',
      profile: 'communal-assassin-bug',
      stage: 'egg',
      headCount: 40,
    };
    const venomous = await takeIn({ ...bugs, homeId: await house.home('D2') });
    expect(fields(await write({ kind: 'surplus', residentId: venomous.id, keep: 5, passOn: 0, feedOff: 5 }))).toEqual([
      'feedOff',
    ]);
    expect(fields(await write({ kind: 'clutch', residentId: venomous.id, eggs: 4, frozen: 9 }))).toEqual(['frozen']);
  });

  it('of moths are dated so that both sexes meet', async () => {
    const luna = { scientificName: 'Actias luna', profile: 'moth-tropical', stage: 'pupa', bodyLengthMm: 30 };
    const homeId = await house.home('D3');
    const luna1 = await takeIn({ ...luna, homeId, headCount: 3, sex: 'female', on: ago(4) });
    await takeIn({ ...luna, homeId, headCount: 3, sex: 'male', on: ago(24) });
    const sister = await takeIn({ ...luna, homeId, headCount: 1, sex: 'female', on: ago(2) });
    const pair = { kind: 'paired', residentId: luna1.id };
    expect((await write({ ...pair, withId: sister.id })).body.error.fields).toEqual([
      expect.objectContaining({ path: 'withId', message: expect.stringContaining('both female') }),
    ]);
    expect(fields(await write({ ...pair, withId: luna1.id }))).toEqual(['withId']);
    const [flight] = (await server.get('/api/broods')).body.flights;
    expect(flight).toMatchObject({
      scientificName: 'Actias luna',
      out: { female: 0, male: 0 },
      meeting: { hold: { sex: 'male' } },
    });
  });

  it('of isopods are held against their last count: a crash is called a crash, and what was taken out is not', async () => {
    const swift = { scientificName: 'Porcellio laevis', profile: 'isopod-temperate', stage: 'adult', headCount: 100 };
    const tub = await takeIn({ ...swift, homeId: await house.home('E1') });
    const row = async () =>
      (await server.get('/api/colonies')).body.colonies.find(
        (each: { residentId: string }) => each.residentId === tub.id,
      );
    const count = { kind: 'measured', residentId: tub.id, headCount: 30, on: ago(1) };
    const { entry } = (await write(count)).body;
    expect(await row()).toMatchObject({ verdict: 'crash', countedOn: ago(1) });
    await server.post(`/api/entries/${entry.id}/undo`, {});
    expect(fields(await write({ ...count, headCount: 420, headsLow: 430 }))).toEqual(['headsLow']);
    await write({ ...count, headCount: 420, headsLow: 380, headsHigh: 470 });
    const full = await row();
    expect(full.fullPct).toBeGreaterThan(80);
    expect(full.splitOn).toBe(TODAY);
    expect(full.harvest).toMatchObject({ usableOn: TODAY, keepBack: 10 });
    expect(full.harvest.perWeek).toBeGreaterThan(0);
  });

  it('from which some were taken out have fewer of every stage, and more again when others join', async () => {
    const swift = { scientificName: 'Porcellio laevis', profile: 'isopod-temperate', stage: 'adult', headCount: 300 };
    const tub = await takeIn({ ...swift, on: ago(1), homeId: await house.home('E2') });
    const counts = async () => (await server.get(`/api/residents/${tub.id}/colony`)).body.counts;
    const before = await counts();
    await write({ kind: 'passed-on', residentId: tub.id, count: 150 });
    const after = await counts();
    expect(after.juvenile / before.juvenile).toBeCloseTo(0.5, 2);
    expect(after.adult / before.adult).toBeCloseTo(0.5, 2);
    const other = await takeIn({ ...swift, on: ago(1), headCount: 75, homeId: await house.home('E3') });
    expect((await server.post(`/api/residents/${tub.id}/join`, { otherId: other.id })).status).toBe(201);
    expect((await counts()).adult / before.adult).toBeCloseTo(0.75, 2);
  });

  it('that want cold first are told to rest, and hatch once they are warm again', async () => {
    const eggs = {
      scientificName: 'Actias luna',
      profile: 'moth-cold-egg',
      stage: 'egg',
      bodyLengthMm: 2,
      headCount: 60,
    };
    const { id } = await takeIn({ ...eggs, homeId: await house.home('D4') });
    expect(await brood(id)).toMatchObject({ forecast: null, warmSince: null, coldWeeks: 16 });
    expect((await brood(id)).problem).toMatch(/plan their winter rest/);
    await server.put(`/api/rooms/${house.cellar.roomId}`, {
      air: { temperatureC: 4, relativeHumidityPct: 70, draughtMS: 0.1 },
    });
    const planned = { kind: 'rest-planned', residentId: id, roomId: house.cellar.roomId, on: '2025-10-20' };
    expect((await write(planned)).status).toBe(201);
    const { steps } = (await server.get(`/api/residents/${id}/rest`)).body.rest.course;
    for (const { key } of steps.filter((step: { what: string }) => step.what === 'warm')) {
      expect((await write({ kind: 'rest-step', residentId: id, step: key, on: ago(3) })).status).toBe(201);
    }
    expect(await brood(id)).toMatchObject({ warmSince: ago(3), problem: null });
    expect((await brood(id)).forecast.median > TODAY).toBe(true);
  });

  it('of a founding queen are noted as they are seen, and move the day of her first workers', async () => {
    const nest = { chambers: [{ lengthMm: 30, widthMm: 20, heightMm: 10 }], tubeBoreMm: 8 };
    const queen = { scientificName: 'Formica fusca', profile: 'ant-small-temperate', stage: 'adult' };
    const { id } = await takeIn({ ...queen, form: 'colony', homeId: await house.home('F1', { nest }), on: ago(20) });
    const founding = async () => (await server.get(`/api/residents/${id}/colony`)).body.founding;
    expect(await founding()).toMatchObject({ furthest: null, food: 'none', isLate: false });
    // By now the usual course has workers: until one is seen she is founding all the same, and late.
    const old = await takeIn({ ...queen, form: 'colony', homeId: await house.home('F2', { nest }), on: ago(190) });
    expect((await server.get(`/api/residents/${old.id}/colony`)).body.founding).toMatchObject({ isLate: true });
    const before = (await founding()).firstWorkers.median;
    await write({ kind: 'brood-seen', residentId: id, stage: 'pupa' });
    expect((await founding()).furthest).toBe('pupa');
    expect((await founding()).firstWorkers.median < before).toBe(true);
    expect(fields(await write({ kind: 'brood-seen', residentId: id, stage: 'nymph' }))).toEqual(['stage']);
  });

  it('are worked out for anybody over HTTP', async () => {
    const hatch = { profile: 'stick-insect', eggs: 50, laidFrom: ago(100), mating: 'mated', temperatureC: 21 };
    const wish = { keep: 5, passOn: 0, feedOff: 0 };
    expect((await server.post('/api/compute/hatch', { ...hatch, wish })).body.surplus.freezeEggs).toBeGreaterThan(20);
    expect(fields(await server.post('/api/compute/hatch', { ...hatch, eggs: 0 }))).toEqual(['eggs']);
    expect(fields(await server.post('/api/compute/hatch', { ...hatch, profile: 'forest-scorpion' }))).toEqual([
      'profile',
    ]);
    const cocoons = [{ id: 'a', sex: 'female', on: ago(5), count: 1 }];
    expect(
      (await server.post('/api/compute/meeting', { profile: 'moth-tropical', cocoons, temperatureC: 25 })).body.male,
    ).toBeNull();
    const founding = { profile: 'ant-large-mediterranean', beganOn: ago(10), temperatureC: 25.5 };
    expect((await server.post('/api/compute/founding', founding)).body.food).toBe('none');
    expect(fields(await server.post('/api/compute/founding', { ...founding, seen: { nymph: TODAY } }))).toEqual([
      'seen.nymph',
    ]);
    const nest = { profile: 'ant-large-mediterranean', workers: 100, ahead: 200, volumeMl: 225 };
    expect((await server.post('/api/compute/nest', nest)).body).toMatchObject({
      verdict: 'right',
      fullPct: expect.closeTo(66.7, 1),
    });
    const tubs = { profile: 'isopod-temperate', needPerWeek: 40, litresPerTub: 6, temperatureC: 24 };
    expect((await server.post('/api/compute/tubs', tubs)).body.tubs).toBeGreaterThan(1);
    expect(fields(await server.post('/api/compute/tubs', { ...tubs, profile: 'ant-leafcutter' }))).toEqual(['profile']);
    expect((await server.post('/api/compute/count', { counted: 60, sharePct: 25 })).body.heads).toBe(240);
    const roaches = { profile: 'dubia-roach', counts: { adult: 40 }, temperatureC: 28, weeks: 10 };
    expect((await server.post('/api/compute/colony', roaches)).body.series[10].total.median).toBeGreaterThan(40);
  });
});

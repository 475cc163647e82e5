import { addDays } from '@/core/measure/day';
import { onEmptyServer } from './testing/onEmptyServer';
import { TODAY, type Answer, type TestServer } from './testing/server';

const ago = (days: number) => addDays(TODAY, -days);
const fields = ({ body }: Answer): string[] => body.error.fields.map((field: { path: string }) => field.path);
const CRICKETS = [{ food: 'field-cricket-large', count: 2 }];

describe('meals', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  let shelf: { id: string; roomId: string };
  const takeIn = async (code: string, body: object) => {
    const container = { shape: 'box', lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'vented', vents: [] };
    const { home } = (await server.post('/api/homes', { code, shelfId: shelf.id, container, substrateDepthMm: 100 }))
      .body;
    const about = { on: ago(200), stage: 'adult', homeId: home.id, ...body };
    return (await server.post('/api/residents', about)).body.resident;
  };
  let bramble: { id: string };
  let snails: { id: string };
  beforeAll(async () => {
    shelf = (await server.post('/api/shelves', { room: 'Boiler Room', name: 'A' })).body.shelf;
    bramble = await takeIn('A1', {
      scientificName: 'Tliltocatl albopilosus',
      profile: 'ground-tarantula',
      legSpanMm: 118,
    });
    snails = await takeIn('A2', {
      scientificName: 'Cornu aspersum',
      profile: 'land-snail',
      bodyLengthMm: 33,
      headCount: 6,
    });
  }, 60_000);
  const write = (body: object) => server.post('/api/entries', body);
  const offer = (body: object = {}) => write({ kind: 'offered', residentId: bramble.id, dishes: CRICKETS, ...body });
  const undo = (id: string) => server.post(`/api/entries/${id}/undo`, {});

  it('keep what was given, with the length and the weight of the feeder', async () => {
    const { entry } = (await offer()).body;
    expect(entry.data.dishes).toEqual([{ food: 'field-cricket-large', count: 2, lengthMm: 20, massG: 0.78 }]);
    await undo(entry.id);
  });

  it('refuse what is no food, what nobody counted, and what this one is never given, with the reason', async () => {
    expect(fields(await offer({ dishes: [{ food: 'stone', count: 1 }] }))).toEqual(['dishes.0.food']);
    expect(fields(await offer({ dishes: [{ food: 'field-cricket-large' }] }))).toEqual(['dishes.0.count']);
    expect(fields(await offer({ dishes: [{ food: 'field-cricket-large', count: -2 }] }))).toEqual(['dishes.0.count']);
    const garlic = await write({ kind: 'offered', residentId: snails.id, dishes: [{ food: 'garlic', massG: 1 }] });
    expect(garlic.body.error.fields[0]).toEqual({ path: 'dishes.0.food', message: 'garlic: Never garlic for snails.' });
    const forbidden = { 'field-cricket-large': 'It ran from them.' };
    await server.patch(`/api/residents/${bramble.id}`, { forbidden });
    expect((await offer()).body.error.fields[0].message).toContain('It ran from them.');
    expect(fields(await server.patch(`/api/residents/${bramble.id}`, { forbidden: { stone: '' } }))).toEqual([
      'forbidden.stone',
    ]);
    await server.patch(`/api/residents/${bramble.id}`, { forbidden: {} });
  });

  it('logged by two at once are written once, and both are told', async () => {
    const answers = `feed ${TODAY}`;
    const both = await Promise.all(['Imre Talsk', 'Bram Lindqvist-Oro'].map((keeper) => offer({ answers, keeper })));
    const ids = both.map(({ body }) => body.entry.id);
    expect(ids[0]).toBe(ids[1]);
    const told = both.filter(({ body }) => body.already !== undefined);
    expect(told).toHaveLength(1);
    const history = (await server.get(`/api/residents/${bramble.id}/entries?kinds=offered`)).body.entries;
    expect(history).toHaveLength(1);
    // The first sees it in the record, and in the round.
    expect(['Imre Talsk', 'Bram Lindqvist-Oro']).toContain(history[0].data.alsoBy);
    expect(history[0].data.alsoBy).not.toBe(history[0].keeper);
    // What came of it is for the first to say: the other's outcome goes with the other's meal.
    const id = '7d0f1a52-0a1e-4f6f-9f60-5a3c1f4b8e21';
    const outcome = { kind: 'eaten', residentId: bramble.id, answers: `meal ${id}` };
    const late = await server.post('/api/entries/bulk', {
      entries: [
        { kind: 'offered', id, residentId: bramble.id, answers, dishes: CRICKETS, keeper: 'Odalys Fenn' },
        outcome,
      ],
    });
    expect(late.body.entries).toHaveLength(1);
    expect(late.body.already.id).toBe(ids[0]);
    // Taken back it can be answered again.
    await undo(ids[0]);
    const again = (await offer({ answers })).body;
    expect(again.already).toBeUndefined();
    await undo(again.entry.id);
  });

  it('taken back take what came of them along', async () => {
    const { entry } = (await offer({ on: ago(3) })).body;
    await write({ kind: 'eaten', residentId: bramble.id, on: ago(2), answers: `meal ${entry.id}` });
    await undo(entry.id);
    expect((await server.get(`/api/residents/${bramble.id}/entries?kinds=offered,eaten`)).body.entries).toEqual([]);
  });

  it('to one that is left alone are asked about once, kept if insisted on, and marked', async () => {
    const moult = (await write({ kind: 'moulted', residentId: bramble.id, on: ago(2) })).body.entry;
    const asked = await offer();
    expect(asked.status).toBe(409);
    expect(fields(asked)).toEqual(['insist']);
    expect(asked.body.error.fields[0].message).toContain('hardens until');
    const kept = await offer({ insist: true });
    expect(kept.status).toBe(201);
    expect(kept.body.entry.data.inQuiet).toBe(1);
    // Before the moult nothing spoke against it.
    const before = await offer({ on: ago(20) });
    expect(before.status).toBe(201);
    for (const { body } of [before, kept]) await undo(body.entry.id);
    await undo(moult.id);
  });

  it('of leaves follow the half of the world in which the house stands', async () => {
    const stick = { scientificName: 'Carausius morosus', profile: 'stick-insect', bodyLengthMm: 70, headCount: 8 };
    const hedge = await takeIn('A7', stick);
    const everyDays = async () => (await server.get(`/api/residents/${hedge.id}/feeding`)).body.next.everyDays;
    const north = await everyDays();
    expect((await server.put('/api/house', { hemisphere: 'south' })).body).toEqual({ hemisphere: 'south' });
    // Mid-March: in the south summer has gone by, and leaves keep as in the north after its own.
    expect(await everyDays()).not.toBe(north);
    expect(fields(await server.put('/api/house', { hemisphere: 'east' }))).toEqual(['hemisphere']);
    await server.put('/api/house', { hemisphere: 'north' });
    expect(await everyDays()).toBe(north);
  });

  it('go by a weight only while it stands for the animal: not after a moult', async () => {
    const spider = { scientificName: 'Grammostola pulchra', profile: 'ground-tarantula', legSpanMm: 118 };
    const [weighed, other] = [await takeIn('A8', spider), await takeIn('A9', spider)];
    const mealOf = async ({ id }: { id: string }) =>
      (await server.get(`/api/residents/${id}/feeding`)).body.next.dishes;
    await write({ kind: 'measured', residentId: weighed.id, massG: 3, on: ago(60) });
    expect(await mealOf(weighed)).not.toEqual(await mealOf(other));
    for (const { id } of [weighed, other]) {
      expect((await write({ kind: 'moulted', residentId: id, on: ago(40), legSpanMm: 118 })).status).toBe(201);
    }
    expect(await mealOf(weighed)).toEqual(await mealOf(other));
  });

  it('follow the schools of resident, kind and room, the nearest first', async () => {
    const choose = (body: object) => server.put('/api/schools', body);
    const now = async () =>
      (await server.get('/api/residents')).body.residents.find((each: { id: string }) => each.id === bramble.id)
        .schools;
    const rarely = { topic: 'feeding', school: 'large-and-rarely' };
    await choose({ scope: 'room', about: shelf.roomId, ...rarely });
    expect(await now()).toEqual({ feeding: 'large-and-rarely' });
    await choose({ scope: 'kind', about: 'ground-tarantula', topic: 'feeding', school: 'small-and-often' });
    expect(await now()).toEqual({ feeding: 'small-and-often' });
    await choose({ scope: 'resident', about: bramble.id, ...rarely });
    expect(await now()).toEqual({ feeding: 'large-and-rarely' });
    const next = (await server.get(`/api/residents/${bramble.id}/feeding`)).body.next;
    expect(next.everyDays).toBe(30);
    for (const [scope, about] of [
      ['resident', bramble.id],
      ['kind', 'ground-tarantula'],
      ['room', shelf.roomId],
    ]) {
      await choose({ scope, about, topic: 'feeding', school: null });
    }
    expect(await now()).toEqual({});
    expect(
      fields(await choose({ scope: 'kind', about: 'ground-tarantula', topic: 'snail-egg', school: 'no-egg' })),
    ).toEqual(['school']);
    expect(fields(await choose({ scope: 'resident', about: 'nobody', ...rarely }))).toEqual(['about']);
    expect(fields(await choose({ scope: 'house', about: 'x', ...rarely }))).toEqual(['scope']);
  });

  it('show week by week what was taken, and how the animal looks', async () => {
    const first = (await offer({ on: ago(10) })).body.entry;
    const eaten = (await write({ kind: 'eaten', residentId: bramble.id, on: ago(9), answers: `meal ${first.id}` })).body
      .entry;
    const weighed = (await write({ kind: 'measured', residentId: bramble.id, massG: 17.4, condition: 'thin' })).body
      .entry;
    const { weeks, weighings, next } = (await server.get(`/api/residents/${bramble.id}/feeding`)).body;
    expect(weeks).toHaveLength(26);
    expect(weeks.at(-2)).toMatchObject({ offered: 1, taken: 1, refused: 0 });
    expect(weighings[0].condition).toBeCloseTo(17.4 / (0.0105 * 11.8 ** 3), 6);
    expect(next.grounds.map((each: { rule: string }) => each.rule)).toContain('condition');
    for (const { id } of [first, eaten, weighed]) await undo(id);
  });

  it('are worked out for anybody over HTTP, and bad questions are refused by name', async () => {
    const prey = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118 };
    const feeders = [{ id: 'c', lengthMm: 20, massG: 0.39 }];
    const plan = (await server.post('/api/compute/prey', { ...prey, feeders })).body;
    expect(plan).toMatchObject({ everyDays: 14, offers: [{ feeder: 'c' }] });
    expect(fields(await server.post('/api/compute/prey', { ...prey, feeders: [{ id: 'c', massG: 1 }] }))).toEqual([
      'feeders.0.lengthMm',
    ]);
    expect(fields(await server.post('/api/compute/prey', { ...prey, feeders: [] }))).toEqual(['feeders']);
    const { meal } = (await server.post('/api/compute/meal', { ...prey, on: TODAY })).body;
    expect(meal.eats).toBe('prey');
    const eggs = await server.post('/api/compute/meal', { profile: 'stick-insect', stage: 'egg', on: TODAY });
    expect(eggs.body.meal).toBeNull();
    const culture = { kind: 'dubia-roach', weekly: { 'dubia-roach-medium': 30 } };
    expect((await server.post('/api/compute/feeder-culture', culture)).body.breeders).toBeGreaterThan(5);
    expect(fields(await server.post('/api/compute/feeder-culture', { ...culture, kind: 'cats' }))).toEqual(['kind']);
    const other = { kind: 'dubia-roach', weekly: { 'mealworm-mini': 3 } };
    expect(fields(await server.post('/api/compute/feeder-culture', other))).toEqual(['weekly.mealworm-mini']);
  });
});

describe('the store', () => {
  let server: TestServer;
  onEmptyServer((each) => (server = each));
  const stock = (body: object) => server.post('/api/store/entries', body);
  const there = async (item: string) =>
    (await server.get('/api/store')).body.lines.find((each: { item: string }) => each.item === item);

  it('holds what came in less what went out, and gives back what is undone', async () => {
    await stock({ item: 'field-cricket-medium', kind: 'counted', amount: 80 });
    const { entry } = (await stock({ item: 'field-cricket-medium', kind: 'died', amount: 30 })).body;
    expect(await there('field-cricket-medium')).toMatchObject({ onHand: 50, unit: 'pieces', countedOn: TODAY });
    await server.post(`/api/store/entries/${entry.id}/undo`, {});
    expect(await there('field-cricket-medium')).toMatchObject({ onHand: 80 });
    expect((await stock({ ...entry, undoneAt: undefined, at: undefined })).status).toBe(422);
    expect((await server.get('/api/store/entries?item=field-cricket-medium')).body.entries).toHaveLength(1);
  });

  it('never holds less than nothing, and says what would be right', async () => {
    const refused = await stock({ item: 'field-cricket-medium', kind: 'died', amount: 90 });
    expect(refused.body.error.fields[0]).toMatchObject({
      path: 'amount',
      message: expect.stringContaining('at most 80'),
    });
    expect(fields(await stock({ item: 'field-cricket-medium', kind: 'bought', amount: -5 }))).toEqual(['amount']);
    expect(fields(await stock({ item: 'field-cricket-medium', kind: 'bought', amount: 0 }))).toEqual(['amount']);
    expect(fields(await stock({ item: 'stones', kind: 'bought', amount: 5 }))).toEqual(['item']);
    expect(fields(await stock({ item: 'carrot', kind: 'eaten', amount: 5 }))).toEqual(['kind']);
    expect(fields(await stock({ item: 'carrot', kind: 'bought', amount: 5, on: addDays(TODAY, 2) }))).toEqual(['on']);
  });

  it('knows food that has gone off', async () => {
    await stock({ item: 'cucumber', kind: 'bought', amount: 300, on: ago(9) });
    await stock({ item: 'cucumber', kind: 'bought', amount: 200, on: ago(1) });
    expect(await there('cucumber')).toMatchObject({ onHand: 200, stale: 300, unit: 'g', useBy: addDays(TODAY, 6) });
  });

  it('keeps cultures with what they yield', async () => {
    const body = { called: 'The roach bin', kind: 'dubia-roach', breeders: 60, harvested: 'dubia-roach-medium' };
    const { culture } = (await server.post('/api/cultures', body)).body;
    expect(culture.yieldPerWeek).toBeGreaterThan(10);
    const more = (await server.patch(`/api/cultures/${culture.id}`, { breeders: 120 })).body.culture;
    expect(more.yieldPerWeek).toBeCloseTo(2 * culture.yieldPerWeek, 6);
    expect(fields(await server.post('/api/cultures', { ...body, harvested: 'mealworm-mini' }))).toEqual(['harvested']);
    expect(fields(await server.patch(`/api/cultures/${culture.id}`, { breeders: -1 }))).toEqual(['breeders']);
    expect((await server.remove(`/api/cultures/${culture.id}`)).status).toBe(200);
    expect((await server.remove(`/api/cultures/${culture.id}`)).status).toBe(404);
  });

  it('plans by a price list, and by another that parses; one that does not changes nothing', async () => {
    const shipped = (await server.get('/api/supplier')).body;
    expect(shipped).toMatchObject({ isOwn: false, name: expect.stringContaining('simulated') });
    const head = 'item,pack_size,pack_price,lead_days,handling';
    const own = `${head}\nfield-cricket-medium,100,3.5,2,1\n`;
    const kept = (await server.put('/api/supplier', { csv: own })).body;
    expect(kept).toMatchObject({ isOwn: true, lines: [{ item: 'field-cricket-medium', packSize: 100, leadDays: 2 }] });
    const bad = await server.put('/api/supplier', { csv: `${head}\nfield-cricket-medium,0,x,1.5,1\nstones,1,1,1,1` });
    expect(fields(bad)).toEqual([
      'csv line 2, pack_size',
      'csv line 2, pack_price',
      'csv line 2, lead_days',
      'csv line 3, item',
    ]);
    expect(fields(await server.put('/api/supplier', { csv: 'a,b\n1,2' }))).toEqual(['csv']);
    expect((await server.get('/api/supplier')).body).toEqual(kept);
    expect((await server.remove('/api/supplier')).body.isOwn).toBe(false);
  });

  it('says what the house will eat in 12 weeks, and takes off what was fed', async () => {
    const { shelf } = (await server.post('/api/shelves', { room: 'R', name: 'A' })).body;
    const container = { shape: 'box', lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'vented', vents: [] };
    const { home } = (
      await server.post('/api/homes', { code: 'A1', shelfId: shelf.id, container, substrateDepthMm: 100 })
    ).body;
    const spider = {
      scientificName: 'Grammostola pulchra',
      profile: 'ground-tarantula',
      stage: 'adult',
      legSpanMm: 90,
    };
    const { resident } = (await server.post('/api/residents', { ...spider, homeId: home.id, on: ago(90) })).body;
    const before = (await server.get('/api/store/plan')).body;
    const line = before.lines.find((each: { item: string }) => each.item === 'field-cricket-medium');
    expect(line.demand.reduce((sum: number, each: number) => sum + each, 0)).toBeGreaterThan(6);
    expect(line.short[0]).toBe(0);
    expect(line.orders.length).toBeGreaterThan(0);
    const dishes = [{ food: 'field-cricket-medium', count: 3 }];
    expect((await server.post('/api/entries', { kind: 'offered', residentId: resident.id, dishes })).status).toBe(201);
    expect(await there('field-cricket-medium')).toMatchObject({ onHand: 77 });
  });
});

import { emptyHouse, type House } from './house';

const DAY = '2026-03-14';
const PASSWORD = 'seven damp isopods';

/** A house with a door: Ada keeps it, Ben helps, Cleo reads. */
async function houseWithADoor() {
  const ada = await emptyHouse(DAY);
  await ada.box('A1', 'vial-large', { soilMm: 60 });
  const spider = await ada.takeIn('Grammostola pulchra', 'A1', { stage: 'spiderling', legSpanMm: 12 });
  expect((await ada.post('/api/access/setup', { name: 'Ada', password: PASSWORD })).status).toBe(200);
  const letIn = async (name: string, role: string) => {
    const { person } = (await ada.post('/api/access/people', { name, role, password: PASSWORD })).body;
    const house = ada.elsewhere();
    expect((await house.post('/api/access/sign-in', { name, password: PASSWORD })).status).toBe(200);
    return { house, id: person.id as string };
  };
  return { ada, spider, ben: await letIn('Ben', 'helper'), cleo: await letIn('Cleo', 'reader') };
}

const state = async (house: House) => (await house.get('/api/access')).body.state as string;

describe('who may come in', () => {
  it('whoever opens an empty house first, at its machine, is its keeper, and finds it open', async () => {
    const house = await emptyHouse(DAY);
    expect(await state(house)).toBe('open');
    await house.box('A1', 'vial-large');
    expect((await house.get('/api/access/log')).body.events).toEqual([]);
  });

  it('a helper walks and writes under his own name, changes no rule and sees no secret', async () => {
    const { spider, ben } = await houseWithADoor();
    expect(await ben.house.kinds(spider)).not.toEqual([]);
    await ben.house.write('offered', spider, { preyCount: 1, preyLengthMm: 3, keeper: 'Ada' });
    const { entries } = (await ben.house.get(`/api/residents/${spider.id}/entries?kinds=offered`)).body;
    expect(entries[0].keeper).toBe('Ben');
    for (const [method, path] of [
      ['put', '/api/house'],
      ['post', '/api/profiles'],
      ['post', '/api/probes'],
    ] as const) {
      expect((await ben.house[method](path, {})).status).toBe(403);
    }
    for (const path of ['/api/backups', '/api/access/people', '/api/access/log', '/api/tables']) {
      expect((await ben.house.get(path)).status).toBe(403);
    }
  });

  it('a reader sees what the others see, and can try an engine, and writes nothing down', async () => {
    const { ada, spider, cleo } = await houseWithADoor();
    expect((await cleo.house.get('/api/round')).body).toEqual((await ada.get('/api/round')).body);
    const animal = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 40 };
    expect((await cleo.house.post('/api/compute/size-ladder', animal)).status).toBe(200);
    expect((await cleo.house.post('/api/entries', { kind: 'looked', residentId: spider.id })).status).toBe(403);
  });

  it('a sitter has the sheet of one absence, and nothing beside it', async () => {
    const { ada } = await houseWithADoor();
    const { absence } = (await ada.post('/api/absences', { from: '2026-03-20', until: '2026-03-27', sitter: 'Dot' }))
      .body;
    const { path } = (await ada.post(`/api/absences/${absence.id}/page`, {})).body;
    const dot = ada.elsewhere();
    expect((await dot.get(`/api${path}`)).status).toBe(200);
    for (const beside of ['/api/residents', '/api/round', `/api/absences/${absence.id}/sheet`, '/api/homes']) {
      expect((await dot.get(beside)).status).toBe(401);
    }
  });

  it('a device sends readings by its token, and reads nothing', async () => {
    const { ada } = await houseWithADoor();
    const { token } = (
      await ada.post('/api/probes', { name: 'P', kind: 'device', place: 'air', homeId: ada.boxId('A1') })
    ).body;
    const device = ada.elsewhere();
    expect((await device.send('/api/readings', { temperatureC: 22 }, token)).status).toBe(201);
    expect((await device.send('/api/readings', { temperatureC: 22 }, 'x'.repeat(32))).status).toBe(401);
    expect((await device.get('/api/probes')).status).toBe(401);
  });

  it('a shared tablet locks by itself after five minutes without a touch, also where its page has gone', async () => {
    const { ada } = await houseWithADoor();
    await ada.patch('/api/access/own', { pin: '2468' });
    const tablet = ada.elsewhere();
    await tablet.post('/api/access/sign-in', { name: 'Ben', password: PASSWORD, isShared: true });
    await ada.hours(0.05);
    expect(await state(tablet)).toBe('signed-in');
    await tablet.post('/api/access/awake', {});
    await ada.hours(0.05);
    expect(await state(tablet)).toBe('signed-in');
    await ada.hours(0.1);
    expect(await state(tablet)).toBe('locked');
    expect((await tablet.get('/api/round')).status).toBe(401);
    await tablet.post('/api/access/unlock', { name: 'Ada', pin: '2468' });
    expect((await tablet.get('/api/access')).body.who.name).toBe('Ada');
  });

  it('a pairing code is over after ten minutes, and after it was used', async () => {
    const { ada, ben } = await houseWithADoor();
    const show = async () =>
      ((await ada.post(`/api/access/people/${ben.id}/pairing`, {})).body.address as string).split('#')[1] ?? '';
    const late = await show();
    await ada.hours(0.2);
    expect((await ada.elsewhere().post('/api/access/pair', { secret: late })).status).toBe(404);
    const phone = ada.elsewhere();
    expect((await phone.post('/api/access/pair', { secret: await show() })).status).toBe(200);
    expect((await phone.get('/api/access')).body.who.name).toBe('Ben');
  });

  it('whoever is renamed is so at the door as well, and whoever is taken out comes in no more', async () => {
    const { ada, ben } = await houseWithADoor();
    const keepers = async () => (await ada.get('/api/keepers')).body.keepers as { id: string; name: string }[];
    const row = (await keepers()).find(({ name }) => name === 'Ben');
    await ada.patch(`/api/keepers/${row?.id}`, { name: 'Benno' });
    expect((await ben.house.get('/api/access')).body.who.name).toBe('Benno');
    await ada.remove(`/api/keepers/${row?.id}`);
    expect(await state(ben.house)).toBe('signed-out');
    // The last who can sign in as keeper stays one.
    const own = (await keepers()).find(({ name }) => name === 'Ada');
    expect((await ada.remove(`/api/keepers/${own?.id}`)).status).toBe(409);
  });
});

import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * The keeper begins with the program today, and with the spider two years ago. It is known when it came, when it last moulted and
 * ate. Clocks run from what is known, not from the day on which it was typed.
 */
describe('what is known from before the program', () => {
  let house: House;
  let one: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('B1', 'flat-2', { soilMm: 70 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 70, on: '2024-03-20' };
    one = await house.takeIn('Brachypelma hamorii', 'B1', facts);
  });

  it('is when it came, and it stands in its history', async () => {
    expect((await house.resident(one)).takenInOn).toBe('2024-03-20');
  });

  it('is a moult of last summer, from which the next is counted', async () => {
    const unknown = await house.forecast(one);
    await house.write('moulted', one, { on: '2025-07-01' });
    const { forecast, moults } = await house.forecast(one);
    expect(moults.map(({ on }) => on)).toContain('2025-07-01');
    expect(forecast.next?.median).not.toBe(unknown.forecast.next?.median);
  });

  it('is a meal of the day before yesterday: it is not hungry today', async () => {
    await house.write('offered', one, { preyCount: 1, preyLengthMm: 15, on: '2026-03-12' });
    expect(await house.kinds(one)).not.toContain('feed');
  });

  it('is not in the future', async () => {
    const { status, body } = await house.post('/api/entries', {
      kind: 'moulted',
      residentId: one.id,
      on: '2026-04-01',
    });
    expect(status).toBe(422);
    expect(body.error.fields[0].path).toBe('on');
  });

  it('is not of 1900, which is what a sheet makes of an empty cell', async () => {
    const { body } = await house.post('/api/entries', {
      kind: 'noted',
      residentId: one.id,
      on: '1900-01-01',
      note: 'x',
    });
    expect(body.error.fields[0].path).toBe('on');
  });

  it('may be older than its arrival: it moulted at the breeder, and is no larger or older for it now', async () => {
    const before = await house.resident(one);
    await house.write('moulted', one, { on: '2024-02-01' });
    await house.write('noted', one, { on: '2024-02-20', note: 'Photo of the breeder: abdomen small.' });
    const { moults } = await house.forecast(one);
    expect(moults.map(({ on }) => on)).toContain('2024-02-01');
    const { instar, legSpanMm, takenInOn } = await house.resident(one);
    expect({ instar, legSpanMm, takenInOn }).toEqual({
      ...{ instar: before.instar, legSpanMm: before.legSpanMm, takenInOn: before.takenInOn },
    });
  });

  it('a meal at the breeder’s on the day before it came counts too', async () => {
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2026-03-10' };
    await house.box('B2', 'flat-2', { soilMm: 70 });
    const two = await house.takeIn('Brachypelma hamorii', 'B2', facts);
    await house.write('offered', two, { preyCount: 1, preyLengthMm: 12, on: '2026-03-09' });
    expect(await house.kinds(two)).not.toContain('feed');
  });

  it('is not older than the animal, and nothing of its box before it came', async () => {
    const facts = {
      profile: 'ground-tarantula',
      stage: 'juvenile',
      legSpanMm: 60,
      on: '2026-03-01',
      bornOn: '2025-05-01',
    };
    await house.box('B3', 'flat-2', { soilMm: 70 });
    const three = await house.takeIn('Brachypelma hamorii', 'B3', facts);
    const ask = (kind: string, on: string) => house.post('/api/entries', { kind, residentId: three.id, on });
    expect((await ask('moulted', '2025-04-30')).body.error.fields[0]).toMatchObject({
      path: 'on',
      message: 'Must not be before it was born, on 2025-05-01; got 2025-04-30.',
    });
    expect((await ask('watered', '2026-02-20')).body.error.fields[0].path).toBe('on');
    expect((await ask('moulted', '2026-02-20')).status).toBe(201);
  });

  it('is said as it is taken in: here since, last moult, last meal', async () => {
    await house.box('B4', 'flat-2', { soilMm: 70 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2025-06-01' };
    const days = { lastMoultOn: '2026-02-20', lastMealOn: '2026-03-12' };
    const four = await house.takeIn('Brachypelma hamorii', 'B4', { ...facts, ...days });
    expect((await house.forecast(four)).moults.map(({ on }) => on)).toEqual(['2026-02-20']);
    const kinds = await house.kinds(four);
    // Nor is anybody sent to look what became of a meal of days ago.
    for (const kind of ['feed', 'label', 'leftovers', 'prey-out'] as const) expect(kinds).not.toContain(kind);
    await house.box('B5', 'flat-2', { soilMm: 70 });
    const ask = async (told: object) =>
      (await house.askToTakeIn('Brachypelma hamorii', 'B5', { ...facts, bornOn: '2024-05-01', ...told })).body.error;
    expect((await ask({ lastMealOn: '2026-03-15' })).fields[0].path).toBe('lastMealOn');
    expect((await ask({ lastMoultOn: '2024-04-01' })).fields[0]).toEqual({
      path: 'lastMoultOn',
      message: 'Must not be before it was born, on 2024-05-01; got 2024-04-01.',
    });
    // Nothing of it was saved by half.
    expect((await house.home('B5')).state?.verdict).toBeNull();
  });

  it('is no meal of those whose food lies in their box, and none that waits for its new skin asks what became of it', async () => {
    await house.box('C1', 'culture', { soilMm: 60 });
    const isopods = { profile: 'isopod-temperate', stage: 'adult', headCount: 20, lastMealOn: '2026-03-10' };
    const refused = await house.askToTakeIn('Porcellio laevis', 'C1', isopods);
    expect(refused.body.error.fields[0].path).toBe('lastMealOn');
    await house.box('C2', 'flat-2', { soilMm: 70 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2026-03-01' };
    const soft = { lastMoultOn: '2026-03-12', lastMealOn: '2026-03-13' };
    const five = await house.takeIn('Brachypelma hamorii', 'C2', { ...facts, ...soft });
    expect(await house.leftAlone(five)).toMatchObject({ code: 'hardening' });
    expect(await house.kinds(five)).not.toContain('prey-out');
  });
});

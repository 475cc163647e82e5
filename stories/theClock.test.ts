import { emptyHouse, type House } from './house';

/** The house of these stories stands on a day that is set: it goes on by whole days, and refuses what is no time. */
describe('the day of a story', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2028-02-28');
  });

  it('is the day that was named, and the days after it, leap days too', async () => {
    expect(await house.today()).toBe('2028-02-28');
    await house.days(1);
    expect(await house.today()).toBe('2028-02-29');
    await house.days(1);
    expect(await house.today()).toBe('2028-03-01');
  });

  it('is not moved by what is no time, and the field is named', async () => {
    for (const [body, path] of [
      [{ to: '2028-02-31' }, 'to'],
      [{ days: -1 }, 'days'],
      [{ days: 1.5 }, 'days'],
      [{ weeks: 1 }, 'weeks'],
    ] as const) {
      const { status, body: said } = await house.post('/api/test/clock', body);
      expect([status, said.error.fields[0].path]).toEqual([422, path]);
    }
    expect(await house.today()).toBe('2028-03-01');
  });

  it('is a day of an entry like any other: a moult of yesterday, none of tomorrow', async () => {
    await house.box('A1', 'flat-1', { soilMm: 40 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 40, on: '2028-02-29' };
    const one = await house.takeIn('Grammostola pulchra', 'A1', facts);
    await house.write('moulted', one, { on: '2028-02-29' });
    const { status } = await house.post('/api/entries', { kind: 'moulted', residentId: one.id, on: '2028-03-02' });
    expect(status).toBe(422);
  });
});

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

  // Part 5: entries before the arrival are refused, also where they are about the animal.
  it.failing('may be older than its arrival: it moulted at the breeder', async () => {
    const { status } = await house.post('/api/entries', { kind: 'moulted', residentId: one.id, on: '2024-02-01' });
    expect(status).toBe(201);
  });
});

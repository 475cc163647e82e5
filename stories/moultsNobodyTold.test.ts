import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A young mantis comes home, and nobody knows when it last moulted. It is fed and misted for weeks, and no moult is written down: one
 * was missed, and the keeper is asked, instead of being told every day that it moults next week.
 */
describe('moults that nobody told of', () => {
  let house: House;
  let mantis: Resident;
  const MANTIS = { stage: 'nymph', bodyLengthMm: 12 };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('Warm', 'Room', { temperatureC: 25, relativeHumidityPct: 55 });
    for (const code of ['M1', 'M2', 'M3', 'T1']) await house.box(code, 'dry-1', { shelf: 'Warm' });
    mantis = await house.takeIn('Hierodula membranacea', 'M1', MANTIS);
  });

  it('are likelier every day that none is written down', async () => {
    const first = await house.forecast(mantis);
    expect(first.forecast.unseenPct).toBe(0);
    await house.days(4);
    const soon = await house.forecast(mantis);
    // Four days without one: what is left is shorter than it was, not as long again.
    expect(soon.forecast.next?.within7DaysPct).toBeGreaterThan(first.forecast.next?.within7DaysPct ?? 100);
    expect(await house.kinds(mantis)).not.toContain('measure');
    await house.days(26);
    expect((await house.forecast(mantis)).forecast.unseenPct).toBeGreaterThan(60);
  });

  it('are asked for once, and a size that is taken settles it', async () => {
    const job = await house.job(mantis, 'measure');
    expect(job?.reason).toMatchObject({ code: 'no-moult', since: '2026-03-14' });
    expect(job?.cannotWait).toBe(false);
    await house.days(1);
    expect((await house.job(mantis, 'measure'))?.dueOn).toBe(job?.dueOn);
    await house.write('measured', mantis, { bodyLengthMm: 20 });
    await house.days(1);
    expect(await house.kinds(mantis)).not.toContain('measure');
    expect((await house.forecast(mantis)).forecast.unseenPct).toBeLessThan(15);
  });

  it('are not asked for of one whose past nobody wrote down: it has only just begun to be watched', async () => {
    const long = await house.takeIn('Hierodula membranacea', 'M2', { ...MANTIS, on: '2025-11-01' });
    expect(await house.kinds(long)).not.toContain('measure');
    expect((await house.forecast(long)).forecast.unseenPct).toBe(0);
  });

  it('are not asked for of one that moulted when it should, nor of one that is grown', async () => {
    const told = await house.takeIn('Hierodula membranacea', 'M3', MANTIS);
    const grown = await house.takeIn('Tliltocatl albopilosus', 'T1', { stage: 'adult', legSpanMm: 130, sex: 'male' });
    await house.days(10);
    await house.write('moulted', told, { bodyLengthMm: 15 });
    await house.days(10);
    expect(await house.kinds(told)).not.toContain('measure');
    expect((await house.forecast(told)).forecast.unseenPct).toBeLessThan(15);
    expect(await house.kinds(grown)).not.toContain('measure');
  });
});

/** A day in the cold counts for less, on the round as in the forecast: what has just become warm was not warm all winter. */
describe('moults that nobody told of, where it was not always as warm as it is today', () => {
  const AIR = { relativeHumidityPct: 55, draughtMS: 0.1 };
  const MANTIS = { stage: 'nymph', bodyLengthMm: 12 };
  async function watched(temperatureC: number) {
    const house = await emptyHouse('2026-03-14');
    await house.shelf('Shelf', 'Room', { temperatureC, relativeHumidityPct: 55 });
    await house.box('M1', 'dry-1');
    return { house, mantis: await house.takeIn('Hierodula membranacea', 'M1', MANTIS) };
  }
  async function becomes(house: House, temperatureC: number) {
    const { rooms } = house.granted(await house.get('/api/rooms'));
    house.granted(await house.put(`/api/rooms/${rooms[0].id}`, { air: { ...AIR, temperatureC } }));
  }
  const unseenPct = async (house: House, who: Resident) => (await house.forecast(who)).forecast.unseenPct;

  it('are not asked for of one that came out of a cold month into the warmth today', async () => {
    const { house, mantis } = await watched(18);
    await house.days(32);
    expect(await house.kinds(mantis)).not.toContain('measure');
    await becomes(house, 26);
    expect(await house.kinds(mantis)).not.toContain('measure');
    expect(await unseenPct(house, mantis)).toBeLessThan(60);
  });

  it('are asked for of one that was warm for a month and is cool since today', async () => {
    const { house, mantis } = await watched(26);
    await house.days(32);
    await becomes(house, 18);
    expect((await house.job(mantis, 'measure'))?.reason).toMatchObject({ code: 'no-moult' });
    expect(await unseenPct(house, mantis)).toBeGreaterThan(60);
  });

  it('are not asked for of one that was carried out of a cold room today', async () => {
    const { house, mantis } = await watched(18);
    await house.shelf('Warm shelf', 'Warm room', { temperatureC: 26, relativeHumidityPct: 55 });
    await house.box('M2', 'dry-1', { shelf: 'Warm shelf' });
    await house.days(32);
    await house.write('moved', mantis, { homeId: house.boxId('M2'), insist: true });
    expect(await house.kinds(mantis)).not.toContain('measure');
  });
});

import { daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * How long an animal takes to its next moult goes by how warm it has been since the last one; what its past tells of its own pace
 * goes by how warm it was then. A room that has become colder makes the next moult later, and no animal slower by nature.
 */
describe('the warmth of then', () => {
  const MOULTS = ['2025-03-01', '2025-06-01', '2025-09-01', '2025-12-01'];
  const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 60, on: '2025-02-01' };
  const WARM = { temperatureC: 25, relativeHumidityPct: 55 };
  const COLD = { temperatureC: 18, relativeHumidityPct: 55 };
  const daysToNext = async (house: House, who: { id: string }) => {
    const { asOf, forecast } = await house.forecast(who);
    return daysBetween(asOf, forecast.next?.median ?? asOf);
  };
  async function raised(house: House, box: string) {
    await house.box(box, 'flat-2', { soilMm: 60, shelf: 'Warm shelf' });
    const who = await house.takeIn('Grammostola pulchra', box, facts);
    for (const on of MOULTS) await house.write('moulted', who, { on });
    return who;
  }
  const roomId = async (house: House, name: string): Promise<string> => {
    const { rooms } = house.granted(await house.get('/api/rooms'));
    return rooms.find((each: { name: string }) => each.name === name).id;
  };
  const roomAir = async (house: House, name: string, air: typeof WARM, since?: string) => {
    house.granted(
      await house.put(`/api/rooms/${await roomId(house, name)}`, { air: { ...air, draughtMS: 0.1 }, since }),
    );
  };

  it('of a room that was 25 C and is 18 C since today: its pace is what it was, its next moult is later', async () => {
    const house = await emptyHouse('2025-12-15');
    await house.shelf('Warm shelf', 'The room', WARM);
    const who = await raised(house, 'T1');
    const before = await house.forecast(who);
    const warm = await daysToNext(house, who);
    await house.days(1);
    await roomAir(house, 'The room', COLD);
    const after = await house.forecast(who);
    expect(after.forecast.grounds.paceTimes).toBeCloseTo(before.forecast.grounds.paceTimes, 2);
    const cold = await daysToNext(house, who);
    expect(cold).toBeGreaterThan(1.6 * warm);
    // Said to have been so since October, the last interval was lived in the cold, and it was quick for that.
    await roomAir(house, 'The room', COLD, '2025-10-01');
    expect((await house.forecast(who)).forecast.grounds.paceTimes).toBeLessThan(
      after.forecast.grounds.paceTimes - 0.05,
    );
    // Worked out from what the page of seasons is given, it is the same day.
    const { residents } = house.granted(await house.get('/api/residents/moults'));
    const { id: _, scientificName: __, motherId: ___, outOfId: ____, batch: _____, ...subject } = residents[0];
    const told = await house.compute('moult', { ...subject, asOf: await house.today() });
    expect(told.next.median).toBe((await house.forecast(who)).forecast.next?.median);
    // A day that has not come is refused, and named.
    const tomorrow = await house.put(`/api/rooms/${await roomId(house, 'The room')}`, {
      air: null,
      since: '2025-12-17',
    });
    expect([tomorrow.status, JSON.stringify(tomorrow.body)]).toEqual([422, expect.stringContaining('since')]);
  });

  it('of one that was carried from the warm room into the cold one', async () => {
    const house = await emptyHouse('2025-12-15');
    await house.shelf('Warm shelf', 'The warm room', WARM);
    await house.shelf('Cold shelf', 'The cold room', COLD);
    const who = await raised(house, 'T1');
    const before = await house.forecast(who);
    const warm = await daysToNext(house, who);
    await house.box('T2', 'flat-2', { soilMm: 60, shelf: 'Cold shelf' });
    await house.write('moved', who, { homeId: house.boxId('T2'), insist: true });
    const after = await house.forecast(who);
    expect(after.temperatureC).toBe(18);
    expect(after.moults.map(({ temperatureC }) => temperatureC)).toEqual([undefined, 25, 25, 25]);
    expect(after.forecast.grounds.paceTimes).toBeCloseTo(before.forecast.grounds.paceTimes, 2);
    expect(await daysToNext(house, who)).toBeGreaterThan(1.6 * warm);
  });

  it('of a box whose logger tells of a cold autumn that nobody knew of', async () => {
    const house = await emptyHouse('2025-12-15');
    await house.shelf('Warm shelf', 'The room', WARM);
    const who = await raised(house, 'T1');
    const before = (await house.forecast(who)).forecast;
    // Ninety days of readings up to today.
    await house.probe('T1', 24 * 100, COLD);
    const { moults, forecast } = await house.forecast(who);
    expect(moults.at(-1)?.temperatureC).toBeCloseTo(18, 0);
    expect(moults.at(-2)?.temperatureC).toBe(25);
    // It took no longer though it was cold: its own pace is quicker than was thought.
    expect(forecast.grounds.paceTimes).toBeLessThan(before.grounds.paceTimes - 0.05);
  });
});

import { emptyHouse, type House } from './house';

/** What somebody ate is told since it is here: a spider of last week has not fasted for half a year. */
describe('what was eaten', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('S', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    for (const code of ['A1', 'A2']) await house.box(code, 'flat-1', { soilMm: 50 });
  });
  const spider = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 45 };
  const weeksOf = async (called: { id: string }) =>
    (await house.get(`/api/residents/${called.id}/feeding`)).body.weeks as { from: string; offered: number }[];

  it('begins with the week in which it came, and grows from there to half a year', async () => {
    const { id } = await house.takeIn('Grammostola pulchra', 'A1', spider);
    expect(await weeksOf({ id })).toHaveLength(1);
    await house.days(7);
    expect(await weeksOf({ id })).toHaveLength(2);
    await house.write('offered', { id }, { preyCount: 1, preyLengthMm: 6 });
    expect((await weeksOf({ id })).map(({ offered }) => offered)).toEqual([0, 1]);
    await house.days(400);
    expect(await weeksOf({ id })).toHaveLength(26);
  });

  it('goes back to the meal that is known from before it came', async () => {
    const { id } = await house.takeIn('Grammostola pulchra', 'A2', { ...spider, lastMealOn: '2027-04-01' });
    const weeks = await weeksOf({ id });
    // It is 25 April 2027: three weeks and some days.
    expect(weeks).toHaveLength(4);
    expect(weeks[0]?.offered).toBe(1);
  });
});

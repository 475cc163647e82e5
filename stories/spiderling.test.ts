import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A spiderling of 12 mm comes home on a March evening, into a small vial filled for it. It is hungry, so small that a prey
 * animal can hurt it, and its next moult is weeks away. The keeper has nothing but fruit flies and pinhead crickets to choose from.
 */
describe('a tarantula spiderling in its first weeks', () => {
  let house: House;
  let one: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('A1', 'vial-small', { soilMm: 40 });
    const facts = { profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 12 };
    one = await house.takeIn('Tliltocatl albopilosus', 'A1', facts);
  });

  it('may settle on its first evening: nobody offers food to one that has just been carried about', async () => {
    expect(await house.kinds(one)).not.toContain('feed');
  });

  it('is fed within the week, and then twice a week', async () => {
    await house.days(7);
    const feed = await house.job(one, 'feed');
    expect(feed?.meal?.eats).toBe('prey');
    const meal = await house.write('offered', one, { preyCount: 1, preyLengthMm: 3 });
    await house.write('eaten', one, { answers: `meal ${meal.id}` });
    await house.days(2);
    expect(await house.kinds(one)).not.toContain('feed');
    await house.days(2);
    expect(await house.kinds(one)).toContain('feed');
  });

  it('gets one to three pieces', async () => {
    const dish = (await house.job(one, 'feed'))?.meal?.dishes[0];
    expect(dish?.count).toBeGreaterThanOrEqual(1);
    expect(dish?.count).toBeLessThanOrEqual(3);
  });

  it('gets nothing longer than its abdomen, and the engine says the same as the round', async () => {
    const dish = (await house.job(one, 'feed'))?.meal?.dishes[0];
    // The abdomen of one with 12 mm from leg to leg is some 4 to 5 mm long.
    expect(dish?.lengthMm).toBeLessThanOrEqual(5);
    const { meal } = await house.compute('meal', {
      ...{ profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 12, on: await house.today() },
      scientificName: 'Tliltocatl albopilosus',
    });
    expect(meal.dishes[0].food).toBe(dish?.food);
  });

  it('is forecast to moult within months, with a window and not a date', async () => {
    const { forecast } = await house.forecast(one);
    expect(forecast.next?.within90DaysPct).toBeGreaterThan(50);
    expect(forecast.next && forecast.next.p10 < forecast.next.p90).toBe(true);
  });

  it('gets one piece after a moult, and one large one where it is fed large and rarely', async () => {
    const dishes = async () => (await house.job(one, 'feed'))?.meal?.dishes.map(({ count }) => count);
    await house.write('moulted', one, { legSpanMm: 15 });
    await house.days(6);
    expect(await dishes()).toEqual([1]);
    const meal = await house.compute('meal', {
      ...{ profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118, on: await house.today() },
      schools: { feeding: 'large-and-rarely' },
    });
    expect(meal.meal.dishes.map(({ count }: { count: number }) => count)).toEqual([1]);
    expect(meal.meal.everyDays).toBe(30);
  });
});

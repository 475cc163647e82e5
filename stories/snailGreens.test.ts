import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Snails get a different vegetable each day, so that none becomes the only one they take; cuttlebone always; never citrus, onion
 * or garlic.
 */
describe('what a garden snail is given', () => {
  let house: House;
  let snails: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-06-01');
    await house.box('H1', 'deep', { soilMm: 100, mixId: 'snail-soil' });
    snails = await house.takeIn('Cornu aspersum', 'H1', {
      profile: 'land-snail',
      stage: 'adult',
      bodyLengthMm: 32,
      headCount: 6,
    });
  });

  it('is another vegetable each time, for two weeks', async () => {
    const given: string[] = [];
    for (let day = 0; day < 14; day += 1) {
      await house.days(1);
      const meal = (await house.job(snails, 'feed'))?.meal;
      if (!meal) continue;
      given.push(meal.dishes[0]?.food ?? '');
      const offer = await house.write('offered', snails, { dishes: meal.dishes });
      await house.write('eaten', snails, { answers: `meal ${offer.id}` });
    }
    expect(given.length).toBeGreaterThan(5);
    given.forEach((food, index) => expect(food).not.toBe(given[index - 1]));
    expect(new Set(given).size).toBeGreaterThan(3);
    for (const food of given) expect(food).not.toMatch(/onion|garlic|orange|lemon/);
  });

  it('has lime looked after', async () => {
    for (let day = 0; day < 20 && !(await house.job(snails, 'calcium')); day += 1) await house.days(1);
    expect(await house.round(snails)).toContain('Look at the lime: replace it when worn or pink');
  });

  it('is refused where it harms, with the reason', async () => {
    const { status, body } = await house.post('/api/entries', {
      kind: 'offered',
      residentId: snails.id,
      dishes: [{ food: 'garlic', massG: 2 }],
    });
    expect(status).toBe(422);
    expect(body.error.fields[0].message).toMatch(/garlic/i);
  });

  it('is one snail where there is one', async () => {
    await house.box('H2', 'deep', { soilMm: 100, mixId: 'snail-soil' });
    const one = await house.takeIn('Cornu aspersum', 'H2', { profile: 'land-snail', stage: 'adult', bodyLengthMm: 32 });
    const { colonies } = house.granted(await house.get('/api/colonies'));
    expect(colonies.map(({ residentId }: { residentId: string }) => residentId)).not.toContain(one.id);
  });
});

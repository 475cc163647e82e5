import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Isopods, a snail and a culture of springtails are fed from a kitchen: by pinches and slices, not by milligrams. What was left says
 * how much is given the next time; the store orders what a house of this size can use, and no cucumber for 3 g a week.
 */
describe('food from a kitchen', () => {
  let house: House;
  let few: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('E1', 'flat-2', { soilMm: 60, litterDepthMm: 20 });
    await house.box('E2', 'flat-2', { soilMm: 60, litterDepthMm: 20 });
    few = await house.takeIn('Porcellio laevis', 'E1', { profile: 'isopod-temperate', stage: 'adult', headCount: 30 });
    await house.takeIn('Folsomia candida', 'E2', { profile: 'springtail', stage: 'adult', headCount: 500 });
    await house.days(8);
  });
  const next = async (who: Resident) => house.granted(await house.get(`/api/residents/${who.id}/feeding`)).next;

  it('is never less than a pinch, and told in words of a kitchen', async () => {
    for (const { jobs } of await house.stops()) {
      for (const dish of jobs.flatMap(({ meal }) => meal?.dishes ?? [])) expect(dish.massG).toBeGreaterThanOrEqual(0.1);
    }
    const lines = (await house.round()).join('\n');
    expect(lines).toMatch(/a pinch of /);
    expect(lines).not.toMatch(/ mg of|0\.\d+ g of/);
  });

  it('is given more after “all gone”, less after “some left”, far less after “mouldy”', async () => {
    const portion = async () => (await next(few)).dishes[0].massG;
    const fed = async (kind: 'eaten' | 'refused', facts: object) => {
      const meal = await house.write('offered', few, { dishes: [{ food: 'cucumber', massG: 4 }] });
      await house.write(kind, few, { answers: `meal ${meal.id}`, ...facts });
      await house.days(9);
      return portion();
    };
    const gone = await fed('eaten', {});
    const some = await fed('refused', { left: 'some' });
    const mouldy = await fed('refused', { left: 'mouldy' });
    expect([gone > some, some > mouldy]).toEqual([true, true]);
    const wrong = await house.post('/api/entries', { kind: 'refused', residentId: few.id, left: 'alive' });
    expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([422, expect.stringContaining('left')]);
  });

  it('is ordered in packs that a house of this size can use, and greens are not ordered at all', async () => {
    await house.box('A1', 'vial-large', { soilMm: 40 });
    await house.takeIn('Grammostola pulchra', 'A1', { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 45 });
    const { lines } = house.granted(await house.get('/api/store/plan'));
    const crickets = lines.filter(({ item }: { item: string }) => /^(field-cricket|dubia)/.test(item));
    expect(crickets.length).toBeGreaterThan(0);
    for (const { orders, demand } of crickets) {
      for (const { amount } of orders) expect(amount).toBeLessThanOrEqual(Math.max(80, 12 * Math.max(...demand)));
    }
    const greens = lines.filter(({ isFromKitchen }: { isFromKitchen?: boolean }) => isFromKitchen);
    expect(greens.length).toBeGreaterThan(0);
    for (const { orders, totalCost } of greens) expect([orders, totalCost]).toEqual([[], 0]);
  });
});

import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Five juveniles eat crickets once a week. The store holds twelve. The house says for how long they last, and what to order
 * before they run out; a meal takes out of the store by itself.
 */
describe('crickets for five juveniles', () => {
  let house: House;
  const spiders: Resident[] = [];
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    for (let index = 1; index <= 5; index += 1) {
      await house.box(`B${index}`, 'flat-1', { soilMm: 45 });
      spiders.push(
        await house.takeIn('Brachypelma hamorii', `B${index}`, {
          profile: 'ground-tarantula',
          stage: 'juvenile',
          legSpanMm: 55,
          on: '2026-01-10',
        }),
      );
    }
    house.granted(
      await house.post('/api/store/entries', { item: 'field-cricket-medium', kind: 'counted', amount: 12 }),
      201,
    );
  });
  const inStore = async () => {
    const { lines } = house.granted(await house.get('/api/store'));
    return lines.find(({ item }: { item: string }) => item === 'field-cricket-medium').onHand;
  };

  it('are taken out of the store by the meal', async () => {
    expect(await inStore()).toBe(12);
    await house.write('offered', spiders[0] as Resident, {
      dishes: [{ food: 'field-cricket-medium', count: 2, lengthMm: 12 }],
    });
    expect(await inStore()).toBe(10);
  });

  it('are needed week by week, about one meal a week each', async () => {
    const { lines, weeks } = house.granted(await house.get('/api/store/plan'));
    const needed = lines
      .filter(({ item }: { item: string }) => /cricket|roach/.test(item))
      .flatMap(({ demand }: { demand: number[] }) => demand)
      .reduce((sum: number, each: number) => sum + each, 0);
    // One to three pieces at each of five boxes, every week.
    expect(needed).toBeGreaterThanOrEqual(5 * weeks * 0.6);
    expect(needed).toBeLessThanOrEqual(15 * weeks);
  });
});

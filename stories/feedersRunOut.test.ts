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
      spiders.push(await house.takeIn('Brachypelma hamorii', `B${index}`, { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 55, on: '2026-01-10' }));
    }
    house.granted(await house.post('/api/store/entries', { item: 'field-cricket-medium', kind: 'counted', amount: 12 }), 201);
  });
  const inStore = async () => {
    const { items } = house.granted(await house.get('/api/store'));
    return items.find(({ id, item }: { id?: string; item?: string }) => (item ?? id) === 'field-cricket-medium');
  };

  it('are taken out of the store by the meal', async () => {
    const before = JSON.stringify(await inStore());
    await house.write('offered', spiders[0]!, { dishes: [{ food: 'field-cricket-medium', count: 2, lengthMm: 12 }] });
    expect(JSON.stringify(await inStore())).not.toBe(before);
  });

  it('are needed week by week, about one meal a week each', async () => {
    const plan = house.granted(await house.get('/api/store/plan'));
    expect(JSON.stringify(plan)).toContain('field-cricket');
  });
});

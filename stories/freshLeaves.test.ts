import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A group of stick insects eats bramble all winter. Branches stand in a stopped bottle and are changed weekly, the old ones
 * searched for young before they go out. Nobody tells a keeper to feed what is not in leaf.
 */
describe('stick insects through a year of leaves', () => {
  let house: House;
  let group: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-01-12');
    const furniture = [
      { kind: 'rough-strip', count: 2 },
      { kind: 'bottle', stopped: true },
    ];
    await house.box('D1', 'net-large', { soilMm: 20, furniture });
    const facts = { profile: 'stick-insect', stage: 'nymph', bodyLengthMm: 40, headCount: 15, instar: 4 };
    group = await house.takeIn('Carausius morosus', 'D1', facts);
  });
  const leaves = async () => (await house.job(group, 'feed'))?.meal;
  const untilFed = async () => {
    for (let day = 0; day < 20 && !(await leaves()); day += 1) await house.days(1);
    return leaves();
  };

  it('are given cuttings, evergreen ones in January', async () => {
    const meal = await untilFed();
    expect(meal?.eats).toBe('leaves');
    expect(meal?.dishes[0]?.count).toBeGreaterThanOrEqual(1);
    expect(['bramble', 'ivy']).toContain(meal?.dishes[0]?.food);
  });

  it('have their old leaves searched when fresh ones go in', async () => {
    const dishes = (await leaves())?.dishes;
    await house.write('offered', group, { dishes });
    expect(await house.kinds(group)).toContain('search');
    expect(await house.round(group)).toContain('Search the old leaves, then throw them away');
  });

  it('are given fresh leaves again within two weeks', async () => {
    const from = await house.today();
    await house.days(1);
    await untilFed();
    const days = (Date.parse(await house.today()) - Date.parse(from)) / 864e5;
    expect(days).toBeGreaterThanOrEqual(5);
    expect(days).toBeLessThanOrEqual(14);
  });

  it('are misted', async () => {
    const seen = new Set<string>();
    for (let day = 0; day < 7; day += 1) {
      for (const kind of await house.kinds(group)) seen.add(kind);
      await house.days(1);
    }
    expect(seen).toContain('mist');
  });
});

import type { Food } from '@/core/feeding/food';
import { emptyHouse, type House } from './house';

/**
 * Leaf-eaters through autumn: what is not in leaf is not asked for, and a keeper is told while there is still time to pot and freeze.
 * Hatchlings are shown soft leaves of several plants; who does not find a plant in the list adds it.
 */
describe('leaves all the year', () => {
  const meal = async (house: House, who: { id: string }) =>
    house.granted(await house.get(`/api/residents/${who.id}/feeding`)).next;
  const names = ({ dishes }: { dishes: { food: string }[] }) => dishes.map(({ food }) => food);
  async function caged(house: House, code: string, name: string, facts: object) {
    await house.box(code, 'net-large', { soilMm: 20, furniture: [{ kind: 'bottle', stopped: true }] });
    return house.takeIn(name, code, {
      profile: 'stick-insect',
      stage: 'nymph',
      bodyLengthMm: 30,
      headCount: 12,
      ...facts,
    });
  }

  it('are known: twenty plants and more, each with its season, its thorns, how tough it is', async () => {
    const house = await emptyHouse('2026-03-14');
    const { foods } = house.granted(await house.get('/api/larder'));
    const leaves = (foods as Food[]).filter(({ kind }) => kind === 'leaf');
    const asked = ['bramble', 'rose', 'oak', 'hazel', 'hawthorn', 'cherry', 'willow', 'birch', 'walnut'];
    expect(leaves.map(({ id }) => id)).toEqual(
      expect.arrayContaining([...asked, 'sweet-gum', 'guava', 'hypericum', 'eucalyptus', 'ivy', 'privet']),
    );
    for (const { evergreen, inLeaf } of leaves) expect(evergreen === true || inLeaf !== undefined).toBe(true);
  });

  it('end for a kind of oak in November: told weeks ahead, with what keeps; the other half of the world has them in May', async () => {
    const house = await emptyHouse('2026-08-15');
    const oak = await caged(house, 'D1', 'Medauroidea extradentata', {});
    house.granted(await house.patch(`/api/residents/${oak.id}`, { plants: ['oak', 'hazel'] }));
    expect(await meal(house, oak)).toMatchObject({ dishes: [{ food: 'oak' }] });
    expect((await meal(house, oak)).bareFrom).toBeUndefined();
    await house.days(50);
    const told = await meal(house, oak);
    expect(told.cautions).toContain('bare-soon');
    expect(told.bareFrom).toBe('2026-11-11');
    expect(told.insteadOf).toEqual(expect.arrayContaining(['bramble', 'ivy']));
    await house.days(45);
    const bare = await meal(house, oak);
    expect([bare.dishes, bare.cautions]).toEqual([[], ['none-in-leaf']]);
    // One that takes bramble, too, goes through the winter with it.
    house.granted(await house.patch(`/api/residents/${oak.id}`, { plants: ['oak', 'bramble'] }));
    expect(names(await meal(house, oak))).toEqual(['bramble']);
    house.granted(await house.put('/api/house', { hemisphere: 'south' }));
    house.granted(await house.patch(`/api/residents/${oak.id}`, { plants: ['oak'] }));
    expect(names(await meal(house, oak))).toEqual(['oak']);
  });

  it('are soft for hatchlings of a group, several at once, and go on as several', async () => {
    const house = await emptyHouse('2026-05-20');
    const young = await caged(house, 'D1', 'Extatosoma tiaratum', { instars: { 1: 12 }, bodyLengthMm: 18 });
    const first = await meal(house, young);
    expect(first.dishes).toHaveLength(2);
    expect(first.cautions).toContain('all-foods-early');
    // What they will live on, and something soft to bite into.
    expect(names(first)).toEqual(['bramble', 'rose']);
    expect(first.cautions).toContain('soft-leaves');
    // In winter there is nothing but tough leaves: the edges are cut.
    house.granted(await house.patch(`/api/residents/${young.id}`, { plants: ['bramble', 'eucalyptus'] }));
    expect((await meal(house, young)).cautions).toEqual(expect.arrayContaining(['soft-leaves', 'thorns']));
    house.granted(await house.patch(`/api/residents/${young.id}`, { plants: null }));
    // Grown, they go on with the two that they were given last.
    await house.write('moulted', young, { count: 12, instar: 2, on: '2026-05-20' });
    await house.write('moulted', young, { count: 12, instar: 3, on: '2026-05-20' });
    await house.write('offered', young, {
      dishes: [
        { food: 'oak', count: 1 },
        { food: 'hazel', count: 1 },
      ],
    });
    await house.days(7);
    expect(names(await meal(house, young)).sort()).toEqual(['hazel', 'oak']);
    // Who opens the net, at home or for an absence, is told of its zip.
    expect((await house.home('D1')).container.opens).toBe('zip');
    expect((await house.job(young, 'feed'))?.meal?.cautions).toContain('zip');
    expect((await meal(house, young)).cautions).toContain('zip');
  });

  it('may be of a plant that was not in the list', async () => {
    const house = await emptyHouse('2026-03-14');
    const eaters = await caged(house, 'D1', 'Peruphasma schultei', {});
    const { plant } = house.granted(
      await house.post('/api/plants', { name: 'Forsythia × intermedia', tough: false }),
      201,
    );
    expect(plant.id).toBe('own-forsythia-intermedia');
    house.granted(await house.patch(`/api/residents/${eaters.id}`, { plants: [plant.id, 'privet'] }));
    await house.days(80);
    expect(names(await meal(house, eaters))).toEqual([plant.id]);
    await house.write('offered', eaters, { dishes: [{ food: plant.id, count: 2 }] });
    const known = await house.post('/api/plants', { name: 'Bramble' });
    expect([known.status, JSON.stringify(known.body)]).toEqual([409, expect.stringContaining('name')]);
    const strange = await house.patch(`/api/residents/${eaters.id}`, { plants: ['privet', 'own-nothing'] });
    expect([strange.status, JSON.stringify(strange.body)]).toEqual([422, expect.stringContaining('plants.1')]);
    house.granted(await house.remove(`/api/plants/${plant.id}`));
    expect(names(await meal(house, eaters))).toEqual(['privet']);
  });

  it('are misted: not a hatchling kept alone, every second day in winter', async () => {
    const house = await emptyHouse('2026-06-10');
    const alone = await caged(house, 'D1', 'Carausius morosus', {
      headCount: undefined,
      form: 'single',
      instar: 1,
      bodyLengthMm: 12,
    });
    const grown = await caged(house, 'D2', 'Carausius morosus', { instars: { 4: 12 } });
    const misted = async (who: { id: string }, days: number) => {
      let times = 0;
      for (let day = 0; day < days; day += 1) {
        await house.days(1);
        if (!(await house.kinds(who)).includes('mist')) continue;
        times += 1;
        await house.write('misted', who);
      }
      return times;
    };
    expect(await misted(alone, 4)).toBe(0);
    expect(await misted(grown, 8)).toBe(8);
    await house.days(180);
    await house.write('misted', grown);
    expect(await misted(grown, 8)).toBe(4);
  });
});

import type { Resident } from '@/contract/records';
import type { Dish } from '@/core/feeding/food';
import { emptyHouse, type House } from './house';

/**
 * Larvae eat insects, workers drink sugar. A colony with no brood needs next to no protein, one full of larvae a lot; harvesters
 * live on seeds; leafcutters are given leaves by the size of their garden, twice a day while a new nest fills.
 */
describe('food for a colony', () => {
  const BOX = { lengthMm: 300, widthMm: 200, heightMm: 60 };
  const nest = {
    chambers: [{ lengthMm: 150, widthMm: 100, heightMm: 20 }],
    tubeBoreMm: 10,
    outworld: { lengthMm: 200, widthMm: 150, heightMm: 120 },
  };
  let house: House;
  beforeEach(async () => {
    house = await emptyHouse('2026-06-01');
    await house.shelf('Ants', 'Room', { temperatureC: 25, relativeHumidityPct: 55 });
    await house.box('F1', BOX, { nest });
  });
  const colonyOf = (name: string, facts: object) =>
    house.takeIn(name, 'F1', { stage: 'adult', form: 'colony', ...facts });
  const meal = async (who: Resident) => {
    for (let day = 0; day < 8; day += 1) {
      const job = await house.job(who, 'feed');
      if (job?.meal) return job.meal;
      await house.days(1);
    }
    throw new Error('Nobody fed them for a week.');
  };
  const prey = (dishes: readonly Dish[]) =>
    dishes.filter(({ lengthMm }) => lengthMm !== undefined).reduce((sum, { massG = 0 }) => sum + massG, 0);

  it('is insects by the larvae, sugar by the workers', async () => {
    const ants = await colonyOf('Lasius niger', { headCount: 800, bodyLengthMm: 4 });
    await house.write('measured', ants, { stages: { worker: 800, egg: 0, larva: 400, pupa: 0 } });
    const full = await meal(ants);
    await house.write('measured', ants, { stages: { worker: 800, egg: 0, larva: 40, pupa: 300 } });
    const few = await meal(ants);
    expect(prey(full.dishes)).toBeGreaterThan(2 * prey(few.dishes));
    const sugar = ({ dishes }: typeof full) => dishes.find(({ volumeMl }) => volumeMl !== undefined)?.volumeMl;
    expect(sugar(few)).toBeCloseTo(sugar(full) ?? 0, 6);
  });

  it('says the same on the page of its food and in the engine', async () => {
    const ants = await colonyOf('Lasius niger', { headCount: 800, bodyLengthMm: 4 });
    await house.write('measured', ants, { stages: { worker: 800, egg: 0, larva: 400, pupa: 0 } });
    const { dishes } = await meal(ants);
    const asked = { profile: 'ant-small-temperate', scientificName: 'Lasius niger', stage: 'adult' };
    const facts = { headCount: 800, bodyLengthMm: 4, brood: { larvae: 400 }, on: await house.today() };
    const engine = await house.compute('meal', { ...asked, ...facts });
    expect(prey(engine.meal.dishes)).toBeCloseTo(prey(dishes), 6);
  });

  it('of harvesters is seeds, that stay in the nest', async () => {
    const ants = await colonyOf('Messor barbarus', { headCount: 500, bodyLengthMm: 8 });
    const { dishes, cautions } = await meal(ants);
    expect(dishes.find(({ food }) => food === 'seeds')?.massG).toBeGreaterThan(0.3);
    expect(dishes.some(({ food }) => food === 'sugar-water')).toBe(false);
    expect(cautions).toContain('seeds-stay');
    await house.write('offered', ants, { dishes: [{ food: 'seeds', massG: 1 }], answers: 'feed' });
    await house.days(1);
    expect(await house.kinds(ants)).not.toContain('leftovers');
  });

  it('of those who cannot share what is liquid is whole, and laid to the larvae', async () => {
    const ants = await colonyOf('Harpegnathos venator', { headCount: 40, bodyLengthMm: 16 });
    const { cautions } = await meal(ants);
    expect(cautions).toContain('whole-to-larvae');
  });

  it('of a small colony is killed before', async () => {
    const ants = await colonyOf('Lasius niger', { headCount: 60, bodyLengthMm: 4 });
    expect((await meal(ants)).prepared).toBe('pre-killed');
  });

  it('asks those who spin for a little sand by their larvae, and nobody else', async () => {
    const spinners = await colonyOf('Lasius niger', { headCount: 200, bodyLengthMm: 4 });
    expect((await meal(spinners)).cautions).toContain('grains-for-cocoons');
    await house.box('F2', BOX, { nest });
    const naked = await house.takeIn('Messor barbarus', 'F2', {
      ...{ stage: 'adult', form: 'colony', headCount: 200, bodyLengthMm: 8 },
    });
    expect((await meal(naked)).cautions).not.toContain('grains-for-cocoons');
    const sheet = async (scientificName: string, profile: string) => {
      const container = { shape: 'box', ...BOX, lid: 'solid', vents: [] };
      const asked = { code: 'F3', profile, scientificName, stage: 'adult', bodyLengthMm: 5, container, nest };
      const recipe = [{ material: 'sand', parts: 1 }];
      const { homes } = await house.compute('build-sheet', {
        homes: [{ ...asked, substrateDepthMm: 10, recipe, wetnessFrom: 0.1 }],
      });
      return homes[0].steps.map(({ code }: { code: string }) => code);
    };
    expect(await sheet('Lasius niger', 'ant-small-temperate')).toContain('grains');
    expect(await sheet('Myrmica rubra', 'ant-small-temperate')).not.toContain('grains');
  });

  it('of leafcutters goes by their garden, and is given twice a day while a new nest fills', async () => {
    const cutters = await colonyOf('Acromyrmex octospinosus', { headCount: 300, bodyLengthMm: 8 });
    const leaves = ({ dishes }: Awaited<ReturnType<typeof meal>>) => dishes[0]?.massG ?? 0;
    const guessed = leaves(await meal(cutters));
    await house.write('measured', cutters, { headCount: 300, fungusMl: 240 });
    expect(leaves(await meal(cutters))).toBeGreaterThan(1.5 * guessed);
    // A third of its one chamber of 300 mL.
    await house.write('measured', cutters, { headCount: 300, fungusSharePct: 33 });
    const third = leaves(await meal(cutters));
    await house.write('measured', cutters, { headCount: 300, fungusMl: 99 });
    expect(leaves(await meal(cutters))).toBeCloseTo(third, 6);
    await house.box('F2', BOX, { nest: { ...nest, chambers: [...nest.chambers, ...nest.chambers] } });
    await house.write('moved', cutters, { homeId: house.boxId('F2') });
    const moved = await meal(cutters);
    expect(moved.cautions).toContain('twice-a-day');
    await house.write('offered', cutters, { dishes: moved.dishes, answers: 'feed' });
    await house.days(1);
    expect(await house.kinds(cutters)).toContain('feed');
    await house.days(40);
    expect((await meal(cutters)).cautions).not.toContain('twice-a-day');
  });

  it('leaves leafcutters the heap that they were to be left', async () => {
    const cutters = await colonyOf('Acromyrmex octospinosus', { headCount: 300, bodyLengthMm: 8 });
    await house.days(6);
    expect(await house.job(cutters, 'rubbish')).toMatchObject({ leavesHeap: true });
    expect((await house.round(cutters)).join()).toMatch(/leave a small heap/);
  });
});

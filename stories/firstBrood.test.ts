import type { ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { daysBetween } from '@/core/measure/day';
import { emptyHouse, type House } from './house';

/**
 * A young queen lays one small batch and raises it on what she carries. Nobody has sixty workers of her in a quarter of a year.
 * How long she takes is a matter of her species, of the warmth of her place and of her winter.
 */
describe('the first brood of a queen', () => {
  const TUBE = { shape: 'cylinder', diameterMm: 16, heightMm: 150, lid: 'solid', vents: [] };
  const nest = { chambers: [{ lengthMm: 60, widthMm: 16, heightMm: 16 }] };
  const queenOf = async (house: House, name: string, code: string, shelf?: string): Promise<Resident> => {
    await house.box(code, TUBE, { nest, ...(shelf && { shelf }) });
    return house.takeIn(name, code, { stage: 'adult', sex: 'female' });
  };
  const facts = async (house: House, who: Resident): Promise<ColonyFacts> =>
    house.granted(await house.get(`/api/residents/${who.id}/colony`));
  const inSpring = async (temperatureC = 25) => {
    const house = await emptyHouse('2026-05-20');
    await house.shelf('Ants', 'Room', { temperatureC, relativeHumidityPct: 50 });
    return house;
  };
  const workersAfter = async (house: House, profile: string, scientificName: string, weeks: number) => {
    const asked = { profile, scientificName, queens: 1, counts: {}, temperatureC: 25, weeks };
    const { series } = await house.compute('colony', asked);
    return series.at(-1).stages.worker;
  };

  it('is a handful, by species, and not sixty workers in thirteen weeks', async () => {
    const house = await inSpring();
    const garden = await workersAfter(house, 'ant-small-temperate', 'Lasius niger', 13);
    expect(garden.median).toBeGreaterThan(3);
    expect(garden.p90).toBeLessThan(30);
    const carpenter = await workersAfter(house, 'ant-large-mediterranean', 'Camponotus ligniperda', 20);
    expect(carpenter.median).toBeGreaterThan(1);
    expect(carpenter.p90).toBeLessThan(25);
  });

  it('takes northern carpenter ants eight to eleven weeks, and harvesters four to six', async () => {
    const house = await inSpring();
    const asked = { beganOn: '2026-05-20', temperatureC: 25, profile: 'ant-large-mediterranean' };
    const days = async (scientificName: string) => {
      const { firstWorkers } = await house.compute('founding', { ...asked, scientificName });
      return daysBetween('2026-05-20', firstWorkers.median);
    };
    expect(await days('Camponotus ligniperda')).toBeGreaterThan(56);
    expect(await days('Camponotus ligniperda')).toBeLessThan(84);
    expect(await days('Messor barbarus')).toBeGreaterThan(28);
    expect(await days('Messor barbarus')).toBeLessThan(49);
  });

  it('has one window, whoever asks', async () => {
    const house = await inSpring();
    const queen = await queenOf(house, 'Lasius niger', 'F1');
    const { founding } = await facts(house, queen);
    const asked = { profile: 'ant-small-temperate', scientificName: 'Lasius niger', temperatureC: 25 };
    const engine = await house.compute('founding', { ...asked, beganOn: '2026-05-20' });
    expect(founding?.firstWorkers).toEqual(engine.firstWorkers);
    const { firstWorkersOn } = await house.compute('colony', { ...asked, queens: 1, counts: {}, weeks: 30 });
    expect(firstWorkersOn).toEqual(engine.firstWorkers);
    const { marks } = house.granted(await house.get('/api/seasons'));
    const { p10, median, p90 } = engine.firstWorkers;
    expect(marks).toContainEqual(
      expect.objectContaining({ residentId: queen.id, kind: 'workers', from: p10, median, until: p90 }),
    );
    const { series } = await house.compute('colony', { ...asked, queens: 1, counts: {}, weeks: 30 });
    const first = series.find(({ stages }: { stages: { worker: { median: number } } }) => stages.worker.median >= 1);
    expect(Math.abs(daysBetween(engine.firstWorkers.median, '2026-05-20') + 7 * first.week)).toBeLessThanOrEqual(14);
  });

  it('comes later in a cooler place', async () => {
    const warm = await inSpring(25);
    const first = (await facts(warm, await queenOf(warm, 'Lasius niger', 'F1'))).founding?.firstWorkers?.median ?? '';
    const cool = await inSpring(20);
    const later = (await facts(cool, await queenOf(cool, 'Lasius niger', 'F1'))).founding?.firstWorkers?.median ?? '';
    expect(daysBetween(first, later)).toBeGreaterThan(14);
  });

  it('is not counted as there before anybody has seen a worker', async () => {
    const house = await inSpring();
    const queen = await queenOf(house, 'Lasius niger', 'F1');
    await house.days(110);
    const { heads, founding } = await facts(house, queen);
    expect(founding).not.toBeNull();
    expect(heads).toBe(0);
    const { colonies } = house.granted(await house.get('/api/colonies'));
    expect(colonies[0]).toMatchObject({ heads: 0, isFounding: true });
  });

  it('is looked at through the glass for its water, and for nothing else', async () => {
    const house = await inSpring();
    const queen = await queenOf(house, 'Lasius niger', 'F1');
    await house.days(16);
    const [look, ...others] = await house.jobs(queen);
    expect(look).toMatchObject({ kind: 'look', reason: { code: 'founding-water' } });
    expect(others).toEqual([]);
    await house.write('looked', queen, { answers: 'look' });
    await house.days(3);
    expect(await house.jobs(queen)).toEqual([]);
  });

  it('of those who go out to feed asks for a little food and a look, and for no counting or cleaning', async () => {
    const house = await inSpring();
    const queen = await queenOf(house, 'Myrmica rubra', 'F1');
    const { founding } = await facts(house, queen);
    expect(founding).toMatchObject({ isSealed: false, food: 'a-little' });
    const seen = new Set<string>();
    for (let day = 0; day < 60; day += 3) {
      for (const kind of await house.kinds(queen)) seen.add(kind);
      await house.days(3);
    }
    for (const kind of ['census', 'barrier', 'rubbish', 'clean', 'rehouse', 'water']) expect(seen).not.toContain(kind);
    expect(seen).toContain('feed');
  });

  it('is told to a calendar with what may be done: who is sealed in is not opened', async () => {
    const house = await inSpring();
    await queenOf(house, 'Lasius niger', 'F1');
    await queenOf(house, 'Myrmica rubra', 'F2');
    const { keeper } = house.granted(await house.post('/api/keepers', { name: 'Odalys Fenn', zone: 'UTC' }), 201);
    const { path } = house.granted(await house.post(`/api/keepers/${keeper.id}/calendar`, {}));
    const events = (await house.text(path)).replace(/\r\n /g, '').split('BEGIN:VEVENT');
    const textOf = (name: string) => events.find((each) => /First workers/.test(each) && each.includes(name)) ?? '';
    expect(textOf('Lasius niger')).toContain('do not open');
    expect(textOf('Myrmica rubra')).toContain('Look through the glass');
    expect(textOf('Myrmica rubra')).not.toContain('do not open');
  });

  it('may have several mothers where the species bears them, and one where it does not', async () => {
    const house = await inSpring();
    const colony = async (name: string, code: string) => {
      await house.box(code, TUBE, { nest });
      return house.takeIn(name, code, { stage: 'adult', form: 'colony', headCount: 40, bodyLengthMm: 5 });
    };
    const many = await colony('Myrmica rubra', 'F1');
    await house.write('measured', many, { queens: 4, stages: { worker: 40 } });
    const one = await colony('Lasius niger', 'F2');
    const { status } = await house.post('/api/entries', {
      ...{ kind: 'measured', residentId: one.id, queens: 4, stages: { worker: 40 } },
    });
    expect(status).toBe(422);
  });
});

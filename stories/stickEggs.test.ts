import { emptyHouse, type House } from './house';

/**
 * Eggs of stick insects lie in a tub. Those of mated mothers hatch after four to six months, those of unmated ones after six to
 * twelve, all daughters. Often nobody knows: then both may be.
 */
describe('eggs whose mother may have been mated or not', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const laid = { profile: 'stick-insect', eggs: 100, laidFrom: '2026-03-14', temperatureC: 21 };
  const hatch = (mating: string, more: object = {}) => house.compute('hatch', { ...laid, mating, ...more });
  const days = (day: string) => (Date.parse(day) - Date.parse('2026-03-14')) / 864e5;

  it('hatch after four to six months where she was', async () => {
    const { from, median, to } = await hatch('mated');
    expect(days(from)).toBeGreaterThan(100);
    expect(days(median)).toBeGreaterThan(115);
    expect(days(median)).toBeLessThan(185);
    expect(days(to)).toBeLessThan(230);
  });

  it('hatch after six to twelve months, and fewer of them, where she was not', async () => {
    const { median, expected } = await hatch('unmated');
    expect(days(median)).toBeGreaterThan(180);
    expect(days(median)).toBeLessThan(365);
    expect(expected.median).toBeLessThan((await hatch('mated')).expected.median);
  });

  it('are told as a span that holds both where nobody knows', async () => {
    const { from, to } = await hatch('unknown');
    expect(from <= (await hatch('mated')).median).toBe(true);
    expect(to >= (await hatch('unmated')).median).toBe(true);
  });

  it('are not given up when the time of the mated has passed', async () => {
    const { expected } = await hatch('unknown', { asOf: '2026-09-30' });
    expect(expected.median).toBeGreaterThan(20);
  });

  it('give hatchlings that can be put into a box of their own', async () => {
    await house.box('E1', 'culture', { soilMm: 10 });
    await house.box('E2', 'net-small');
    const eggs = await house.takeIn('Carausius morosus', 'E1', {
      profile: 'stick-insect',
      stage: 'egg',
      headCount: 60,
    });
    const some = { count: 8, homeId: house.boxId('E2'), stage: 'nymph' };
    const { resident } = house.granted(await house.post(`/api/residents/${eggs.id}/part`, some), 201);
    // Nobody measured them: they are as long as is usual.
    expect(resident).toMatchObject({ stage: 'nymph', headCount: 8 });
    expect(resident.bodyLengthMm).toBeGreaterThan(5);
    expect((await house.resident(eggs)).headCount).toBe(52);
    expect(await house.silent(eggs, resident)).toEqual([]);
  });
});

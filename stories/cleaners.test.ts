import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Springtails are put in with others to eat the mould. They live as the others live: they set no water, no depth, no food and
 * no verdict of their own for a box that is somebody else's.
 */
describe('springtails put in with others', () => {
  let house: House;
  const springtails = (box: string) =>
    house.takeIn('Folsomia candida', box, { profile: 'springtail', stage: 'adult', headCount: 200 });
  let millipede: Resident;
  let cleaners: Resident;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('F', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await house.box('F1', 'deep', {
      soilMm: 150,
      litterDepthMm: 20,
      mixId: 'millipede-soil',
      furniture: [{ kind: 'hide', count: 2 }],
    });
    millipede = await house.takeIn('Orthoporus ornatus', 'F1', {
      profile: 'millipede-arid',
      stage: 'adult',
      bodyLengthMm: 120,
    });
    cleaners = await springtails('F1');
  });

  it('have the round of their host, which asks for the soil that the host wants', async () => {
    expect(await house.job(millipede, 'soil')).toBeUndefined();
  });

  it('ask for nothing in the box of a desert millipede', async () => {
    const seen = new Set<string>();
    for (let day = 0; day < 14; day += 1) {
      for (const kind of await house.kinds(cleaners)) seen.add(kind);
      await house.days(1);
    }
    for (const kind of ['soil', 'damp', 'mend', 'rehouse', 'feed', 'refresh'] as const)
      expect(seen).not.toContain(kind);
  });

  // Part 7: springtails have no moult that anybody could see.
  it('have no dates of moults', async () => {
    expect((await house.forecast(cleaners)).forecast.next).toBeNull();
  });

  it('are dwarf isopods as well, under a tarantula: what is poured and laid is for the spider', async () => {
    await house.box('F2', 'flat-2', { soilMm: 70 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 70 };
    const spider = await house.takeIn('Grammostola pulchra', 'F2', facts);
    const isopods = await house.takeIn('Cubaris murina', 'F2', {
      profile: 'isopod-dwarf-tropical',
      stage: 'adult',
      headCount: 30,
    });
    const home = await house.home('F2');
    const { watering } = house.granted(await house.get(`/api/homes/${home.id}/air`));
    await house.days(6);
    expect((await house.kinds(isopods)).filter((kind) => kind !== 'label')).toEqual([]);
    expect(await house.kinds(spider)).toContain('feed');
    // Alone with them the box would be kept wetter: it is kept for the spider.
    await house.box('F3', 'flat-2', { soilMm: 70 });
    const alone = await house.takeIn('Grammostola pulchra', 'F3', facts);
    const other = house.granted(await house.get(`/api/homes/${house.boxId('F3')}/air`)).watering;
    expect(watering?.dampWetnessMin).toBe(other?.dampWetnessMin);
    expect(alone.id).not.toBe(spider.id);
  });

  it('among themselves keep house as everybody does', async () => {
    await house.box('F4', 'culture', { soilMm: 40 });
    const own = await springtails('F4');
    await house.days(10);
    expect(await house.kinds(own)).toContain('feed');
  });
});

import type { ColonyBoard, ColonyFacts } from '@/contract/colony';
import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Whoever counts a colony has it as it was counted: no brood is lost to a length that was written down besides, none is made up by
 * a picture of the nest or by a larger nest. What was not counted is carried on from the last time.
 */
describe('the counts of a colony', () => {
  const SMALL = { chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 12 }], tubeBoreMm: 10 };
  const outworld = { lengthMm: 200, widthMm: 150, heightMm: 120 };
  const LARGE = { ...SMALL, chambers: [...SMALL.chambers, { lengthMm: 200, widthMm: 150, heightMm: 20 }], outworld };
  const BOX = { lengthMm: 300, widthMm: 200, heightMm: 60 };
  let house: House;
  let colony: Resident;
  beforeEach(async () => {
    house = await emptyHouse('2026-05-20');
    await house.shelf('Ants', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    await house.box('F1', BOX, { nest: { ...SMALL, outworld } });
    const facts = { stage: 'adult', form: 'colony', headCount: 260, bodyLengthMm: 4 };
    colony = await house.takeIn('Lasius niger', 'F1', facts);
  });
  const standing = async (): Promise<ColonyFacts> =>
    house.granted(await house.get(`/api/residents/${colony.id}/colony`));
  const brood = ({ counts }: ColonyFacts) => (counts.egg ?? 0) + (counts.larva ?? 0) + (counts.pupa ?? 0);

  it('are what was counted, with the length of a worker or without', async () => {
    await house.write('measured', colony, {
      ...{ stages: { worker: 260, egg: 40, larva: 70, pupa: 40 }, bodyLengthMm: 4.5 },
    });
    expect((await standing()).counts).toEqual({ worker: 260, egg: 40, larva: 70, pupa: 40 });
    expect((await standing()).estimated).toEqual([]);
  });

  it('of workers in a picture leave the brood that was counted before', async () => {
    await house.write('measured', colony, { stages: { worker: 260, egg: 10, larva: 15, pupa: 5 } });
    const photo = { headCount: 280, headsLow: 250, headsHigh: 320 };
    await house.write('measured', colony, photo);
    const now = await standing();
    expect(now.counts).toEqual({ worker: 280, egg: 10, larva: 15, pupa: 5 });
    expect(now.estimated).toEqual([]);
  });

  it('a fortnight later carry the brood on, as it will have grown', async () => {
    await house.write('measured', colony, { stages: { worker: 260, egg: 0, larva: 0, pupa: 60 } });
    await house.days(14);
    await house.write('measured', colony, { headCount: 300 });
    const { counts } = await standing();
    expect(counts.worker).toBe(300);
    expect(counts.pupa).toBeGreaterThan(5);
    expect(counts.pupa).toBeLessThan(50);
  });

  it('are not changed on the day by a larger nest, nor by another home', async () => {
    await house.days(40);
    const before = await standing();
    house.granted(await house.patch(`/api/homes/${house.boxId('F1')}`, { nest: LARGE }));
    const after = await standing();
    expect(brood(after)).toBeCloseTo(brood(before), 6);
    expect(after.roomForHeads).toBeGreaterThan((before.roomForHeads ?? 0) * 2);
    await house.box('F2', BOX, { nest: { ...LARGE, chambers: [...LARGE.chambers, ...LARGE.chambers] } });
    await house.write('moved', colony, { homeId: house.boxId('F2') });
    expect(brood(await standing())).toBeCloseTo(brood(before), 6);
    // From then on there is room to breed.
    await house.days(28);
    expect(brood(await standing())).toBeGreaterThan(brood(before));
  });

  it('of a culture by its stages stay so, whatever one of them measures', async () => {
    await house.box('K1', 'culture', { soilMm: 60 });
    const facts = { profile: 'isopod-temperate', stage: 'adult', form: 'group', headCount: 100 };
    colony = await house.takeIn('Porcellio scaber', 'K1', facts);
    await house.write('measured', colony, { stages: { adult: 30, juvenile: 90 }, bodyLengthMm: 12 });
    expect((await standing()).counts).toEqual({ adult: 30, juvenile: 90 });
    await house.write('measured', colony, { headCount: 60 });
    expect((await standing()).counts).toEqual({ adult: 15, juvenile: 45 });
  });

  it('that fell far short promise nothing until they are counted again: no split, no harvest', async () => {
    const row = async (of: Resident) => {
      const { colonies }: ColonyBoard = house.granted(await house.get('/api/colonies'));
      return colonies.find(({ residentId }) => residentId === of.id);
    };
    await house.box('K1', 'culture', { soilMm: 60 });
    const facts = { profile: 'isopod-temperate', stage: 'adult', form: 'group', headCount: 200 };
    const culture = await house.takeIn('Porcellio scaber', 'K1', facts);
    expect((await row(culture))?.harvest).not.toBeNull();
    expect((await row(culture))?.splitOn).not.toBeNull();
    await house.days(20);
    await house.write('measured', culture, { headCount: 20 });
    expect(await row(culture)).toMatchObject({ verdict: 'crash', splitOn: null, harvest: null });
    await house.days(60);
    await house.write('measured', culture, { headCount: 120 });
    expect((await row(culture))?.verdict).not.toBe('crash');
    expect((await row(culture))?.harvest).not.toBeNull();
    // Of ants neither is the next module told.
    await house.write('measured', colony, { stages: { worker: 500 } });
    expect((await row(colony))?.splitOn).not.toBeNull();
    await house.days(20);
    await house.write('measured', colony, { stages: { worker: 60 } });
    expect(await row(colony)).toMatchObject({ verdict: 'crash', splitOn: null });
  });

  it('that fell short in a box that is full all the same: half of them need another now', async () => {
    await house.box('K1', { lengthMm: 80, widthMm: 60, heightMm: 60 }, { soilMm: 20 });
    const facts = { profile: 'isopod-temperate', stage: 'adult', form: 'group', headCount: 900 };
    colony = await house.takeIn('Porcellio scaber', 'K1', facts);
    await house.days(15);
    await house.write('measured', colony, { headCount: 300 });
    expect((await standing()).verdict).toBe('crash');
    expect((await standing()).fullPct).toBeGreaterThan(100);
    expect((await standing()).splitOn).toBe('2026-06-04');
  });
});

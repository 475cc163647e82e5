import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * Not everything that is taken in is one animal of today. A colony has workers nobody counted, a box of workers has no queen, a
 * culture is "about two hundred" since last week, a batch of nymphs is in three instars, and eggs have no length.
 */
describe('what comes home', () => {
  let house: House;
  const NEST = {
    nest: {
      chambers: [{ lengthMm: 90, widthMm: 60, heightMm: 10 }],
      outworld: { lengthMm: 120, widthMm: 90, heightMm: 80 },
    },
  };
  const NEST_BOX = { lengthMm: 140, widthMm: 100, heightMm: 60 };
  const ANTS = { stage: 'adult' };
  const colony = async (who: Resident) =>
    house.granted(await house.get(`/api/residents/${who.id}/colony`)) as {
      queens: number;
      heads: number;
      founding: object | null;
      countedOn: string;
      countSpread: number;
    };
  const fields = (body: { error: { fields: { path: string }[] } }) => body.error.fields.map(({ path }) => path);
  beforeAll(async () => {
    house = await emptyHouse('2026-05-20');
    await house.shelf('Ants', 'Room', { temperatureC: 24, relativeHumidityPct: 50 });
    for (const code of ['N1', 'N2', 'N3', 'N4']) await house.box(code, NEST_BOX, NEST);
    for (const code of ['C1', 'C2', 'C3']) await house.box(code, 'culture', { soilMm: 50, litterDepthMm: 10 });
    for (const code of ['S1', 'S2', 'S3']) await house.box(code, 'net-small', { soilMm: 20 });
  });

  it('is a queen alone: sealed in, and left so', async () => {
    const queen = await house.takeIn('Lasius niger', 'N1', { ...ANTS, sex: 'female', queens: 1 });
    expect((await colony(queen)).founding).not.toBeNull();
    expect((await house.leftAlone(queen))?.code).toBe('founding');
  });

  it('is a colony of about two hundred: fed, and known to be a guess', async () => {
    const ants = await house.takeIn('Lasius niger', 'N2', { ...ANTS, queens: 1, headCount: 200, headsAbout: true });
    const facts = await colony(ants);
    expect(facts).toMatchObject({ queens: 1, founding: null });
    expect(facts.countSpread).toBeGreaterThan(0.2);
    expect(await house.leftAlone(ants)).toBeNull();
    expect((await house.resident(ants)).headCount).toBe(200);
  });

  it('is a part without a queen: nobody founds anything there, and it dwindles', async () => {
    const part = await house.takeIn('Lasius niger', 'N3', { ...ANTS, queens: 0, headCount: 60 });
    expect(await colony(part)).toMatchObject({ queens: 0, founding: null });
    const lone = await house.takeIn('Lasius niger', 'N4', { ...ANTS, queens: 0, headCount: 1 });
    expect((await colony(lone)).founding).toBeNull();
    expect(await house.leftAlone(lone)).toBeNull();
  });

  it('is a culture kept for two years and counted last week: no count is asked for today', async () => {
    const known = { stage: 'adult', on: '2024-05-01', headCount: 200, headsAbout: true, countedOn: '2026-05-13' };
    const culture = await house.takeIn('Porcellio laevis', 'C1', { ...known, soilChangedOn: '2026-04-20' });
    expect(await colony(culture)).toMatchObject({ countedOn: '2026-05-13' });
    for (const kind of ['census', 'refresh'] as const) expect(await house.kinds(culture)).not.toContain(kind);
    // Of one whose soil and number nobody knows, both are asked for.
    const unknown = await house.takeIn('Porcellio laevis', 'C2', { stage: 'adult', on: '2024-05-01', headCount: 40 });
    expect(await house.kinds(unknown)).toEqual(expect.arrayContaining(['census', 'refresh']));
  });

  it('is a batch of nymphs in three instars', async () => {
    const nymphs = await house.takeIn('Phyllium philippinicum', 'S1', {
      ...{ stage: 'nymph', bodyLengthMm: 18, instars: { '1': 4, '2': 9, '3': 2 } },
    });
    expect(await house.resident(nymphs)).toMatchObject({ form: 'group', headCount: 15 });
    const batch = house.granted(await house.get(`/api/residents/${nymphs.id}/batch`));
    expect(batch.instars).toEqual({ '1': 4, '2': 9, '3': 2 });
  });

  it('is eggs of a moth, which nobody measures', async () => {
    const eggs = await house.takeIn('Actias luna', 'S2', { stage: 'egg', headCount: 40 });
    expect(await house.resident(eggs)).toMatchObject({ form: 'eggs', headCount: 40 });
    expect(await house.silent(eggs)).toEqual([]);
  });

  it('is a spider that has been dull for a week: it is left alone from the first hour', async () => {
    const facts = { stage: 'juvenile', legSpanMm: 40, sign: 'dull', signSince: '2026-05-12', on: '2026-01-01' };
    const spider = await house.takeIn('Brachypelma hamorii', 'S3', facts);
    expect(await house.leftAlone(spider)).toMatchObject({ code: 'premoult', since: '2026-05-12' });
  });

  it('makes sense, or says at which field it does not, and nothing is kept', async () => {
    const asked = async (name: string, facts: Record<string, unknown>) =>
      fields((await house.askToTakeIn(name, 'C3', facts)).body);
    expect(await asked('Porcellio laevis', { stage: 'adult', headCount: 20, queens: 1 })).toEqual(['queens']);
    expect(await asked('Porcellio laevis', { stage: 'adult', headCount: 20, countedOn: '2026-05-21' })).toEqual([
      'countedOn',
    ]);
    expect(await asked('Porcellio laevis', { stage: 'adult', headCount: 20, soilChangedOn: '2026-05-01' })).toEqual([
      'soilChangedOn',
    ]);
    expect(await asked('Porcellio laevis', { stage: 'adult', countedOn: '2026-05-20' })).toEqual(['headCount']);
    expect(
      await asked('Phyllium philippinicum', { stage: 'nymph', bodyLengthMm: 18, headCount: 9, instars: { '1': 4 } }),
    ).toEqual(['instars']);
    expect((await house.home('C3')).residentIds).toEqual([]);
  });
});

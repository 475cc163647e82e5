import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * The label said one thing, and months later it turns out to be another: another species, another kind, not one but a dozen.
 * Whatever was taken down about it can be changed at any time, and every screen works it out anew.
 */
describe('who somebody is', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    for (const code of ['A1', 'A2', 'A3', 'A4', 'A5', 'A6']) await house.box(code, 'net-small', { soilMm: 30 });
  });
  const change = (who: Resident, body: object) => house.patch(`/api/residents/${who.id}`, body);
  const refused = async (who: Resident, body: object) =>
    (await change(who, body)).body.error.fields.map(({ path }: { path: string }) => path);

  it('a spider that is a mantis is kept as one by its right name alone, with the length that was measured', async () => {
    const facts = { stage: 'juvenile', legSpanMm: 25, commonName: 'Mexican red-kneed tarantula' };
    const one = await house.takeIn('Brachypelma hamorii', 'A1', facts);
    house.granted(await change(one, { scientificName: 'Hierodula membranacea' }));
    expect(await house.resident(one)).toMatchObject({
      ...{ scientificName: 'Hierodula membranacea', profile: 'mantis', bodyLengthMm: 25 },
      commonName: 'Giant Asian mantis',
    });
    expect(await house.silent(one)).toEqual([]);
  });

  it('a slip in the name is mended, and the kind that was chosen by hand stays', async () => {
    const facts = { profile: 'tree-tarantula', stage: 'juvenile', legSpanMm: 40, commonName: 'The fast one' };
    const one = await house.takeIn('Poecilotheria regalsi', 'A2', facts);
    house.granted(await change(one, { scientificName: 'Poecilotheria regalis' }));
    expect((await house.resident(one)).profile).toBe('tree-tarantula');
    house.granted(await change(one, { scientificName: 'Poecilotheria ornata' }));
    expect(await house.resident(one)).toMatchObject({ profile: 'tree-tarantula', commonName: 'The fast one' });
  });

  it('a kind that is told with the name counts, whatever the name is known for', async () => {
    const one = await house.takeIn('Extatosoma tiaratum', 'A3', { stage: 'nymph', bodyLengthMm: 20 });
    house.granted(await change(one, { scientificName: 'Hierodula membranacea', profile: 'stick-insect' }));
    expect((await house.resident(one)).profile).toBe('stick-insect');
  });

  it('one turns out to be a dozen, and is counted from today', async () => {
    const one = await house.takeIn('Phyllium philippinicum', 'A4', { stage: 'nymph', bodyLengthMm: 15 });
    expect((await house.resident(one)).form).toBe('single');
    expect(await refused(one, { form: 'group' })).toEqual(['headCount']);
    house.granted(await change(one, { form: 'group', headCount: 12 }));
    expect(await house.resident(one)).toMatchObject({ form: 'group', headCount: 12 });
    expect(await house.silent(one)).toEqual([]);
    expect(await refused(one, { form: 'single' })).toEqual(['form']);
  });

  it('one that was counted as a group of one is a single animal, with moults of its own', async () => {
    const one = await house.takeIn('Phyllium philippinicum', 'A5', {
      stage: 'nymph',
      bodyLengthMm: 15,
      headCount: 1,
      form: 'group',
    });
    house.granted(await change(one, { form: 'single' }));
    expect((await house.resident(one)).form).toBe('single');
    await house.write('moulted', one);
    expect((await house.forecast(one)).moults).toHaveLength(1);
    expect(await refused(one, { form: 'colony' })).toEqual(['form']);
    expect(await refused(one, { form: 'eggs' })).toEqual(['form']);
  });

  it('is renamed with its young, once that is said: they would have a mother of another species', async () => {
    const mother = await house.takeIn('Peruphasma schultei', 'A6', { stage: 'adult', bodyLengthMm: 80, sex: 'female' });
    await house.box('A7', 'net-small', { soilMm: 30 });
    const young = await house.takeIn('Peruphasma schultei', 'A7', {
      stage: 'nymph',
      bodyLengthMm: 15,
      motherId: mother.id,
    });
    expect(await refused(mother, { scientificName: 'Extatosoma tiaratum' })).toEqual(['withKin']);
    house.granted(await change(mother, { scientificName: 'Extatosoma tiaratum', withKin: true }));
    expect((await house.resident(young)).scientificName).toBe('Extatosoma tiaratum');
  });
});

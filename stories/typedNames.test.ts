import { emptyHouse, type House } from './house';

/**
 * A new keeper types the whole name of an animal instead of choosing it from the list. The program knows the species, and what
 * kind it is: a mantis must not be kept as a tarantula because nobody tapped a suggestion.
 */
describe('a name that is typed in full', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    for (const code of ['A1', 'A3', 'A4', 'A5', 'A6']) await house.box(code, 'net-small');
    for (const code of ['A2', 'A7']) await house.box(code, 'culture', { soilMm: 50 });
  });

  const KNOWN = [
    ['Hierodula membranacea', 'A1', { stage: 'nymph', bodyLengthMm: 20 }, 'mantis'],
    ['Armadillidium maculatum', 'A2', { stage: 'adult', headCount: 12 }, 'isopod-dry-vented'],
    ['Armadillidium nasatum', 'A7', { stage: 'adult', headCount: 12 }, 'isopod-temperate'],
    ['Extatosoma tiaratum', 'A3', { stage: 'nymph', bodyLengthMm: 20, on: '2026-03-14' }, 'stick-insect'],
  ] as const;
  it.each(KNOWN)('%s is of its kind without being told', async (name, box, facts, kind) => {
    const { status, body } = await house.askToTakeIn(name, box, facts);
    expect(status).toBe(201);
    expect(body.resident.profile).toBe(kind);
  });

  it('is of the kind of its genus where nobody listed the species, and has to be told where nobody knows that either', async () => {
    const cousin = await house.askToTakeIn('Hierodula patellifera', 'A4', { stage: 'nymph', bodyLengthMm: 20 });
    expect(cousin.body.resident.profile).toBe('mantis');
    const unknown = await house.askToTakeIn('Ctenophora major', 'A1', { stage: 'nymph', bodyLengthMm: 20 });
    expect(unknown).toMatchObject({ status: 422, body: { error: { fields: [{ path: 'profile' }] } } });
    expect(await house.compute('names', { typed: 'Hierodula patellifera' })).toMatchObject({
      kind: { profile: 'mantis', by: 'genus' },
    });
  });

  it('is found with a slip in it, and by an old name', async () => {
    const slip = await house.compute('names', { typed: 'Hierodula membranacae' });
    expect(slip.found[0]).toMatchObject({ id: 'Hierodula membranacea', distance: 1 });
    const old = await house.compute('names', { typed: 'Haplopelma lividum' });
    expect(old.nowNamed).toBe('Cyriopagopus lividus');
  });

  it('can be given its right kind afterwards, whatever it was given first', async () => {
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 20 };
    const wrong = await house.takeIn('Hierodula membranacea', 'A5', facts);
    const { status } = await house.patch(`/api/residents/${wrong.id}`, { profile: 'mantis' });
    expect(status).toBe(200);
    expect(await house.resident(wrong)).toMatchObject({ profile: 'mantis', stage: 'juvenile', bodyLengthMm: 20 });
  });

  it('can be given every kind after every other: each time all that is asked of it answers', async () => {
    const one = await house.takeIn('Poecilotheria regalis', 'A6', { stage: 'subadult', legSpanMm: 90 });
    const others = [
      'land-snail',
      'ant-leafcutter',
      'mantis',
      'moth-cold-egg',
      'springtail',
      'whip-spider',
      'stick-insect',
    ];
    for (const id of [...others, 'tree-tarantula']) {
      const { status } = await house.patch(`/api/residents/${one.id}`, { profile: id });
      expect([id, status]).toEqual([id, 200]);
      expect([id, await house.silent(one)]).toEqual([id, []]);
    }
  });
});

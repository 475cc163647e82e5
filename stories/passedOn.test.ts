import { emptyHouse, type House } from './house';

/** A house that bred a spider, kept it for a year, and passed it on: its file. */
async function lifeOfOne(house: House) {
  await house.box('A1', 'flat-4', { soilMm: 70 });
  await house.box('A2', 'flat-2', { soilMm: 50 });
  const mother = await house.takeIn('Grammostola pulchra', 'A1', {
    ...{ stage: 'adult', legSpanMm: 150, sex: 'female', called: 'Ink', on: '2024-01-10' },
  });
  const young = await house.takeIn('Grammostola pulchra', 'A2', {
    ...{ stage: 'juvenile', legSpanMm: 30, called: 'Nib', motherId: mother.id, bornOn: '2024-06-01', on: '2024-06-20' },
  });
  await house.write('moulted', young, { on: '2025-03-02', legSpanMm: 38 });
  await house.write('moulted', young, { on: '2025-11-20', legSpanMm: 47 });
  const meal = await house.write('offered', young, { on: '2026-03-01', preyCount: 1 });
  await house.write('eaten', young, { on: '2026-03-01', answers: `meal ${meal.id}` });
  await house.write('cleaned', young, { on: '2026-03-02' });
  await house.write('passed-on', young, { to: 'a keeper in Saltmere' });
  return { young, mother, life: house.granted(await house.get(`/api/residents/${young.id}/life`)) };
}

describe('A life that goes from house to house', () => {
  it('goes on in the next with its growth, its meals and its mother', async () => {
    const { young, mother, life } = await lifeOfOne(await emptyHouse('2026-03-14'));
    const next = await emptyHouse('2026-03-20');
    const box = await next.box('N1', 'flat-2', { soilMm: 50 });
    const asked = { life, homeId: box.id, from: 'the Ropewalk' };
    const { resident, entries } = next.granted(await next.post('/api/lives', asked), 201);
    expect(resident).toMatchObject({
      ...{ id: young.id, called: 'Nib', scientificName: 'Grammostola pulchra', bornOn: '2024-06-01' },
      ...{ legSpanMm: 47, takenInOn: '2026-03-20', source: 'the Ropewalk', motherId: mother.id },
    });
    // The size it came with there, two moults, a meal and what came of it; not that its old box was cleaned.
    expect(entries).toBe(5);
    const history = (await next.get(`/api/residents/${resident.id}/entries`)).body.entries;
    expect(history.map(({ kind, on }: { kind: string; on: string }) => `${on} ${kind}`)).toEqual([
      ...[
        '2026-03-20 taken-in',
        '2026-03-20 soil-set',
        '2026-03-01 eaten',
        '2026-03-01 offered',
        '2025-11-20 moulted',
        '2025-03-02 moulted',
      ],
      '2024-06-20 measured',
    ]);
    const { forebears } = (await next.get(`/api/residents/${resident.id}/lineage`)).body;
    expect(forebears).toMatchObject([
      { id: mother.id, called: 'Ink', sex: 'female', generation: 1, isOfThisHouse: false },
    ]);
    // Its own pace is known here from the first day on: one that came with no past is awaited within wider bounds.
    const spread = ({ p10, p90 }: { p10: string; p90: string }) => Date.parse(p90) - Date.parse(p10);
    await next.box('N2', 'flat-2', { soilMm: 50 });
    const stranger = await next.takeIn('Grammostola pulchra', 'N2', { stage: 'juvenile', legSpanMm: 47 });
    const [known, unknown] = [await next.forecast(resident), await next.forecast(stranger)];
    expect(spread(known.forecast.next as never)).toBeLessThan(spread(unknown.forecast.next as never));
    expect(await next.silent(resident)).toEqual([]);
  });

  it('keeps the kind that it was kept as, also under a name that nobody here knows', async () => {
    const first = await emptyHouse('2026-03-14');
    await first.box('A1', 'flat-2', { soilMm: 50 });
    const facts = { stage: 'juvenile', legSpanMm: 40, profile: 'burrowing-tarantula' };
    const one = await first.takeIn('Nullabora ignota', 'A1', facts);
    const { life } = { life: first.granted(await first.get(`/api/residents/${one.id}/life`)) };
    const next = await emptyHouse('2026-03-20');
    const box = await next.box('N1', 'flat-2', { soilMm: 50 });
    const { resident } = next.granted(await next.post('/api/lives', { life, homeId: box.id }), 201);
    expect(resident.profile).toBe('burrowing-tarantula');
  });

  it('goes on where a forebear was of a kind that its house had made for itself', async () => {
    const { life, mother } = await lifeOfOne(await emptyHouse('2026-03-14'));
    const next = await emptyHouse('2026-03-20');
    const box = await next.box('N1', 'flat-2', { soilMm: 50 });
    const grandmother = {
      ...life.forebears[0],
      id: '11111111-1111-4111-8111-111111111111',
      profile: 'kind-of-their-own',
    };
    const forebears = [{ ...life.forebears[0], motherId: grandmother.id }, grandmother];
    const { resident } = next.granted(
      await next.post('/api/lives', { life: { ...life, forebears }, homeId: box.id }),
      201,
    );
    const line = (await next.get(`/api/residents/${resident.id}/lineage`)).body.forebears;
    expect(line.map(({ id }: { id: string }) => id)).toEqual([mother.id, grandmother.id]);
  });

  it('that is not this file, or makes no sense, is refused whole', async () => {
    const { life } = await lifeOfOne(await emptyHouse('2026-03-14'));
    const next = await emptyHouse('2026-03-20');
    const box = await next.box('N1', 'flat-2', { soilMm: 50 });
    const refused = async (change: object) => {
      const answer = await next.post('/api/lives', { life: { ...life, ...change }, homeId: box.id });
      expect(answer.status).toBe(422);
      expect((await next.get('/api/residents')).body.residents).toEqual([]);
      return answer.body.error.fields[0];
    };
    expect((await refused({ format: 'a photo' })).message).toContain('no file of an animal');
    expect((await refused({ version: 2 })).message).toContain('newer version');
    expect((await refused({ resident: { ...life.resident, legSpanMm: -3 } })).path).toBe('legSpanMm');
    expect((await refused({ resident: { ...life.resident, scientificName: 'nobody' } })).path).toContain(
      'scientificName',
    );
    expect((await refused({ resident: { ...life.resident, kind: 'no-such-kind' } })).path).toBe('profile');
    const born = { ...life.resident, bornOn: '2025-12-01' };
    expect((await refused({ resident: born })).path).toContain('2024');
    const [first, ...rest] = life.entries;
    const twice = [first, { ...rest[0], id: first?.id }];
    expect(await refused({ entries: twice })).toMatchObject({ path: 'life.entries.1.id' });
    const { id, scientificName, sex, form } = life.resident;
    const itself = {
      ...{ id, scientificName, sex, form, profile: life.resident.kind, called: null, commonName: null },
      ...{ bornOn: null, batch: null, motherId: null, fatherId: null, outOfId: null },
    };
    expect(await refused({ forebears: [itself] })).toMatchObject({ path: 'life.forebears.0.id' });
  });

  it('comes home again as another, beside the one that left', async () => {
    const house = await emptyHouse('2026-03-14');
    const { young, life } = await lifeOfOne(house);
    await house.box('A3', 'flat-2', { soilMm: 50 });
    const { resident } = house.granted(await house.post('/api/lives', { life, homeId: house.boxId('A3') }), 201);
    expect(resident.id).not.toBe(young.id);
    const gone = (await house.get('/api/residents/gone')).body.residents;
    expect(gone.map(({ id }: { id: string }) => id)).toContain(young.id);
  });
});

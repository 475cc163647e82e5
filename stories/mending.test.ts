import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A keeper typed something wrong: the day, the number, the animal. It is put right where it stands, the old version can still be
 * read, and whatever rests on an entry does not go with it unasked.
 */
describe('what was written wrongly', () => {
  let house: House;
  let one: Resident;
  let other: Resident;
  const mend = (id: string, change: object) => house.post(`/api/entries/${id}/mend`, change);
  const fields = async (answer: Promise<{ body: { error: { fields: { path: string }[] } } }>) =>
    (await answer).body.error.fields.map(({ path }) => path);
  const takenIn = async (who: Resident): Promise<{ id: string; on: string }> => {
    const { entries } = house.granted(await house.get(`/api/residents/${who.id}/entries?kinds=taken-in`));
    return entries[0];
  };

  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    for (const code of ['B1', 'B2', 'B3']) await house.box(code, 'flat-2', { soilMm: 70 });
    const facts = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 70, on: '2025-03-20' };
    one = await house.takeIn('Brachypelma hamorii', 'B1', { ...facts, called: 'One' });
    other = await house.takeIn('Brachypelma hamorii', 'B2', { ...facts, called: 'Other' });
  });

  it('is a moult a month too late and a size in the wrong box of the form: all that follows from it follows anew', async () => {
    const { id } = await house.write('moulted', one, { on: '2026-02-10', legSpanMm: 92 });
    house.granted(await mend(id, { on: '2026-01-10', set: { legSpanMm: 76 }, note: 'Read off the photo.' }));
    expect((await house.forecast(one)).moults.at(-1)).toMatchObject({ on: '2026-01-10' });
    expect((await house.resident(one)).legSpanMm).toBe(76);
    const { versions } = house.granted(await house.get(`/api/entries/${id}/versions`));
    expect(versions).toMatchObject([{ on: '2026-02-10', note: null, data: { legSpanMm: 92 } }]);
  });

  it('is a meal that the other one had, with what came of it', async () => {
    const meal = await house.write('offered', one, { preyCount: 1, preyLengthMm: 15, on: '2026-03-13' });
    await house.write('eaten', one, { answers: `meal ${meal.id}`, on: '2026-03-13' });
    house.granted(await mend(meal.id, { residentId: other.id }));
    const kinds = async (who: Resident) =>
      house
        .granted(await house.get(`/api/residents/${who.id}/entries?kinds=offered,eaten`))
        .entries.map(({ kind }: { kind: string }) => kind);
    expect(await kinds(one)).toEqual([]);
    expect((await kinds(other)).sort()).toEqual(['eaten', 'offered']);
    expect(await house.kinds(other)).not.toContain('feed');
  });

  it('is the day of its arrival, and its size then', async () => {
    const { id } = await takenIn(one);
    house.granted(await mend(id, { on: '2024-09-01', set: { legSpanMm: 55 } }));
    expect((await house.resident(one)).takenInOn).toBe('2024-09-01');
    expect(await fields(mend(id, { on: '2026-03-15' }))).toEqual(['on']);
  });

  it('stays as it was when the mend makes no sense', async () => {
    const { id } = await house.write('moulted', other, { on: '2025-08-01' });
    await house.write('moulted', other, { on: '2025-12-01' });
    expect(await fields(mend(id, { on: '2025-12-01' }))).toEqual(['on']);
    expect(await fields(mend(id, { on: '2027-01-01' }))).toEqual(['on']);
    expect(await fields(mend(id, { set: { legSpanMm: -4 } }))).toEqual(['legSpanMm']);
    expect(await fields(mend(id, { set: { bodyLenght: 4 } }))).toEqual(['bodyLenght']);
    const { versions } = house.granted(await house.get(`/api/entries/${id}/versions`));
    expect(versions).toEqual([]);
    const { moults } = await house.forecast(other);
    expect(moults.map(({ on }) => on)).toEqual(['2025-08-01', '2025-12-01']);
  });

  it('is not an arrival after the animal was moved: the move would have been before it came', async () => {
    const { id } = await takenIn(other);
    await house.write('moved', other, { homeId: house.boxId('B3'), on: '2025-10-01' });
    const { body } = await mend(id, { on: '2025-11-01' });
    expect(body.error.fields[0]).toMatchObject({ path: 'on', message: expect.stringContaining('2025-10-01') });
  });

  it('is taken back whole only after it was said what goes with it, and can be brought back', async () => {
    const { id } = await takenIn(other);
    const asked = await house.post(`/api/entries/${id}/undo`, undefined);
    expect(asked.status).toBe(409);
    expect(asked.body.error.fields[0].path).toBe('along');
    expect(asked.body.error.message).toContain('2 moults');
    expect(await house.resident(other)).toBeDefined();
    house.granted(await house.post(`/api/entries/${id}/undo?along=yes`, undefined));
    expect(await house.resident(other)).toBeUndefined();
    const { takenBack } = house.granted(await house.get('/api/residents/gone'));
    expect(takenBack).toMatchObject([{ id: other.id, entryId: id, takenInOn: '2025-03-20' }]);
    house.granted(await house.post(`/api/entries/${id}/restore`, undefined));
    expect((await house.resident(other)).homeId).toBe(house.boxId('B3'));
    expect((await house.forecast(other)).moults).toHaveLength(2);
  });

  it('is a death that was none, and none again: what is brought back must still hold', async () => {
    const { id } = await house.write('died', one, { on: '2026-03-12' });
    // It did not come after its death.
    expect(await fields(mend((await takenIn(one)).id, { on: '2026-03-13' }))).toEqual(['on']);
    house.granted(await house.post(`/api/entries/${id}/undo`, undefined));
    const { residents } = house.granted(await house.get('/api/residents/gone'));
    expect(residents).toEqual([]);
    house.granted(await house.post(`/api/entries/${id}/restore`, undefined));
    expect(await house.resident(one)).toBeUndefined();
    // Its moult can still be put right.
    const { entries } = house.granted(await house.get(`/api/residents/${one.id}/entries?kinds=moulted`));
    house.granted(await mend(entries[0].id, { on: '2026-01-12' }));
    expect(await fields(mend(entries[0].id, { on: '2026-03-13', residentId: 'nobody' }))).toEqual(['residentId']);
  });
});

import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A thumb slips: 3000 instead of 3, a leg span for a scorpion. One strange record must not take the whole house away: it is
 * refused at its field, or stands there with its undo, and everything else goes on.
 */
describe('one strange record', () => {
  let house: House;
  let group: Resident;
  let scorpion: Resident;
  let spider: Resident;
  const LISTS = [
    '/api/round',
    '/api/residents',
    '/api/homes',
    '/api/seasons',
    '/api/colonies',
    '/api/broods',
    '/api/store/plan',
    '/api/residents/moults',
  ];
  beforeEach(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('A1', 'net-small');
    await house.box('A2', 'deep', { soilMm: 120 });
    group = await house.takeIn('Carausius morosus', 'A1', {
      profile: 'stick-insect',
      stage: 'nymph',
      bodyLengthMm: 20,
      headCount: 5,
    });
    for (const code of ['A3', 'A4']) await house.box(code, 'flat-2', { soilMm: 70 });
    spider = await house.takeIn('Grammostola pulchra', 'A3', {
      profile: 'ground-tarantula',
      stage: 'juvenile',
      legSpanMm: 60,
    });
    scorpion = await house.takeIn('Heterometrus silenus', 'A2', {
      profile: 'forest-scorpion',
      stage: 'juvenile',
      bodyLengthMm: 60,
    });
  });
  const answers = async () => {
    const broken: string[] = [];
    for (const list of LISTS) if ((await house.get(list)).status !== 200) broken.push(list);
    return broken;
  };

  it('is undone, and everything is as before', async () => {
    const before = await house.round();
    const { status, body } = await house.post('/api/entries', {
      kind: 'measured',
      residentId: group.id,
      headCount: 3000,
    });
    if (status === 201) house.granted(await house.post(`/api/entries/${body.entry.id}/undo`, {}));
    expect(await house.round()).toEqual(before);
  });

  it('of 3000 heads where five were leaves every list answering', async () => {
    await house.post('/api/entries', {
      kind: 'moulted',
      residentId: group.id,
      headCount: 3000,
      count: 3000,
      instar: 4,
    });
    await house.post('/api/entries', { kind: 'measured', residentId: group.id, headCount: 3000 });
    expect(await answers()).toEqual([]);
    expect((await house.resident(group)).headCount).toBeLessThan(3000);
  });

  it('of a leg span on a scorpion is refused at its field', async () => {
    const { status, body } = await house.post('/api/entries', {
      kind: 'moulted',
      residentId: scorpion.id,
      legSpanMm: 60,
    });
    expect(status).toBe(422);
    expect(body.error.fields[0].path).toBe('legSpanMm');
    expect(await answers()).toEqual([]);
  });

  it('that takes away what a kind is measured by is a row of its own, with its way back; all else goes on', async () => {
    // Taken for a mantis, and what was carried over to that is undone: a mantis with a leg span.
    const { entry } = await carriedOverTo('mantis');
    const before = await house.round(group);
    await house.post(`/api/entries/${entry.id}/undo`, {});
    const { unworkable } = house.granted(await house.get('/api/round'));
    expect(unworkable).toMatchObject([{ residentId: spider.id, why: expect.stringContaining('measure it') }]);
    expect(await house.round(group)).toEqual(before);
    expect(await house.silent(group)).toEqual([]);
    // Measured, it is there again.
    await house.write('measured', spider, { bodyLengthMm: 30 });
    expect(house.granted(await house.get('/api/round')).unworkable).toEqual([]);
  });

  it('of six hundred times as many heads is asked back, and written when it is meant', async () => {
    const count = { kind: 'measured', residentId: group.id, headCount: 3000 };
    const { status, body } = await house.post('/api/entries', count);
    expect([status, body.error.fields[0].path]).toEqual([409, 'insist']);
    expect(body.error.message).toContain('There were 5, and 3000 now?');
    house.granted(await house.post('/api/entries', { ...count, insist: true }), 201);
    expect(await house.silent(group)).toEqual([]);
    // Three times as many are no slip.
    house.granted(await house.post('/api/entries', { ...count, headCount: 9000 }), 201);
  });

  it('of a measure that its kind has not is refused when it is taken in, too', async () => {
    const { status, body } = await house.askToTakeIn('Pandinus imperator', 'A4', { stage: 'adult', legSpanMm: 90 });
    expect([status, body.error.fields[0].path]).toEqual([422, 'legSpanMm']);
    expect(body.error.fields[0].message).toContain('body length as bodyLengthMm');
  });

  const carriedOverTo = async (profile: string) => {
    await house.patch(`/api/residents/${spider.id}`, { profile });
    const { entries } = house.granted(await house.get(`/api/residents/${spider.id}/entries`));
    return { entry: entries.find(({ kind }: { kind: string }) => kind === 'measured') };
  };
});

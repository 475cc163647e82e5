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
});

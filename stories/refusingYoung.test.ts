import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * They moulted twice before their keeper's eyes, ate until 28 October and refused on 1 November: most likely a moult is near. Nobody
 * sees one; perhaps it happened in a corner. Four weeks and more later each of them has had no food for a month. A nymph can
 * starve in that time: one small offer is due.
 */
const YOUNG = [
  {
    ...{ who: 'a mantis nymph', name: 'Hierodula membranacea', box: 'net-small', later: '2026-11-28' },
    ...{ facts: { profile: 'mantis', stage: 'nymph', bodyLengthMm: 20 }, came: '2026-08-20' },
    moults: [
      { on: '2026-09-02', bodyLengthMm: 24 },
      { on: '2026-09-24', bodyLengthMm: 29 },
    ],
  },
  {
    ...{ who: 'a jumping spider', name: 'Hyllus diardi', box: 'tall-1', later: '2026-12-15' },
    ...{ facts: { profile: 'jumping-spider', stage: 'juvenile', bodyLengthMm: 7 }, came: '2026-08-01' },
    moults: [
      { on: '2026-08-20', bodyLengthMm: 8 },
      { on: '2026-09-20', bodyLengthMm: 9 },
    ],
  },
  {
    ...{ who: 'a tarantula of 25 mm', name: 'Grammostola pulchra', box: 'vial-large', later: '2027-01-04' },
    ...{ facts: { profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 18 }, came: '2026-02-20' },
    moults: [
      { on: '2026-05-20', legSpanMm: 21 },
      { on: '2026-08-20', legSpanMm: 25 },
    ],
  },
];

describe.each(YOUNG)(
  '$who that refused once and was not seen to moult',
  ({ name, box, facts, came, moults, later }) => {
    let house: House;
    let one: Resident;
    const offered = async (outcome: 'eaten' | 'refused', on: string) => {
      const meal = await house.write('offered', one, { preyCount: 1, preyLengthMm: 5, on });
      await house.write(outcome, one, { answers: `meal ${meal.id}`, on });
    };
    beforeAll(async () => {
      house = await emptyHouse('2026-11-01');
      await house.box('A1', box, { soilMm: 20 });
      one = await house.takeIn(name, 'A1', { ...facts, on: came });
      for (const moult of moults) await house.write('moulted', one, moult);
      for (const on of ['2026-10-06', '2026-10-12', '2026-10-20', '2026-10-28']) await offered('eaten', on);
      await offered('refused', '2026-11-01');
      await house.days(1);
    });

    it('is left alone at first, and the round says until when', async () => {
      const alone = await house.leftAlone(one);
      expect(alone).toMatchObject({ code: 'premoult', signs: ['refused-food'], since: '2026-11-01' });
      expect(await house.kinds(one)).not.toContain('feed');
    });

    it('is left alone until a day that stays where it is', async () => {
      const before = await house.leftAlone(one);
      await house.days(2);
      const after = await house.leftAlone(one);
      expect(after && 'endsOn' in after && after.endsOn).toBe(before && 'endsOn' in before && before.endsOn);
    });

    it('is offered one small piece before it starves, and a skin is looked for', async () => {
      while ((await house.today()) < later) await house.days(1);
      expect(await house.kinds(one)).toEqual(expect.arrayContaining(['feed', 'look']));
      const dishes = (await house.job(one, 'feed'))?.meal?.dishes ?? [];
      expect(dishes.map(({ count }) => count)).toEqual([1]);
      expect(await house.leftAlone(one)).toBeNull();
    });
  },
);

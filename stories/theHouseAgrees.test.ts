import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * One spider, ready to move: its box is too small after the next moult. The round, the seasons, the ranking of boxes and the plan of
 * moves are asked the same question, and say the same.
 */
describe('one question asked in four places', () => {
  let house: House;
  let one: Resident;
  const ANIMAL = { profile: 'ground-tarantula', stage: 'juvenile', legSpanMm: 105 };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    await house.box('B1', 'flat-1', { soilMm: 45 });
    await house.box('B2', 'flat-2', { soilMm: 65 });
    await house.box('B3', 'flat-3', { soilMm: 80 });
    one = await house.takeIn('Lasiodora parahybana', 'B1', { ...ANIMAL, on: '2025-09-01' });
    await house.write('moulted', one, { on: '2025-12-20', legSpanMm: 105 });
  });

  it('whether its box serves: ranking, fit and round', async () => {
    const ranking = await house.ranking(ANIMAL);
    const here = ranking.find(({ code }) => code === 'B1')?.verdict;
    const kinds = await house.kinds(one);
    expect(here).toBe('fail');
    expect(kinds.some((kind) => kind === 'rehouse' || kind === 'mend')).toBe(true);
  });

  it('where to: the plan sends it into a box that the ranking passes', async () => {
    const { moves } = house.granted(await house.post('/api/moves/plan', { days: 60 }));
    const move = moves.find(({ resident }: { resident: string }) => resident === one.id);
    const good = (await house.ranking(ANIMAL))
      .filter(({ verdict }) => verdict !== 'fail')
      .map(({ code }) => house.boxId(code));
    expect(good).toContain(move.to);
  });

  it('when it moults: its own page and the seasons', async () => {
    const { forecast } = await house.forecast(one);
    const { marks } = house.granted(await house.get('/api/seasons'));
    const mark = marks.find(
      ({ kind, residentId }: { kind: string; residentId: string }) => kind === 'moult' && residentId === one.id,
    );
    expect(mark.median).toBe(forecast.next?.median);
  });

  it('when it was moved, everybody knows', async () => {
    await house.write('moved', one, { homeId: house.boxId('B3') });
    const homes = await house.homes();
    expect(homes.find(({ code }) => code === 'B3')?.residentIds).toEqual([one.id]);
    expect(homes.find(({ code }) => code === 'B1')?.residentIds).toEqual([]);
    const stop = (await house.stops()).find(({ residentId }) => residentId === one.id);
    expect(stop?.homeId ?? house.boxId('B3')).toBe(house.boxId('B3'));
    expect(await house.kinds(one)).not.toContain('rehouse');
  });
});

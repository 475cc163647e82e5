import { emptyHouse, type House } from './house';

/**
 * Cocoons of Actias luna lie in a box; males come out days before females and live a fortnight. Both must fly at once, or the
 * year is lost: one sex is kept cool.
 */
describe('moths that are to meet', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-04-01');
  });

  it('are dated by sex, the males first', async () => {
    const { moths, emergence, ...rest } = await house.compute('meeting', {
      ...{ profile: 'moth-tropical', temperatureC: 25, asOf: '2026-04-01' },
      cocoons: [
        { id: 'he', sex: 'male', on: '2026-03-20', count: 4 },
        { id: 'she', sex: 'female', on: '2026-03-20', count: 4 },
      ],
    });
    expect(JSON.stringify({ moths, emergence, ...rest })).toMatch(/2026-0[456]/);
  });

  it('are not fed when they fly: they have no mouths', async () => {
    const { meal } = await house.compute('meal', { profile: 'moth-tropical', stage: 'adult', bodyLengthMm: 40, on: '2026-05-01' });
    expect(meal).toBeNull();
  });

  // Part 6: what hatches in the tropics is offered the refrigerator.
  it.failing('lay eggs that are not put into the refrigerator', async () => {
    await house.shelf('Warm', 'Room', { temperatureC: 25, relativeHumidityPct: 60 });
    await house.shelf('Cold', 'Refrigerator', { temperatureC: 5, relativeHumidityPct: 60 });
    await house.box('Y1', 'culture-closed', { shelf: 'Cold' });
    await house.box('Y2', 'culture-closed', { shelf: 'Warm' });
    const ranking = await house.ranking({ profile: 'moth-tropical', stage: 'egg', headCount: 80 });
    expect(ranking[0]?.code).toBe('Y2');
  });
});

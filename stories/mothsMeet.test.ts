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

  const meeting = (hisDay: string, herDay: string) =>
    house.compute('meeting', {
      ...{ profile: 'moth-tropical', temperatureC: 25, asOf: '2026-04-01' },
      cocoons: [
        { id: 'he', sex: 'male', on: hisDay, count: 1 },
        { id: 'she', sex: 'female', on: herDay, count: 1 },
      ],
    });

  it('are dated by sex, the males first, and fly together where they spun together', async () => {
    const { male, female, meetPct, pairOn } = await meeting('2026-03-20', '2026-03-20');
    expect(male.median < female.median).toBe(true);
    expect(meetPct).toBeGreaterThan(70);
    expect(pairOn >= female.median).toBe(true);
  });

  it('are held back in the cool where one would be dead before the other flies', async () => {
    const { meetPct, hold } = await meeting('2026-03-01', '2026-03-30');
    expect(meetPct).toBeLessThan(60);
    expect(hold.sex).toBe('male');
    expect(hold.meetPct).toBeGreaterThan(meetPct);
  });

  it('are not fed when they fly: they have no mouths', async () => {
    const { meal } = await house.compute('meal', {
      profile: 'moth-tropical',
      stage: 'adult',
      bodyLengthMm: 40,
      on: '2026-05-01',
    });
    expect(meal).toBeNull();
  });

  it('lay eggs that are not put into the refrigerator', async () => {
    await house.shelf('Warm', 'Room', { temperatureC: 25, relativeHumidityPct: 60 });
    await house.shelf('Cold', 'Refrigerator', { temperatureC: 5, relativeHumidityPct: 60 });
    await house.box('Y1', 'culture-closed', { shelf: 'Cold' });
    await house.box('Y2', 'culture-closed', { shelf: 'Warm' });
    const ranking = await house.ranking({ profile: 'moth-tropical', stage: 'egg', headCount: 80, bodyLengthMm: 2 });
    expect(ranking[0]?.code).toBe('Y2');
  });
});

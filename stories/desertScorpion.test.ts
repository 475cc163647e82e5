import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A desert scorpion of 110 mm digs and wants one damp corner in a dry box. In a tall glass with silicone corners it climbs
 * out. It stings: who opens its box is warned there and then, and a sitter never opens it.
 */
describe('a desert scorpion', () => {
  let house: House;
  let one: Resident;
  const ANIMAL = { profile: 'desert-scorpion', stage: 'adult', bodyLengthMm: 110 };
  beforeAll(async () => {
    house = await emptyHouse('2026-06-10');
    await house.shelf('Warm', 'Boiler Room', { temperatureC: 27, relativeHumidityPct: 40 });
    const size = { lengthMm: 450, widthMm: 350, heightMm: 300, walls: 'acrylic', opens: 'top' };
    const holes = ['left', 'right'].map((side) => ({
      side,
      shape: 'hole',
      count: 20,
      diameterMm: 3,
      centreHeightMm: 250,
    }));
    await house.box(
      'C1',
      { ...size, vents: holes },
      { soilMm: 150, mixId: 'sand-clay', furniture: [{ kind: 'hide' }] },
    );
    one = await house.takeIn('Hadrurus arizonensis', 'C1', ANIMAL);
  });

  it('has soil to dig in as deep as it is long', async () => {
    const { container } = await house.home();
    const { substrateDepthMm } = await house.compute('fit', { ...ANIMAL, container, substrateDepthMm: 30 });
    expect(substrateDepthMm.min).toBeGreaterThanOrEqual(110);
  });

  it('is never asked to be damped all over', async () => {
    for (let day = 0; day < 30; day += 1) {
      const damp = await house.job(one, 'damp');
      expect(damp?.water?.way ?? 'down-side').toBe('down-side');
      expect(await house.kinds(one)).not.toContain('mist');
      await house.days(1);
    }
  });

  it('is opened by its keepers only', async () => {
    const today = await house.today();
    const { absence } = house.granted(await house.post('/api/absences', { from: today, until: today }), 201);
    const sheet = house.granted(await house.get(`/api/absences/${absence.id}/sheet`));
    expect(sheet.neverOpen).toMatchObject([{ code: 'C1', why: 'dangerous' }]);
    expect(sheet.visits.flatMap(({ stops }: { stops: object[] }) => stops)).toEqual([]);
  });
});

import { emptyHouse, type House } from './house';

/**
 * A keeper wants to know one tub: she damps it, weighs it six times in ten days, and lets the program learn. It dries faster than
 * others of its kind; the program says how wrong it was, and names the next damping more closely.
 */
describe('a tub that is weighed for ten days', () => {
  let house: House;
  const WEIGHINGS = 6;
  const tub = {
    ...{ shape: 'box', lengthMm: 280, widthMm: 180, heightMm: 120, lid: 'solid', walls: 'plastic', opens: 'top' },
    vents: ['front', 'back', 'left', 'right'].map((side) => ({
      ...{ side, shape: 'hole', count: 4, diameterMm: 3, centreHeightMm: 90 },
    })),
  };
  const air = async () => house.granted(await house.get(`/api/homes/${house.boxId('T1')}/air`)).watering;
  const DAY_MS = 86_400_000;
  const daysBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / DAY_MS;

  it('is known better afterwards, with what the forecast was off by', async () => {
    house = await emptyHouse('2026-03-14');
    await house.shelf('Shelf', 'Room', { temperatureC: 21, relativeHumidityPct: 45 });
    await house.box('T1', tub, { soilMm: 50, litterDepthMm: 15, shelf: 'Shelf' });
    const isopods = await house.takeIn('Porcellio laevis', 'T1', {
      ...{ profile: 'isopod-temperate', stage: 'adult', headCount: 20 },
    });
    await house.write('damped', isopods, {});
    const before = await air();
    const likely = daysBetween('2026-03-14', before.likelyOn);
    // It loses 3.2 g a day: about twice what the openings of its kind let go.
    for (let each = 0; each < WEIGHINGS; each += 1) {
      const massG = 2400 - 3.2 * 2 * each;
      house.granted(await house.post(`/api/homes/${house.boxId('T1')}/readings`, { place: 'scale', massG }), 201);
      await house.days(2);
    }
    const { calibration, weighings } = house.granted(
      await house.post(`/api/homes/${house.boxId('T1')}/calibration`, undefined),
    );
    expect(weighings).toBe(WEIGHINGS);
    expect(calibration.kept).toBeNull();
    expect(calibration.massErrorG.before).toBeGreaterThan(3 * calibration.massErrorG.after);
    expect(calibration.massErrorG.after).toBeLessThan(3);
    expect(calibration.factors.draught).toBeGreaterThan(1);
    const after = await air();
    const damped = '2026-03-14';
    expect(daysBetween(damped, after.likelyOn)).toBeLessThan(likely);
    // Narrower as a share of the whole, too.
    const widthOf = ({ dueOn, likelyOn }: { dueOn: string; likelyOn: string }) =>
      daysBetween(dueOn, likelyOn) / daysBetween(damped, likelyOn);
    expect(widthOf(after)).toBeLessThan(widthOf(before));
  });
});

import { emptyHouse, type House } from './house';

/**
 * A tub of 6 L with four small holes in each side, 5 cm of damp mix and litter, in a room of 21 C and 45 %: its keeper has
 * not misted it for a month, and it is still right. The forecast says so too.
 */
describe('a month without misting', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const tub = {
    ...{ shape: 'box', lengthMm: 280, widthMm: 180, heightMm: 120, lid: 'solid', walls: 'plastic', opens: 'top' },
    vents: ['front', 'back', 'left', 'right'].map((side) => ({
      side,
      shape: 'hole',
      count: 4,
      diameterMm: 3,
      centreHeightMm: 90,
    })),
  };
  const asked = {
    container: tub,
    substrate: {
      depthMm: 50,
      recipe: [
        { material: 'coir', parts: 2 },
        { material: 'leaf-litter', parts: 1 },
      ],
      wetness: { damp: 0.75, dry: 0.5 },
      dampSharePct: 50,
    },
    room: { temperatureC: 21, relativeHumidityPct: 45, draughtMS: 0.1 },
    ...{ profile: 'isopod-temperate', days: 60 },
  };

  it('lies within what is forecast for such a tub', async () => {
    const { daysToRedamp, redampBand, redampMl } = await house.compute('moisture', { ...asked, days: 200 });
    // Its keeper has gone a month, others three weeks to six: the round asks by the early end.
    expect(redampBand.earliest).toBeGreaterThanOrEqual(20);
    expect(redampBand.earliest).toBeLessThanOrEqual(45);
    expect(redampBand.latest).toBeGreaterThan(31);
    expect(redampBand.earliest).toBeLessThan(daysToRedamp);
    expect(redampBand.latest).toBeGreaterThan(daysToRedamp);
    expect(redampMl).toBeGreaterThan(20);
  });

  it('is told more narrowly of a tub that was measured', async () => {
    const factors = { draught: 1, surface: 1, spread: { draught: 0.1, surface: 0.1 } };
    const { redampBand: usual } = await house.compute('moisture', { ...asked, days: 200 });
    const { redampBand: known } = await house.compute('moisture', { ...asked, days: 200, factors });
    expect(known.earliest).toBeGreaterThan(usual.earliest);
    expect(known.latest).toBeLessThan(usual.latest);
  });

  it('begins in its home on the round with the first day on which it may be dry, and is late after the likely one', async () => {
    const { container, substrate } = asked;
    await house.box('T1', container, { soilMm: substrate.depthMm, litterDepthMm: 15 });
    const isopods = await house.takeIn('Porcellio laevis', 'T1', {
      ...{ profile: 'isopod-temperate', stage: 'adult', headCount: 20 },
    });
    await house.write('damped', isopods, {});
    const air = async () => house.granted(await house.get(`/api/homes/${house.boxId('T1')}/air`)).watering;
    const { dueOn, likelyOn, lateOn } = await air();
    expect(dueOn < likelyOn).toBe(true);
    expect(lateOn === null || likelyOn < lateOn).toBe(true);
    const daysTo = (day: string) => (Date.parse(day) - Date.parse('2026-03-14')) / 86_400_000;
    await house.days(daysTo(dueOn));
    const job = await house.job(isopods, 'damp');
    expect(job).toMatchObject({ dueOn, cannotWait: false });
    // A handful that still gives a drop puts it off.
    await house.write('felt', isopods, { wetness: 'a-drop' });
    const after = await air();
    expect(after.dueOn > dueOn).toBe(true);
  });

  it('is longer without the holes, and shorter without the lid', async () => {
    const closed = await house.compute('moisture', { ...asked, container: { ...tub, vents: [] } });
    const open = await house.compute('moisture', { ...asked, container: { ...tub, lid: 'mesh' } });
    const given = await house.compute('moisture', asked);
    expect(open.daysToRedamp).toBeLessThan(given.daysToRedamp);
    expect(closed.daysToRedamp ?? 999).toBeGreaterThan(given.daysToRedamp);
  });

  it('is what the vent engine says too: the air is changed, and it is not stale', async () => {
    const { staleAir, airChangesPerHour } = await house.compute('moisture', asked);
    const vents = await house.compute('vents', {
      container: tub,
      substrateDepthMm: 50,
      temperatureC: 21,
      draughtMS: 0.1,
    });
    expect(staleAir).not.toBe('stale');
    expect(vents.airChangesPerHour).toBeCloseTo(airChangesPerHour, 1);
  });
});

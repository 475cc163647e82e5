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
    const { daysToRedamp, redampMl } = await house.compute('moisture', asked);
    expect(daysToRedamp).toBeGreaterThanOrEqual(20);
    expect(daysToRedamp).toBeLessThanOrEqual(45);
    expect(redampMl).toBeGreaterThan(20);
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

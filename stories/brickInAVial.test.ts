import { emptyHouse, type House } from './house';

/**
 * A vial of 44 mL is filled with coir, which comes in bricks of 650 g. Nobody soaks a brick in four litres for it: a piece of it is
 * soaked, and the water it drinks is the water of the vial.
 */
describe('soil from a brick', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const sheet = async (home: object) => {
    const { homes, pooled } = await house.compute('build-sheet', { homes: [{ code: 'V1', ...home }] });
    const step = (code: string) => homes[0].steps.find((each: { code: string }) => each.code === code);
    return { bricks: step('soak-bricks')?.bricks, water: step('water'), pooled };
  };
  const vial = {
    ...{ profile: 'ground-tarantula', stage: 'spiderling', legSpanMm: 12, substrateDepthMm: 46 },
    container: { shape: 'cylinder', diameterMm: 35, heightMm: 60, lid: 'solid', walls: 'plastic', vents: [] },
    recipe: [{ material: 'coir', parts: 1 }],
  };

  it('is a piece of it for a vial, in as much water as that piece drinks', async () => {
    const { bricks, water } = await sheet(vial);
    // 44 mL of the 8.5 L that a brick gives: 0.52 % of 650 g and of 4 L.
    expect(bricks.pieceMassG).toBeCloseTo(3.4, 0);
    expect(bricks.pieceWaterMl).toBeCloseTo(21, 0);
    // It is wetter than it should be by what it drank too much, and nothing is added.
    expect(water.waterMl).toBe(0);
    expect(water.excessWaterMl).toBeGreaterThan(3);
    expect(water.excessWaterMl).toBeLessThan(bricks.pieceWaterMl);
  });

  it('brings its water into a mix of more, and only the rest is worked in', async () => {
    const { bricks, water } = await sheet({
      ...{ profile: 'millipede-tropical', stage: 'adult', bodyLengthMm: 120, substrateDepthMm: 150 },
      container: {
        shape: 'box',
        lengthMm: 450,
        widthMm: 350,
        heightMm: 300,
        lid: 'solid',
        walls: 'plastic',
        vents: [],
      },
      recipe: [
        { material: 'coir', parts: 2 },
        { material: 'leaf-litter', parts: 1 },
        { material: 'rotten-wood', parts: 1 },
      ],
    });
    const { materials } = await house.compute('substrate', {
      container: { shape: 'box', lengthMm: 450, widthMm: 350, heightMm: 300, lid: 'solid', vents: [] },
      ...{ depthMm: 150, wetnessFrom: 0, wetnessTo: 0.75 },
      recipe: [
        { material: 'coir', parts: 2 },
        { material: 'leaf-litter', parts: 1 },
        { material: 'rotten-wood', parts: 1 },
      ],
    });
    const inAll = materials.reduce((sum: number, each: { waterMl: number }) => sum + each.waterMl, 0);
    expect(water.waterMl + water.fromBricksMl).toBeCloseTo(inAll, 0);
    expect(bricks.pieceWaterMl).toBeCloseTo(water.fromBricksMl, 0);
    expect(bricks.count).toBe(2);
  });

  it('is counted in whole bricks where they are bought', async () => {
    const { pooled } = await sheet(vial);
    expect(pooled.bricks[0]).toMatchObject({ count: 1, soakWaterMl: 4000 });
  });
});

import { emptyHouse, type House } from './house';

/**
 * A jar and two glass tanks stand in the cupboard. Glass that is drilled by somebody with a hand drill cracks in the hand; a hot
 * iron on it is worse. Air goes in through a mesh, or the box serves nobody.
 */
describe('a box of glass', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const GLASS = [
    [
      'a jar',
      { shape: 'cylinder', diameterMm: 100, heightMm: 150, lid: 'solid', walls: 'glass', vents: [] },
      { profile: 'mantis', stage: 'nymph', bodyLengthMm: 25 },
    ],
    [
      'a tank',
      {
        shape: 'box',
        lengthMm: 400,
        widthMm: 250,
        heightMm: 250,
        lid: 'solid',
        walls: 'glass',
        opens: 'top',
        vents: [],
      },
      { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 140 },
    ],
    [
      'a tank with silicone corners',
      {
        shape: 'box',
        lengthMm: 400,
        widthMm: 300,
        heightMm: 250,
        lid: 'solid',
        walls: 'glass-silicone',
        opens: 'top',
        vents: [],
      },
      { profile: 'isopod-temperate', stage: 'adult', headCount: 40 },
    ],
  ] as const;

  it.each(GLASS)('%s is never drilled by its build sheet', async (_, container, animal) => {
    const recipe = [{ material: 'coir', parts: 1 }];
    const { homes } = await house.compute('build-sheet', {
      homes: [{ code: 'X', ...animal, container, substrateDepthMm: 60, recipe }],
    });
    const codes = homes[0].steps.map(({ code }: { code: string }) => code);
    expect(codes).not.toContain('drill');
    expect(codes).toContain('glass');
  });

  it.each(GLASS)('%s is planned no holes, whatever air is wished for', async (_, container) => {
    const { best, tradeOff, isGlass } = await house.compute('vent-plan', {
      ...{ container, room: { temperatureC: 22, relativeHumidityPct: 45, draughtMS: 0.1 } },
      substrate: {
        recipe: [{ material: 'coir', parts: 1 }],
        depthMm: 60,
        wetness: { damp: 0.5, dry: 0.3 },
        dampSharePct: 50,
      },
      ...{ wishes: { humidityPct: { min: 50, max: 80 }, redampDays: 7, airChangesPerHour: 4, maxHoleMm: 5 } },
    });
    expect(isGlass).toBe(true);
    for (const option of [best, ...tradeOff]) expect(option?.holesPerSide ?? 0).toBe(0);
  });

  it('of plastic is drilled', async () => {
    const plastic = { ...GLASS[1][1], walls: 'plastic' };
    const { homes } = await house.compute('build-sheet', {
      homes: [
        {
          code: 'X',
          ...GLASS[1][2],
          container: plastic,
          substrateDepthMm: 60,
          recipe: [{ material: 'coir', parts: 1 }],
        },
      ],
    });
    expect(homes[0].steps.map(({ code }: { code: string }) => code)).toContain('drill');
  });
});

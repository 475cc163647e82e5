import { emptyHouse, type House } from './house';

/**
 * Isopods in a smooth tub with rows of 3 mm holes near its rim: their young could walk out through any of them, if they got there. On
 * clean plastic they do not. Their keeper watches the rim, and is not told for ever to put the box right.
 */
describe('holes that the young do not reach', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const tub = (walls: string | undefined, centreHeightMm: number) => ({
    ...{
      shape: 'box',
      lengthMm: 280,
      widthMm: 180,
      heightMm: 120,
      lid: 'solid',
      ...(walls !== undefined && { walls }),
    },
    vents: ['left', 'right'].map((side) => ({ side, shape: 'hole', count: 8, diameterMm: 3, centreHeightMm })),
  });
  const youngHole = async (container: object, substrateDepthMm: number, profile = 'isopod-temperate') => {
    const asked = { profile, stage: 'adult', headCount: 30, container, substrateDepthMm };
    const { checks } = await house.compute('fit', asked);
    return checks.find(({ rule }: { rule: string }) => rule === 'young-hole').status;
  };

  it('are watched in smooth walls well above the soil, and fail near it', async () => {
    expect(await youngHole(tub('plastic', 95), 40)).toBe('watch');
    expect(await youngHole(tub('plastic', 95), 75)).toBe('fail');
    expect(await youngHole(tub('plastic', 50), 40)).toBe('fail');
  });

  it('fail in walls that can be climbed, or of which nobody said what they are', async () => {
    expect(await youngHole(tub('wood', 95), 40)).toBe('fail');
    expect(await youngHole(tub('glass-silicone', 95), 40)).toBe('fail');
    expect(await youngHole(tub(undefined, 95), 40)).toBe('fail');
  });

  it('fail for those who climb', async () => {
    expect(await youngHole(tub('plastic', 95), 40, 'springtail')).toBe('fail');
  });

  it('are nothing to put right on the round', async () => {
    await house.box('E1', tub('plastic', 95), { soilMm: 40, litterDepthMm: 15 });
    const isopods = await house.takeIn('Porcellio laevis', 'E1', {
      ...{ profile: 'isopod-temperate', stage: 'adult', headCount: 30 },
    });
    await house.days(3);
    expect(await house.kinds(isopods)).not.toContain('mend');
    expect((await house.home('E1')).state?.verdict).not.toBe('fail');
  });
});

import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A grown jumping spider of 18 mm sleeps and moults in a hammock under the roof. A box of 15 x 15 x 20 cm that opens at the
 * front serves it for life; the same box with a lid to lift tears the hammock each time.
 */
describe('a jumping spider and its hammock', () => {
  let house: House;
  let one: Resident;
  const ANIMAL = { profile: 'jumping-spider', stage: 'adult', bodyLengthMm: 18 };
  const verdict = (facts: object) =>
    house.compute('fit', { ...ANIMAL, substrateDepthMm: 10, container: { ...SIZE, ...facts } });
  const SIZE = {
    ...{ shape: 'box', lengthMm: 150, widthMm: 150, heightMm: 200, lid: 'solid', walls: 'acrylic' },
    vents: (['left', 'right'] as const).map((side) => ({
      side,
      shape: 'hole',
      count: 12,
      diameterMm: 2,
      centreHeightMm: 120,
    })),
  };
  beforeAll(async () => {
    house = await emptyHouse('2026-05-02');
    await house.box('J1', { ...SIZE, opens: 'front' }, { soilMm: 10 });
    one = await house.takeIn('Hyllus diardi', 'J1', ANIMAL);
  });

  it('opens at the front for life; a lid that lifts is not passed', async () => {
    expect((await verdict({ opens: 'front' })).verdict).not.toBe('fail');
    const fromAbove = await verdict({ opens: 'top' });
    expect(fromAbove.checks.find(({ rule }: { rule: string }) => /open/.test(rule))?.status).not.toBe('pass');
  });

  it('eats about five flies twice a week, and never something larger than itself', async () => {
    await house.days(7);
    const { meal } = await house.compute('meal', { ...ANIMAL, on: await house.today() });
    expect(meal.maxLengthMm).toBeLessThanOrEqual(18);
    expect(await house.kinds(one)).toContain('feed');
  });

  it('is not asked to have its soil taken out altogether', async () => {
    await house.box('J2', { ...SIZE, opens: 'front' }, { soilMm: 60 });
    const facts = { profile: 'jumping-spider', stage: 'juvenile', bodyLengthMm: 7 };
    const other = await house.takeIn('Hyllus diardi', 'J2', facts);
    expect(await house.kinds(other)).not.toContain('soil');
  });

  // Part 6: where nobody has a reason for a depth, none is named: the box is a home without soil.
  it('is told a depth of soil, not 0 mm, for a box to be filled', async () => {
    const { substrateDepthMm } = await house.compute('fit', {
      ...ANIMAL,
      container: { ...SIZE, opens: 'front' },
      substrateDepthMm: 0,
    });
    expect(substrateDepthMm.recommended).toBeGreaterThan(0);
  });
});

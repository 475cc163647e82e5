import { emptyHouse, type House } from './house';

/**
 * Eurycantha calcarata lives on the ground, hides under bark and lays into soil: some 7 cm of it, a box no higher than it needs.
 * A tall net that suits its relatives does not suit it.
 */
describe('stick insects that live on the ground', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const ADULT = {
    profile: 'ground-stick-insect',
    scientificName: 'Eurycantha calcarata',
    stage: 'adult',
    bodyLengthMm: 110,
    headCount: 4,
  };
  const boxOf = (heightMm: number) => ({
    ...{ shape: 'box', lengthMm: 450, widthMm: 350, heightMm, lid: 'mesh', walls: 'plastic', opens: 'top' },
    vents: [
      {
        side: 'left',
        shape: 'panel',
        count: 1,
        widthMm: 200,
        heightMm: 80,
        centreHeightMm: heightMm - 60,
        meshApertureMm: 1,
        meshOpenFraction: 0.4,
      },
    ],
  });
  const statusOf = async (rule: string, facts: { heightMm: number; soilMm: number; hides: number }) => {
    const furniture = facts.hides > 0 ? [{ kind: 'bark', count: facts.hides }] : [];
    const asked = { ...ADULT, container: boxOf(facts.heightMm), substrateDepthMm: facts.soilMm, furniture };
    const { checks } = await house.compute('fit', asked);
    return checks.find((check: { rule: string }) => check.rule === rule)?.status;
  };
  const GOOD = { heightMm: 330, soilMm: 75, hides: 4 };

  it('want soil to lay into', async () => {
    expect(await statusOf('soil-depth', GOOD)).toBe('pass');
    expect(await statusOf('soil-depth', { ...GOOD, soilMm: 10 })).not.toBe('pass');
  });
  it('want bark to hide under', async () => {
    expect(await statusOf('hides', GOOD)).toBe('pass');
    expect(await statusOf('hides', { ...GOOD, hides: 0 })).not.toBe('pass');
  });
  it('want no tower', async () => {
    expect(await statusOf('not-too-high', GOOD)).toBe('pass');
    expect(await statusOf('not-too-high', { ...GOOD, heightMm: 1500 })).not.toBe('pass');
  });
});

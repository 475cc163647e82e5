import { emptyHouse, type House } from './house';

/** Whip spiders eat each other and hang from rough bark; smooth walls do not serve. Two were given to the keeper in one tub. */
describe('two whip spiders', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-05-02');
  });
  const ONE = { label: 'one', scientificName: 'Heterophrynus batesii', profile: 'whip-spider' };

  it('are never put together', async () => {
    const { verdict, checks } = await house.compute('company', { lodgers: [ONE, { ...ONE, label: 'other' }] });
    expect(verdict).toBe('fail');
    expect(
      checks.some(({ status, who }: { status: string; who: string[] }) => status === 'fail' && who.length === 2),
    ).toBe(true);
  });

  it('hang in 30 x 30 x 45 cm with bark to hang from', async () => {
    const container = {
      shape: 'box',
      lengthMm: 300,
      widthMm: 300,
      heightMm: 450,
      lid: 'solid',
      opens: 'front',
      walls: 'glass',
      vents: [],
    };
    const animal = { profile: 'whip-spider', stage: 'adult', bodyLengthMm: 35, container, substrateDepthMm: 40 };
    const bare = await house.compute('fit', { ...animal, furniture: [] });
    const barked = await house.compute('fit', { ...animal, furniture: [{ kind: 'bark-round', count: 2 }] });
    const failing = ({ checks }: { checks: { rule: string; status: string }[] }) =>
      checks.filter(({ status }) => status === 'fail').map(({ rule }) => rule);
    expect(failing(bare).length).toBeGreaterThan(failing(barked).length);
  });
});

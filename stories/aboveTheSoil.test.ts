import { emptyHouse, type House } from './house';

/**
 * A net cage of 60 cm with 50 cm of soil in it is 10 cm high for whoever lives in it. Stick insects of 14 cm hang down three
 * lengths when they moult: there is no such cage.
 */
describe('height is what is free above the soil', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const CAGE = {
    shape: 'box',
    lengthMm: 400,
    widthMm: 400,
    heightMm: 600,
    lid: 'mesh',
    vents: [],
    walls: 'mesh',
    opens: 'zip',
  };
  const heights = async (animal: object, substrateDepthMm: number) => {
    const { checks } = await house.compute('fit', { ...animal, container: CAGE, substrateDepthMm });
    return checks.filter(({ rule }: { rule: string }) => /height|drop|tall/.test(rule)) as { status: string }[];
  };
  const STICK = { profile: 'stick-insect', stage: 'adult', bodyLengthMm: 140 };
  const BUGS = { profile: 'communal-assassin-bug', stage: 'adult', bodyLengthMm: 35, headCount: 8 };
  const MANTIS = { profile: 'mantis', stage: 'adult', bodyLengthMm: 80 };

  it('serves with little soil', async () => {
    for (const { status } of await heights(STICK, 20)) expect(status).toBe('pass');
  });

  it.each([
    ['stick insects of 14 cm', STICK],
    ['assassin bugs', BUGS],
  ])('does not serve %s under a roof 10 cm above the soil', async (_, animal) => {
    expect((await heights(animal, 500)).some(({ status }) => status === 'fail')).toBe(true);
  });

  it('does not serve a mantis of 8 cm there: it has no room to hang and moult', async () => {
    expect((await heights(MANTIS, 500)).some(({ status }) => status === 'fail')).toBe(true);
  });
});

import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A 30 cm cube holds 10 to 15 large assassin bugs. A keeper puts a second group beside the first: each alone would fit, 22
 * heads do not. They share kills; their young are venomous and never fed to anything.
 */
describe('assassin bugs in one cube', () => {
  let house: House;
  let first: Resident;
  let second: Resident;
  const FACTS = { profile: 'communal-assassin-bug', stage: 'adult', bodyLengthMm: 38 };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    const cube = { lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'mesh', opens: 'top' };
    await house.box('D1', cube, { soilMm: 40, furniture: [{ kind: 'perch', heightMm: 220, count: 3 }] });
    first = await house.takeIn('Pristhesancus plagipennis', 'D1', { ...FACTS, headCount: 12 });
    second = await house.takeIn('Pristhesancus plagipennis', 'D1', { ...FACTS, headCount: 10 });
  });

  it('eat each other’s prey, not each other: nobody forbids one kind together', async () => {
    const lodger = {
      label: 'a',
      scientificName: 'Pristhesancus plagipennis',
      profile: 'communal-assassin-bug',
      headCount: 12,
    };
    const { verdict } = await house.compute('company', { lodgers: [lodger, { ...lodger, label: 'b' }] });
    expect(verdict).not.toBe('fail');
  });

  it('are too many together, and their home says so on the round', async () => {
    const kinds = [...(await house.kinds(first)), ...(await house.kinds(second))];
    expect(kinds.some((kind) => kind === 'mend' || kind === 'rehouse')).toBe(true);
  });

  it('are counted after a move, one alone is looked at', async () => {
    await house.box('M1', 'tall-2');
    const alone = await house.takeIn('Hierodula membranacea', 'M1', { stage: 'nymph', bodyLengthMm: 45 });
    const after = async ({ id }: Resident) => {
      const { steps } = house.granted(await house.get(`/api/residents/${id}/handling`));
      return steps.find((step: { id: string }) => step.id === 'count').text;
    };
    expect(await after(first)).toMatch(/^Count heads/);
    expect(await after(alone)).toMatch(/^See it in the new box/);
    await house.write('passed-on', alone);
  });

  it('are told to be too many where they are counted as one group', async () => {
    const { container, substrateDepthMm, furniture } = await house.home();
    const fit = (headCount: number) =>
      house.compute('fit', { ...FACTS, headCount, container, substrateDepthMm, furniture });
    const crowd = ({ checks }: { checks: { quantity: string; status: string }[] }) =>
      checks.find(({ quantity }) => /head|perHead|density|crowd/i.test(quantity))?.status;
    expect(crowd(await fit(12))).not.toBe('fail');
    expect(crowd(await fit(40))).toBe('fail');
  });

  it('are told so wherever their home is looked at, and one group leaves the other room', async () => {
    const full = await house.resident(first);
    expect([full.headCount, full.headsTogether]).toEqual([12, 22]);
    await house.box('D2', { lengthMm: 300, widthMm: 300, heightMm: 300, lid: 'mesh', opens: 'top' }, { soilMm: 40 });
    await house.write('moved', second, { homeId: house.boxId('D2') });
    expect((await house.resident(first)).headsTogether ?? 12).toBe(12);
    const kinds = await house.kinds(first);
    expect(kinds.filter((kind) => kind === 'mend' || kind === 'rehouse')).toEqual([]);
  });
});

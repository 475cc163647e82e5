import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A heavy ground tarantula of 118 mm sits in a deep box with a hand of soil: from the lid it would fall 20 cm, and a fall
 * bursts the abdomen. A box that is too tall is mended with more soil.
 */
describe('a ground tarantula in a box that is too tall', () => {
  let house: House;
  let one: Resident;
  const fit = async () => {
    const { container, substrateDepthMm } = await house.home();
    const animal = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118 };
    return house.compute('fit', { ...animal, container, substrateDepthMm });
  };
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
    const size = { lengthMm: 310, widthMm: 240, heightMm: 296, walls: 'acrylic', opens: 'top' };
    const side = (name: string) => ({ side: name, shape: 'hole', count: 12, diameterMm: 3, centreHeightMm: 250 });
    await house.box('B3', { ...size, vents: [side('left'), side('right')] }, { soilMm: 98 });
    one = await house.takeIn('Grammostola pulchra', 'B3', {
      profile: 'ground-tarantula',
      stage: 'adult',
      legSpanMm: 118,
    });
  });

  it('fails where it stands: 198 mm to fall, at most one and a half times its span', async () => {
    const gap = (await fit()).checks.find(({ rule }: { rule: string }) => rule === 'gap');
    expect(gap).toMatchObject({ status: 'fail', actual: 198, max: 177 });
  });

  it('is asked for on the round in the depth that fit names', async () => {
    const { substrateDepthMm } = await fit();
    const soil = await house.job(one, 'soil');
    expect(soil?.soil?.fromMm).toBe(98);
    expect(soil?.soil?.toMm).toBeGreaterThanOrEqual(substrateDepthMm.min);
    expect(soil?.soil?.toMm).toBeLessThanOrEqual(substrateDepthMm.max);
    expect(await house.round(one)).toContain(`Raise the soil to ${soil?.soil?.toMm} mm`);
    const animal = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 118 };
    expect(await house.ranking(animal)).toEqual([{ code: 'B3', verdict: 'pass' }]);
  });

  it('is right and silent when the soil was raised', async () => {
    const soil = await house.job(one, 'soil');
    const facts = { kind: 'soil-set', homeId: house.boxId('B3'), substrateDepthMm: soil?.soil?.toMm };
    house.granted(await house.post('/api/entries', facts), 201);
    expect((await fit()).verdict).toBe('pass');
    expect(await house.kinds(one)).not.toContain('soil');
    expect(await house.kinds(one)).not.toContain('mend');
  });
});

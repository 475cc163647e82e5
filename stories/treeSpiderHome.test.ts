import type { Resident } from '@/contract/records';
import { emptyHouse, type House } from './house';

/**
 * A tree tarantula of 80 mm needs height, a leaning bark and air from the side. The school that keepers of tree tarantulas
 * follow by default is a large dish and strong side ventilation, and no misting: still, wet air kills.
 */
describe('a tree tarantula finds a home', () => {
  let house: House;
  let one: Resident;
  const ANIMAL = { profile: 'tree-tarantula', stage: 'subadult', legSpanMm: 80 };
  beforeAll(async () => {
    house = await emptyHouse('2026-05-02');
    await house.box('Flat', 'flat-3', { soilMm: 50 });
    await house.box('Mesh', { lengthMm: 200, widthMm: 200, heightMm: 300, lid: 'mesh' }, { soilMm: 40 });
    await house.box('Tall', 'tall-3', { soilMm: 40, furniture: [{ kind: 'bark', count: 1, heightMm: 250 }] });
    one = await house.takeIn('Caribena versicolor', 'Tall', ANIMAL);
  });

  it('is offered the tall box first, and a flat one never before it', async () => {
    const ranking = await house.ranking(ANIMAL);
    expect(ranking[0]?.code).toBe('Tall');
    expect(ranking.find(({ code }) => code === 'Flat')?.verdict).toBe('fail');
  });

  it('is warned of a mesh lid: claws catch in it', async () => {
    const mesh = await house.home('Mesh');
    const { checks } = await house.compute('fit', { ...ANIMAL, container: mesh.container, substrateDepthMm: 40 });
    expect(checks.find(({ rule }: { rule: string }) => /mesh/.test(rule))?.status).toBe('fail');
  });

  it('is given holes that its carapace cannot pass', async () => {
    const tall = await house.home('Tall');
    const fit = await house.compute('fit', { ...ANIMAL, container: tall.container, substrateDepthMm: 40 });
    // A span of 80 mm goes with a carapace of some 12 to 16 mm.
    expect(fit.largestSafeOpeningMm).toBeGreaterThan(5);
    expect(fit.largestSafeOpeningMm).toBeLessThan(16);
  });

  it('is watered by its dish and never misted', async () => {
    const seen = new Set<string>();
    for (let day = 0; day < 15; day += 1) {
      for (const kind of await house.kinds(one)) seen.add(kind);
      await house.days(1);
    }
    expect(seen).toContain('water');
    expect(seen).not.toContain('mist');
  });
});

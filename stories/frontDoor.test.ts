import { fillVolumeL, flat } from '@/core/housing/soil';
import { emptyHouse, type House } from './house';

/** A large spider of 165 mm, and boxes that open in front. What nobody measured is not said; nobody pours soil out through a door. */
describe('a door in front', () => {
  let house: House;
  beforeAll(async () => {
    house = await emptyHouse('2026-03-14');
  });
  const SPIDER = { profile: 'ground-tarantula', stage: 'adult', legSpanMm: 165 };
  const box = {
    ...{ shape: 'box', lengthMm: 600, widthMm: 450, heightMm: 300, lid: 'solid', walls: 'acrylic', opens: 'front' },
    vents: ['left', 'right'].map((side) => ({ side, shape: 'hole', count: 12, diameterMm: 3, centreHeightMm: 240 })),
  };
  const needs = async (container: object) => {
    const { verdict, notChecked } = await house.compute('fit', { ...SPIDER, container, substrateDepthMm: 90 });
    return { verdict, needs: notChecked.map((each: { needs: string }) => each.needs) };
  };

  it('whose sill nobody measured is not said to lack one: it is asked for', async () => {
    const unsaid = await needs(box);
    expect(unsaid.verdict).not.toBe('fail');
    expect(unsaid.needs).toContain('container.sillMm');
    expect((await needs({ ...box, sillMm: 100 })).needs).not.toContain('container.sillMm');
    expect((await needs({ ...box, opens: 'top' })).needs).not.toContain('container.sillMm');
  });

  it('with a low sill takes no more soil than stands behind it', async () => {
    const { substrateDepthMm } = await house.compute('fit', {
      ...{ ...SPIDER, container: { ...box, heightMm: 450, sillMm: 80 }, substrateDepthMm: 60 },
    });
    expect(substrateDepthMm.max).toBeLessThanOrEqual(80);
    expect(substrateDepthMm.recommended).toBeNull();
  });

  it('is not needed for a large spider: its last box takes less soil than a keeper can lift', async () => {
    const { steps } = await house.compute('size-ladder', SPIDER);
    const [last] = steps;
    expect(last.verdict).toBe('pass');
    expect(fillVolumeL(last.size.container, flat(last.depthMm))).toBeLessThan(25);
  });
});

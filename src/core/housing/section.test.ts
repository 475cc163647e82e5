import fc from 'fast-check';
import type { Container } from './container';
import { scaleBarMm, sectionPlan } from './section';

const container: Container = {
  shape: 'box',
  lengthMm: 240,
  widthMm: 310,
  heightMm: 296,
  lid: 'solid',
  vents: [
    { side: 'left', shape: 'hole', count: 3, diameterMm: 4, centreHeightMm: 200 },
    { side: 'front', shape: 'hole', count: 3, diameterMm: 4, centreHeightMm: 200 },
    { side: 'lid', shape: 'panel', count: 1, widthMm: 60, heightMm: 40, meshApertureMm: 1 },
  ],
};

describe('the section', () => {
  it('cuts along the longer side, with depth and gap that add up to the height', () => {
    const plan = sectionPlan(container, 98, { stage: 'adult', legSpanMm: 118, lives: 'ground' });
    expect(plan).toMatchObject({ widthMm: 310, heightMm: 296, depthMm: 98, gapMm: 198, damp: 'gradient' });
    expect(plan.animal).toMatchObject({ spanMm: 118, at: { y: 98 }, angleDeg: 0 });
  });

  it('puts openings where they are', () => {
    const { vents } = sectionPlan(container, 98, null);
    expect(vents.filter((vent) => vent.where === 'left')).toMatchObject([{ x: 0, y: 200, tallMm: 4 }]);
    expect(vents.filter((vent) => vent.where === 'behind').map((vent) => vent.x)).toEqual([
      expect.closeTo(310 / 6),
      155,
      expect.closeTo((310 * 5) / 6),
    ]);
    expect(vents.filter((vent) => vent.where === 'lid')).toMatchObject([{ y: 296, meshed: true, acrossMm: 60 }]);
  });

  it('leans the bark of a tree animal up the box and sets the animal on it', () => {
    const plan = sectionPlan(container, 40, { stage: 'spiderling', legSpanMm: 30, lives: 'tree' });
    const { bark, animal } = plan;
    if (!bark || !animal) throw new Error('expected a bark with an animal on it');
    expect(bark.top.y).toBeGreaterThan(bark.foot.y);
    expect(bark.top.y).toBeLessThan(plan.heightMm);
    const slope = Math.tan((animal.angleDeg * Math.PI) / 180);
    expect(slope).toBeCloseTo((bark.top.y - bark.foot.y) / (bark.top.x - bark.foot.x), 9);
    expect(plan.damp).toBe('even');
  });

  it('keeps a ground animal that has room inside the walls', () => {
    const room = fc.record({
      long: fc.integer({ min: 40, max: 900 }),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(room, ({ long, share }) => {
        const legSpanMm = long * share;
        const wide: Container = { ...container, lengthMm: long, widthMm: long } as Container;
        const { animal } = sectionPlan(wide, 50, { stage: 'adult', legSpanMm, lives: 'ground' });
        const x = animal?.at.x ?? NaN;
        expect(x - legSpanMm / 2).toBeGreaterThanOrEqual(-1e-9);
        expect(x + legSpanMm / 2).toBeLessThanOrEqual(long + 1e-9);
      }),
    );
  });

  it.each([
    [103.3, 100],
    [99, 50],
    [49, 20],
    [1.5, 1],
  ])('draws a scale bar for %d mm of %d mm', (mm, bar) => expect(scaleBarMm(mm)).toBe(bar));
});

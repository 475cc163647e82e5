import fc from 'fast-check';
import type { Container } from './container';
import { planView } from './planView';
import type { HomeState } from './quantities';
import { scaleBarMm, sectionPlan, type SectionSubject } from './section';

const container: Container = {
  shape: 'box',
  lengthMm: 310,
  widthMm: 240,
  heightMm: 296,
  lid: 'solid',
  vents: [
    { side: 'left', shape: 'hole', count: 3, diameterMm: 4, centreHeightMm: 200 },
    { side: 'front', shape: 'hole', count: 3, diameterMm: 4, centreHeightMm: 200 },
    { side: 'lid', shape: 'panel', count: 1, widthMm: 60, heightMm: 40, meshApertureMm: 1 },
  ],
};
const home = (change: Partial<HomeState> = {}): HomeState => ({ container, substrateDepthMm: 98, ...change });
const subject = (change: Partial<SectionSubject> = {}): SectionSubject => ({
  stage: 'adult',
  silhouette: 'tarantula',
  sizeMm: 118,
  lives: 'ground',
  dampSharePct: 40,
  ...change,
});

describe('the section', () => {
  it('cuts along the longer side, with depth and gap that add up to the height', () => {
    const plan = sectionPlan(home(), subject());
    expect(plan).toMatchObject({ widthMm: 310, heightMm: 296, depthMm: 98, gapMm: 198, damp: 'gradient' });
    expect(plan.animals).toMatchObject([{ sizeMm: 118, at: { y: 98 }, angleDeg: 0 }]);
  });

  it('puts openings where they are', () => {
    const { vents } = sectionPlan(home(), null);
    expect(vents.filter((vent) => vent.where === 'left')).toMatchObject([{ x: 0, y: 200, tallMm: 4 }]);
    expect(vents.filter((vent) => vent.where === 'behind').map((vent) => vent.x)).toEqual([
      expect.closeTo(310 / 6),
      155,
      expect.closeTo((310 * 5) / 6),
    ]);
    expect(vents.filter((vent) => vent.where === 'lid')).toMatchObject([{ y: 296, meshed: true, acrossMm: 60 }]);
  });

  it('turns the walls with a box that is wider than long', () => {
    const turned = sectionPlan(home({ container: { ...container, lengthMm: 240, widthMm: 310 } as Container }), null);
    expect(turned.widthMm).toBe(310);
    expect(turned.vents.filter((vent) => vent.where === 'behind')).toHaveLength(3);
    expect(turned.vents.filter((vent) => vent.where === 'left')).toHaveLength(1);
  });

  it('leans the bark of a tree animal up the box and sets the animal on it', () => {
    const plan = sectionPlan(home({ substrateDepthMm: 40 }), subject({ lives: 'bark', sizeMm: 30, dampSharePct: 100 }));
    const [bark] = plan.pieces;
    const [animal] = plan.animals;
    if (!bark || !animal) throw new Error('expected a bark with an animal on it');
    expect(bark.top.y).toBeGreaterThan(bark.foot.y);
    expect(bark.top.y).toBeLessThan(plan.heightMm);
    const slope = Math.tan((animal.angleDeg * Math.PI) / 180);
    expect(slope).toBeCloseTo((bark.top.y - bark.foot.y) / (bark.top.x - bark.foot.x), 9);
    expect(plan.damp).toBe('even');
  });

  it('hangs those that hang, and measures the drop below their perch', () => {
    expect(sectionPlan(home(), subject({ lives: 'roof', silhouette: 'mantis' })).animals[0]).toMatchObject({
      hangs: true,
      at: { y: 296 },
    });
    const perched = sectionPlan(
      home({ furniture: [{ kind: 'perch', heightMm: 240 }] }),
      subject({ lives: 'branch', silhouette: 'assassin-bug', sizeMm: 38, headCount: 4 }),
    );
    expect(perched.drop).toMatchObject({ fromMm: 240, toMm: 98 });
    expect(perched.animals).toHaveLength(4);
    expect(perched.animals.every((each) => each.hangs)).toBe(true);
  });

  it('follows a slope and steps, and the walls of a tub that widens', () => {
    const sloped = sectionPlan(home({ soil: { shape: 'slope', frontMm: 120, backMm: 76 } }), subject());
    expect(sloped.surface).toEqual([
      { x: 0, y: 120 },
      { x: 310, y: 76 },
    ]);
    expect(sloped.gapMm).toBe(220);
    const steps = sectionPlan(home({ soil: { shape: 'terraces', depthsMm: [120, 98, 76] } }), null);
    expect(steps.surface.map((point) => point.y)).toEqual([120, 120, 98, 98, 76, 76]);
    const wide = sectionPlan(
      home({ container: { ...container, topLengthMm: 350, topWidthMm: 280 } as Container }),
      null,
    );
    expect(wide).toMatchObject({ floor: { leftMm: 20, rightMm: 330 }, lid: { leftMm: 0, rightMm: 350 } });
    expect(wide.surface[0]?.x).toBeCloseTo(20 - (20 * 98) / 296, 9);
  });

  it('draws a nest with its chambers inside, its outworld over it, and the tube between', () => {
    const room = { lengthMm: 90, widthMm: 60, heightMm: 15 };
    const plan = sectionPlan(
      home({
        substrateDepthMm: 0,
        nest: {
          chambers: [room, room, room, room],
          tubeBoreMm: 6,
          outworld: { lengthMm: 200, widthMm: 150, heightMm: 100 },
        },
      }),
      subject({ lives: 'nest', silhouette: 'ant', sizeMm: 5, headCount: 200 }),
    );
    const { chambers, outworld, tube } = plan.nest ?? { chambers: [], outworld: null, tube: null };
    expect(chambers).toHaveLength(4);
    expect(chambers.every((each) => each.x + each.widthMm <= 310)).toBe(true);
    expect(outworld?.y).toBeGreaterThan(296);
    expect(tube).toMatchObject({ boreMm: 6, from: { y: 296 }, to: { y: outworld?.y } });
    expect(plan.fullHeightMm).toBe((outworld?.y ?? 0) + 100);
  });

  it('keeps a ground animal that has room inside the walls', () => {
    const room = fc.record({
      long: fc.integer({ min: 40, max: 900 }),
      share: fc.double({ min: 0.05, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(room, ({ long, share }) => {
        const sizeMm = long * share;
        const wide = { ...container, lengthMm: long, widthMm: long } as Container;
        const { animals } = sectionPlan(home({ container: wide, substrateDepthMm: 50 }), subject({ sizeMm }));
        const x = animals[0]?.at.x ?? NaN;
        expect(x - sizeMm / 2).toBeGreaterThanOrEqual(-1e-9);
        expect(x + sizeMm / 2).toBeLessThanOrEqual(long + 1e-9);
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

describe('the plan', () => {
  it('lies along the longer side, openings on their walls, covered ones told apart', () => {
    const covered = { ...container, lengthMm: 240, widthMm: 310, coveredSides: ['front'] } as Container;
    const plan = planView(home({ container: covered, furniture: [{ kind: 'hide' }, { kind: 'dish' }] }), subject());
    expect(plan).toMatchObject({ longMm: 310, shortMm: 240, dampShare: 0.4 });
    expect(plan.pieces.map((piece) => piece.kind)).toEqual(['hide', 'dish']);
    expect(plan.vents.filter((vent) => vent.covered).map((vent) => vent.side)).toEqual(['left', 'left', 'left']);
    expect(plan.vents.filter((vent) => !vent.covered).map((vent) => vent.side)).toEqual(['front', 'front', 'front']);
    expect(plan.animal?.sizeMm).toBe(118);
  });
});

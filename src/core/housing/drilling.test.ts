import fc from 'fast-check';
import { shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { wallWidthMm, type Container } from './container';
import { drillPlan, OPENING_SCHOOLS, ventsOf } from './drilling';
import { fit } from './fit';

const box = (change: Partial<Container> = {}): Container =>
  ({ shape: 'box', lengthMm: 250, widthMm: 160, heightMm: 150, lid: 'solid', vents: [], ...change }) as Container;

describe('what to drill', () => {
  // On record, common practice: a 6 L tub with four small holes (about 3 mm) in each side stays damp for a month.
  it('in a 6 L tub for a ground tarantula comes to about four holes of 3 mm in each side', () => {
    const plan = drillPlan(profileOf('ground-tarantula'), box(), 60, 17.7);
    expect(plan).toMatchObject({ kind: 'holes', diameterMm: 3, sides: ['front', 'back', 'left', 'right'] });
    expect(plan.perSide).toBe(4);
  });

  it('is smaller where the animal is, in the half millimetres that drills come in', () => {
    const drill = (largestSafeMm: number) =>
      drillPlan(profileOf('ground-tarantula'), box(), 60, largestSafeMm).diameterMm;
    expect([drill(3.1), drill(3), drill(2.6), drill(2.5), drill(1.6)]).toEqual([3, 2.5, 2.5, 2, 1.5]);
    // Finer holes nobody drills by the hundred: they are cut out under a mesh.
    expect(drillPlan(profileOf('ground-tarantula'), box(), 60, 0.9)).toMatchObject({
      ...{ kind: 'mesh-holes', meshApertureMm: expect.closeTo(0.72, 9) },
    });
  });

  it('leaves out what stands against something', () => {
    const plan = drillPlan(profileOf('ground-tarantula'), box({ coveredSides: ['back', 'lid'] }), 60, 17);
    expect(plan.sides).toEqual(['front', 'left', 'right']);
    expect(plan.covered).toEqual(['back', 'lid']);
  });

  it('is a cut-out with mesh where young would leave through holes, and nothing for those kept closed', () => {
    expect(drillPlan(profileOf('isopod-temperate'), box(), 50, 0.7)).toMatchObject({
      kind: 'mesh-holes',
      // Finer than the 0.7 mm that would just let the young out.
      meshApertureMm: expect.closeTo(0.56),
    });
    expect(drillPlan(profileOf('isopod-dwarf-tropical'), box(), 50, 0.35).perSide).toBe(0);
  });

  // Common practice: about 3 mm on four sides, or a cut-out of 5 cm with mesh.
  it('is a cut-out of at most 5 cm under mesh in facing sides for those who keep it so, and air still crosses', () => {
    const kind = profileOf('ground-tarantula');
    const plan = drillPlan(kind, box(), 60, 17.7, 'one-cut-out');
    expect(plan).toMatchObject({ kind: 'mesh-holes', sides: ['left', 'right'], perSide: 1, meshApertureMm: 1 });
    // As much as is asked for: 0.25 % of 250 x 160 mm are 100 mm2, 50 a side, by mesh that is open to 40 % 12.6 mm across.
    expect(plan.diameterMm).toBe(15);
    const large = drillPlan(
      kind,
      box({ lengthMm: 900, widthMm: 450, heightMm: 300 } as Partial<Container>),
      100,
      17.7,
      'one-cut-out',
    );
    expect(large.diameterMm).toBeLessThanOrEqual(50);
    const drilled = box({ vents: ventsOf(plan) });
    const { checks } = fit(kind, { stage: 'adult', legSpanMm: 118, container: drilled, substrateDepthMm: 60 });
    expect(checks.find(({ rule }) => rule === 'cross-flow')?.status).toBe('pass');
    // A kind that never had holes is not cut otherwise, and a school it does not know is none.
    expect(drillPlan(profileOf('stick-insect'), box(), 0, 3, 'one-cut-out').kind).toBe('mesh-panels');
    expect(drillPlan(kind, box(), 60, 17.7, 'mist-to-a-number')).toEqual(drillPlan(kind, box(), 60, 17.7));
  });

  it('is nothing where the openings that are there serve', () => {
    const plan = drillPlan(profileOf('ground-tarantula'), box(), 60, 17);
    expect(drillPlan(profileOf('ground-tarantula'), box({ vents: ventsOf(plan) }), 60, 17).perSide).toBe(0);
  });

  it('is what is missing where there are some already, above the soil', () => {
    const kind = profileOf('tree-tarantula');
    const right = { side: 'right', shape: 'hole', count: 30, diameterMm: 3, centreHeightMm: 110 } as const;
    expect(drillPlan(kind, box({ vents: [right] }), 60, 15).sides).toEqual(['left']);
    expect(drillPlan(kind, box({ vents: [{ ...right, centreHeightMm: 50 }] }), 60, 15).sides).toEqual([
      'left',
      'right',
    ]);
  });

  it('always holds the animal, lies in the wall above the soil, and leaves plastic between the holes', () => {
    const side = fc.double({ min: 60, max: 700, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...shippedProfiles),
        side,
        side,
        side,
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.constantFrom(...OPENING_SCHOOLS),
        (profile, lengthMm, widthMm, heightMm, share, school) => {
          const container = box({ lengthMm, widthMm, heightMm } as Partial<Container>);
          const stage = profile.stages.at(-1) ?? 'adult';
          const size = { [profile.measure.takes]: profile.growth.grownMm.value };
          const depthMm = share * heightMm;
          const question = { stage, ...size, container, substrateDepthMm: depthMm };
          const { largestSafeOpeningMm } = fit(profile, question);
          const plan = drillPlan(profile, container, depthMm, largestSafeOpeningMm, school);
          if (plan.perSide === 0) return;
          const way = plan.meshApertureMm ?? plan.diameterMm;
          if (largestSafeOpeningMm !== null && largestSafeOpeningMm > 0.5) {
            expect(way).toBeLessThan(largestSafeOpeningMm);
          }
          expect(plan.centreHeightMm).toBeGreaterThan(depthMm);
          expect(plan.centreHeightMm).toBeLessThan(heightMm);
          if (plan.perSide > 1) expect(plan.spacingMm).toBeGreaterThan(plan.diameterMm);
          for (const each of plan.sides) {
            expect((plan.perSide - 1) * plan.spacingMm).toBeLessThanOrEqual(wallWidthMm(container, each));
          }
        },
      ),
    );
  });
});

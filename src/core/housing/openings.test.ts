import fc from 'fast-check';
import type { Container, Vent } from './container';
import { furnitureCount, lowestPerchMm, openBottleCount } from './furniture';
import { nestVolumeMl } from './nest';
import { apertureMm, climbableWallCount, openAreaMm2, openingsOf } from './openings';

const box = (change: Partial<Container> = {}): Container =>
  ({ shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 250, lid: 'solid', vents: [], ...change }) as Container;
const hole = (side: Vent['side'], change: Partial<Vent> = {}): Vent => ({
  side,
  shape: 'hole',
  count: 4,
  diameterMm: 3,
  ...change,
});
const panel = (side: Vent['side'], change: Partial<Vent> = {}): Vent => ({
  side,
  shape: 'panel',
  count: 1,
  widthMm: 200,
  heightMm: 100,
  meshApertureMm: 1,
  ...change,
});

describe('the openings of a container', () => {
  it('are as wide as their narrow way, or as their mesh', () => {
    expect(apertureMm(hole('left'))).toBe(3);
    expect(apertureMm({ ...panel('left'), meshApertureMm: undefined })).toBe(100);
    expect(apertureMm(panel('left'))).toBe(1);
    expect(openingsOf(box({ vents: [hole('left'), panel('right')] })).widestMm).toBe(3);
    expect(openingsOf(box()).widestMm).toBe(0);
  });

  it('open the area of their holes, less the wire', () => {
    expect(openAreaMm2(hole('left'))).toBeCloseTo(9 * Math.PI, 9);
    expect(openAreaMm2(panel('left', { meshOpenFraction: 0.5 }))).toBe(10_000);
    // A mesh nobody measured is taken as four tenths open (from memory).
    expect(openAreaMm2(panel('left'))).toBe(8000);
  });

  it('share in the floor: holes, meshed lid, vented lid, walls of net', () => {
    const share = (change: Partial<Container>) => openingsOf(box(change)).sharePct;
    expect(share({ vents: [hole('left'), hole('right')] })).toBeCloseTo((100 * 18 * Math.PI) / 60_000, 9);
    expect(share({ lid: 'mesh' })).toBeCloseTo(40, 9);
    expect(share({ lid: 'vented' })).toBeCloseTo(1, 9);
    expect(share({ lid: 'vented', vents: [hole('lid')] })).toBeCloseTo((100 * 9 * Math.PI) / 60_000, 9);
    expect(share({ walls: 'mesh' })).toBeCloseTo((40 * 2 * (300 + 200) * 250) / 60_000, 9);
  });

  it('that stand against something do not count as air, but still let somebody out', () => {
    const covered = openingsOf(box({ vents: [hole('back', { diameterMm: 9 })], coveredSides: ['back'] }));
    expect(covered).toMatchObject({ sharePct: 0, widestMm: 9 });
    expect(covered.upToMm).toEqual([-Infinity, -Infinity, -Infinity, -Infinity]);
  });

  it('reach as high as their middle; of unknown height they lie above the soil', () => {
    const { upToMm } = openingsOf(
      box({ vents: [hole('left', { centreHeightMm: 90 }), hole('left', { centreHeightMm: 40 }), hole('front')] }),
    );
    expect(upToMm).toEqual([Infinity, -Infinity, 90, -Infinity]);
  });

  it('make a side of mesh from a third of the wall', () => {
    const sides = (change: Partial<Container>) => openingsOf(box(change)).meshSides;
    // The front is 300 x 250 mm: three tenths are 22500 mm2.
    expect(sides({ vents: [panel('front', { widthMm: 225 })] })).toBe(1);
    expect(sides({ vents: [panel('front', { widthMm: 224 })] })).toBe(0);
    expect(sides({ walls: 'mesh' })).toBe(4);
  });

  it('are held on to overhead where the lid is mesh or has mesh', () => {
    expect(openingsOf(box({ lid: 'mesh', vents: [panel('lid'), hole('lid')] })).meshOverhead).toBe(2);
  });

  it('never share less when one is added', () => {
    const side = fc.constantFrom('front', 'back', 'left', 'right', 'floor' as const);
    const some = fc.array(fc.tuple(side, fc.integer({ min: 1, max: 9 })), { maxLength: 8 });
    fc.assert(
      fc.property(some, side, (list, more) => {
        const vents = list.map(([where, count]) => hole(where as Vent['side'], { count }));
        const before = openingsOf(box({ vents })).sharePct;
        expect(openingsOf(box({ vents: [...vents, hole(more as Vent['side'])] })).sharePct).toBeGreaterThan(before);
      }),
    );
  });
});

describe('walls', () => {
  const climbable = (change: Partial<Container>) => climbableWallCount(box(change), openingsOf(box(change)));
  it.each([
    ['glass', 0],
    ['plastic', 0],
    ['glass-silicone', 4],
    ['wood', 4],
    ['mesh', 4],
  ] as const)('of %s are climbed: %d', (walls, count) => expect(climbable({ walls })).toBe(count));
  it('are not known while nobody said', () => {
    expect(climbable({})).toBeNull();
    expect(climbable({ vents: [panel('front', { widthMm: 250 })] })).toBe(1);
  });
});

describe('what is in a home', () => {
  const furniture = [
    { kind: 'bark' as const, count: 2 },
    { kind: 'perch' as const, heightMm: 120 },
    { kind: 'branch' as const, heightMm: 80 },
    { kind: 'bottle' as const },
    { kind: 'bottle' as const, stopped: true },
  ];
  it('is counted by what it serves for', () => {
    expect(furnitureCount(furniture, 'hide')).toBe(2);
    expect(furnitureCount(furniture, 'hanging')).toBe(4);
    expect(furnitureCount(furniture, 'crevice')).toBe(0);
    expect(openBottleCount(furniture)).toBe(1);
    expect(lowestPerchMm(furniture)).toBe(80);
  });
  it('is unknown while nobody said', () => {
    expect(furnitureCount(undefined, 'hide')).toBeNull();
    expect(openBottleCount(undefined)).toBeNull();
    expect(lowestPerchMm([{ kind: 'bark' }])).toBeNull();
  });
  it('adds up to the volume of a nest', () => {
    const room = { lengthMm: 60, widthMm: 40, heightMm: 10 };
    expect(nestVolumeMl({ chambers: [room, room] })).toBe(48);
  });
});

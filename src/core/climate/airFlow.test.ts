import fc from 'fast-check';
import type { Container, Vent } from '@/core/housing/container';
import { flat } from '@/core/housing/soil';
import { airFlow, type AirFlowQuestion } from './airFlow';
import { ventShapeM } from './airOpenings';
import { vapourDiffusivityM2S } from './psychrometrics';

const tub = (vents: Vent[], more: Partial<Container> = {}): Container =>
  ({ shape: 'box', lengthMm: 300, widthMm: 200, heightMm: 100, lid: 'solid', vents, ...more }) as Container;
const hole = (side: Vent['side'], centreHeightMm: number, count = 1, diameterMm = 5): Vent => ({
  side,
  shape: 'hole',
  count,
  diameterMm,
  centreHeightMm,
});
const flow = (container: Container, more: Partial<AirFlowQuestion> = {}) =>
  airFlow({ container, soil: flat(0), temperatureC: 20, warmingK: 0, draughtMS: 0, ...more });
const diameter = fc.double({ min: 1, max: 12, noNaN: true });
const count = fc.integer({ min: 1, max: 24 });

describe('diffusion through openings', () => {
  // Brown and Escombe (1900): D (pi d^2/4) / (t + pi d/4), both ends corrected; worked by hand for 5 mm through 2 mm.
  it('of one hole is the closed form', () => {
    const answer = flow(tub([hole('front', 80)]), { wallThicknessMm: 2, seamGapMm: 0 });
    const area = (Math.PI * 0.005 ** 2) / 4;
    const byHand = (vapourDiffusivityM2S(20) * area) / (0.002 + (Math.PI * 0.005) / 4);
    expect(answer.vapourConductanceM3S / byHand).toBeCloseTo(1, 9);
    expect(answer.vapourConductanceM3S).toBeCloseTo(8.15e-8, 9);
  });

  it('of a square opening lies between the circles within and about it', () => {
    const square: Vent = { side: 'lid', shape: 'panel', count: 1, widthMm: 40, heightMm: 40 };
    const inside = ventShapeM(hole('lid', 0, 1, 40), 2, 300);
    const about = ventShapeM(hole('lid', 0, 1, 40 * Math.SQRT2), 2, 300);
    expect(ventShapeM(square, 2, 300)).toBeGreaterThan(inside);
    expect(ventShapeM(square, 2, 300)).toBeLessThan(about);
  });

  it('of many holes is less than of as many singleResistance ones, and never more than of an open cut-out of their patch', () => {
    fc.assert(
      fc.property(count, diameter, fc.double({ min: 1.2, max: 8, noNaN: true }), (n, d, pitch) => {
        const spacing = d * pitch;
        const columns = Math.ceil(Math.sqrt(n));
        const patch: Vent = {
          side: 'lid',
          shape: 'panel',
          count: 1,
          widthMm: columns * spacing,
          heightMm: Math.ceil(n / columns) * spacing,
        };
        const array = ventShapeM(hole('lid', 0, n, d), 2, 1000, spacing);
        expect(array).toBeLessThanOrEqual(n * ventShapeM(hole('lid', 0, 1, d), 2, 1000) * (1 + 1e-9));
        expect(array).toBeLessThanOrEqual(ventShapeM(patch, 2, 1000));
      }),
    );
  });

  it('of mesh falls with the wire, and is that of an open panel when there is none', () => {
    const panel: Vent = { side: 'lid', shape: 'panel', count: 1, widthMm: 50, heightMm: 50 };
    const mesh = (meshOpenFraction: number) => ventShapeM({ ...panel, meshOpenFraction, meshApertureMm: 0.5 }, 2, 300);
    expect(mesh(1)).toBeCloseTo(ventShapeM(panel, 2, 300), 9);
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.9, noNaN: true }), (open) => {
        expect(mesh(open)).toBeLessThan(mesh(open * 1.1));
      }),
    );
  });

  it('does not go through what soil or a neighbour closes', () => {
    const vents = [hole('left', 30), hole('right', 80)];
    const open = flow(tub(vents), { seamGapMm: 0 });
    const buried = flow(tub(vents), { seamGapMm: 0, soil: flat(50) });
    expect(buried.vapourConductanceM3S).toBeCloseTo(open.vapourConductanceM3S / 2, 12);
    expect(flow(tub(vents, { coveredSides: ['left', 'right'] }), { seamGapMm: 0 }).vapourConductanceM3S).toBe(0);
  });

  it('goes through the seam of a lid, and through a lid or walls of mesh that nobody listed', () => {
    // 1 m of rim, 0.1 mm wide, 10 mm deep: 1e-4 m2 / 0.01 m = 0.01 m.
    expect(flow(tub([])).diffusionM3S).toBeCloseTo(vapourDiffusivityM2S(20) * 0.01, 12);
    const [lid] = flow(tub([], { lid: 'mesh' })).openings;
    expect(lid).toMatchObject({ index: null, side: 'lid', openAreaMm2: expect.closeTo(0.4 * 60_000, 3) });
    const net = flow(tub([], { lid: 'mesh', walls: 'mesh', opens: 'zip' }));
    expect(net.openings.map((each) => each.side)).toEqual(['front', 'back', 'left', 'right', 'lid']);
    expect(flow(tub([], { lid: 'vented' })).openings[0]?.openAreaMm2).toBeCloseTo(600, -1);
  });
});

describe('air that flows', () => {
  // By hand: A = 4 x 1 cm2 low and 4 x 1 cm2 high, 0.3 m apart, 5 K at 293.15 K.
  // A* = 4e-4 / sqrt(2) = 2.828e-4 m2; Q = 0.6 x 2.828e-4 x sqrt(2 x 9.80665 x 0.3 x 5 / 293.15) = 5.376e-5 m3/s.
  it('by warmth is the worked number', () => {
    const d = Math.sqrt(400 / Math.PI);
    const tall = tub([hole('left', 50, 4, d), hole('right', 350, 4, d)], { heightMm: 400 });
    const answer = flow(tall, { warmingK: 5, seamGapMm: 0 });
    // What thick air costs at this width (Re about 100): less than a tenth.
    expect(answer.stackFlowM3S / 5.376e-5).toBeGreaterThan(0.9);
    expect(answer.stackFlowM3S / 5.376e-5).toBeLessThan(1);
    expect(answer.draughtFlowM3S).toBe(0);
  });

  // By hand: 2 cm2 facing 2 cm2, 0.2 m/s: 0.6 x 1.414e-4 x 0.2 x sqrt(0.9) = 1.610e-5; one side 0.025 x 4e-4 x 0.2 = 2e-6.
  it('by draught crosses where sides face one another, and hardly moves where they do not', () => {
    const d = Math.sqrt(400 / Math.PI);
    const across = flow(tub([hole('left', 50, 2, d), hole('right', 50, 2, d)]), { draughtMS: 0.2, seamGapMm: 0 });
    expect(across.draughtFlowM3S / 1.61e-5).toBeGreaterThan(0.85);
    expect(across.draughtFlowM3S / 1.61e-5).toBeLessThan(1);
    const oneSided = flow(tub([hole('left', 50, 4, d)]), { draughtMS: 0.2, seamGapMm: 0 });
    // The area of four holes of d is 4 cm2 x 4/2... of one side: 0.025 A v.
    const thin = 0.025 * 4 * 1e-4 * 0.2;
    // It moves at 5 mm/s there, and is thick.
    expect(oneSided.draughtFlowM3S / thin).toBeGreaterThan(0.2);
    expect(oneSided.draughtFlowM3S / thin).toBeLessThan(1);
  });

  // By hand: of one hole 3 mu / r^3 + 8 mu t / (pi r^4) = 1.609e4 + 1.821e4 = 3.43e4 Pa s/m3; eight a side, two sides in series
  // 8.57e3; 0.9 x 0.602 x 0.01 = 5.42e-3 Pa drives 6.3e-7 m3/s, and the jets take a tenth. A sharp edge alone: 2.3e-6.
  it('by draught through 16 holes of 3 mm in 2 mm walls is thick: about 0.6e-6 m3/s at 0.1 m/s', () => {
    const across = flow(tub([hole('left', 50, 8, 3), hole('right', 50, 8, 3)]), {
      ...{ draughtMS: 0.1, wallThicknessMm: 2, seamGapMm: 0 },
    });
    expect(across.draughtFlowM3S).toBeGreaterThan(0.5e-6);
    expect(across.draughtFlowM3S).toBeLessThan(0.65e-6);
  });

  it('by draught through facing meshes of 10 x 10 cm is a quarter to an eighth of what their open area would pass', () => {
    const mesh = (side: Vent['side']): Vent => ({
      ...{ side, shape: 'panel', count: 1, widthMm: 100, heightMm: 100, centreHeightMm: 100 },
      ...{ meshOpenFraction: 0.4, meshApertureMm: 1 },
    });
    const box = tub([mesh('left'), mesh('right')], { heightMm: 200 });
    const { draughtFlowM3S } = flow(box, { draughtMS: 0.1, seamGapMm: 0 });
    const sharp = 0.6 * (0.004 / Math.SQRT2) * 0.1 * Math.sqrt(0.9);
    expect(sharp / draughtFlowM3S).toBeGreaterThan(4);
    expect(sharp / draughtFlowM3S).toBeLessThan(8);
  });

  it('by warmth does not turn over in a small hole by itself, and does in a wide one', () => {
    const alone = (diameterMm: number) =>
      flow(tub([hole('left', 50, 1, diameterMm)]), { warmingK: 1.3, seamGapMm: 0 }).stackFlowM3S;
    expect(alone(3)).toBe(0);
    expect(alone(10)).toBe(0);
    expect(alone(30)).toBeGreaterThan(0);
    const overhead = (diameterMm: number) =>
      flow(tub([hole('lid', 0, 1, diameterMm)]), { warmingK: 1.3, seamGapMm: 0 }).stackFlowM3S;
    expect(overhead(3)).toBe(0);
    expect(overhead(40)).toBeGreaterThan(0);
  });

  it('goes through the seam of a loose lid as well, and of one with a gasket not at all', () => {
    const lid = (lidFit: 'gasket' | 'click' | 'loose') => flow(tub([], { lidFit }), { draughtMS: 0.1 });
    expect(lid('gasket').vapourConductanceM3S).toBe(0);
    expect(lid('click').bulkFlowM3S).toBeLessThan(0.1 * lid('click').diffusionM3S);
    expect(lid('loose').bulkFlowM3S).toBeGreaterThan(10 * lid('click').bulkFlowM3S);
  });

  it('grows with holes, warmth and draught, and its openings add up to all of it', () => {
    const speed = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(count, diameter, speed, speed, (n, d, warming, draught) => {
        const at = (holes: number, k: number, v: number) =>
          flow(tub([hole('left', 30, holes, d), hole('right', 80, holes, d)]), { warmingK: k, draughtMS: v });
        const answer = at(n, 10 * warming, draught);
        expect(at(n + 1, 10 * warming, draught).vapourConductanceM3S).toBeGreaterThan(answer.vapourConductanceM3S);
        expect(at(n, 10 * warming + 1, draught).bulkFlowM3S).toBeGreaterThan(answer.bulkFlowM3S);
        expect(at(n, 10 * warming, draught + 0.1).bulkFlowM3S).toBeGreaterThan(answer.bulkFlowM3S);
        const sum = answer.openings.reduce((total, each) => total + each.diffusionM3S + each.bulkM3S, 0);
        expect(sum / answer.vapourConductanceM3S).toBeCloseTo(1, 9);
      }),
    );
  });

  it('changes the air over the soil, not the soil', () => {
    const vents = [hole('left', 80, 4), hole('right', 80, 4)];
    const half = flow(tub(vents), { soil: flat(50), draughtMS: 0.1 });
    const empty = flow(tub(vents), { draughtMS: 0.1 });
    expect(half.airVolumeL).toBeCloseTo(3, 9);
    expect(half.airChangesPerHour / empty.airChangesPerHour).toBeCloseTo(2, 6);
  });
});

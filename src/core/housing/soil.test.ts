import fc from 'fast-check';
import { areaAtMm2, innerVolumeL, volumeBelowMm3, type Container } from './container';
import { depthAtMm, fillVolumeL, flat, meanDepthMm, withMeanDepth, type Soil } from './soil';

const common: Pick<Container, 'lid' | 'vents'> = { lid: 'solid', vents: [] };
const box = { shape: 'box' as const, lengthMm: 300, widthMm: 200, heightMm: 250, ...common } satisfies Container;
const tub: Container = { ...box, topLengthMm: 360, topWidthMm: 260 };
const jar = { shape: 'cylinder' as const, diameterMm: 120, heightMm: 180, ...common } satisfies Container;
const bucket: Container = { ...jar, topDiameterMm: 160 };

// Closed forms of elementary geometry.
describe('volumes', () => {
  it('of a prism and a cylinder', () => {
    expect(innerVolumeL(box)).toBeCloseTo(15, 12);
    expect(innerVolumeL(jar)).toBeCloseTo((Math.PI * 60 ** 2 * 180) / 1e6, 12);
  });

  it('of the frustum of a cone: pi h (R^2 + R r + r^2) / 3', () => {
    expect(innerVolumeL(bucket)).toBeCloseTo((Math.PI * 180 * (80 ** 2 + 80 * 60 + 60 ** 2)) / 3e6, 12);
  });

  it('of a tub that widens: h (A + a + 4 M) / 6 with the middle area M', () => {
    const [floor, middle, top] = [300 * 200, 330 * 230, 360 * 260];
    expect(innerVolumeL(tub)).toBeCloseTo((250 * (floor + top + 4 * middle)) / 6e6, 12);
  });

  it('of a wedge: in a box and in a cylinder the mean depth times the floor', () => {
    const slope: Soil = { shape: 'slope', frontMm: 140, backMm: 60 };
    expect(fillVolumeL(box, slope)).toBeCloseTo(6, 9);
    const cylinder = (Math.PI * 60 ** 2 * 100) / 1e6;
    expect(Math.abs(fillVolumeL(jar, slope) / cylinder - 1)).toBeLessThan(1e-4);
  });

  it('of terraces: equal steps in a box; in a cylinder the outer steps are the smaller', () => {
    const steps: Soil = { shape: 'terraces', depthsMm: [90, 60, 30] };
    expect(fillVolumeL(box, steps)).toBeCloseTo(3.6, 9);
    // The middle third of a circle holds more than a third of it: (pi/2 - ...) by the segment's closed form.
    const angle = 2 * Math.acos(1 / 3);
    const outer = (60 ** 2 / 2) * (angle - Math.sin(angle));
    const middle = Math.PI * 60 ** 2 - 2 * outer;
    const exact = (outer * 90 + middle * 60 + outer * 30) / 1e6;
    expect(Math.abs(fillVolumeL(jar, steps) / exact - 1)).toBeLessThan(1e-6);
  });
});

describe('laws of a filling', () => {
  const side = fc.double({ min: 20, max: 800, noNaN: true });
  const container = fc.oneof(
    fc.tuple(side, side, side, side, side).map(([lengthMm, widthMm, heightMm, topLengthMm, topWidthMm]): Container => ({
      shape: 'box',
      lengthMm,
      widthMm,
      heightMm,
      topLengthMm,
      topWidthMm,
      ...common,
    })),
    fc.tuple(side, side, side).map(([diameterMm, heightMm, topDiameterMm]): Container => ({
      shape: 'cylinder',
      diameterMm,
      heightMm,
      topDiameterMm,
      ...common,
    })),
  );
  const share = fc.double({ min: 0.01, max: 1, noNaN: true });

  it('volume is additive over depth: two layers hold what one of both depths holds', () => {
    fc.assert(
      fc.property(container, share, share, (home, a, b) => {
        const [low, high] = [Math.min(a, b) * home.heightMm, Math.max(a, b) * home.heightMm];
        // The upper layer on its own: its area grows from where it begins.
        const step = (high - low) / 2;
        const upper = (step / 3) * (areaAtMm2(home, low) + 4 * areaAtMm2(home, low + step) + areaAtMm2(home, high));
        expect(volumeBelowMm3(home, low) + upper).toBeCloseTo(volumeBelowMm3(home, high), 0);
        // Never less, but for the last digit of a double when the two depths all but coincide.
        expect(volumeBelowMm3(home, high)).toBeGreaterThanOrEqual(volumeBelowMm3(home, low) * (1 - 1e-12));
      }),
    );
  });

  it('a slope without a slope, and steps of one height, are flat', () => {
    fc.assert(
      fc.property(container, share, (home, part) => {
        const depthMm = part * home.heightMm;
        const level = fillVolumeL(home, flat(depthMm));
        const slope = fillVolumeL(home, { shape: 'slope', frontMm: depthMm, backMm: depthMm });
        const steps = fillVolumeL(home, { shape: 'terraces', depthsMm: [depthMm, depthMm] });
        expect(Math.abs(slope / level - 1)).toBeLessThan(1e-6);
        expect(Math.abs(steps / level - 1)).toBeLessThan(1e-6);
      }),
    );
  });

  it('turning a slope round changes no volume', () => {
    fc.assert(
      fc.property(container, share, share, (home, a, b) => {
        const [frontMm, backMm] = [a * home.heightMm, b * home.heightMm];
        const one = fillVolumeL(home, { shape: 'slope', frontMm, backMm });
        const other = fillVolumeL(home, { shape: 'slope', frontMm: backMm, backMm: frontMm });
        expect(Math.abs(one / other - 1)).toBeLessThan(1e-9);
      }),
    );
  });
});

describe('a surface', () => {
  it('is raised as a whole, and nowhere under the floor', () => {
    const slope: Soil = { shape: 'slope', frontMm: 100, backMm: 40 };
    expect(withMeanDepth(slope, 90)).toEqual({ shape: 'slope', frontMm: 120, backMm: 60 });
    expect(withMeanDepth(slope, 10)).toEqual({ shape: 'slope', frontMm: 40, backMm: 0 });
    expect(meanDepthMm({ shape: 'terraces', depthsMm: [30, 60, 90] })).toBe(60);
  });

  it('has a depth at every share of the way', () => {
    expect(depthAtMm({ shape: 'slope', frontMm: 100, backMm: 40 }, 0.25)).toBe(85);
    expect([0, 0.4, 1].map((share) => depthAtMm({ shape: 'terraces', depthsMm: [30, 60, 90] }, share))).toEqual([
      30, 60, 90,
    ]);
  });
});

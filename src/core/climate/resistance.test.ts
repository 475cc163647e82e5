import fc from 'fast-check';
import {
  AIR_DENSITY_KG_M3,
  AIR_VISCOSITY_PA_S,
  flowThrough,
  holeResistance,
  inSeries,
  manyOf,
  meshResistance,
  seamResistance,
  sideBySide,
  SHUT,
} from './resistance';

const size = fc.double({ min: 0.2e-3, max: 50e-3, noNaN: true });
const pressure = fc.double({ min: 1e-6, max: 50, noNaN: true });
const reynolds = (flow: number, r: number) => (2 * flow * AIR_DENSITY_KG_M3) / (Math.PI * r * AIR_VISCOSITY_PA_S);

describe('a hole', () => {
  // Sampson (1891): Q = r^3 dP / (3 mu) through a hole in a thin sheet; by hand for 1 mm at 0.1 mPa: 1.25e-10 / 5.43e-5 x 1e-4.
  it('in a thin sheet passes thick air as Sampson has it', () => {
    const flow = flowThrough(holeResistance(0.5e-3, 0.5e-3, 0), 1e-4);
    expect(flow / 2.302e-10).toBeCloseTo(1, 2);
    expect(reynolds(flow, 0.5e-3)).toBeLessThan(1);
  });

  // Hagen-Poiseuille: Q = pi r^4 dP / (8 mu t); a tube a hundred times as long as wide has hardly any ends.
  it('that is a long tube passes it as Poiseuille has it', () => {
    const flow = flowThrough(holeResistance(1e-3, 1e-3, 0.2), 1e-2);
    const byHand = (Math.PI * 1e-12 * 1e-2) / (8 * AIR_VISCOSITY_PA_S * 0.2);
    expect(flow / byHand).toBeGreaterThan(0.98);
    expect(flow / byHand).toBeLessThan(1);
  });

  // At the other end the sharp edge of BS 5925: Q = 0.6 A sqrt(2 dP / rho).
  it('of a hand’s breadth passes thin air as a sharp edge does', () => {
    const flow = flowThrough(holeResistance(0.05, 0.05, 0.002), 10);
    const byHand = 0.6 * Math.PI * 0.05 ** 2 * Math.sqrt(20 / AIR_DENSITY_KG_M3);
    expect(flow / byHand).toBeGreaterThan(0.99);
    expect(flow / byHand).toBeLessThanOrEqual(1);
  });

  // Discharge of a thin sharp orifice at low Reynolds numbers, Cd over sqrt(Re): about 0.2 (Lichtarowicz, Duggins and Markland
  // 1965; Johansen 1930, Proc. R. Soc. A 126, 231, fig. 8), both from memory; Cd at Re 100 about 0.65 to 0.75 there, where a
  // sum of both losses is known to lie low.
  it('has the discharge that was measured at small Reynolds numbers', () => {
    const r = 1e-3;
    const dischargeAt = (re: number) => {
      const flow = (re * Math.PI * r * AIR_VISCOSITY_PA_S) / (2 * AIR_DENSITY_KG_M3);
      const { linear, square } = holeResistance(r, r, 0);
      const drop = linear * flow + square * flow ** 2;
      return flow / (Math.PI * r ** 2 * Math.sqrt((2 * drop) / AIR_DENSITY_KG_M3));
    };
    expect(dischargeAt(1) / 1).toBeGreaterThan(0.15);
    expect(dischargeAt(1) / 1).toBeLessThan(0.25);
    expect(dischargeAt(4) / 2).toBeGreaterThan(0.14);
    expect(dischargeAt(4) / 2).toBeLessThan(0.24);
    expect(dischargeAt(100)).toBeGreaterThan(0.48);
    expect(dischargeAt(100)).toBeLessThan(0.75);
  });

  it('that is a slit lies between the circle within it and the slit without ends', () => {
    // Hasimoto (1958), J. Phys. Soc. Japan 13, 633: pi b^2 / (8 mu) for each metre; an ellipse has 4/3 a of it.
    const [a, b] = [20e-3, 0.5e-3];
    const flow = flowThrough(holeResistance(a, b, 0), 1e-4);
    const slit = ((4 / 3) * a * Math.PI * b ** 2 * 1e-4) / (8 * AIR_VISCOSITY_PA_S);
    expect(flow / slit).toBeCloseTo(1, 1);
    expect(flow).toBeGreaterThan(flowThrough(holeResistance(b, b, 0), 1e-4));
  });

  it('passes more for more pressure, more width and less wall, and two of them twice as much', () => {
    fc.assert(
      fc.property(size, fc.double({ min: 0, max: 10e-3, noNaN: true }), pressure, (r, wall, drop) => {
        const one = flowThrough(holeResistance(r, r, wall), drop);
        expect(flowThrough(holeResistance(r, r, wall), 1.1 * drop)).toBeGreaterThan(one);
        expect(flowThrough(holeResistance(1.1 * r, 1.1 * r, wall), drop)).toBeGreaterThan(one);
        expect(flowThrough(holeResistance(r, r, wall + 1e-3), drop)).toBeLessThan(one);
        expect(flowThrough(manyOf(holeResistance(r, r, wall), 2), drop) / one).toBeCloseTo(2, 9);
        const { linear, square } = holeResistance(r, r, wall);
        expect((linear * one + square * one ** 2) / drop).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('openings together', () => {
  const hole = (r: number) => holeResistance(r, r, 0.002);
  it('pass more side by side than the larger alone, and less one behind the other than the smaller', () => {
    fc.assert(
      fc.property(size, size, pressure, (a, b, drop) => {
        const both = flowThrough(sideBySide([hole(a), hole(b)]), drop);
        expect(both).toBeGreaterThan(Math.max(flowThrough(hole(a), drop), flowThrough(hole(b), drop)));
        // Exact would be their sum: the mix of a thick and a thin one is within a fifth of it.
        const sum = flowThrough(hole(a), drop) + flowThrough(hole(b), drop);
        expect(both / sum).toBeGreaterThan(0.8);
        expect(both / sum).toBeLessThan(1.2);
        const behind = flowThrough(inSeries(hole(a), hole(b)), drop);
        expect(behind).toBeLessThan(Math.min(flowThrough(hole(a), drop), flowThrough(hole(b), drop)));
      }),
    );
  });

  it('pass nothing where one is shut, and as much as the other beside one that is', () => {
    expect(flowThrough(inSeries(hole(1e-3), SHUT), 1)).toBe(0);
    expect(sideBySide([hole(1e-3), SHUT])).toEqual({
      linear: expect.closeTo(hole(1e-3).linear, 3),
      square: expect.closeTo(hole(1e-3).square, -3),
    });
    expect(sideBySide([])).toEqual(SHUT);
  });
});

describe('a mesh', () => {
  // Brundrett (1993), from memory: K = (1 - o^2)/o^2 (7.125/Re + 0.88/log10(Re + 1.25) + 0.055 log10 Re).
  it('costs what the published law has, within a sixth from Re 0.2 to 100', () => {
    const [open, wire] = [0.5, 0.4e-3];
    const { linear, square } = meshResistance(1, open, wire);
    for (const re of [0.2, 0.5, 1, 2, 5, 10, 30, 100]) {
      const speed = (re * AIR_VISCOSITY_PA_S) / (AIR_DENSITY_KG_M3 * wire);
      const loss = (linear * speed + square * speed ** 2) / ((AIR_DENSITY_KG_M3 / 2) * speed ** 2);
      const law = ((1 - open ** 2) / open ** 2) * (7.125 / re + 0.88 / Math.log10(re + 1.25) + 0.055 * Math.log10(re));
      expect(loss / law).toBeGreaterThan(5 / 6);
      expect(loss / law).toBeLessThan(7 / 6);
    }
  });

  it('costs nothing without wire, and more with every wire', () => {
    expect(meshResistance(0.01, 1, 0)).toEqual({ linear: 0, square: 0 });
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.8, noNaN: true }), pressure, (open, drop) => {
        const wireOf = (share: number) => 1e-3 * (1 / Math.sqrt(share) - 1);
        const at = (share: number) => flowThrough(meshResistance(0.01, share, wireOf(share)), drop);
        expect(at(open)).toBeLessThan(at(open * 1.1));
      }),
    );
  });
});

// Plane Poiseuille: 12 mu L / (w^3 l); by hand for 0.5 mm, 10 mm deep, 1 m: 12 x 1.81e-5 x 0.01 / 1.25e-10 = 1.738e4.
it('the seam of a loose lid is two plates', () => {
  expect(seamResistance(0.5e-3, 1, 0.01).linear).toBeCloseTo(1.738e4, -1);
  expect(seamResistance(1e-3, 1, 0.01).linear * 8).toBeCloseTo(seamResistance(0.5e-3, 1, 0.01).linear, 6);
});

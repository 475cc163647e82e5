import fc from 'fast-check';
import { rangeAbout, rangeSpread, spreadOf, together } from './spreads';

const positive = fc.double({ min: 0.01, max: 1000, noNaN: true });

describe('a range', () => {
  it('holds eight of ten of a log-normal: 1.2816 standard deviations on either side (tables of the normal law)', () => {
    // A factor of 1.5 either way is a spread of ln 1.5 / 1.2816.
    expect(rangeSpread({ min: 2 / 3, max: 1.5 })).toBeCloseTo(Math.log(1.5) / 1.2816, 9);
    expect(spreadOf({}, 0.3)).toBe(0.3);
    expect(spreadOf({ range: { min: 5, max: 5 } }, 0.3)).toBe(0);
  });

  it('about a value has the spread that it was made with, and the value in its middle', () => {
    fc.assert(
      fc.property(positive, fc.double({ min: 0, max: 1.5, noNaN: true }), (value, spread) => {
        const range = rangeAbout(value, spread);
        expect(rangeSpread(range)).toBeCloseTo(spread, 9);
        expect(Math.sqrt(range.min * range.max)).toBeCloseTo(value, 6);
      }),
    );
  });

  it('of a product is as wide as squares add, and never narrower than its widest part', () => {
    expect(together(0.3, 0.4)).toBeCloseTo(0.5, 12);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 2, noNaN: true }), { minLength: 1 }), (spreads) => {
        expect(together(...spreads)).toBeGreaterThanOrEqual(Math.max(...spreads) - 1e-12);
      }),
    );
  });
});

import fc from 'fast-check';
import { faster, USUAL_SPREAD } from './spread';

const factor = fc.double({ min: 0.05, max: 20, noNaN: true });
const deviation = fc.double({ min: 0, max: 1, noNaN: true });

describe('how far a box may be off its kind', () => {
  it('is further the less is known of it, one factor at a time', () => {
    fc.assert(
      fc.property(factor, factor, deviation, deviation, (draught, surface, one, other) => {
        const known = { draught, surface, spread: { draught: one, surface: other } };
        expect(faster(known, 'draught')).toEqual({ ...known, draught: expect.any(Number) });
        expect(faster(known, 'draught').draught).toBeGreaterThanOrEqual(draught);
        const less = { ...known, spread: { draught: one, surface: other + 0.1 } };
        expect(faster(less, 'surface').surface).toBeGreaterThan(faster(known, 'surface').surface);
      }),
    );
  });

  // Eight of ten rooms have 0.05 to 0.2 m/s about 0.1; lid, mixing and soil a factor of one and a half (from memory).
  it('is as usual where nobody measured', () => {
    expect(faster(undefined, 'draught')).toEqual({ draught: expect.closeTo(2, 9), surface: 1 });
    expect(faster(undefined, 'surface')).toEqual({ draught: 1, surface: expect.closeTo(1.5, 9) });
    const known = { draught: 1, surface: 1, spread: USUAL_SPREAD };
    expect(faster(known, 'draught').draught).toBeCloseTo(2, 9);
  });
});

import fc from 'fast-check';
import { windowCurve } from './windowCurve';

describe('the hill of a window', () => {
  it('is highest on the likeliest day, and leaves a tenth of itself at either end', () => {
    const days = fc.tuple(
      fc.integer({ min: -40, max: 300 }),
      fc.integer({ min: 3, max: 90 }),
      fc.integer({ min: 3, max: 90 }),
    );
    fc.assert(
      fc.property(days, ([from, before, after]) => {
        const median = from + before;
        const curve = windowCurve(from, median, median + after);
        // The area of each half by the trapezium rule, and what of it lies outside the window.
        const area = (isIn: (day: number) => boolean) =>
          curve.slice(1).reduce((sum, [day, height], index) => {
            const [earlier, lower] = curve[index] as [number, number];
            return isIn((day + earlier) / 2) ? sum + ((day - earlier) * (height + lower)) / 2 : sum;
          }, 0);
        const outside = area((day) => day < from) / area((day) => day < median);
        // One of ten of all is a fifth of that half; what lies beyond the picture is left out.
        expect(outside).toBeGreaterThan(0.13);
        expect(outside).toBeLessThan(0.25);
        const top = curve.reduce((best, point) => (point[1] > best[1] ? point : best));
        expect(top[0]).toBe(median);
        expect(curve.every(([day], index) => index === 0 || day > (curve[index - 1]?.[0] ?? 0))).toBe(true);
      }),
    );
  });
});

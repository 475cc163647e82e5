import fc from 'fast-check';
import { formatDrill, formatLength, parseLength, type LengthUnit } from './length';

const units = fc.constantFrom<LengthUnit[]>('mm', 'cm', 'in');

describe('lengths as keepers write them', () => {
  // 1 in = 25.4 mm exactly: international yard and pound agreement, 1959.
  it.each([
    ['118', 'mm', 118],
    ['11.8 cm', 'mm', 118],
    ['4,5 in', 'mm', 114.3],
    ['4 1/2"', 'cm', 114.3],
    ['1/2 inch', 'mm', 12.7],
    ['10', 'cm', 100],
  ] as const)('reads %s (assumed %s) as %d mm', (text, unit, mm) => {
    expect(parseLength(text, unit)).toEqual({ ok: true, mm: expect.closeTo(mm, 9) });
  });

  it.each([
    ['', /Write a number/],
    ['NaN', /Write a number/],
    ['abc', /Write a number/],
    ['0', /more than 0/],
    ['-4 cm', /more than 0/],
    ['5 kg', /“kg” is not a length unit/],
    ['1/0', /cannot end in \/0/],
    ['1e9', /not a length unit|Write a number/],
  ])('refuses %p', (text, problem) => {
    expect(parseLength(text, 'mm')).toEqual({ ok: false, problem: expect.stringMatching(problem) });
  });

  it('reads back what it wrote, to the precision it writes in', () => {
    const halfStep = { mm: 0.5, cm: 0.5, in: 1.27 };
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), units, (mm, unit) => {
        const parsed = parseLength(formatLength(mm, unit), 'mm');
        expect(parsed.ok && Math.abs(parsed.mm - mm) <= halfStep[unit] + 1e-9).toBe(true);
      }),
    );
  });
});

it('reads a fraction alone as one, not as a whole number before a fraction', () => {
  expect(parseLength('11/64"', 'mm')).toEqual({ ok: true, mm: (11 / 64) * 25.4 });
  expect(parseLength('1 11/64"', 'mm')).toEqual({ ok: true, mm: (75 / 64) * 25.4 });
});

describe('a hole by its bit', () => {
  // Fractional drill sizes in inches, ASME B94.11M: 1/8 in = 3.175 mm, 1/16 in = 1.5875 mm, 1/4 in = 6.35 mm.
  it.each([
    [3.175, '1/8 in'],
    [3, '7/64 in'],
    [1.5875, '1/16 in'],
    [6.35, '1/4 in'],
    [38.1, '1 1/2 in'],
    [0.2, '1/64 in'],
    [25.4, '1 in'],
  ])('of %d mm is %s', (mm, words) => expect(formatDrill(mm, 'in')).toBe(words));

  it('is told in millimetres to whoever measures in them, and is never wider than was worked out', () => {
    expect([formatDrill(3, 'mm'), formatDrill(2.5, 'cm')]).toEqual(['3 mm', '2.5 mm']);
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 100, noNaN: true }), (mm) => {
        const read = parseLength(formatDrill(mm, 'in'), 'in');
        expect(read.ok && read.mm).toBeLessThanOrEqual(mm + 1e-6);
        expect(read.ok && mm - read.mm).toBeLessThan(25.4 / 64 + 1e-6);
      }),
    );
  });
});

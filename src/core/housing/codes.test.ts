import fc from 'fast-check';
import { codeAfter, codesAfter } from './codes';

describe('codes that go on', () => {
  // Common practice, no source: shelves are numbered so.
  it.each([
    ['A1', ['A3'], 3, ['A2', 'A4', 'A5']],
    ['D9', [], 2, ['D10', 'D11']],
    ['T08', ['t09'], 2, ['T10', 'T11']],
    ['lid', [], 2, ['lid 2', 'lid 3']],
    ['7', [], 1, ['8']],
    ['B2x', [], 1, ['B2x 2']],
  ])('%s, of which %j are taken', (first, taken, count, codes) => {
    expect(codesAfter(first, taken, count)).toEqual(codes);
  });

  it('are as many as asked, all different, none taken, none too long', () => {
    const code = fc.stringMatching(/^[A-F]{1,3}\d{0,3}$/);
    fc.assert(
      fc.property(code, fc.array(code, { maxLength: 30 }), fc.integer({ min: 0, max: 60 }), (first, taken, count) => {
        const codes = codesAfter(first, taken, count);
        expect(new Set(codes).size).toBe(count);
        expect(codes.filter((each) => taken.includes(each) || each === first)).toEqual([]);
      }),
    );
    expect(() => codesAfter('ABCDEFGHIJ99', [], 1)).toThrow(RangeError);
    expect([codeAfter('ABCDEFGHIJ99', []), codeAfter('A1', ['A2']), codeAfter('A1', [], 3)]).toEqual([
      null,
      'A3',
      'A4',
    ]);
  });
});

import { countVerdict } from './expected';

describe('a count against what was expected', () => {
  const expected = { p10: 40, median: 60, p90: 100 };
  it.each([
    [19.9, 'crash'],
    // Half of what nine of ten have is few, not yet a crash.
    [20, 'fewer'],
    [39.9, 'fewer'],
    [40, 'as-expected'],
    [100, 'as-expected'],
    [100.1, 'more'],
  ])('%d is %s', (counted, verdict) => {
    expect(countVerdict(counted, expected, 0)).toBe(verdict);
  });

  it('is held to what is left after some were taken out', () => {
    expect(countVerdict(30, expected, 10)).toBe('as-expected');
    expect(countVerdict(91, expected, 10)).toBe('more');
    // All that there were were taken out: none are too few.
    expect(countVerdict(0, expected, 200)).toBe('as-expected');
  });
});

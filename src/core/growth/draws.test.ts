import { draw } from './draws';
import { normalQuantile } from './normal';
import { numbersInOrder, numbersOf } from './quantiles';

const GROWTH = { mean: Math.log(1.26), variance: 0.005 } as Parameters<typeof draw>[1];
const paceOf = (spread: number, spreadWorth: number, variance: number) =>
  ({ mean: 0, variance, spread, spreadWorth }) as Parameters<typeof draw>[0];

describe('draws of the next moult', () => {
  it('have the tails of a spread that is itself in doubt', () => {
    // A variance known by n degrees of freedom widens a forecast by n / (n - 1): here 0.04 x 5 / 4, and 0.01 of the animal.
    const sd = Math.sqrt(0.01 + 0.04 * 1.25);
    const { days } = draw(paceOf(0.2, 5, 0.01), GROWTH, 60, 0, undefined, 100, 1);
    const { p10, median, p90 } = numbersInOrder(days[0] as Float64Array);
    expect(median).toBeCloseTo(60, 0);
    expect(p90 / (60 * Math.exp(sd * normalQuantile(0.9)))).toBeCloseTo(1, 2);
    expect(p10 / (60 * Math.exp(sd * normalQuantile(0.1)))).toBeCloseTo(1, 2);
  });

  it('of one that is sure of its spread are not widened', () => {
    const { days } = draw(paceOf(0.2, 1e9, 0), GROWTH, 60, 0, undefined, 100, 1);
    const { p90 } = numbersInOrder(days[0] as Float64Array);
    expect(p90 / (60 * Math.exp(0.2 * normalQuantile(0.9)))).toBeCloseTo(1, 2);
  });

  it('of one overdue lie in the days to come, and of one nobody saw moult within its interval', () => {
    const late = draw(paceOf(0.2, 1e9, 0), GROWTH, 60, 100, undefined, 100, 1).days[0] as Float64Array;
    expect(Math.min(...late)).toBeGreaterThanOrEqual(0);
    expect(numbersInOrder(late).median).toBeLessThan(20);
    const unknown = draw(paceOf(0.2, 1e9, 0), GROWTH, 60, null, undefined, 100, 1).days[0] as Float64Array;
    // Anywhere within an interval of some 60 days: half of it on average.
    expect(unknown.reduce((sum, each) => sum + each, 0) / unknown.length).toBeCloseTo(30.6, 0);
  });
});

describe('percentiles', () => {
  // Ranks by rounding: of fifteen values the 1st, 7th and 13th, counted from 0.
  const shuffled = Float64Array.from([14, 3, 9, 0, 7, 12, 1, 5, 11, 2, 13, 4, 8, 6, 10]);
  it('are the values at the nearest rank', () => {
    expect(numbersOf(shuffled)).toEqual({ p10: 1, median: 7, p90: 13 });
    expect(numbersInOrder(Float64Array.from(shuffled).sort())).toEqual({ p10: 1, median: 7, p90: 13 });
    expect(numbersOf(Float64Array.of(4))).toEqual({ p10: 4, median: 4, p90: 4 });
  });
  it('leave the list as it was', () => {
    const before = Array.from(shuffled);
    numbersOf(shuffled);
    expect(Array.from(shuffled)).toEqual(before);
  });
});

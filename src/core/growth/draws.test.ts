import { draw } from './draws';
import { UNSEEN_SHARE } from './pace';
import { normalQuantile } from '@/core/numerics/normal';
import { numbersOf } from '@/core/numerics/quantiles';

const GROWTH = { mean: Math.log(1.26), variance: 0.005 } as Parameters<typeof draw>[1];
const paceOf = (spread: number, variance: number, trend = 0): Parameters<typeof draw>[0] => ({
  ...{ mean: 0, variance },
  courses: [{ weight: 1, mean: 0, variance, spread, trend }],
});

describe('draws of the next moult', () => {
  it('have the tails of the spread and of the doubt about the animal together', () => {
    const sd = Math.sqrt(0.01 + 0.04);
    const { days } = draw(paceOf(0.2, 0.01), GROWTH, 60, 0, undefined, 100, 1);
    const { p10, median, p90 } = numbersOf(days[0] as Float64Array);
    expect(median).toBeCloseTo(60, 0);
    expect(p90 / (60 * Math.exp(sd * normalQuantile(0.9)))).toBeCloseTo(1, 2);
    expect(p10 / (60 * Math.exp(sd * normalQuantile(0.1)))).toBeCloseTo(1, 2);
  });

  it('of one whose intervals lengthen stand further and further apart', () => {
    const { days } = draw(paceOf(0.05, 0, 0.2), GROWTH, 60, 0, undefined, 100, 3);
    const [first = NaN, second = NaN, third = NaN] = days.map((each) => numbersOf(each).median);
    expect((second - first) / first).toBeCloseTo(Math.exp(0.2), 1);
    expect((third - second) / (second - first)).toBeCloseTo(Math.exp(0.2), 1);
  });

  it('mix two courses as they are likely', () => {
    const [short, long] = [Math.log(0.5), Math.log(2)].map((mean, index) => ({
      ...{ weight: index === 0 ? 0.25 : 0.75, mean, variance: 0, spread: 0.05, trend: 0 },
    }));
    const pace = { mean: 0, variance: 0, courses: [short, long] } as Parameters<typeof draw>[0];
    const days = draw(pace, GROWTH, 60, 0, undefined, 100, 1).days[0] as Float64Array;
    expect(days.filter((each) => each < 60).length / days.length).toBeCloseTo(0.25, 2);
  });

  it('of one overdue lie in the days to come, and of one nobody saw moult within its interval', () => {
    const late = draw(paceOf(0.2, 0), GROWTH, 60, 80, undefined, 100, 1).days[0] as Float64Array;
    expect(Math.min(...late)).toBeGreaterThanOrEqual(0);
    expect(numbersOf(late).median).toBeLessThan(30);
    const unknown = draw(paceOf(0.2, 0), GROWTH, 60, { watchedDays: 0 }, undefined, 100, 1).days[0] as Float64Array;
    // Anywhere within an interval of some 60 days: half of it on average.
    expect(unknown.reduce((sum, each) => sum + each, 0) / unknown.length).toBeCloseTo(30.6, 0);
  });

  // Checked against lives played out one by one: every moult is missed one time in ten, and those lives are kept in which none was seen.
  it.each([20, 50, 90])('of one watched for %i days without a moult come out as in lives played out', (watchedDays) => {
    const { days, unseen } = draw(paceOf(0.2, 0), GROWTH, 60, { watchedDays }, undefined, 100, 1);
    const lives = livesWatched(watchedDays);
    const share = unseen.filter((each) => each > 0).length / unseen.length;
    expect(Math.abs(share - lives.missed)).toBeLessThan(0.03);
    expect(Math.abs(numbersOf(days[0] as Float64Array).median - lives.median)).toBeLessThan(2.5);
  });
});

/** Lives with intervals of about 60 days in which no moult was seen: how often one was missed, and the days to the next. */
function livesWatched(watchedDays: number): { missed: number; median: number } {
  // A linear congruential generator (Numerical Recipes, 1992, from memory): the same lives every time.
  let state = 1;
  const even = () => (state = (1664525 * state + 1013904223) % 2 ** 32) / 2 ** 32;
  const interval = () => 60 * Math.exp(0.2 * normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, even()))));
  const left: number[] = [];
  let missed = 0;
  for (let life = 0; life < 60_000; life += 1) {
    let next = interval() * even();
    let moults = 0;
    let isSeen = false;
    while (next < watchedDays) {
      isSeen ||= even() > UNSEEN_SHARE;
      moults += 1;
      next += interval();
    }
    if (isSeen) continue;
    left.push(next - watchedDays);
    if (moults > 0) missed += 1;
  }
  return { missed: missed / left.length, median: numbersOf(Float64Array.from(left)).median };
}

describe('percentiles', () => {
  // Ranks by rounding: of fifteen values the 1st, 7th and 13th, counted from 0.
  const shuffled = Float64Array.from([14, 3, 9, 0, 7, 12, 1, 5, 11, 2, 13, 4, 8, 6, 10]);
  it('are the values at the nearest rank', () => {
    expect(numbersOf(shuffled)).toEqual({ p10: 1, median: 7, p90: 13 });
    expect(numbersOf(Float64Array.of(4))).toEqual({ p10: 4, median: 4, p90: 4 });
  });
  it('leave the list as it was', () => {
    const before = Array.from(shuffled);
    numbersOf(shuffled);
    expect(Array.from(shuffled)).toEqual(before);
  });
});

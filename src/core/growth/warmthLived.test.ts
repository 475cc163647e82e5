import fc from 'fast-check';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { asLived, mondayOf, warmthBetween, type Lived } from './warmthLived';

/* Of weeks the calendar is the judge (ISO 8601: weeks begin on Mondays). */

const FROM = '2025-01-01';
const some = (days: number): Day => addDays(FROM, days);
const weekday = (day: Day) => new Date(`${day}T12:00:00Z`).getUTCDay();

describe('how warm it was where one has lived', () => {
  const home = fc.constantFrom('a', 'b', 'c');
  const lived = fc
    .tuple(
      fc.uniqueArray(fc.nat(500), { minLength: 1, maxLength: 6 }),
      fc.array(home, { minLength: 6, maxLength: 6 }),
      fc.nat(1000),
    )
    .map(([days, homes, seed]): Lived => ({
      stays: days.sort((a, b) => a - b).map((day, at) => ({ from: some(day), homeId: homes[at] ?? 'a' })),
      warmth: (homeId, monday) => 10 + ((homeId.charCodeAt(0) * 7 + daysBetween(FROM, monday) * 13 + seed) % 20),
    }));

  it('is the mean of its days, told one by one', () => {
    fc.assert(
      fc.property(lived, fc.nat(500), fc.integer({ min: 1, max: 200 }), (one, begins, lasts) => {
        const [from, to] = [some(begins), some(begins + lasts)];
        const days = Array.from({ length: lasts }, (_, day) => some(begins + day));
        const told = days.flatMap((day) => {
          const stay = one.stays.findLast((each) => each.from <= day);
          const temperatureC = stay && one.warmth(stay.homeId, mondayOf(day));
          return temperatureC === undefined ? [] : [temperatureC];
        });
        const mean = told.reduce((sum, each) => sum + each, 0) / told.length;
        const answer = warmthBetween(one, from, to);
        if (told.length < lasts / 2) expect(answer).toBeUndefined();
        else expect(answer).toBeCloseTo(Math.round(10 * mean) / 10, 6);
      }),
      { numRuns: 200 },
    );
  });

  it('goes by weeks that begin on Mondays', () => {
    fc.assert(
      fc.property(fc.integer({ min: -9000, max: 9000 }), (days) => {
        const monday = mondayOf(some(days));
        expect(weekday(monday)).toBe(1);
        expect(daysBetween(monday, some(days))).toBeGreaterThanOrEqual(0);
        expect(daysBetween(monday, some(days))).toBeLessThan(7);
      }),
    );
  });

  it('is told of intervals that a moult began and ended, and of no other', () => {
    const warm: Lived = { stays: [{ from: FROM, homeId: 'a' }], warmth: () => 24 };
    const moults = [{ on: some(10) }, { on: some(60) }];
    expect(asLived(moults, warm)).toEqual([{ on: some(10) }, { on: some(60), temperatureC: 24 }]);
    expect(asLived(moults, undefined)).toEqual(moults);
    expect(asLived(moults, { ...warm, warmth: () => undefined })).toEqual(moults);
  });
});

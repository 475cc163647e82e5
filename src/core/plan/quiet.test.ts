import fc from 'fast-check';
import { profileOf } from '@/contract/testing/profileOf';
import { ago, entry, TODAY } from '@/contract/testing/spiderToday';
import { addDays } from '@/core/measure/day';
import { quietOver, quietTime } from './quiet';
import type { LogEntry, MoultOutlook } from './work';

const GROUND = profileOf('ground-tarantula');
const QUIET_DAYS = 10;
const spider = (log: LogEntry[], outlooks: MoultOutlook[] = [], stage: 'adult' | 'spiderling' = 'adult') => ({
  ...{ profile: GROUND, stage, legSpanMm: 118, log, outlooks },
});
const quiet = (...facts: Parameters<typeof spider>) => quietTime(spider(...facts), TODAY);
/** As it stood so many days ago; the moult expected so many days after that. */
const outlook = (daysAgo: number, pct: number, medianInDays = 10): MoultOutlook => ({
  ...{
    asOf: ago(daysAgo),
    premoultPct: pct - 5,
    byNextOfferPct: pct,
    medianOn: addDays(ago(daysAgo), medianInDays),
    closeDays: 20,
  },
  signs: ['refused-food'],
});
const refused = (daysAgo: number) => entry('refused', daysAgo);
const dark = (daysAgo: number) => entry('sign', daysAgo, { sign: 'bald-patch-dark' });

describe('the quiet time', () => {
  it('after a moult ends on the day of the first food, which is a day like any other', () => {
    expect(quiet([entry('moulted', QUIET_DAYS - 1)])).toEqual({ code: 'hardening', feedFrom: addDays(TODAY, 1) });
    expect(quiet([entry('moulted', QUIET_DAYS)])).toBeNull();
  });

  it('begins when a close moult is as likely as chosen, and not a little before', () => {
    expect(quiet([refused(3)], [outlook(3, 49.9)])).toBeNull();
    expect(quiet([refused(3)], [outlook(3, 50)])).toMatchObject({ code: 'premoult', since: ago(3), premoultPct: 45 });
  });

  it('ends with the hardening after the moult that was expected when it began, counted from then where it was late', () => {
    expect(quiet([refused(3)], [outlook(3, 80, 10)])).toMatchObject({ endsOn: addDays(ago(3), 10 + QUIET_DAYS) });
    expect(quiet([refused(3)], [outlook(3, 80, -5)])).toMatchObject({ endsOn: addDays(ago(3), QUIET_DAYS) });
  });

  it('is over on that day: it is not longer for what was noticed in it, and shorter for nothing', () => {
    const outlooks = [outlook(20, 80, 10), outlook(8, 90, 40)];
    expect(quiet([refused(20), refused(8)], outlooks)).toBeNull();
    expect(quietOver(spider([refused(20), refused(8)], outlooks), TODAY)).toEqual({ since: ago(20), endsOn: TODAY });
    expect(quietOver(spider([refused(19)], [outlook(19, 80, 10)]), TODAY)).toBeNull();
  });

  it('begins anew with a refusal after it', () => {
    const log = [refused(40), refused(5)];
    expect(quiet(log, [outlook(40, 80), outlook(5, 80)])).toMatchObject({ since: ago(5), endsOn: addDays(ago(5), 20) });
    expect(quietOver(spider(log, [outlook(40, 80), outlook(5, 20)]), TODAY)).toMatchObject({ since: ago(40) });
  });

  it('is over with a meal or a moult, and then nothing is looked for', () => {
    for (const kind of ['eaten', 'moulted'] as const) {
      const log = [refused(40), entry(kind, 15)];
      expect(quiet(log)).toBeNull();
      expect(quietOver(spider(log, [outlook(40, 80)]), TODAY)).toBeNull();
    }
  });

  it('of a sign that was something else ends after twice the days that signs show', () => {
    const other = (daysAgo: number) => ({ ...outlook(daysAgo, 20), signs: [] });
    expect(quiet([dark(39)], [other(39)])).toMatchObject({ endsOn: addDays(TODAY, 1) });
    expect(quiet([dark(40)], [other(40)])).toBeNull();
    // Nobody can tell when this one moults: 60 days.
    expect(quiet([dark(59)])).toMatchObject({ endsOn: addDays(TODAY, 1) });
    expect(quiet([dark(60)])).toBeNull();
  });

  // Six weeks for a spiderling, a year for the grown; from memory.
  it('ends before it starves, by its stage; what was seen on the animal itself holds as long as it shows', () => {
    const late = [outlook(10, 80, 90)];
    const ate = entry('eaten', 30);
    expect(quiet([ate, refused(10)], late, 'spiderling')).toMatchObject({ endsOn: addDays(TODAY, 12) });
    expect(quiet([ate, refused(10)], late)).toMatchObject({ endsOn: addDays(TODAY, 90) });
    expect(quiet([entry('eaten', 50), refused(10)], late, 'spiderling')).toBeNull();
    expect(quiet([entry('taken-in', 50), refused(10)], late, 'spiderling')).toBeNull();
    expect(quiet([entry('eaten', 50), refused(10), dark(10)], late, 'spiderling')).toMatchObject({
      endsOn: addDays(TODAY, 30),
    });
  });

  it('is nobody’s without a sign, however likely the calendar finds a moult', () => {
    expect(quiet([], [{ ...outlook(0, 99), signs: [] }])).toBeNull();
    expect(quiet([refused(3)], [{ ...outlook(3, 99), signs: [] }])).toBeNull();
  });

  it('has an end that no later day moves, and some end for everybody', () => {
    const noticed = fc.uniqueArray(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(noticed, fc.integer({ min: 60, max: 99 }), fc.integer({ min: -9, max: 60 }), (days, pct, median) => {
        const log = days.map(refused);
        const outlooks = days.sort((a, b) => b - a).map((each) => outlook(each, pct, median));
        const first = days[0] ?? 0;
        const begun = quietTime(spider(log, outlooks), ago(first));
        if (begun?.code !== 'premoult') throw new Error('It begins with the first refusal.');
        for (let on = ago(first); on < begun.endsOn; on = addDays(on, 1)) {
          expect(quietTime(spider(log, outlooks), on)).toMatchObject({ since: ago(first), endsOn: begun.endsOn });
        }
        expect(quietTime(spider(log, outlooks), addDays(TODAY, 400))).toBeNull();
      }),
    );
  });
});

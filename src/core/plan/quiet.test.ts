import { profileOf } from '@/contract/testing/profileOf';
import { ago, entry, TODAY } from '@/contract/testing/spiderToday';
import { addDays } from '@/core/measure/day';
import { quietTime } from './quiet';
import type { LogEntry, MoultOutlook } from './work';

const GROUND = profileOf('ground-tarantula');
const quietDays = Math.max(
  ...GROUND.quietAfterMoult
    .filter(({ stages, fromMm = 0 }) => stages.includes('adult') && fromMm <= 118)
    .map(({ days }) => days),
);
const quiet = (log: LogEntry[], moult?: MoultOutlook) =>
  quietTime({ profile: GROUND, stage: 'adult', legSpanMm: 118, log, moult }, TODAY);
const outlook = (premoultPct: number, medianInDays = 10): MoultOutlook => ({
  ...{ premoultPct, medianOn: addDays(TODAY, medianInDays), closeDays: 20, signs: ['refused-food'] },
});

describe('the quiet time', () => {
  it('after a moult ends on the day of the first food, which is a day like any other', () => {
    expect(quiet([entry('moulted', quietDays - 1)])).toEqual({ code: 'hardening', feedFrom: addDays(TODAY, 1) });
    expect(quiet([entry('moulted', quietDays)])).toBeNull();
  });

  it('begins when a close moult is as likely as chosen, and not a little before', () => {
    const refused = [entry('refused', 3)];
    expect(quiet(refused, outlook(59.9))).toBeNull();
    expect(quiet(refused, outlook(60))).toMatchObject({ code: 'premoult', since: ago(3), premoultPct: 60 });
  });

  it('ends with the hardening after the moult that is expected, counted from today where it is late', () => {
    expect(quiet([entry('refused', 3)], outlook(80, 10))).toMatchObject({ endsOn: addDays(TODAY, 10 + quietDays) });
    expect(quiet([entry('refused', 3)], outlook(80, -5))).toMatchObject({ endsOn: addDays(TODAY, quietDays) });
  });

  it('of a sign that was something else ends after twice the days that signs show', () => {
    const dark = (daysAgo: number) => [entry('sign', daysAgo, { sign: 'bald-patch-dark' })];
    expect(quiet(dark(39), { ...outlook(20), signs: [] })).toMatchObject({ endsOn: addDays(TODAY, 1) });
    expect(quiet(dark(40), { ...outlook(20), signs: [] })).toBeNull();
  });

  it('is nobody’s without a sign, however likely the calendar finds a moult', () => {
    expect(quiet([], { ...outlook(99), signs: [] })).toBeNull();
  });
});

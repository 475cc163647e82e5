import fc from 'fast-check';
import { shippedRests } from '@/contract/shipped';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { HOUR_MS } from '@/core/readings/reading';
import { degreeHoursOutside } from './degreeHours';
import { restPlan, type RestingKind } from './rest';
import { restCourse } from './restCourse';

const KIND = shippedRests.find((each) => each.profiles.includes('ant-small-temperate')) as RestingKind;
const BEGINS: Day = '2026-10-28';
const plan = restPlan({ kind: KIND, hemisphere: 'north', asOf: '2026-10-01', roomC: 22, placeC: 6 });
const at = (days: number) => addDays(BEGINS, days);
const courseOn = (today: Day, done: [string, Day][] = []) => restCourse(plan, KIND, new Map(done), today);
const stepOf = (course: ReturnType<typeof courseOn>, key: string) => course.steps.find((each) => each.key === key);
const READY: [string, Day][] = [
  ['feed-well-1', at(-18)],
  ['last-food-1', at(-4)],
  ['clear-food-1', at(-3)],
  ['count-1', at(0)],
];
const COOLED: [string, Day][] = [
  ...READY,
  ...[0, 4, 8, 12].map((days, index): [string, Day] => [`cool-${index + 1}`, at(days)]),
];

describe('a rest under way', () => {
  it('that keeps its days is the plan', () => {
    const course = courseOn(at(-20));
    expect(course).toMatchObject({ phase: 'before', isFasting: false, isQuiet: false, lateDays: 0, targetC: 22 });
    expect(course.steps.map(({ what, on }) => ({ what, on }))).toEqual(
      [...plan.steps].sort((a, b) => a.on.localeCompare(b.on)).map(({ what, on }) => ({ what, on })),
    );
  });

  it('is never cooled with food in it: a late last meal moves the cooling', () => {
    const course = courseOn(at(6), [...READY.slice(0, 1), ['last-food-1', at(6)]]);
    expect(course.isFasting).toBe(true);
    expect(stepOf(course, 'clear-food-1')?.on).toBe(at(7));
    expect(stepOf(course, 'cool-1')?.on).toBe(at(10));
    expect(stepOf(course, 'cool-2')?.on).toBe(at(14));
    expect(course.lateDays).toBeGreaterThan(0);
    // It ends in its season all the same.
    expect(course.endsOn).toBe(plan.steps.at(-1)?.on);
  });

  it('is cold once its last step down is made, looked at from the last look on, and over with its first food', () => {
    const cold = courseOn(at(50), [...COOLED, ['check-1', at(45)]]);
    expect(cold).toMatchObject({ phase: 'cold', isQuiet: true, isFasting: true, targetC: 6 });
    expect(stepOf(cold, 'check-2')?.on).toBe(at(45 + 21));
    const skipped = courseOn(at(100), COOLED);
    expect(stepOf(skipped, 'check-1')).toMatchObject({ on: at(100), plannedOn: at(16 + 21) });
    const end: [string, Day][] = ['warm-1', 'warm-2', 'warm-3', 'warm-4', 'count-2', 'first-food-1'].map(
      (key, index) => [key, at(120 + 4 * index)],
    );
    expect(courseOn(at(142), [...COOLED, ...end.slice(0, 2)])).toMatchObject({ phase: 'warming', targetC: 14 });
    expect(courseOn(at(142), [...COOLED, ...end])).toMatchObject({ phase: 'over', isQuiet: false, isFasting: false });
  });

  it('in a room that is as cool as its place is cold once it was counted', () => {
    const still = restPlan({ kind: KIND, hemisphere: 'north', asOf: '2026-10-01', roomC: 7, placeC: 7 });
    expect(still.steps.some(({ what }) => what === 'cool' || what === 'warm')).toBe(false);
    const course = restCourse(still, KIND, new Map(READY), at(40));
    expect(course).toMatchObject({ phase: 'cold', isQuiet: true, targetC: 7 });
    expect(stepOf(course, 'check-1')?.on).toBe(at(40));
  });

  it('says when it was held up so long that the cold is hardly worth it', () => {
    expect(courseOn(at(20), READY).isShort).toBe(false);
    expect(courseOn(at(95), READY).isShort).toBe(true);
  });

  it('whatever was done when, never steps faster than its kind bears, and never into the past', () => {
    const keys = courseOn(BEGINS)
      .steps.filter((each) => each.what !== 'hold')
      .map((each) => each.key);
    const history = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 14 }).map((delays) => {
      let day = at(-18);
      return delays.map((delay, index): [string, Day] => {
        day = addDays(day, delay);
        return [keys[index] ?? '', day];
      });
    });
    fc.assert(
      fc.property(history, fc.integer({ min: 0, max: 60 }), (done, later) => {
        const today = addDays(done.at(-1)?.[1] ?? BEGINS, later);
        const { steps } = courseOn(today, done);
        const open = steps.filter((each) => each.doneOn === null && !each.isPassed && each.what !== 'hold');
        for (const each of open) expect(each.on >= today).toBe(true);
        for (const what of ['cool', 'warm']) {
          const stairs = steps.filter((each) => each.what === what);
          stairs.forEach((each, index) => {
            const before = stairs[index - 1];
            if (!before || each.doneOn !== null || each.isPassed) return;
            expect(daysBetween(before.on, each.on)).toBeGreaterThanOrEqual(KIND.daysPerStep.value);
          });
        }
      }),
    );
  });
});

describe('degree-hours outside a band', () => {
  const band = { min: 5, max: 10 };
  const line = (values: number[], stepHours = 1) =>
    values.map((temperatureC, index) => ({ at: index * stepHours * HOUR_MS, temperatureC }));

  it('are the area beyond the limits', () => {
    expect(degreeHoursOutside(line([12, 12, 12]), band)).toEqual({ above: 4, below: 0, hours: 2 });
    // From 8 to 12 in four hours: over ten for the last two, two degrees at the end.
    expect(degreeHoursOutside(line([8, 12], 4), band)).toEqual({ above: 2, below: 0, hours: 4 });
    // A gap of a night says nothing.
    expect(degreeHoursOutside(line([12, 12], 9), band)).toEqual({ above: 0, below: 0, hours: 0 });
  });

  it('of a wave about a limit are those of its closed form', () => {
    const values = Array.from(
      { length: 24 * 12 + 1 },
      (_, index) => 10 + 2 * Math.sin((index / (24 * 12)) * 2 * Math.PI),
    );
    // The upper half of a sine of amplitude a and period T: a T / pi.
    expect(degreeHoursOutside(line(values, 1 / 12), band).above).toBeCloseTo((2 * 24) / Math.PI, 1);
  });
});

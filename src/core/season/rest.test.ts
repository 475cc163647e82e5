import fc from 'fast-check';
import { shippedRests } from '@/contract/shipped';
import { addDays, daysBetween } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { refusalOf } from '@/core/testing/refusalOf';
import { HEMISPHERES } from './year';
import { restPlan, type RestingKind, type RestKind, type RestQuestion } from './rest';
import { restCourse } from './restCourse';

const kindOf = (profile: string) => shippedRests.find((each) => each.profiles.includes(profile)) as RestKind;
const SMALL = kindOf('ant-small-temperate');
const LARGE = kindOf('ant-large-mediterranean');
const ask = (change: Partial<RestQuestion> = {}): RestQuestion => ({
  ...{ kind: SMALL, hemisphere: 'north', asOf: '2026-10-01', roomC: 22, placeC: 7 },
  ...change,
});

/** The plan; null where what is left of the season is too short for one. */
function restPlanOrRefusal(question: RestQuestion) {
  try {
    return restPlan(question);
  } catch (error) {
    if (error instanceof Refusal) return null;
    throw error;
  }
}

const RESTING = shippedRests.flatMap((each) => (each.need === 'never' ? [] : each));

describe('a winter rest', () => {
  // Common practice, no source: small temperate kinds from the end of October to March at 5-10 C.
  it('of a small temperate kind goes from the end of October to March, at 5 to 10 C', () => {
    const plan = restPlan(ask());
    expect(plan.beginsOn).toBe('2026-10-28');
    expect(plan.endsOn.slice(0, 7)).toBe('2027-03');
    expect(plan.restC).toBe(7);
    expect(plan.warnings).toEqual([]);
    const acts = plan.steps.map((step) => step.what);
    expect(acts.slice(0, 4)).toEqual(['feed-well', 'last-food', 'clear-food', 'count']);
    expect(acts.slice(-2)).toEqual(['count', 'first-food']);
    expect(acts.filter((each) => each === 'check').length).toBeGreaterThanOrEqual(3);
  });

  // From memory: six months apart in the south.
  it('is six months apart in the south', () => {
    const south = restPlan(ask({ hemisphere: 'south', asOf: '2026-04-01' }));
    expect(Math.abs(daysBetween(south.beginsOn, '2026-04-28'))).toBeLessThanOrEqual(2);
  });

  // Common practice, no source: large Mediterranean kinds never under 10 C for hours on end.
  it('never goes below the floor of its kind, and says that the place is too cold', () => {
    const plan = restPlan(ask({ kind: LARGE, placeC: 4 }));
    expect(plan.warnings).toContain('place-below-floor');
    expect(Math.min(...plan.steps.map((step) => step.targetC))).toBe(10);
    expect(restPlan(ask({ placeC: 14 })).warnings).toContain('place-too-warm');
    expect(restPlan(ask({ roomC: 9 })).warnings).toContain('room-is-cool-enough');
  });

  it('that is begun late ends in its season; too late it waits for the next', () => {
    const late = restPlan(ask({ asOf: '2026-11-09' }));
    expect(late.warnings).toEqual(['late']);
    expect(late.endsOn).toBe(restPlan(ask()).endsOn);
    expect(restPlan(ask({ asOf: '2026-12-20' })).warnings).toEqual(['very-late']);
    expect(restPlan(ask({ asOf: '2027-03-01' })).beginsOn).toBe('2027-10-28');
    expect(refusalOf(() => restPlan(ask({ asOf: '2026-10-01', startOn: '2027-02-20' }))).fields[0]?.path).toBe(
      'startOn',
    );
  });

  it('warns at the limits and not at them: a place as cold as the floor, as warm as the band, three weeks late', () => {
    const { bandC, floorC } = SMALL as RestingKind;
    const warned = (change: Partial<RestQuestion>) => restPlan(ask(change)).warnings;
    expect(warned({ placeC: bandC.min })).toEqual([]);
    expect(warned({ placeC: bandC.max })).toEqual([]);
    expect(warned({ placeC: bandC.max + 0.1 })).toEqual(['place-too-warm']);
    expect(warned({ placeC: bandC.min - 0.1 })).toEqual(['place-too-cold']);
    expect(warned({ placeC: floorC.value })).toEqual(['place-too-cold']);
    expect(warned({ placeC: floorC.value - 0.1 })).toEqual(['place-below-floor']);
    expect(warned({ roomC: bandC.max })).toEqual(['room-is-cool-enough']);
    expect(warned({ roomC: bandC.max + 0.1 })).toEqual([]);
    // Its season begins on 28 October.
    expect(warned({ asOf: '2026-10-28' })).toEqual([]);
    expect(warned({ asOf: '2026-10-29' })).toEqual(['late']);
    expect(warned({ asOf: '2026-11-18' })).toEqual(['late']);
    expect(warned({ asOf: '2026-11-19' })).toEqual(['very-late']);
  });

  it('has its steps on their days, to the day', () => {
    const { steps, beginsOn, endsOn } = restPlan(ask({ placeC: 7, roomC: 22 }));
    const { degreesPerStep, daysPerStep, checkEveryDays } = SMALL as RestingKind;
    const days = (what: string) =>
      steps.filter((step) => step.what === what).map(({ on }) => daysBetween(beginsOn, on));
    const stairs = Math.ceil((22 - 7) / degreesPerStep.value);
    expect(days('feed-well')).toEqual([-18]);
    expect(days('last-food')).toEqual([-4]);
    expect(days('clear-food')).toEqual([-3]);
    expect(days('cool')).toEqual(Array.from({ length: stairs }, (_, index) => index * daysPerStep.value));
    expect(days('hold')).toEqual([stairs * daysPerStep.value]);
    const [hold = NaN] = days('hold');
    const [warm = NaN] = days('warm');
    expect(warm).toBe(daysBetween(beginsOn, endsOn) - stairs * daysPerStep.value);
    // Looked at every so many days while it is held, and not on the day on which it is warmed.
    days('check').forEach((day, index) => expect(day).toBe(hold + (index + 1) * checkEveryDays.value));
    expect(Math.max(...days('check'))).toBeLessThan(warm);
    expect(Math.max(...days('check')) + checkEveryDays.value).toBeGreaterThanOrEqual(warm);
    expect(days('first-food')).toEqual([daysBetween(beginsOn, endsOn) + 1]);
  });

  it('is not given to those that are not cooled down, and is a matter of choice for some', () => {
    expect(refusalOf(() => restPlan(ask({ kind: kindOf('ant-leafcutter') }))).fields[0]?.path).toBe('profile');
    expect(restPlan(ask({ kind: kindOf('land-snail'), asOf: '2026-10-20' })).warnings).toEqual(['not-needed']);
  });

  it('is cooled and warmed by small steps, in the order of the days, wherever and whenever', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RESTING),
        fc.constantFrom(...HEMISPHERES),
        fc.integer({ min: 0, max: 900 }),
        fc.double({ min: 12, max: 30, noNaN: true }),
        fc.double({ min: -5, max: 20, noNaN: true }),
        (kind, hemisphere, day, roomC, placeC) => {
          const plan = restPlan(ask({ kind, hemisphere, asOf: addDays('2026-01-01', day), roomC, placeC }));
          const { steps } = plan;
          for (const [index, step] of steps.entries()) {
            const before = steps[index - 1];
            if (!before) continue;
            expect(step.on >= before.on).toBe(true);
            expect(Math.abs(step.targetC - before.targetC)).toBeLessThanOrEqual(kind.degreesPerStep.value + 1e-9);
            expect(step.targetC).toBeGreaterThanOrEqual(Math.min(roomC, kind.floorC.value) - 1e-9);
          }
          expect(steps.at(-1)?.targetC).toBeCloseTo(roomC, 9);
          expect(plan.beginsOn >= addDays('2026-01-01', day)).toBe(true);
        },
      ),
    );
  });

  // A floor is a floor: whatever the room, the place and the day are.
  it('is never under its floor, and never before the day it is planned on, in 400 random houses', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RESTING),
        fc.constantFrom(...HEMISPHERES),
        fc.integer({ min: 0, max: 900 }),
        fc.option(fc.integer({ min: 0, max: 60 }), { nil: undefined }),
        fc.double({ min: 8, max: 30, noNaN: true }),
        fc.double({ min: -15, max: 25, noNaN: true }),
        fc.boolean(),
        (kind, hemisphere, day, startIn, roomC, placeC, isUnopened) => {
          const asOf = addDays('2026-01-01', day);
          const startOn = startIn === undefined ? undefined : addDays(asOf, startIn);
          const question = { kind: { ...kind, isUnopened }, hemisphere, asOf, startOn, roomC, placeC };
          const plan = restPlanOrRefusal(question);
          if (plan === null) return;
          for (const { targetC, on } of plan.steps) {
            expect(targetC).toBeGreaterThanOrEqual(Math.min(roomC, kind.floorC.value) - 1e-9);
            expect(on >= asOf).toBe(true);
          }
          expect(plan.endsOn > plan.beginsOn).toBe(true);
          const below = placeC < kind.floorC.value;
          expect(plan.warnings.includes('place-below-floor')).toBe(below);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('of eggs has no meals in it, and is over once they are counted', () => {
    const eggs = shippedRests.find((each) => each.profiles.includes('moth-cold-egg')) as RestingKind;
    const { steps } = restPlan({ kind: eggs, hemisphere: 'north', asOf: '2026-09-01', roomC: 20, placeC: 4 });
    const acts = new Set(steps.map((step) => step.what));
    expect([...acts].filter((what) => what.includes('food') || what === 'feed-well')).toEqual([]);
    expect(steps.at(-1)?.what).toBe('count');
    const done = new Map([['count-2', '2027-03-25']]);
    expect(restCourse({ steps }, eggs, done, '2027-03-26').phase).toBe('over');
  });
});

import fc from 'fast-check';
import { shippedProfiles } from '@/contract/shipped';
import { profileOf } from '@/contract/testing/profileOf';
import { entry, LARDER, TODAY } from '@/contract/testing/spiderToday';
import { addDays, daysBetween } from '@/core/measure/day';
import { absencePlan, type AbsentOne } from './absence';
import { dueWork } from './due';
import { levelling, planHouse, type HousePlan, type PlannedJob } from './levelling';
import { quietTime } from './quiet';
import { closedFor, isClosed } from './spans';
import type { JobKind } from './jobs';
import type { LogEntry, LogKind, ResidentToday } from './work';
import { workAhead } from './workAhead';

const KINDS: LogKind[] = [
  'taken-in',
  'offered',
  'eaten',
  'refused',
  'watered',
  'misted',
  'damped',
  'cleaned',
  'moulted',
  'sign',
  'calcium',
  'turned',
];

const line = (kind: LogKind, daysAgo: number): LogEntry =>
  entry(kind, daysAgo, kind === 'sign' ? { sign: 'dull' } : {});

const home = {
  container: {
    shape: 'box',
    lengthMm: 310,
    widthMm: 240,
    heightMm: 296,
    lid: 'solid',
    vents: [],
  } as ResidentToday['home']['container'],
  substrateDepthMm: 130,
};

/** Anybody of any kind that ships, with any log. */
const anybody: fc.Arbitrary<ResidentToday> = fc
  .record({
    profile: fc.constantFrom(...shippedProfiles),
    share: fc.double({ min: 0.3, max: 1, noNaN: true }),
    heads: fc.constantFrom(1, 8),
    log: fc.array(fc.tuple(fc.constantFrom(...KINDS), fc.integer({ min: 0, max: 120 })), { maxLength: 12 }),
    dampIn: fc.option(fc.integer({ min: -5, max: 30 }), { nil: null }),
  })
  .map(({ profile, share, heads, log, dampIn }): ResidentToday => ({
    ...{ profile, home, larder: LARDER, hemisphere: 'north' as const },
    form: heads === 1 ? 'single' : 'group',
    headCount: heads === 1 ? undefined : heads,
    stage: profile.stages.at(-1) ?? 'adult',
    [profile.measure.takes]: profile.growth.grownMm.value * share,
    log: [line('taken-in', 400), ...log.map(([kind, ago]) => line(kind, ago))],
    ...(dampIn !== null && {
      watering: {
        ...{ dueOn: addDays(TODAY, dampIn), holdsDays: 21, waterMl: 40, dampWetness: 0.4, dampWetnessMin: 0.4 },
        ...{ by: 'damped' as const, since: TODAY, way: 'at-end' as const },
      },
    }),
  }));

const house = fc
  .array(anybody, { minLength: 1, maxLength: 6 })
  .map((list) => list.map((today, index) => ({ id: `r${index}`, today })));
/** What is looked after follows its meal, and of two meals there are two. */
const LOOKS: ReadonlySet<JobKind> = new Set(['leftovers', 'search'] as const);
const jobsOf = (plan: HousePlan): PlannedJob[] => [...plan.jobs.values()].flat();

describe('the work ahead', () => {
  it('falls in no day on which its animal is left alone, keeps every tolerance, and its minutes add up', () => {
    fc.assert(
      fc.property(house, fc.integer({ min: 7, max: 120 }), (residents, days) => {
        const plan = planHouse(residents, TODAY, days);
        for (const { id, today } of residents) {
          const outlook = workAhead(today, TODAY, days);
          for (const job of plan.jobs.get(id) ?? []) {
            expect(isClosed(job.on, LOOKS.has(job.kind) ? [] : closedFor(job.kind, outlook))).toBe(false);
            expect(job.on).toBeGreaterThanOrEqual(Math.max(0, job.due));
            // What is late already is done today.
            expect(job.on).toBeLessThanOrEqual(Math.max(0, job.until));
            expect(job.on).toBeLessThan(days);
          }
        }
        const total = jobsOf(plan).reduce((sum, job) => sum + job.minutes, 0);
        expect(plan.minutes.reduce((sum, each) => sum + each, 0)).toBeCloseTo(total, 6);
      }),
      { numRuns: 60 },
    );
  });

  it('holds every job that is due today once, and of one kind none twice on a day', () => {
    fc.assert(
      fc.property(house, (residents) => {
        const plan = planHouse(residents, TODAY, 14);
        for (const { id, today } of residents) {
          const planned = plan.jobs.get(id) ?? [];
          const perDay = planned.filter(({ kind }) => !LOOKS.has(kind)).map(({ kind, on }) => `${kind} ${on}`);
          expect(new Set(perDay).size).toBe(perDay.length);
          for (const { kind } of dueWork(today, TODAY).jobs.filter((job) => job.doneBy === undefined)) {
            const found = planned.filter((job) => job.kind === kind && job.due <= 0).length;
            if (LOOKS.has(kind)) expect(found).toBeGreaterThan(0);
            else expect(found).toBe(1);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('is the same by what was foreseen before of those of whom nothing was written since, and for a longer time', () => {
    fc.assert(
      fc.property(house, (residents) => {
        const known = residents.map((each) => ({ ...each, outlook: workAhead(each.today, TODAY, 200) }));
        const level = levelling(TODAY, 60);
        for (const { id, outlook } of known) level.add(id, outlook);
        const plain = planHouse(residents, TODAY, 60);
        expect([...level.plan.jobs]).toEqual([...plain.jobs]);
        expect(planHouse(known, TODAY, 60).minutes).toEqual(plain.minutes);
      }),
      { numRuns: 40 },
    );
  });

  it('holds a settled move on its own day, and what was put off on the day that was named', () => {
    const today: ResidentToday = {
      ...{ profile: profileOf('ground-tarantula'), stage: 'adult', legSpanMm: 118, home, larder: LARDER },
      log: [
        line('taken-in', 400),
        { ...line('skipped', 0), skip: { job: 'water', until: addDays(TODAY, 3), why: 'no-time' } },
      ],
      move: { id: 'm', toHomeId: 'h', toCode: 'N3', on: addDays(TODAY, 5), from: TODAY, until: addDays(TODAY, 9) },
    };
    const planned = planHouse([{ id: 'r', today }], TODAY, 14).jobs.get('r') ?? [];
    expect(planned.filter(({ kind }) => kind === 'move').map(({ on }) => on)).toEqual([5]);
    expect(planned.find(({ kind }) => kind === 'water')?.on).toBeGreaterThanOrEqual(3);
  });

  it('is spread: a week of boxes that are all due today is lighter at its fullest than all at once', () => {
    const one: ResidentToday = {
      profile: profileOf('ground-tarantula'),
      stage: 'adult',
      legSpanMm: 118,
      home,
      log: [line('taken-in', 400), line('watered', 7), line('cleaned', 30)],
      larder: LARDER,
    };
    const residents = Array.from({ length: 20 }, (_, index) => ({ id: `r${index}`, today: one }));
    const plan = planHouse(residents, TODAY, 7);
    const atOnce = jobsOf(plan)
      .filter((job) => job.due <= 0)
      .reduce((sum, job) => sum + job.minutes, 0);
    expect(Math.max(...plan.minutes)).toBeLessThan(0.5 * atOnce);
    // A day without time is left out as long as anything else is borne.
    const busy = planHouse(residents, TODAY, 7, new Set([2]));
    expect(jobsOf(busy).filter((job) => job.on === 2 && job.until > 2)).toEqual([]);
  });

  // Common practice, no source: cuttings last twice as long in winter; the other half of the world has its winter in July.
  it('follows the seasons of its half of the world', () => {
    const hedge: ResidentToday = {
      profile: profileOf('stick-insect'),
      stage: 'adult',
      bodyLengthMm: 80,
      headCount: 8,
      form: 'group',
      home,
      log: [line('taken-in', 400), line('offered', 3)],
      larder: LARDER,
      hemisphere: 'north',
    };
    const feeds = (hemisphere: 'north' | 'south', from: number) =>
      (planHouse([{ id: 'r', today: { ...hedge, hemisphere } }], TODAY, 366).jobs.get('r') ?? []).filter(
        ({ kind, on }) => kind === 'feed' && on >= from && on < from + 60,
      ).length;
    // From the middle of June on: summer in the north.
    expect(feeds('north', 95)).toBeGreaterThan(1.5 * feeds('south', 95));
  });
});

describe('an absence', () => {
  const spider = (log: LogEntry[], change: Partial<ResidentToday> = {}): ResidentToday => ({
    ...{ profile: profileOf('ground-tarantula'), stage: 'adult', legSpanMm: 118, home, larder: LARDER },
    log: [line('taken-in', 400), line('cleaned', 1), ...log],
    ...change,
  });
  const one = (id: string, today: ResidentToday, isDangerous = false): AbsentOne => ({ id, today, isDangerous });
  const plan = (residents: AbsentOne[], fromDays: number, days: number) =>
    absencePlan({
      residents,
      today: TODAY,
      from: addDays(TODAY, fromDays),
      until: addDays(TODAY, fromDays + days - 1),
    });

  it('of a few days needs nobody for an adult that was fed and watered', () => {
    const { visits, cannotWait } = plan(
      [one('a', spider([line('offered', 2), line('eaten', 1), line('watered', 1)]))],
      1,
      5,
    );
    expect({ visits, cannotWait }).toEqual({ visits: [], cannotWait: [] });
  });

  it('has what is better done before on the day before, and food so early that what is left comes out', () => {
    const { before } = plan([one('a', spider([line('offered', 12), line('eaten', 11), line('watered', 6)]))], 4, 14);
    const on = (kind: string) => before.find(({ tasks }) => tasks.some((task) => task.kind === kind))?.on;
    expect(on('water')).toBe(addDays(TODAY, 3));
    expect(on('feed')).toBe(addDays(TODAY, 2));
    expect(on('leftovers')).toBe(addDays(TODAY, 3));
  });

  it('takes the fewest visits: those of boxes that bear different days fall together', () => {
    const snails = (log: LogEntry[]): ResidentToday => ({
      ...{
        profile: profileOf('stick-insect'),
        stage: 'adult' as const,
        bodyLengthMm: 80,
        headCount: 8,
        form: 'group' as const,
      },
      ...{ home, larder: LARDER, hemisphere: 'north' as const, log: [line('taken-in', 400), ...log] },
    });
    const residents = [one('a', snails([line('offered', 0)])), one('b', snails([line('offered', 1)]))];
    const { visits } = plan(residents, 1, 10);
    for (const { tasks } of visits.filter(({ tasks }) => tasks.some(({ kind }) => kind === 'mist'))) {
      expect(tasks.filter(({ kind }) => kind === 'mist')).toHaveLength(2);
    }
  });

  it('says what must stay shut, and until when: the moulting, the hardening, and those that bite', () => {
    const residents = [
      one('soft', spider([line('moulted', 3)])),
      one('biter', spider([line('offered', 2), line('watered', 1)]), true),
    ];
    const { neverOpen } = plan(residents, 2, 5);
    expect(neverOpen).toEqual([
      { residentId: 'soft', why: 'hardening', until: expect.stringMatching(/^2026-03-/) },
      { residentId: 'biter', why: 'dangerous', until: null },
    ]);
    // What cannot wait there is for somebody who knows them, and never on a sitter's list.
    const long = plan(residents, 2, 60);
    expect(long.needsKeeper).toEqual(expect.arrayContaining(['soft', 'biter']));
    expect(long.visits.flatMap(({ tasks }) => tasks)).toEqual([]);
  });

  it('never sends anybody to a box in its closed days, and never later than it bears', () => {
    fc.assert(
      fc.property(house, fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 30 }), (residents, from, days) => {
        const { visits, cannotWait, needsKeeper } = plan(
          residents.map(({ id, today }) => one(id, today)),
          from,
          days,
        );
        const last = addDays(TODAY, from + days - 1);
        expect(visits.every(({ on }) => on >= addDays(TODAY, from) && on <= last)).toBe(true);
        for (const { residentId, kind, until } of cannotWait) {
          if (needsKeeper.includes(residentId)) continue;
          const first = visits.find(({ tasks }) =>
            tasks.some((task) => task.residentId === residentId && task.kind === kind),
          );
          expect(first?.on ?? '').not.toBe('');
          const bears = until < addDays(TODAY, from) ? addDays(TODAY, from) : until;
          const today = residents.find(({ id }) => id === residentId)?.today as ResidentToday;
          const closed = closedFor(kind, workAhead(today, TODAY, from + days));
          // Where it was shut on that day it is done on a later one.
          if (!closed.some((span) => addDays(TODAY, span.from) <= bears)) expect((first?.on ?? '') <= bears).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('in the past, the wrong way round, or for half a year is refused', () => {
    expect(() => plan([], -1, 3)).toThrow(RangeError);
    expect(() => plan([], 3, 0)).toThrow(RangeError);
    expect(() => plan([], 3, 200)).toThrow(RangeError);
    // 120 days are the most, and one that begins today is none in the past.
    expect(() => plan([], 3, 121)).toThrow(RangeError);
    expect(plan([], 3, 120).days).toBe(120);
    expect(plan([], 0, 1).days).toBe(1);
  });

  it('keeps a box shut whose quiet time ends after the first day away, and opens one whose time is over by then', () => {
    const { feedFrom } = quietTime(spider([line('moulted', 3)]), TODAY) as { feedFrom: string };
    const until = daysBetween(TODAY, feedFrom);
    const shut = (fromDays: number) => plan([one('soft', spider([line('moulted', 3)]))], fromDays, 3).neverOpen.length;
    expect(shut(until - 1)).toBe(1);
    expect(shut(until)).toBe(0);
  });

  it('borne to its last day waits; a day longer it cannot', () => {
    const thirsty = spider([line('offered', 1), line('eaten', 0), line('watered', 0)]);
    const due = workAhead(thirsty, TODAY, 60).streams.find(({ kind }) => kind === 'water');
    const last = (due?.due ?? NaN) + (due?.toleranceDays ?? NaN);
    const names = (days: number) => plan([one('a', thirsty)], 0, days).cannotWait.map(({ kind }) => kind);
    expect(names(last)).not.toContain('water');
    expect(names(last + 1)).toContain('water');
  });
});

import fc from 'fast-check';
import type { Shelf } from '@/contract/records';
import type { Stop } from '@/contract/round';
import { JOB_KINDS } from '@/core/plan/jobs';
import type { Job } from '@/core/plan/work';
import { whyNot } from '../seasons/MoveDay';
import { marksOn, minutesOn, monthsOn, weeksOfMonth } from '../seasons/calendarDays';
import { placesOf, sectionsOf } from './sections';

const TODAY = '2026-03-14';
const shelf = (id: string, position: number): Shelf => ({
  id,
  name: id,
  room: 'R',
  roomId: 'r',
  position,
  loadLimitKg: null,
});
const SHELVES = [shelf('low', 1), shelf('high', 2)];

const job = fc.record({
  kind: fc.constantFrom(...JOB_KINDS),
  cannotWait: fc.boolean(),
  lighterIn: fc.option(fc.integer({ min: 1, max: 6 }), { nil: undefined }),
});
const stops: fc.Arbitrary<Stop[]> = fc
  .array(fc.record({ shelfId: fc.constantFrom('low', 'high', 'elsewhere'), jobs: fc.array(job, { maxLength: 4 }) }), {
    maxLength: 8,
  })
  .map((list) =>
    list.map(({ shelfId, jobs }, index) => ({
      ...{ residentId: `r${index}`, homeId: `h${index}`, shelfId, leaveAlone: null, waiting: [] },
      jobs: jobs.map(
        (each): Job =>
          ({ ...each, dueOn: TODAY, until: TODAY, minutes: 1, reason: { code: 'never', since: TODAY } }) as Job,
      ),
    })),
  );

describe('the parts of a walk', () => {
  it.each([
    ['beside what it arose from', false, TODAY, ['low']],
    ['among what cannot wait, where that could not either', true, TODAY, ['first']],
    ['among what cannot wait, the day after', false, '2026-03-13', ['first', 'low']],
  ])('hold what arises from a meal %s', (_, cannotWait, on, keys) => {
    const facts = { dueOn: TODAY, until: TODAY, minutes: 1 };
    const fed = { ...facts, kind: 'feed', cannotWait, reason: { code: 'never', since: TODAY }, doneBy: 'meal' };
    const search = {
      ...{ ...facts, kind: 'search', cannotWait: true },
      reason: { code: 'offered', on, at: `${on}T18:00:00Z`, entryId: 'meal' },
    };
    const who = { residentId: 'r', homeId: 'h', shelfId: 'low', leaveAlone: null, waiting: [] };
    const stop: Stop = { ...who, jobs: [search, fed] as Job[] };
    expect(sectionsOf([stop], SHELVES, TODAY).map(({ key }) => key)).toEqual(keys);
    // Left undone it cannot wait on the day after, also where nothing else about the stop has changed.
    expect(sectionsOf([stop], SHELVES, '2026-03-15')[0]?.stops[0]?.jobs.map(({ kind }) => kind)).toContain('search');
    expect(sectionsOf([stop], SHELVES, '2026-03-15')[0]?.key).toBe('first');
  });

  it('hold every job of the shelves that are walked once, what cannot wait first', () => {
    fc.assert(
      fc.property(stops, (all) => {
        const sections = sectionsOf(all, SHELVES, TODAY);
        const shown = sections.flatMap((section) =>
          section.stops.flatMap(({ residentId, jobs }) => jobs.map((each) => [residentId, each] as const)),
        );
        const wanted = all
          .filter(({ shelfId }) => shelfId !== 'elsewhere')
          .flatMap(({ residentId, jobs }) => jobs.map((each) => [residentId, each] as const));
        expect(shown).toHaveLength(wanted.length);
        for (const [residentId, each] of wanted)
          expect(shown.some(([id, one]) => id === residentId && one === each)).toBe(true);
        for (const { key, stops: at } of sections) {
          for (const each of at.flatMap(({ jobs }) => jobs)) expect(each.cannotWait).toBe(key === 'first');
        }
        expect(sections.map(({ key }) => key)).toEqual(
          ['first', 'low', 'high', 'later'].filter((key) => sections.some((each) => each.key === key)),
        );
      }),
    );
  });

  it('are drawn from the first stop on, none left out in between', () => {
    fc.assert(
      fc.property(stops, fc.nat(20), (all, count) => {
        const sections = sectionsOf(all, SHELVES, TODAY);
        const at = placesOf(sections, count).flatMap((section) => section.at);
        expect(at.every(({ isDrawn }) => isDrawn)).toBe(true);
        expect(at.map(({ stop }) => stop)).toEqual(sections.flatMap((section) => section.stops).slice(0, count));
      }),
    );
  });

  it('come back from where the walk was left, in the room that they took, whatever is drawn first', () => {
    fc.assert(
      fc.property(stops, fc.nat(20), fc.nat(), (all, count, seen) => {
        const sections = sectionsOf(all, SHELVES, TODAY);
        const before = placesOf(sections, Infinity).flatMap((section) => section.at);
        const firstSeen = before[seen % Math.max(1, before.length)]?.key ?? '';
        const left = { firstSeen, heightPx: new Map(before.map(({ key }, index) => [key, 60 + index])) };
        const now = placesOf(sections, count, left).flatMap((section) => section.at);
        expect(now.map(({ key }) => key)).toEqual(before.map(({ key }) => key));
        now.forEach((place, index) => {
          const from = (index - (seen % now.length) + now.length) % now.length;
          expect(place.isDrawn ? 'drawn' : place.heightPx).toBe(from < count ? 'drawn' : 60 + index);
        });
      }),
    );
  });

  it('that came since the walk was left wait their turn, and those that are gone leave no room', () => {
    const stop = (residentId: string): Stop => ({
      ...{ residentId, homeId: 'h', shelfId: 'low', leaveAlone: null, waiting: [] },
      jobs: [],
    });
    const section = (...ids: string[]) => [{ key: 'low', name: 'low', stops: ids.map(stop) }];
    const left = {
      firstSeen: 'row low b',
      heightPx: new Map([
        ['row low a', 70],
        ['row low b', 80],
        ['row low gone', 90],
      ]),
    };
    const at = placesOf(section('a', 'new', 'b', 'c'), 2, left)[0]?.at.map(({ key, isDrawn }) => [key, isDrawn]);
    expect(at).toEqual([
      ['row low a', false],
      ['row low b', true],
      ['row low c', true],
    ]);
  });
});

describe('the day of a move', () => {
  const window = { from: '2026-03-16', until: '2026-03-30' };
  const closed = [{ from: '2026-03-20', until: '2026-03-24', why: 'moult' as const }];

  it('is free within its window, and elsewhere told why not', () => {
    expect(whyNot('2026-03-18', TODAY, window, closed)).toBeNull();
    expect(whyNot('2026-03-13', TODAY, window, closed)).toBe('that day is over');
    expect(whyNot('2026-03-15', TODAY, window, closed)).toBe('its window opens on 16 Mar');
    expect(whyNot('2026-03-31', TODAY, window, closed)).toMatch(/^its window closes on/);
    expect(whyNot('2026-03-22', TODAY, window, closed)).toMatch(/^a moult is expected, or just over \(/);
  });
});

describe('a month of days', () => {
  it('has every day of it once, in weeks from Monday', () => {
    // 2026-03-01 is a Sunday, and 2028 is a leap year: by the calendar.
    expect(weeksOfMonth('2026-03-01')[0]).toEqual([null, null, null, null, null, null, '2026-03-01']);
    expect(
      weeksOfMonth('2028-02-01')
        .flat()
        .filter((day) => day !== null),
    ).toHaveLength(29);
    expect(monthsOn('2026-11-01', 3)).toBe('2027-02-01');
    expect(monthsOn('2026-02-01', -3)).toBe('2025-11-01');
  });

  it('knows what touches a day, a move by its own day alone', () => {
    const of = { residentId: 'r', moveId: null, toHomeId: null };
    const seasons = {
      ...{ from: TODAY, days: 3, minutes: [10, 20, 30], busyDays: [], absences: [], closed: [] },
      marks: [
        { ...of, kind: 'moult' as const, from: '2026-03-15', until: '2026-03-20', median: '2026-03-17' },
        { ...of, kind: 'move' as const, from: '2026-03-14', until: '2026-03-30', median: '2026-03-16' },
      ],
    };
    expect(marksOn(seasons, '2026-03-16').map(({ kind }) => kind)).toEqual(['moult', 'move']);
    expect(marksOn(seasons, '2026-03-18').map(({ kind }) => kind)).toEqual(['moult']);
    expect(minutesOn(seasons, '2026-03-16')).toBe(30);
    expect(minutesOn(seasons, '2026-03-20')).toBe(0);
  });
});

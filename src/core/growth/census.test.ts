import fc from 'fast-check';
import { addDays } from '@/core/measure/day';
import { censusOf, typicalMoults, type GroupEntry } from './census';

const TODAY = '2026-03-14';
const ago = (days: number) => addDays(TODAY, -days);
const entry = (kind: string, daysAgo: number, data: GroupEntry['data'] = {}): GroupEntry => ({
  kind,
  on: ago(daysAgo),
  at: `${ago(daysAgo)}T19:00:00.000Z`,
  data,
});

describe('the heads of a group', () => {
  it('are followed from coming to going: dead, passed on, or here', () => {
    const census = censusOf(
      [
        entry('taken-in', 50, { headCount: 15, instar: 1 }),
        entry('moulted', 30, { count: 12, instar: 2 }),
        entry('died', 20, { count: 2, instar: 1 }),
        entry('passed-on', 10, { count: 3, instar: 2 }),
        entry('joined', 5, { count: 4 }),
      ],
      TODAY,
    );
    expect(census).toMatchObject({ heads: 14, instars: { 1: 1, 2: 9 }, missing: 0 });
    const deaths = census.durations.filter((_, index) => census.died[index]);
    expect(deaths).toEqual([30, 30]);
    expect(census.durations.filter((days) => days === 40)).toHaveLength(3);
    expect(census.durations.filter((days) => days === 5)).toHaveLength(4);
    expect(census.durations).toHaveLength(19);
  });

  it('count with those that were there already: 12 of 15 are now L4', () => {
    const at = (count: number) =>
      censusOf(
        [
          entry('taken-in', 60, { headCount: 15, instar: 3 }),
          entry('moulted', 20, { count: 5, instar: 4 }),
          entry('moulted', 10, { count, instar: 4 }),
        ],
        TODAY,
      ).instars;
    expect(at(12)).toEqual({ 3: 3, 4: 12 });
    expect(at(3)).toEqual({ 3: 10, 4: 5 });
  });

  it('that a count does not find are taken for dead, and those it finds more for newcomers', () => {
    const from = (headCount: number) =>
      censusOf([entry('taken-in', 40, { headCount: 20 }), entry('measured', 10, { headCount })], TODAY);
    expect(from(17)).toMatchObject({ heads: 17, missing: 3 });
    expect(from(17).died.filter(Boolean)).toHaveLength(3);
    expect(from(26).durations.filter((days) => days === 10)).toHaveLength(6);
    const told = censusOf(
      [entry('taken-in', 40, { headCount: 20 }), entry('measured', 10, { instars: { 2: 4, 3: 14 } })],
      TODAY,
    );
    expect(told).toMatchObject({ heads: 18, instars: { 2: 4, 3: 14 }, missing: 2 });
  });

  it('begin anew when eggs hatch', () => {
    const census = censusOf(
      [
        entry('taken-in', 100, { headCount: 60 }),
        entry('died', 50, { count: 5 }),
        entry('hatched', 20, { headCount: 31 }),
      ],
      TODAY,
    );
    expect(census).toMatchObject({ heads: 31, instars: { 1: 31 } });
    expect(census.durations).toEqual(Array.from({ length: 31 }, () => 20));
  });

  it('cannot leave in greater number than they are, in whatever order that was written', () => {
    const came = entry('taken-in', 30, { headCount: 4 });
    expect(() => censusOf([came, entry('died', 5, { count: 5 })], TODAY)).toThrow(/There were 4/);
    const later = [entry('died', 9, { count: 6 }), came, entry('joined', 5, { count: 8 })];
    expect(() => censusOf(later, TODAY)).toThrow('count');
  });

  it('are never lost or made: all that came died, left or are here', () => {
    const step = fc.record({
      kind: fc.constantFrom('died', 'passed-on', 'parted', 'joined', 'moulted'),
      count: fc.integer({ min: 1, max: 6 }),
      instar: fc.option(fc.integer({ min: 1, max: 7 }), { nil: undefined }),
      daysAgo: fc.integer({ min: 0, max: 90 }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.array(step, { maxLength: 25 }), (headCount, steps) => {
        const entries = [
          entry('taken-in', 100, { headCount, instar: 1 }),
          ...steps.map(({ kind, count, instar, daysAgo }) =>
            entry(kind, daysAgo, { count, ...(instar !== undefined && { instar }) }),
          ),
        ];
        // By another way: whoever leaves must have been there on that day.
        let here = headCount;
        const isPossible = [...steps]
          .sort((a, b) => b.daysAgo - a.daysAgo)
          .every(({ kind, count }) => {
            if (kind === 'moulted') return true;
            here += kind === 'joined' ? count : -count;
            return here >= 0;
          });
        if (!isPossible) {
          expect(() => censusOf(entries, TODAY)).toThrow(/There were/);
          return;
        }
        const census = censusOf(entries, TODAY);
        expect(census.heads).toBe(here);
        const joined = steps.filter(({ kind }) => kind === 'joined').reduce((sum, { count }) => sum + count, 0);
        expect(census.durations).toHaveLength(headCount + joined);
        const died = steps.filter(({ kind }) => kind === 'died').reduce((sum, { count }) => sum + count, 0);
        expect(census.died.filter(Boolean)).toHaveLength(died);
        const told = Object.values(census.instars).reduce((sum, each) => sum + each, 0);
        expect(told).toBeLessThanOrEqual(census.heads);
        expect(Math.min(0, ...Object.values(census.instars))).toBe(0);
      }),
      { numRuns: 200, endOnFailure: true },
    );
  });

  it('moult as a group on the day half of it had', () => {
    const census = censusOf(
      [
        entry('taken-in', 90, { headCount: 10, instar: 1 }),
        entry('moulted', 70, { count: 3, instar: 2 }),
        entry('moulted', 66, { count: 6, instar: 2 }),
        entry('moulted', 60, { count: 10, instar: 2 }),
        entry('moulted', 40, { count: 4, instar: 3 }),
      ],
      TODAY,
    );
    expect(typicalMoults(census, census.heads)).toEqual([
      { on: ago(90), instar: 1 },
      { on: ago(66), instar: 2 },
    ]);
  });
});

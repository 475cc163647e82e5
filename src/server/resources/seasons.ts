import type { SeasonMark, Seasons } from '@/contract/plan';
import { addDays, type Day } from '@/core/measure/day';
import { guarded } from '../guarded';
import { closedSpans } from '@/core/plan/workAhead';
import { busyDaysOf, growthAhead, planOf, YEAR_DAYS } from '../house/housePlan';
import { houseToday, type HouseToday, type Lodger } from '../house/houseToday';
import { inTurn, keptFor } from '../house/inTurn';
import type { Handlers } from '../http/mount';
import { listAbsences } from '../storage/absences';
import type { Deps } from './deps';

/** Moults looked ahead for the year. */
const MOULTS = 4;
/** A window that ends so far off says nothing more. days */
const WIDEST_DAYS = 200;

export function seasonHandlers({ database, clock }: Deps): Pick<Handlers, 'seasons'> {
  return {
    seasons: async (): Promise<Seasons> => {
      const on = clock.today();
      const house = await houseToday(database, on, clock.now());
      const busyDays = await busyDaysOf(database, on, YEAR_DAYS);
      const until = addDays(on, YEAR_DAYS - 1);
      const foreseen = (await inTurn(house.lodgers, (lodger) => keptMarks(house, lodger))).flat();
      return {
        from: on,
        days: YEAR_DAYS,
        marks: foreseen.filter((mark) => mark.until >= on && mark.from <= until),
        minutes: Array.from((await planOf(house, YEAR_DAYS, busyDays)).minutes, Math.round),
        busyDays,
        absences: await listAbsences(database, on),
        closed: (await inTurn(house.lodgers, closedOf)).flat(),
      };
    },
  };
}

const NO_MOVE = { moveId: null, toHomeId: null };

/** What was foreseen of one, as long as nothing about it changes, nor what others of its kind have told. */
const marks = new WeakMap<Lodger, { print: string; marks: SeasonMark[] }>();

function keptMarks(house: HouseToday, lodger: Lodger): SeasonMark[] {
  const print = house.facts.printOf(lodger.resident.scientificName);
  const known = marks.get(lodger);
  if (known?.print === print) return known.marks;
  const found = guarded(() => marksOf(house, lodger)) ?? [];
  marks.set(lodger, { print, marks: found });
  return found;
}

/** Everything that is foreseen of one resident. */
function marksOf(house: HouseToday, lodger: Lodger): SeasonMark[] {
  const { resident, today } = lodger;
  const { on } = house;
  const of = { residentId: resident.id, ...NO_MOVE };
  const growth = growthAhead(house, lodger, MOULTS);
  const windows = growth ? [growth.next, ...growth.later].filter((each) => each !== null) : [];
  const near = windows.filter(({ p10, p90 }) => addDays(p10, WIDEST_DAYS) >= p90);
  const { rest, move } = today;
  const firstWorkers = house.colonies.get(resident.id)?.founding?.firstWorkers;
  return [
    ...near.map(({ p10, median, p90 }) => ({ ...of, kind: 'moult' as const, from: p10, until: p90, median })),
    ...(growth?.outgrown
      ? [
          {
            ...of,
            kind: 'outgrown' as const,
            from: growth.outgrown.p10,
            until: growth.outgrown.p90,
            median: growth.outgrown.median,
          },
        ]
      : []),
    ...(firstWorkers
      ? [
          {
            ...{ ...of, kind: 'workers' as const },
            ...{ from: firstWorkers.p10, until: firstWorkers.p90, median: firstWorkers.median },
          },
        ]
      : []),
    ...comingMarks(lodger).map((mark) => ({ ...of, ...mark })),
    ...(rest && rest.course.phase !== 'over'
      ? [{ ...of, kind: 'rest' as const, median: null, ...restSpan(rest.course, on) }]
      : []),
    ...(move
      ? [
          {
            ...of,
            kind: 'move' as const,
            from: move.from,
            until: move.until,
            median: move.on,
            moveId: move.id,
            toHomeId: move.toHomeId,
          },
        ]
      : []),
  ];
}

/** What comes out of eggs and cocoons, and the night on which moths are put together. */
function comingMarks({ today: { coming } }: Lodger): Pick<SeasonMark, 'kind' | 'from' | 'until' | 'median'>[] {
  const { window, pair } = coming ?? {};
  return [
    ...(window ? [{ kind: window.what, from: window.from, until: window.until, median: window.median }] : []),
    ...(pair ? [{ kind: 'pair' as const, from: pair.on, until: pair.on, median: pair.on }] : []),
  ];
}

function restSpan({ steps, endsOn }: { steps: { on: Day }[]; endsOn: Day }, on: Day): { from: Day; until: Day } {
  return { from: steps[0]?.on ?? on, until: endsOn };
}

/** When one is not moved, and why. */
const closedOf = keptFor(({ on, today, resident }: Lodger): Seasons['closed'] => {
  const { rest, quiet } = closedSpans(today, on, YEAR_DAYS);
  const told = (why: 'rest' | 'moult') => (span: { from: number; to: number }) => ({
    residentId: resident.id,
    from: addDays(on, span.from),
    until: addDays(on, Math.min(span.to, YEAR_DAYS) - 1),
    why,
  });
  return [...rest.map(told('rest')), ...quiet.map(told('moult'))].filter(({ from, until }) => from <= until);
});

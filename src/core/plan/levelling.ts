import type { Day } from '@/core/measure/day';
import { closedFor, opensAt, type Span } from './spans';
import { workAhead, type Outlook, type Stream } from './workAhead';
import type { JobKind } from './jobs';
import type { DueWork, ResidentToday } from './work';

/** One piece of work on its day; days are counted from the first day of the plan. */
export interface PlannedJob {
  kind: JobKind;
  /** From this day on it is due (before the first day: it is late), and it is borne to wait until that one. */
  due: number;
  until: number;
  on: number;
  minutes: number;
}

/** The work of a house for some time ahead, levelled by minutes. */
export interface HousePlan {
  from: Day;
  days: number;
  /** Minutes of work of each day. */
  minutes: Float64Array;
  /** By resident. */
  jobs: ReadonlyMap<string, readonly PlannedJob[]>;
  /** Days, counted from the first, on which nobody has time: work goes there only when it can go nowhere else. */
  busy: ReadonlySet<number>;
}

/** One whose work is planned; with what is due on the first day, where that is known already. */
export interface Planned {
  id: string;
  today: ResidentToday;
  due?: DueWork | undefined;
  /** Its work ahead, for at least as many days, where that is known already. */
  outlook?: Outlook | undefined;
}

/** A job goes on a later day within its tolerance when that day is lighter by more than this for each day. Chosen here */
const MINUTES_A_DAY_LATE = 2;
/** A busy day counts as so much fuller. min */
const BUSY_MINUTES = 10_000;

/**
 * Plans the work of a house. Each job goes on the lightest day from the one on which it is due to the last one that is
 * borne, a day of waiting weighing two minutes; what is late goes on the first day. What comes again is due anew from the
 * day on which it was planned. Greedy, in the order of the residents: no job leaves its tolerance, and none falls in the
 * days on which its animal is left alone.
 * @param days 1 to 366
 * @param busy days, counted from the first, on which nobody has time
 */
export function planHouse(
  residents: readonly Planned[],
  from: Day,
  days: number,
  busy: ReadonlySet<number> = new Set(),
): HousePlan {
  const level = levelling(from, days, busy);
  for (const { id, today, due, outlook } of residents) level.add(id, outlook ?? workAhead(today, from, days, due));
  return level.plan;
}

/** The same, resident by resident, for whoever does other things in between. The plan is whole when all were added. */
export function levelling(
  from: Day,
  days: number,
  busy: ReadonlySet<number> = new Set(),
): { add: (id: string, outlook: Outlook) => void; plan: HousePlan } {
  const minutes = new Float64Array(days);
  const jobs = new Map<string, readonly PlannedJob[]>();
  return {
    add: (id, outlook) => jobs.set(id, placed(outlook, minutes, days, busy)),
    plan: { from, days, minutes, jobs, busy },
  };
}

/** Puts the work of one resident on days, and adds its minutes there. */
function placed(outlook: Outlook, load: Float64Array, days: number, busy: ReadonlySet<number>): PlannedJob[] {
  const jobs: PlannedJob[] = [];
  for (const stream of outlook.streams) {
    const closed = closedFor(stream.kind, outlook);
    placeStream(stream, closed, jobs, load, days, busy);
  }
  return jobs;
}

function placeStream(
  stream: Stream,
  closed: readonly Span[],
  jobs: PlannedJob[],
  load: Float64Array,
  days: number,
  busy: ReadonlySet<number>,
): void {
  const { kind, minutes, then, toleranceDays } = stream;
  let due = stream.due;
  for (;;) {
    const first = opensAt(Math.max(0, due), closed);
    if (first >= days) return;
    // What could not be done while the box was closed is due when it opens.
    if (first > Math.max(0, due)) due = first;
    const until = due + toleranceDays;
    const on = lightest(first, lastDay(first, until, closed, days), load, busy);
    jobs.push({ kind, due, until, on, minutes });
    load[on] = (load[on] ?? 0) + minutes;
    if (then && on + then.afterDays < days) {
      const day = on + then.afterDays;
      jobs.push({ kind: then.kind, due: day, until: day, on: day, minutes: then.minutes });
      load[day] = (load[day] ?? 0) + then.minutes;
    }
    const every = stream.next(on);
    if (every === null) return;
    due = on + Math.max(1, every);
  }
}

/** The last day that is borne, before the box closes, within the plan. */
function lastDay(first: number, until: number, closed: readonly Span[], days: number): number {
  let last = Math.max(first, Math.min(until, days - 1));
  for (const span of closed) if (span.from > first && span.from <= last) last = span.from - 1;
  return last;
}

function lightest(first: number, last: number, load: Float64Array, busy: ReadonlySet<number>): number {
  let best = first;
  let least = Infinity;
  for (let day = first; day <= last; day += 1) {
    const cost = (load[day] ?? 0) + MINUTES_A_DAY_LATE * (day - first) + (busy.has(day) ? BUSY_MINUTES : 0);
    if (cost >= least) continue;
    best = day;
    least = cost;
  }
  return best;
}

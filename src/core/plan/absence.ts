import { factsOf, type JobKind } from './jobs';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { quietTime } from './quiet';
import { closedFor, isClosed, opensAt, type Span } from './spans';
import { workAhead, type Outlook, type Stream } from './workAhead';
import type { LeaveAlone, ResidentToday } from './work';

/** Longer absences are no matter for a sitter. Chosen here */
export const MOST_ABSENT_DAYS = 120;

export interface AbsenceQuestion {
  residents: readonly AbsentOne[];
  /** Today, and the days on which nobody of the house is there. */
  today: Day;
  from: Day;
  until: Day;
}

export interface AbsentOne {
  id: string;
  today: ResidentToday;
  /** It bites, stings or throws hairs: nobody who does not know it opens its box. */
  isDangerous: boolean;
}

/** One thing to do at a box on a day. */
export interface Task {
  residentId: string;
  kind: JobKind;
}

export interface Visit {
  on: Day;
  tasks: Task[];
}

export interface AbsencePlan {
  days: number;
  /** What is done before leaving, each on its day: food is given so early that what is left can be taken out. */
  before: Visit[];
  /** The fewest days on which a sitter has to come, and for what. */
  visits: Visit[];
  /** Boxes that cannot wait so long, by what would be missing first and from when on. */
  cannotWait: { residentId: string; kind: JobKind; until: Day }[];
  /** Boxes that stay shut, with the reason; `until` null where nobody can say. */
  neverOpen: { residentId: string; why: 'dangerous' | LeaveAlone['code']; until: Day | null }[];
  /** Those of them that cannot wait: no visit of a sitter is for these, whoever opens them has to know them. */
  needsKeeper: string[];
  /** Work that may wait until somebody is back. */
  waits: number;
}

/**
 * What has to be done when nobody is there from one day to another: what is better done the day before, which boxes cannot
 * wait, and the fewest visits of a sitter that keep every box within what it bears (a visit on the last day that the first
 * of them bears, then the same again with what is left: for intervals on a line that is the least number).
 * @throws RangeError when the days are in the wrong order, gone by, or more than 120
 */
export function absencePlan({ residents, today, from, until }: AbsenceQuestion): AbsencePlan {
  const first = daysBetween(today, from);
  const last = daysBetween(today, until);
  if (first < 0 || last < first || last - first >= MOST_ABSENT_DAYS) {
    throw new RangeError(`An absence begins today or later and takes 1 to ${MOST_ABSENT_DAYS} days.`);
  }
  const before = new Map<number, Task[]>();
  const needs: Need[] = [];
  const cannotWait: AbsencePlan['cannotWait'] = [];
  const neverOpen: AbsencePlan['neverOpen'] = [];
  let waits = 0;
  for (const { id, today: resident, isDangerous } of residents) {
    const outlook = workAhead(resident, today, last + 1);
    const quiet = quietTime(resident, today);
    const isQuiet = quiet !== null && stillAt(quiet, from);
    if (isQuiet) neverOpen.push({ residentId: id, why: quiet.code, until: endOf(quiet) });
    else if (isDangerous) neverOpen.push({ residentId: id, why: 'dangerous', until: null });
    for (const stream of outlook.streams) {
      const need = needOf(id, stream, outlook, first, last, isQuiet || isDangerous);
      if (need === null) continue;
      if (need === 'waits') {
        waits += 1;
        continue;
      }
      if (need.ahead !== null)
        before.set(need.ahead, [...(before.get(need.ahead) ?? []), { residentId: id, kind: stream.kind }]);
      if (need.ahead !== null && stream.then && need.ahead + stream.then.afterDays < first) {
        const day = need.ahead + stream.then.afterDays;
        before.set(day, [...(before.get(day) ?? []), { residentId: id, kind: stream.then.kind }]);
      }
      if (need.deadline > last) continue;
      cannotWait.push({ residentId: id, kind: stream.kind, until: addDays(today, need.deadline) });
      needs.push(need);
    }
  }
  const inOrder = (map: ReadonlyMap<number, Task[]>) =>
    [...map].sort(([a], [b]) => a - b).map(([day, tasks]) => ({ on: addDays(today, day), tasks }));
  return {
    days: last - first + 1,
    before: inOrder(before),
    visits: inOrder(
      fewestVisits(
        needs.filter((need) => !need.isShut),
        first,
        last,
      ),
    ),
    cannotWait: cannotWait.sort((a, b) => a.until.localeCompare(b.until)),
    neverOpen,
    needsKeeper: [...new Set(needs.filter((need) => need.isShut).map(({ residentId }) => residentId))],
    waits,
  };
}

/** Work of one box that comes up while everybody is away. */
interface Need {
  residentId: string;
  stream: Stream;
  closed: readonly Span[];
  /** It is not opened by a sitter. */
  isShut: boolean;
  /** The day before leaving on which it is done, where that helps; counted from today. */
  ahead: number | null;
  /** The last day on which it is borne to be done. */
  deadline: number;
}

/** Null for what does not come up at all; `waits` for what is borne until somebody is back. */
function needOf(
  residentId: string,
  stream: Stream,
  outlook: Outlook,
  first: number,
  last: number,
  isShut: boolean,
): Need | 'waits' | null {
  const closed = closedFor(stream.kind, outlook);
  const due = opensAt(Math.max(0, stream.due), closed);
  if (due > last) return null;
  // What is due once before anybody leaves is done on the walk of its day.
  if (due < first && stream.next(due) === null) return null;
  if (Math.max(due, stream.due + stream.toleranceDays) > last) return 'waits';
  if (!factsOf(stream.kind).isForSitters && !factsOf(stream.kind).canBeAhead) return 'waits';
  // Food is given so early that what is left can still be taken out.
  const ahead = first - 1 - (stream.then?.afterDays ?? 0);
  const canAhead = factsOf(stream.kind).canBeAhead && ahead >= 0 && !isClosed(ahead, closed);
  const every = canAhead ? stream.next(ahead) : null;
  const next = every === null ? due : opensAt(Math.max(ahead + Math.max(1, every), first), closed);
  const deadline = (every === null ? Math.max(due, first) : next) + stream.toleranceDays;
  if (!factsOf(stream.kind).isForSitters && deadline <= last)
    return canAhead ? { residentId, stream, closed, isShut, ahead, deadline: Infinity } : 'waits';
  return { residentId, stream, closed, isShut, ahead: canAhead ? ahead : null, deadline };
}

/** Visits on the last day that the most pressing box bears; whatever is due by then is done on the same visit. */
function fewestVisits(needs: readonly Need[], first: number, last: number): Map<number, Task[]> {
  const visits = new Map<number, Task[]>();
  const open = needs.map((need) => ({
    need,
    dueBy: Math.max(first, need.deadline - need.stream.toleranceDays),
    deadline: Math.max(first, need.deadline),
  }));
  for (;;) {
    const day = Math.min(...open.map(({ deadline }) => deadline));
    if (!(day <= last)) return visits;
    const tasks: Task[] = [];
    for (const each of open) {
      if (each.dueBy > day || isClosed(day, each.need.closed)) {
        // Shut on the day of the visit: it is due when it opens.
        if (each.deadline <= day) each.deadline = opensAt(day + 1, each.need.closed);
        continue;
      }
      const { stream, closed, residentId } = each.need;
      tasks.push({ residentId, kind: stream.kind });
      const every = stream.next(day);
      each.dueBy = every === null ? Infinity : opensAt(day + Math.max(1, every), closed);
      each.deadline = each.dueBy + stream.toleranceDays;
      // What is left of a meal has to come out, whoever gave it.
      if (stream.then && stream.then.afterDays > 0 && day + stream.then.afterDays <= last) {
        const after = day + stream.then.afterDays;
        const stop = { ...stream, kind: stream.then.kind, then: null, toleranceDays: 0, next: () => null };
        open.push({ need: { ...each.need, stream: stop }, dueBy: after, deadline: after });
      }
    }
    if (tasks.length > 0) visits.set(day, [...(visits.get(day) ?? []), ...tasks]);
  }
}

const endOf = (quiet: LeaveAlone): Day | null => (quiet.code === 'hardening' ? quiet.feedFrom : quiet.endsOn);
const stillAt = (quiet: LeaveAlone, day: Day) => {
  const end = endOf(quiet);
  return quiet.code === 'founding' || end === null || end > day;
};

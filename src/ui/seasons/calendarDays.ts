import type { SeasonMark, Seasons } from '@/contract/plan';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { parseISO } from 'date-fns/parseISO';

export type MarkKind = SeasonMark['kind'];

/** What is drawn in lanes, one below the other: some kinds share one. */
export const LANES: { kind: MarkKind; kinds: readonly MarkKind[]; title: string }[] = [
  { kind: 'move', kinds: ['move'], title: 'Moves' },
  { kind: 'outgrown', kinds: ['outgrown'], title: 'Outgrown' },
  { kind: 'moult', kinds: ['moult'], title: 'Moults' },
  { kind: 'hatch', kinds: ['hatch', 'emerge', 'pair', 'workers'], title: 'Hatching' },
  { kind: 'rest', kinds: ['rest'], title: 'Rest' },
];

/** The kinds of marks in the lane of one. */
export const inLane = (kind: MarkKind): readonly MarkKind[] =>
  LANES.find((lane) => lane.kind === kind)?.kinds ?? [kind];

/** One mark of each kind. */
export const MARK_TITLES: Record<MarkKind, string> = {
  move: 'move',
  outgrown: 'outgrown home',
  moult: 'moult',
  hatch: 'hatch',
  emerge: 'moths come out',
  pair: 'pairing night',
  workers: 'first workers',
  rest: 'winter rest',
};

/** Minutes of work of a day; 0 outside the year that was worked out. */
export const minutesOn = ({ from, minutes }: Seasons, day: Day): number => minutes[daysBetween(from, day)] ?? 0;

/** What touches a day: a move by its own day, everything else by its window. */
export function marksOn({ marks }: Seasons, day: Day): SeasonMark[] {
  return marks.filter((mark) => (mark.kind === 'move' ? mark.median === day : mark.from <= day && mark.until >= day));
}

/** What is likeliest on a day, or begins on it: fewer than all that touch it. */
export function headlinesOn(seasons: Seasons, day: Day): SeasonMark[] {
  return marksOn(seasons, day).filter((mark) => (mark.median ?? mark.from) === day);
}

export const isAway = ({ absences }: Seasons, day: Day): boolean =>
  absences.some(({ keeperId, from, until }) => keeperId === null && day >= from && day <= until);

/** The Monday of the week of a day. */
export const weekOf = (day: Day): Day => addDays(day, -((parseISO(day).getDay() + 6) % 7));

export const monthOf = (day: Day): Day => `${day.slice(0, 7)}-01`;

/** The first day of the month so many months on. */
export function monthsOn(month: Day, by: number): Day {
  const at = Number(month.slice(0, 4)) * 12 + Number(month.slice(5, 7)) - 1 + by;
  return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}-01`;
}

/** The first days of the twelve months after a day. */
export const monthsAfter = (day: Day): Day[] =>
  Array.from({ length: 12 }, (_, index) => monthsOn(monthOf(day), index + 1));

/** The days of a month in weeks from Monday; null where another month fills the week. */
export function weeksOfMonth(month: Day): (Day | null)[][] {
  const next = monthsOn(month, 1);
  const weeks: (Day | null)[][] = [];
  for (let monday = weekOf(month); monday < next; monday = addDays(monday, 7)) {
    weeks.push(
      Array.from({ length: 7 }, (_, index) => {
        const day = addDays(monday, index);
        return day >= month && day < next ? day : null;
      }),
    );
  }
  return weeks;
}

export const monthWords = (month: Day): string =>
  parseISO(month).toLocaleDateString('en-GB', { month: 'long', year: 'numeric' });

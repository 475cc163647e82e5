import { daysBetween, type Day } from '@/core/measure/day';

/** So many of the last days, weeks and months have a backup each. */
const KEPT = { days: 7, weeks: 4, months: 12 };
/** A Monday. */
const MONDAY = '2024-01-01';

const weekOf = (day: Day) => Math.floor(daysBetween(MONDAY, day) / 7);
const monthOf = (day: Day) => day.slice(0, 7);

/** The name of the file in which a house stays that gave way to another. @param now UTC */
export const asideName = (now: string): string => `before-${now.replace(/[:.]/g, '-')}.zip`;

/** Of some backups, by their days, those that are kept: the newest of each of the last days, weeks and months that have any. */
export function keptOf(days: readonly Day[]): Set<Day> {
  const newestFirst = [...new Set(days)].sort().reverse();
  const newestOf = (period: (day: Day) => string | number, most: number) => {
    const seen = new Map<string | number, Day>();
    for (const day of newestFirst) if (!seen.has(period(day))) seen.set(period(day), day);
    return [...seen.values()].slice(0, most);
  };
  return new Set([
    ...newestFirst.slice(0, KEPT.days),
    ...newestOf(weekOf, KEPT.weeks),
    ...newestOf(monthOf, KEPT.months),
  ]);
}

import { formatISO } from 'date-fns/formatISO';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';

/** A local calendar day written `YYYY-MM-DD`; it has no time zone and no time of day. */
export type Day = string;

const WRITTEN = /^\d{4}-\d{2}-\d{2}$/;

/**
 * True when `text` is a day that exists in the calendar, written `YYYY-MM-DD`.
 * @example isDay('2024-02-29') // true
 * @example isDay('2023-02-29') // false
 */
export function isDay(text: string): boolean {
  return WRITTEN.test(text) && isValid(parseISO(text));
}

/** The calendar day that a moment falls on in this process's time zone. */
export function dayOfMoment(moment: Date): Day {
  return formatISO(moment, { representation: 'date' });
}

/**
 * The day `days` after `day` (before it when negative); fractions are dropped.
 * @throws RangeError when `day` is not a day.
 */
export function addDays(day: Day, days: number): Day {
  return new Date(utcOf(day) + Math.trunc(days) * DAY_MS).toISOString().slice(0, 10);
}

/** Whole days from `from` to `to`; negative when `to` is earlier, NaN when either is not written as a day. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((utcOf(to) - utcOf(from)) / DAY_MS);
}

/** The last of some days. */
export const latestDay = (first: Day, ...others: Day[]): Day =>
  others.reduce((one, other) => (one > other ? one : other), first);

/** The first of some days. */
export const earliestDay = (first: Day, ...others: Day[]): Day =>
  others.reduce((one, other) => (one < other ? one : other), first);

const DAY_MS = 86_400_000;

/** The noon of a day as if it were in UTC, where no day is longer than another; NaN for what is not written as one. */
function utcOf(day: Day): number {
  return WRITTEN.test(day)
    ? Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8)), 12)
    : NaN;
}

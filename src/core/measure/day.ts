import { addDays as addCalendarDays } from 'date-fns/addDays';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
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
  return dayOfMoment(addCalendarDays(parseISO(day), Math.trunc(days)));
}

/** Whole days from `from` to `to`; negative when `to` is earlier, NaN when either is not a day. */
export function daysBetween(from: Day, to: Day): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}

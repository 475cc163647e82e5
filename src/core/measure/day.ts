import { Temporal } from 'temporal-polyfill';

/** A local calendar day written `YYYY-MM-DD`; it has no time zone and no time of day. */
export type Day = string;

/**
 * True when `text` is a day that exists in the calendar, written `YYYY-MM-DD`.
 * @example isDay('2024-02-29') // true
 * @example isDay('2023-02-29') // false
 */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  try {
    Temporal.PlainDate.from(text, { overflow: 'reject' });
    return true;
  } catch {
    return false;
  }
}

/**
 * The day `days` after `day` (before it when negative); fractions are dropped.
 * @throws RangeError when `day` is not a day.
 */
export function addDays(day: Day, days: number): Day {
  return Temporal.PlainDate.from(day)
    .add({ days: Math.trunc(days) })
    .toString();
}

/**
 * Whole days from `from` to `to`; negative when `to` is earlier.
 * @throws RangeError when either is not a day.
 */
export function daysBetween(from: Day, to: Day): number {
  return Temporal.PlainDate.from(from).until(Temporal.PlainDate.from(to), { largestUnit: 'days' }).days;
}

import { parseISO } from 'date-fns/parseISO';
import { dayOfMoment, daysBetween, type Day } from '@/core/measure/day';
import { countWords } from './count';

/** A day near today in words, else as a date: "today", "yesterday", "Sunday", "1 Dec", "14 Jan 2027". */
export function dayWords(day: Day, today: Day): string {
  const ago = daysBetween(day, today);
  if (ago === 0) return 'today';
  if (ago === 1) return 'yesterday';
  if (ago === -1) return 'tomorrow';
  if (ago > 1 && ago < 7) return weekday(day);
  return dayTick(day, today);
}

/** A day with its year: "14 Mar 2026". */
export const fullDayWords = (day: Day): string =>
  parseISO(day).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** "Saturday 19 December". */
export const longDayWords = (day: Day): string =>
  parseISO(day).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

/** The weekday of a day, for a title. */
export function weekday(day: Day): string {
  return parseISO(day).toLocaleDateString('en-GB', { weekday: 'long' });
}

/** The time of an instant on this device's clock, `19:40`. */
export function timeWords(instant: string): string {
  return new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
}

/** "today at 19:40", on this device's clock. */
export const momentWords = (instant: string, today: Day): string =>
  `${dayWords(dayOfMoment(new Date(instant)), today)} at ${timeWords(instant)}`;

export function daysWords(days: number): string {
  return countWords(days, 'day');
}

/** A day of a month: "23 November". */
export const dateWords = (day: Day): string =>
  parseISO(day).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });

/** A day along an axis: "6 Dec", and with its year where that is not this one. */
export const dayTick = (day: Day, today: Day): string =>
  parseISO(day).toLocaleDateString('en-GB', {
    ...{ day: 'numeric', month: 'short' },
    ...(day.slice(0, 4) === today.slice(0, 4) ? {} : { year: 'numeric' }),
  });

import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';
import { addDays, type Day } from '@/core/measure/day';

/** Something with a place in a calendar. */
export interface CalendarEvent {
  /** Stays the same as long as it is the same thing: a phone that subscribes moves it instead of adding it. */
  uid: string;
  title: string;
  text: string;
  when:
    | { kind: 'days'; from: Day; until: Day }
    /** At a time of day on the clock of a time zone. */
    | { kind: 'time'; on: Day; at: string; zone: string; minutes: number };
}

const PRODUCT = '-//Verdant Burrow//Rounds//EN';

/**
 * An iCalendar file (RFC 5545). Times are written in UTC, each worked out for its own day: the walk at seven stays at seven
 * when the clocks change, and no reader needs to know the zone.
 * @param stampedAt instant at which the file is made, for DTSTAMP
 */
export function calendarFile(name: string, events: readonly CalendarEvent[], stampedAt: string): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', PRODUCT);
  calendar.addPropertyWithValue('calscale', 'GREGORIAN');
  calendar.addPropertyWithValue('x-wr-calname', name);
  for (const { uid, title, text, when } of events) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${uid}@verdant-burrow.invalid`);
    event.addPropertyWithValue('dtstamp', utc(Date.parse(stampedAt)));
    event.addPropertyWithValue('summary', title);
    if (text !== '') event.addPropertyWithValue('description', text);
    if (when.kind === 'days') {
      event.addPropertyWithValue('dtstart', ICAL.Time.fromDateString(when.from));
      // The end of all-day events is the day after the last.
      event.addPropertyWithValue('dtend', ICAL.Time.fromDateString(addDays(when.until, 1)));
      event.addPropertyWithValue('transp', 'TRANSPARENT');
    } else {
      const start = instantOf(when.on, when.at, when.zone);
      event.addPropertyWithValue('dtstart', utc(start));
      event.addPropertyWithValue('dtend', utc(start + 60_000 * when.minutes));
    }
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

/** An hour that is left out when the clocks go forward is taken for the one after it. ms since 1970 */
export function instantOf(on: Day, at: string, zone: string): number {
  return Temporal.PlainDateTime.from(`${on}T${at}`).toZonedDateTime(zone).epochMilliseconds;
}

const utc = (ms: number) => ICAL.Time.fromJSDate(new Date(Math.floor(ms / 1000) * 1000), true);

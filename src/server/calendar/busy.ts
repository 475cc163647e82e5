import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';
import { addDays, type Day } from '@/core/measure/day';
import { invalid } from '../http/problem';

/** Nobody has more events, or more repeats of one, in the time that is looked at. */
const MOST_REPEATS = 4000;
const MOST_EVENTS = 5000;
const HOUR_MS = 3_600_000;

interface Stretch {
  fromMs: number;
  toMs: number;
}

/**
 * The days on which a keeper has no time, by a calendar of their own: whole-day events, and days of which at least so many
 * hours are taken. What is shown as free, or was called off, does not count. Repeats and time zones of the file are
 * followed; what the file calls a local time is taken in the zone of the keeper.
 * @throws Problem for what is no calendar
 */
export function busyDaysOf(text: string, zone: string, from: Day, days: number, hours: number): Day[] {
  const calendar = parsed(text);
  for (const each of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(each);
  const until = addDays(from, days);
  const startMs = atMidnight(from, zone);
  const endMs = atMidnight(until, zone);
  const whole = new Set<Day>();
  const stretches: Stretch[] = [];
  const events = calendar.getAllSubcomponents('vevent');
  if (events.length > MOST_EVENTS) throw invalid('calendar', `Must hold at most ${MOST_EVENTS} events.`);
  for (const component of events) {
    if (!takesTime(component)) continue;
    for (const { start, end } of repeatsOf(component, endMs, zone)) {
      if (start.isDate) {
        const last = addDays(dayOf(end), -1);
        for (let day = dayOf(start); day <= last && day < until; day = addDays(day, 1)) if (day >= from) whole.add(day);
      } else stretches.push({ fromMs: msOf(start, zone), toMs: msOf(end, zone) });
    }
  }
  for (const component of calendar.getAllSubcomponents('vfreebusy')) stretches.push(...periodsOf(component, zone));
  const near = stretches.filter(({ fromMs, toMs }) => toMs > startMs && fromMs < endMs);
  for (let day = from; day < until; day = addDays(day, 1)) {
    if (takenMs(near, atMidnight(day, zone), atMidnight(addDays(day, 1), zone)) >= hours * HOUR_MS) whole.add(day);
  }
  return [...whole].sort();
}

function parsed(text: string): ICAL.Component {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text));
    if (calendar.name === 'vcalendar') return calendar;
  } catch {
    // Said below, in words.
  }
  throw invalid('calendar', 'Must be an iCalendar file: it begins with BEGIN:VCALENDAR.');
}

function takesTime(event: ICAL.Component): boolean {
  const value = (name: string) => String(event.getFirstPropertyValue(name) ?? '').toUpperCase();
  return (
    event.getFirstPropertyValue('dtstart') !== null &&
    value('transp') !== 'TRANSPARENT' &&
    value('status') !== 'CANCELLED'
  );
}

function* repeatsOf(
  component: ICAL.Component,
  endMs: number,
  zone: string,
): Generator<{ start: ICAL.Time; end: ICAL.Time }> {
  const event = new ICAL.Event(component);
  if (!event.isRecurring()) {
    yield { start: event.startDate, end: event.endDate };
    return;
  }
  const iterator = event.iterator();
  for (let count = 0; count < MOST_REPEATS; count += 1) {
    const next = iterator.next();
    if (!next) return;
    const { startDate, endDate } = event.getOccurrenceDetails(next);
    if (msOf(startDate, zone) >= endMs) return;
    yield { start: startDate, end: endDate };
  }
}

function periodsOf(component: ICAL.Component, zone: string): Stretch[] {
  return component.getAllProperties('freebusy').flatMap((property) => {
    if (String(property.getParameter('fbtype') ?? 'BUSY').toUpperCase() === 'FREE') return [];
    return property
      .getValues()
      .flatMap((period: unknown) =>
        period instanceof ICAL.Period ? [{ fromMs: msOf(period.start, zone), toMs: msOf(period.getEnd(), zone) }] : [],
      );
  });
}

const two = (value: number) => String(value).padStart(2, '0');
const dayOf = ({ year, month, day }: ICAL.Time): Day => `${year}-${two(month)}-${two(day)}`;

/** A time without a zone is one of the keeper's own clock. */
function msOf(time: ICAL.Time, zone: string): number {
  if (!time.isDate && time.zone !== ICAL.Timezone.localTimezone) return time.toUnixTime() * 1000;
  const { year, month, day, hour, minute, second } = time;
  return Temporal.PlainDateTime.from({ year, month, day, hour, minute, second }).toZonedDateTime(zone)
    .epochMilliseconds;
}

const atMidnight = (day: Day, zone: string) => Temporal.PlainDate.from(day).toZonedDateTime(zone).epochMilliseconds;

/** How much of a day is taken; what overlaps counts once. */
function takenMs(stretches: readonly Stretch[], fromMs: number, toMs: number): number {
  const inside = stretches
    .map((each) => ({ fromMs: Math.max(each.fromMs, fromMs), toMs: Math.min(each.toMs, toMs) }))
    .filter((each) => each.toMs > each.fromMs)
    .sort((a, b) => a.fromMs - b.fromMs);
  let taken = 0;
  let reached = fromMs;
  for (const each of inside) {
    taken += Math.max(0, each.toMs - Math.max(reached, each.fromMs));
    reached = Math.max(reached, each.toMs);
  }
  return taken;
}

/**
 * Reads which days a calendar takes, in the thread one is in: blocks for as long as it takes, and a rule that can never be met
 * takes for ever. Plain JavaScript, since a worker thread is started from its file.
 */
const ICAL = require('ical.js').default ?? require('ical.js');
const { Temporal } = require('temporal-polyfill');

/** Nobody has more events, or more repeats of one, in the time that is looked at. */
const MOST_REPEATS = 4000;
const MOST_EVENTS = 5000;
const HOUR_MS = 3_600_000;
/** How long one step of these rhythms is: a rule of them can be begun at any whole number of steps. days */
const STEP_DAYS = { SECONDLY: 1, MINUTELY: 1, HOURLY: 1, DAILY: 1, WEEKLY: 7 };

/** What is wrong with a calendar, to be told to whoever sent it. */
class Unreadable extends Error {}
exports.Unreadable = Unreadable;

/**
 * @param {string} text the calendar
 * @param {string} zone of the keeper: what the file calls a local time is taken in it
 * @param {string} from first day
 * @param {number} days so many are looked at
 * @param {number} hours of a day that are taken, for it to be busy
 * @param {(event: string) => void} [at] is told which event is looked at next
 * @returns {string[]} days in order
 */
exports.busyDays = (text, zone, from, days, hours, at = () => {}) => {
  const calendar = parsed(text);
  for (const each of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(each);
  const begin = Temporal.PlainDate.from(from);
  const startMs = atMidnight(begin, zone);
  const endMs = atMidnight(begin.add({ days }), zone);
  const until = String(begin.add({ days }));
  const whole = new Set();
  const stretches = [];
  const events = calendar.getAllSubcomponents('vevent');
  if (events.length > MOST_EVENTS) throw new Unreadable(`Must hold at most ${MOST_EVENTS} events.`);
  for (const component of events) {
    if (!takesTime(component)) continue;
    at(String(component.getFirstPropertyValue('summary') ?? 'an event without a name'));
    for (const { start, end } of repeatsOf(component, startMs, endMs, zone)) {
      if (!start.isDate) stretches.push({ fromMs: msOf(start, zone), toMs: msOf(end, zone) });
      else for (const day of daysBetween(start, end)) if (day >= from && day < until) whole.add(day);
    }
  }
  for (const component of calendar.getAllSubcomponents('vfreebusy')) stretches.push(...periodsOf(component, zone));
  const near = stretches.filter(({ fromMs, toMs }) => toMs > startMs && fromMs < endMs);
  for (let index = 0; index < days; index += 1) {
    const day = begin.add({ days: index });
    if (takenMs(near, atMidnight(day, zone), atMidnight(day.add({ days: 1 }), zone)) >= hours * HOUR_MS)
      whole.add(String(day));
  }
  return [...whole].sort();
};

function parsed(text) {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text));
    if (calendar.name === 'vcalendar') return calendar;
  } catch {
    // Said below, in words.
  }
  throw new Unreadable('Must be an iCalendar file: it begins with BEGIN:VCALENDAR.');
}

function takesTime(event) {
  const value = (name) => String(event.getFirstPropertyValue(name) ?? '').toUpperCase();
  return (
    event.getFirstPropertyValue('dtstart') !== null &&
    value('transp') !== 'TRANSPARENT' &&
    value('status') !== 'CANCELLED'
  );
}

/** The times of an event that end after the beginning: one that began years ago is expanded from today. */
function* repeatsOf(component, startMs, endMs, zone) {
  const event = new ICAL.Event(movedNear(component, startMs, zone));
  if (!event.isRecurring()) {
    yield { start: event.startDate, end: event.endDate };
    return;
  }
  const iterator = event.iterator();
  let count = 0;
  for (let next = iterator.next(); next && count < MOST_REPEATS; next = iterator.next()) {
    const { startDate, endDate } = event.getOccurrenceDetails(next);
    if (msOf(startDate, zone) >= endMs) return;
    if (msOf(endDate, zone) <= startMs) continue;
    count += 1;
    yield { start: startDate, end: endDate };
  }
}

/** A daily or weekly event that does not count its repeats, begun a few of them before today: the rest is the same. */
function movedNear(component, startMs, zone) {
  const [rule, ...others] = component.getAllProperties('rrule').map((each) => each.getFirstValue());
  const stepDays = rule && STEP_DAYS[rule.freq] * Math.max(1, rule.interval);
  if (!stepDays || others.length > 0 || rule.count) return component;
  const event = new ICAL.Event(component);
  const lengthMs = Math.max(0, msOf(event.endDate, zone) - msOf(event.startDate, zone));
  const gapDays = Math.floor((startMs - lengthMs - msOf(event.startDate, zone)) / (24 * HOUR_MS));
  const steps = Math.floor(gapDays / stepDays) - 2;
  if (steps <= 0) return component;
  const moved = new ICAL.Component(component.toJSON(), component.parent ?? undefined);
  for (const name of ['dtstart', 'dtend']) {
    const property = moved.getFirstProperty(name);
    if (!property) continue;
    const time = property.getFirstValue().clone();
    time.adjust(steps * stepDays, 0, 0, 0);
    property.setValue(time);
  }
  return moved;
}

function periodsOf(component, zone) {
  return component.getAllProperties('freebusy').flatMap((property) => {
    if (String(property.getParameter('fbtype') ?? 'BUSY').toUpperCase() === 'FREE') return [];
    return property
      .getValues()
      .flatMap((period) =>
        period instanceof ICAL.Period ? [{ fromMs: msOf(period.start, zone), toMs: msOf(period.getEnd(), zone) }] : [],
      );
  });
}

function* daysBetween(start, end) {
  const plain = ({ year, month, day }) => Temporal.PlainDate.from({ year, month, day });
  const last = plain(end);
  for (let day = plain(start); Temporal.PlainDate.compare(day, last) < 0; day = day.add({ days: 1 })) yield String(day);
}

/** A time without a zone is one of the keeper's own clock. */
function msOf(time, zone) {
  if (!time.isDate && time.zone !== ICAL.Timezone.localTimezone) return time.toUnixTime() * 1000;
  const { year, month, day, hour, minute, second } = time;
  return Temporal.PlainDateTime.from({ year, month, day, hour, minute, second }).toZonedDateTime(zone)
    .epochMilliseconds;
}

const atMidnight = (day, zone) => day.toZonedDateTime(zone).epochMilliseconds;

/** How much of a day is taken; what overlaps counts once. */
function takenMs(stretches, fromMs, toMs) {
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

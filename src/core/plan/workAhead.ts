import { expectedMoults } from '@/core/feeding/demand';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { feedingRhythm, nextMeal } from './feedingJobs';
import { regularRhythms } from './homeJobs';
import { LOOK_MINUTES, type Rhythm } from './jobParts';
import { quietTime } from './quiet';
import { batteryRhythm } from './recordJobs';
import { restMinutes, REST_TOLERANCE_DAYS } from './restJobs';
import { latest } from './signs';
import type { Span } from './spans';
import type { JobKind, ResidentToday } from './work';

/** Work that comes again, in days counted from the first day of a plan. */
export interface Stream {
  kind: JobKind;
  due: number;
  /** Days until it is due again, once it is done on a day; null for what is done once. */
  next: (on: number) => number | null;
  toleranceDays: number;
  minutes: number;
  /** What is to be done so many days after it: leftovers after a meal. */
  then: { kind: JobKind; afterDays: number; minutes: number } | null;
}

export interface Outlook {
  streams: Stream[];
  /** Nothing at all is done then but the steps of a rest. */
  rest: Span[];
  /** Nothing is done then that opens the box or feeds: a moult is expected, or has just been. */
  quiet: Span[];
}

/** Leaves last longer in winter: how often they are changed is worked out anew after so many days. */
const SEASON_DAYS = 28;

/**
 * Everything that comes again or is foreseen for one resident from a day on: its regular work, its meals with what is
 * looked after, its damping, the steps of its rest; and when it is to be left alone: now, about the moults that are usual
 * for its kind, and in its rest.
 * @param days how far it is looked ahead, 1 to 366
 */
export function workAhead(resident: ResidentToday, from: Day, days: number): Outlook {
  const until = addDays(from, days);
  const at = (day: Day) => daysBetween(from, day);
  const rhythms = [...regularRhythms(resident, from), ...batteryRhythm(resident, from)];
  const leaveAlone = quietTime(resident, from);
  const now = leaveAlone === null ? [] : [{ from: 0, to: at(endOf(leaveAlone) ?? until) }];
  const lastMoultOn = latest(resident.log, ['moulted'], from)?.on;
  const moults = expectedMoults({ ...resident, lastMoultOn }, from, until);
  return {
    streams: [
      ...feedingStreams(resident, from),
      ...dampingStreams(resident, at),
      ...rhythms.map((rhythm) => streamOf(rhythm, resident, from)),
      ...restStreams(resident, at),
    ],
    rest: restSpans(resident, at),
    quiet: [
      ...(leaveAlone?.code === 'resting' ? [] : now),
      ...moults.map((moult) => ({ from: Math.max(0, at(moult.fastFrom)), to: at(moult.fedFrom) })),
    ],
  };
}

const endOf = (quiet: NonNullable<ReturnType<typeof quietTime>>) =>
  quiet.code === 'hardening' ? quiet.feedFrom : quiet.endsOn;

/** The next time of a rhythm; what was done today is due again after its interval. */
function streamOf(
  { kind, dueOn, everyDays, toleranceDays, minutes, doneWith }: Rhythm,
  resident: ResidentToday,
  from: Day,
): Stream {
  const isDone = latest(resident.log, doneWith, from)?.on === from;
  return {
    ...{ kind, toleranceDays, minutes, then: null },
    due: isDone ? (everyDays ?? Infinity) : daysBetween(from, dueOn),
    next: () => everyDays,
  };
}

function feedingStreams(resident: ResidentToday, from: Day): Stream[] {
  const feeding = feedingRhythm(resident, from);
  if (!feeding) return [];
  const { rhythm, meal, leftoversAfterDays } = feeding;
  const stream = streamOf(rhythm, resident, from);
  const looks = leftoversAfterDays === null ? null : { kind: 'leftovers' as const, afterDays: leftoversAfterDays };
  if (meal.eats !== 'leaves') return [{ ...stream, then: looks && { ...looks, minutes: LOOK_MINUTES } }];
  // Old leaves are searched when the new ones go in.
  const everyBySeason = new Map<number, number>();
  const next = (on: number) => {
    const season = Math.floor(on / SEASON_DAYS);
    const known = everyBySeason.get(season) ?? nextMeal(resident, addDays(from, season * SEASON_DAYS))?.everyDays ?? 7;
    everyBySeason.set(season, known);
    return Math.floor(Math.max(1, known));
  };
  return [{ ...stream, next, then: { kind: 'search', afterDays: 0, minutes: LOOK_MINUTES } }];
}

const DAMP = { kind: 'damp', toleranceDays: 2, minutes: 1, then: null } as const;

/** Its soil holds as long as its forecast says, time after time. */
function dampingStreams({ watering, log }: ResidentToday, at: (day: Day) => number): Stream[] {
  if (!watering || watering.dueOn === null) return [];
  const { holdsDays } = watering;
  const damped = latest(log, ['damped'], addDays(watering.dueOn, 1));
  const isDone = damped !== undefined && at(damped.on) === 0;
  return [{ ...DAMP, due: isDone ? (holdsDays ?? Infinity) : at(watering.dueOn), next: () => holdsDays }];
}

/** The steps of its rest that are still to come: each once, on its day. */
function restStreams({ rest }: ResidentToday, at: (day: Day) => number): Stream[] {
  const steps = rest?.course.steps.filter((step) => step.what !== 'hold' && !step.isPassed && step.doneOn === null);
  return (steps ?? []).map(({ on, what }) => ({
    ...{ kind: 'rest', toleranceDays: REST_TOLERANCE_DAYS, then: null },
    ...{ due: at(on), minutes: restMinutes(what), next: () => null },
  }));
}

/** From the last food before the cold to the first after it. */
function restSpans({ rest }: ResidentToday, at: (day: Day) => number): Span[] {
  if (!rest || rest.course.phase === 'over') return [];
  const { steps, endsOn } = rest.course;
  const begins = steps.find((step) => step.what === 'clear-food' || step.what === 'cool' || step.what === 'hold');
  return begins ? [{ from: Math.max(0, at(begins.on)), to: at(endsOn) }] : [];
}

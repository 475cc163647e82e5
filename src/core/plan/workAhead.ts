import { expectedMoults } from '@/core/feeding/demand';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { broodRhythms } from './broodJobs';
import { dueWork } from './due';
import { feedingRhythm, LEFTOVERS_MINUTES, nextMeal } from './feedingJobs';
import { dampingRhythm, regularRhythms } from './homeJobs';
import { LOOK_MINUTES, type Rhythm } from './jobParts';
import { quietTime } from './quiet';
import { batteryRhythm, paperToRenew } from './recordJobs';
import { restMinutes, REST_TOLERANCE_DAYS } from './restJobs';
import { latest } from './signs';
import type { Span } from './spans';
import { factsOf, type JobKind } from './jobs';
import type { Job, ResidentToday } from './work';

/** Work that comes again, or once, in days counted from the first day of a plan. */
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
 * All work that is known or foreseen for one resident from a day on: its regular work, its meals with what is looked
 * after, its damping, the steps of its rest, whatever else is due, and the move that is settled; and when it is to be left
 * alone.
 * @param days how far it is looked ahead, 1 to 366
 * @param due what is due on the first day, where that is known already
 */
export function workAhead(resident: ResidentToday, from: Day, days: number, due = dueWork(resident, from)): Outlook {
  const isSealed = resident.founding?.isSealed === true;
  if (resident.isGuest || isSealed) {
    const quiet = isSealed ? [{ from: 0, to: days }] : [];
    return { streams: onceStreams(due.jobs, [], from), rest: [], quiet };
  }
  const rhythms = [
    ...dampingRhythm(resident),
    ...regularRhythms(resident, from),
    ...broodRhythms(resident, from),
    ...batteryRhythm(resident, from),
  ];
  const again = [
    ...feedingStreams(resident, from),
    ...rhythms.map((rhythm) => streamOf(rhythm, resident, from)),
    ...restStreams(resident, from),
  ];
  const all = [...again, ...onceStreams(due.jobs, again, from), ...settledStreams(resident, from)];
  const streams = resident.founding ? all.filter(({ kind }) => factsOf(kind).isOfFounding) : all;
  return { streams: withoutSkipped(streams, resident, from), ...closedSpans(resident, from, days) };
}

/** When one is left alone: now, about the moults that are usual for its kind, and in its rest. */
export function closedSpans(resident: ResidentToday, from: Day, days: number): Pick<Outlook, 'rest' | 'quiet'> {
  const until = addDays(from, days);
  const at = (day: Day) => daysBetween(from, day);
  const leaveAlone = quietTime(resident, from);
  const now = leaveAlone === null ? [] : [{ from: 0, to: at(endOf(leaveAlone) ?? until) }];
  const lastMoultOn = latest(resident.log, ['moulted'], from)?.on;
  const moults = expectedMoults({ ...resident, lastMoultOn }, from, until);
  return {
    rest: restSpans(resident, at),
    quiet: [
      ...(leaveAlone?.code === 'resting' ? [] : now),
      ...moults.map((moult) => ({ from: Math.max(0, at(moult.fastFrom)), to: at(moult.fedFrom) })),
    ],
  };
}

/** What is due today and does not come again by itself: each once. */
function onceStreams(jobs: readonly Job[], again: readonly Stream[], from: Day): Stream[] {
  const kinds = new Set(again.map(({ kind }) => kind));
  return jobs
    .filter((job) => !kinds.has(job.kind))
    .map(({ kind, dueOn, until, minutes }) => ({
      ...{ kind, minutes, ...ONCE },
      ...{ due: daysBetween(from, dueOn), toleranceDays: Math.max(0, daysBetween(dueOn, until)) },
    }));
}

const ONCE = { next: () => null, then: null };

/** A move that is settled for a day to come stays on it; papers that end later are renewed in time. */
function settledStreams(resident: ResidentToday, from: Day): Stream[] {
  const { move, profile } = resident;
  const paper = paperToRenew(resident, from);
  const toDo: Pick<Stream, 'kind' | 'due' | 'toleranceDays' | 'minutes'>[] = [];
  if (move && move.on > from) {
    const { moveMinutes: minutes } = profile.homeWork;
    toDo.push({ kind: 'move', due: daysBetween(from, move.on), toleranceDays: 0, minutes });
  }
  if (paper && paper.dueOn > from) {
    const { dueOn, expiresOn, minutes } = paper;
    toDo.push({
      ...{ kind: 'papers', due: daysBetween(from, dueOn), toleranceDays: daysBetween(dueOn, expiresOn), minutes },
    });
  }
  return toDo.map((each) => ({ ...each, ...ONCE }));
}

/** What was put off is due again on the day that was named. */
function withoutSkipped(streams: Stream[], { log }: ResidentToday, from: Day): Stream[] {
  const skips = log.flatMap(({ skip, on }) => (skip && on <= from && skip.until > from ? [skip] : []));
  if (skips.length === 0) return streams;
  return streams.map((stream) => {
    const days = skips.filter(({ job }) => job === stream.kind).map(({ until }) => daysBetween(from, until));
    return { ...stream, due: Math.max(stream.due, ...days) };
  });
}

const endOf = (quiet: NonNullable<ReturnType<typeof quietTime>>) =>
  quiet.code === 'hardening' ? quiet.feedFrom : quiet.endsOn;

/** The next time of a rhythm; what was done today is due again after its interval. */
function streamOf(
  { kind, dueOn, everyDays, everyOn, toleranceDays, minutes, doneWith }: Rhythm,
  resident: ResidentToday,
  from: Day,
): Stream {
  const isDone = latest(resident.log, doneWith, from)?.on === from;
  return {
    ...{ kind, toleranceDays, minutes, then: null },
    due: isDone ? (everyDays ?? Infinity) : daysBetween(from, dueOn),
    next: everyOn ? (on) => everyOn(addDays(from, on)) : () => everyDays,
  };
}

function feedingStreams(resident: ResidentToday, from: Day): Stream[] {
  const feeding = feedingRhythm(resident, from);
  if (!feeding) return [];
  const { rhythm, meal, leftoversAfterDays } = feeding;
  const stream = streamOf(rhythm, resident, from);
  const looks = leftoversAfterDays === null ? null : { kind: 'leftovers' as const, afterDays: leftoversAfterDays };
  if (meal.eats !== 'leaves') return [{ ...stream, then: looks && { ...looks, minutes: LEFTOVERS_MINUTES } }];
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

/** The steps of its rest that are still to come: each once, on its day. */
function restStreams({ rest }: ResidentToday, from: Day): Stream[] {
  const steps = rest?.course.steps.filter((step) => step.what !== 'hold' && !step.isPassed && step.doneOn === null);
  return (steps ?? []).map(({ on, what }) => ({
    ...{ kind: 'rest', toleranceDays: REST_TOLERANCE_DAYS, ...ONCE },
    ...{ due: daysBetween(from, on), minutes: restMinutes(what) },
  }));
}

/** From the last food before the cold to the first after it. */
function restSpans({ rest }: ResidentToday, at: (day: Day) => number): Span[] {
  if (!rest || rest.course.phase === 'over') return [];
  const { steps, endsOn } = rest.course;
  const begins = steps.find((step) => step.what === 'clear-food' || step.what === 'cool' || step.what === 'hold');
  return begins ? [{ from: Math.max(0, at(begins.on)), to: at(endsOn) }] : [];
}

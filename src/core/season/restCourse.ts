import { addDays, daysBetween, latestDay, type Day } from '@/core/measure/day';
import { EMPTY_DAYS, SHORTEST_DAYS, type RestingKind, type RestPlan, type RestStep } from './rest';
import type { RestAct } from './restActs';

/** One step of a rest that is under way. */
export interface CourseStep extends RestStep {
  /** Names it within its rest: `cool-2`. */
  key: string;
  /** As it was planned when the rest was begun. */
  plannedOn: Day;
  doneOn: Day | null;
  /** A later step was done without it. */
  isPassed: boolean;
}

export const REST_PHASES = ['before', 'cooling', 'cold', 'warming', 'over'] as const;
export type RestPhase = (typeof REST_PHASES)[number];

export interface RestCourse {
  steps: CourseStep[];
  phase: RestPhase;
  /** What its place is to have today. C */
  targetC: number;
  /** It gets no food any more, or not yet again. */
  isFasting: boolean;
  /** Cooled down, cold or warming up: nothing is done to it but its rest. */
  isQuiet: boolean;
  /** Days by which it runs behind what was planned. */
  lateDays: number;
  /** Begun so late, or held up so long, that the cold is shorter than is worth it. */
  isShort: boolean;
  endsOn: Day;
}

/** A cold that is shorter than half of the shortest rest is hardly worth it. Chosen here */
const SHORTEST_COLD_DAYS = SHORTEST_DAYS / 2;

/** Days that lie at least between a step and the one before it. */
function gapBefore(what: RestAct, before: RestAct | undefined, stepDays: number): number {
  switch (what) {
    case 'cool':
    case 'warm':
      return before === what ? stepDays : 0;
    case 'hold':
      return stepDays;
    case 'clear-food':
      return 1;
    case 'count':
      return before === 'warm' ? stepDays : before === 'clear-food' ? EMPTY_DAYS - 1 : 0;
    case 'first-food':
      return 1;
    default:
      return 0;
  }
}

/** Steps that need no keeper: the cold begins by itself once the last step down is made. */
const BY_ITSELF = new Set<RestAct>(['hold']);

/**
 * A rest that was begun, as it stands: what was done keeps its day, what is late is due today, and what follows moves on
 * with it, so that it is never cooled with food in it, nor faster than by its steps. It ends in its season all the same,
 * as long as it is not warmed before it has been cold. Looks are counted from the last one.
 * @param done the day on which each step was done, by its key
 */
export function restCourse(
  plan: Pick<RestPlan, 'steps'>,
  { daysPerStep, checkEveryDays }: Pick<RestingKind, 'daysPerStep' | 'checkEveryDays'>,
  done: ReadonlyMap<string, Day>,
  today: Day,
): RestCourse {
  const stepDays = Math.round(daysPerStep.value);
  const keyed = keysOf(plan.steps);
  const lastDone = keyed.findLastIndex(({ key, what }) => what !== 'check' && done.has(key));
  const course: CourseStep[] = [];
  let before: CourseStep | undefined;
  keyed.forEach((step, index) => {
    if (step.what === 'check') return;
    const doneOn = done.get(step.key) ?? null;
    const isPassed = doneOn === null && index < lastDone;
    const earliest = before ? addDays(before.on, gapBefore(step.what, before.what, stepDays)) : step.on;
    const open = BY_ITSELF.has(step.what) || isPassed ? earliest : latestDay(earliest, today);
    const on = doneOn ?? (isPassed ? step.on : latestDay(step.on, open));
    before = { ...step, plannedOn: step.on, on, doneOn, isPassed };
    course.push(before);
  });
  const hold = course.find((each) => each.what === 'hold');
  // In a room that is as cool as its place nothing is warmed: the count at the end is the end of the cold.
  const firstWarm = course.find((each) => each.what === 'warm') ?? course.findLast((each) => each.what === 'count');
  const end = course.at(-1);
  const restC = hold?.targetC ?? 0;
  const looks = hold && firstWarm ? looksOf(hold, firstWarm, checkEveryDays.value, done, today) : [];
  const made = (what: RestAct) => course.filter((each) => each.what === what && each.doneOn !== null);
  const [cooled, warmed] = [made('cool'), made('warm')];
  const phase = phaseOf(course);
  const warmest = course[0]?.targetC ?? restC;
  const pending = course.find((each) => each.doneOn === null && !each.isPassed && !BY_ITSELF.has(each.what));
  return {
    steps: [...course, ...looks].sort((a, b) => a.on.localeCompare(b.on) || keyRank(a) - keyRank(b)),
    phase,
    targetC: warmed.at(-1)?.targetC ?? cooled.at(-1)?.targetC ?? warmest,
    isFasting: phase !== 'over' && made('last-food').length + cooled.length > 0,
    isQuiet: phase !== 'before' && phase !== 'over',
    lateDays: pending ? Math.max(0, daysBetween(pending.plannedOn, pending.on)) : 0,
    isShort: hold !== undefined && firstWarm !== undefined && daysBetween(hold.on, firstWarm.on) < SHORTEST_COLD_DAYS,
    endsOn: end?.on ?? today,
  };
}

/** How far it has come by the steps that were made. The last one ends it: the first food, or, of eggs, the count. */
function phaseOf(course: readonly CourseStep[]): RestPhase {
  const isMade = ({ doneOn }: CourseStep) => doneOn !== null;
  const of = (what: RestAct) => course.filter((each) => each.what === what);
  const [stairs, warming] = [of('cool'), of('warm')];
  // In a room that is as cool as its place it is counted, and that is all.
  const cooling = stairs.length > 0 ? stairs : of('count').slice(0, 1);
  if (course.slice(-1).some(isMade)) return 'over';
  if (warming.some(isMade)) return 'warming';
  if (!cooling.some(isMade)) return 'before';
  return cooling.every(isMade) ? 'cold' : 'cooling';
}

/** Of steps on the same day the walk of the plan comes first, a look last. */
const keyRank = ({ what }: CourseStep) => (what === 'check' ? 1 : 0);

/** The steps with their names; of steps that come more than once each has its number. */
function keysOf(steps: readonly RestStep[]): (RestStep & { key: string })[] {
  const seen = new Map<RestAct, number>();
  return steps.map((step) => {
    const number = (seen.get(step.what) ?? 0) + 1;
    seen.set(step.what, number);
    return { ...step, key: `${step.what}-${number}` };
  });
}

/** The looks into the cold: those that were taken, and from the last of them on the next ones. */
function looksOf(
  hold: CourseStep,
  warm: CourseStep,
  everyDays: number,
  done: ReadonlyMap<string, Day>,
  today: Day,
): CourseStep[] {
  const taken = [...done]
    .filter(([key]) => key.startsWith('check-'))
    .sort(([, a], [, b]) => a.localeCompare(b))
    .map(([key, on]) => ({ key, on }));
  const look = (key: string, plannedOn: Day, on: Day, doneOn: Day | null): CourseStep => ({
    ...{ what: 'check', key, targetC: hold.targetC, plannedOn, on, doneOn, isPassed: false },
  });
  const looks = taken.map(({ key, on }) => look(key, on, on, on));
  let from = taken.at(-1)?.on ?? hold.on;
  for (let number = looks.length + 1; ; number += 1) {
    const plannedOn = addDays(from, Math.round(everyDays));
    const on = latestDay(plannedOn, today);
    if (on >= warm.on) return looks;
    looks.push(look(`check-${number}`, plannedOn, on, null));
    from = on;
  }
}

/**
 * What a colony is kept at, week by week, with a rest among the weeks: that of the middle of each week.
 * @param steps of a rest, in any order; none for a colony that is not cooled
 * @param roomC where no step says otherwise
 */
export function weeklyTemperatures(
  steps: readonly Pick<RestStep, 'on' | 'targetC'>[],
  from: Day,
  weeks: number,
  roomC: number,
): number[] {
  const inOrder = [...steps].sort((a, b) => a.on.localeCompare(b.on));
  return Array.from({ length: weeks }, (_, week) => {
    const day = addDays(from, 7 * week + 3);
    return inOrder.findLast((step) => step.on <= day)?.targetC ?? roomC;
  });
}

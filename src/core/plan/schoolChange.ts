import { airFlow } from '@/core/climate/airFlow';
import { USUAL_DRAUGHT_MS } from '@/core/climate/homeAir';
import { drillPlan, ventsOf, type DrillPlan } from '@/core/housing/drilling';
import { fit, type Check, type FitAnswer, type Status } from '@/core/housing/fit';
import { flat } from '@/core/housing/soil';
import type { Day } from '@/core/measure/day';
import { airSchool, schoolsInForce, type SchoolTopic } from '@/core/profiles/schools';
import { nextMeal } from './feedingJobs';
import { planHouse } from './levelling';
import type { JobKind } from './jobs';
import type { JobMeal, ResidentToday } from './work';

/** Work of a kind in a year, this way and that. */
export interface ChangedWork {
  kind: JobKind;
  timesBefore: number;
  timesAfter: number;
}

/** A rule of its home that answers otherwise; null where it is not asked. */
export interface ChangedCheck {
  rule: string;
  title: string;
  before: Status | null;
  after: Status | null;
}

/** What becomes of one resident when it is kept the other way. */
export interface SchoolChange {
  work: ChangedWork[];
  minutesBefore: number;
  minutesAfter: number;
  checks: ChangedCheck[];
  /** Its next meal, where that is another one. */
  meal: { before: PlainMeal | null; after: PlainMeal | null } | null;
  /** What its home would get cut or drilled, were it made anew, where that is something else. */
  openings: { before: Drilled; after: Drilled } | null;
}

export interface Drilled extends DrillPlan {
  /** What goes through such openings in an ordinary room. */
  airChangesPerHour: number;
}

export type PlainMeal = Pick<JobMeal, 'eats' | 'dishes'> & { everyDays: number };

/** Compared over so many days. */
const COMPARED_DAYS = 365;

/**
 * What flipping a school changes for one resident: the same year planned both ways, its home held against the rules of
 * both, its next meal by both. Nothing is changed by asking.
 * @param after the same resident with the other school, and with what follows from it (a winter rest)
 */
export function schoolChange(before: ResidentToday, after: ResidentToday, from: Day): SchoolChange {
  const [was, is] = [yearOf(before, from), yearOf(after, from)];
  const [fitBefore, fitAfter] = [fitOf(before), fitOf(after)];
  const kinds = [...new Set([...was.times.keys(), ...is.times.keys()])];
  const work = kinds
    .map((kind) => ({ kind, timesBefore: was.times.get(kind) ?? 0, timesAfter: is.times.get(kind) ?? 0 }))
    .filter(({ timesBefore, timesAfter }) => timesBefore !== timesAfter);
  return {
    work,
    ...{ minutesBefore: was.minutes, minutesAfter: is.minutes },
    checks: changedChecks(fitBefore.checks, fitAfter.checks),
    meal: changed(mealOf(before, from), mealOf(after, from)),
    openings: changed(drilledFor(before, fitBefore), drilledFor(after, fitAfter)),
  };
}

function yearOf(resident: ResidentToday, from: Day): { times: Map<JobKind, number>; minutes: number } {
  const plan = planHouse([{ id: '', today: resident }], from, COMPARED_DAYS);
  const times = new Map<JobKind, number>();
  for (const { kind } of plan.jobs.get('') ?? []) times.set(kind, (times.get(kind) ?? 0) + 1);
  return { times, minutes: Math.round(plan.minutes.reduce((sum, each) => sum + each, 0)) };
}

const fitOf = ({ profile, home, ...resident }: ResidentToday) =>
  fit(profile, { ...resident, ...home, school: airSchool(profile, resident.schools) });

/** What a home like its own is drilled with before anybody lives in it, and the air that this lets through. */
function drilledFor({ profile, home, schools }: ResidentToday, { largestSafeOpeningMm }: FitAnswer): Drilled {
  const undrilled = { ...home.container, vents: [] };
  const plan = drillPlan(profile, undrilled, home.substrateDepthMm, largestSafeOpeningMm, schools?.openings);
  const { min, max } = profile.climate.temperatureC;
  const { airChangesPerHour } = airFlow({
    container: { ...undrilled, vents: ventsOf(plan) },
    soil: home.soil ?? flat(home.substrateDepthMm),
    temperatureC: (min + max) / 2,
    warmingK: 0,
    draughtMS: USUAL_DRAUGHT_MS,
  });
  return { ...plan, airChangesPerHour };
}

function changedChecks(before: readonly Check[], after: readonly Check[]): ChangedCheck[] {
  const rules = [...new Set([...before, ...after].map(({ rule }) => rule))];
  return rules.flatMap((rule) => {
    const [was, is] = [before, after].map((checks) => checks.find((each) => each.rule === rule));
    if (was?.status === is?.status && was?.min === is?.min && was?.max === is?.max) return [];
    return [{ rule, title: is?.title ?? was?.title ?? '', before: was?.status ?? null, after: is?.status ?? null }];
  });
}

function mealOf(resident: ResidentToday, from: Day): PlainMeal | null {
  const meal = nextMeal(resident, from);
  return meal && { eats: meal.eats, dishes: meal.dishes, everyDays: meal.everyDays };
}

function changed<Answer>(before: Answer, after: Answer): { before: Answer; after: Answer } | null {
  return JSON.stringify(before) === JSON.stringify(after) ? null : { before, after };
}

/** Pairs of schools that pull one resident in different directions. Common practice, no source */
export const CONTRADICTIONS = {
  'hungry-between': ['grow-on', 'large-and-rarely'],
  'spoils-in-mist': ['mist-to-a-number', 'large-and-rarely'],
} as const;
export type Contradiction = keyof typeof CONTRADICTIONS;

/** The contradictions among the schools that are in force for one resident; they are told, and both are kept. */
export function contradictionsOf({
  profile,
  schools = {},
}: Pick<ResidentToday, 'profile' | 'schools'>): Contradiction[] {
  const inForce = schoolsInForce(profile, schools);
  const all = Object.entries(CONTRADICTIONS) as [Contradiction, readonly string[]][];
  return all.flatMap(([id, pair]) => (pair.every((school) => inForce.includes(school)) ? [id] : []));
}

/** The same resident with another school on a topic; undefined for what holds without a choice. */
export function keptBy(resident: ResidentToday, topic: SchoolTopic, school: string | undefined): ResidentToday {
  return { ...resident, schools: { ...resident.schools, [topic]: school } };
}

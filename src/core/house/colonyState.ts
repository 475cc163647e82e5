import { usualStages, youngPerAdult } from '@/core/colony/brood';
import { castesOf } from '@/core/colony/castes';
import { countSpread } from '@/core/colony/counting';
import { countVerdict, holdsCourse, type CountVerdict } from '@/core/colony/expected';
import { foundingState, type FoundingState, type SeenBrood } from '@/core/colony/founding';
import { CROWDED_PCT, fullnessPct } from '@/core/colony/fullness';
import type { PopulationKind } from '@/core/colony/kind';
import { projectColony, usualCourse } from '@/core/colony/project';
import { innerVolumeL } from '@/core/housing/container';
import { perHeadMl, roomForHeads } from '@/core/housing/fit';
import { nestVolumeMl } from '@/core/housing/nest';
import type { Together } from '@/core/housing/together';
import type { HomeState } from '@/core/housing/quantities';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { isSized, type AnimalMeasures } from '@/core/profiles/animal';
import type { CareProfile, Form, Stage } from '@/core/profiles/profile';
import type { RestStep } from '@/core/season/rest';
import { weeklyTemperatures } from '@/core/season/restCourse';

/** Colonies are looked at a year ahead. weeks */
const AHEAD_WEEKS = 52;
/** Two counts that lie closer together than this say nothing of how it goes. days */
const TELLING_DAYS = 14;
/** Draws that a count is held against. */
const VERDICT_DRAWS = 200;
/** A colony written down as one is its queen, unless somebody counted that one among the workers. */
export const LONE_QUEEN = 1;

/** What was counted on a day: heads in all, or by stages; with the doubt of an estimate. */
export interface Count {
  on: Day;
  heads?: number | undefined;
  stages?: Record<string, number> | undefined;
  low?: number | undefined;
  high?: number | undefined;
}

/** How large a fungus garden was on a day: measured, or as a share of the chambers. */
export interface Garden {
  on: Day;
  fungusMl?: number | undefined;
  sharePct?: number | undefined;
}

/** What the log of a colony or a culture tells of its numbers, oldest first. */
export interface ColonyLog {
  counts: readonly Count[];
  /** The last word on its queens. */
  queens: number | undefined;
  /** Heads that went (or, less than 0, came) on a day. */
  gone: readonly { on: Day; heads: number }[];
  /** Of leafcutters: the last word on their garden. */
  garden?: Garden | undefined;
  /** Brood that was seen with a founding queen. */
  seen: readonly { on: Day; stage: string }[];
}

/** A home as it was, up to the day on which it was left or changed. */
export interface HomeBefore {
  until: Day;
  home: HomeState;
}

export interface ColonyQuestion {
  today: Day;
  /** Null for kinds whose numbers nobody gave. */
  kind: PopulationKind | null;
  profile: CareProfile;
  resident: AnimalMeasures & Partial<Pick<Together, 'isGuest'>> & { form: Form; stage: Stage; takenInOn: Day };
  home: HomeState;
  /** The homes it had before, and this one before it was changed, each up to its day; oldest first. */
  homesBefore?: readonly HomeBefore[] | undefined;
  log: ColonyLog;
  temperatureC: number;
  /** Of the rest that is on, planned, or usual. */
  steps: readonly Pick<RestStep, 'on' | 'targetC'>[];
}

/** How a colony or a culture stands today, and what its course is worked out from. */
export interface ColonyState {
  counts: Record<string, number>;
  /** Stages that nobody counted, filled with what is usual beside so many grown ones. */
  estimated: string[];
  queens: number;
  temperatureC: number;
  /** Week by week, a year ahead. */
  temperaturesC: number[];
  /** Heads of all stages that there is room for; null where nobody can say. */
  roomForHeads: number | null;
  /** Of its room; null where that is not known, and for cleaners among others, who set nothing for their home. */
  fullPct: number | null;
  /** The day from which it is nearly full by its usual course; null while it is not within a year, and once it left that course. */
  splitOn: Day | null;
  countedOn: Day;
  countSpread: number;
  /** Of ants the workers, of others all. */
  heads: number;
  /** Nobody takes its size: it is reckoned on from its last count; else it is followed head by head. */
  isCounted: boolean;
  verdict: CountVerdict | null;
  castes: { id: string; count: number }[];
  /** Of leafcutters whose garden was measured: how large it is now, as it grows with the workers. mL */
  fungusMl: number | null;
  /** Of a queen without workers. */
  founding: (FoundingState & { beganOn: Day; seen: SeenBrood; isSealed: boolean }) | null;
  nest: {
    volumeMl: number;
    chambers: number;
    tubeBoreMm: number | null;
    outworldL: number | null;
    /** What a worker takes, with her share of brood. mL */
    perHeadMl: number;
  } | null;
}

/**
 * How a colony, a culture or a group that is counted stands today: its last count, with what nobody counted as is usual, followed
 * from its day on at the warmth and in the room it had; how full its home is by that; and, of a queen without workers, when she has her first.
 * @throws Refusal for counts that the kind cannot have, and where nothing tells the size of its heads
 */
export function colonyState(question: ColonyQuestion): ColonyState {
  const { today, kind, profile, resident, home, log, temperatureC, steps } = question;
  const last = log.counts.at(-1);
  // A colony nobody counted the queens of has one.
  const queens = log.queens ?? (kind?.laying.by === 'queen' ? 1 : 0);
  const base: Base = { ...question, room: kind && roomIn(kind, question), queens };
  const isCounted = isFollowedByCounts(kind, question);
  // She is founding until somebody has seen a worker, whatever should be there by now.
  const seen = kind && isFoundingIn(kind, last, resident, queens) ? seenIn(kind, log) : null;
  const course = kind && isCounted ? courseOf(kind, base) : null;
  const stands =
    kind && course
      ? { counts: seen ? unseen(kind, course.counts) : course.counts, estimated: course.estimated }
      : { counts: kind ? { [stageIn(kind, resident.stage)]: resident.headCount ?? 1 } : {}, estimated: [] };
  const heads = kind ? headsIn(kind, stands.counts) : (resident.headCount ?? 0);
  const beganOn = resident.takenInOn;
  const each = perHeadMl(profile, resident);
  const verdict = kind && course ? verdictOf(kind, base, course.atCounts) : null;
  return {
    ...stands,
    queens,
    temperatureC,
    temperaturesC: weeklyTemperatures(steps, today, AHEAD_WEEKS, temperatureC),
    roomForHeads: base.room,
    ...roomTaken(kind, stands.counts, base, verdict),
    countedOn: last?.on ?? resident.takenInOn,
    countSpread: countSpread(last?.low, last?.high),
    heads,
    isCounted,
    verdict,
    fungusMl: kind && course ? gardenOf(kind, base, course, heads) : null,
    castes: kind?.castes ? castesOf(kind.castes, Math.round(heads)) : [],
    founding:
      kind && seen && beganOn <= today
        ? {
            ...{ beganOn, seen, isSealed: kind.founding?.isSealed === true },
            ...foundingState({ kind, beganOn, seen, temperatureC, steps, asOf: today }),
          }
        : null,
    nest:
      home.nest && each !== undefined
        ? {
            volumeMl: nestVolumeMl(home.nest),
            chambers: home.nest.chambers.length,
            tubeBoreMm: home.nest.tubeBoreMm ?? null,
            outworldL: home.nest.outworld ? nestVolumeMl({ chambers: [home.nest.outworld] }) / 1000 : null,
            perHeadMl: each,
          }
        : null,
  };
}

interface Base extends ColonyQuestion {
  room: number | null;
  queens: number;
}

/** The stage of the kind that a stage of its profile is: one of the young, else grown. */
const stageIn = (kind: PopulationKind, stage: Stage) =>
  kind.young.some(({ id }) => id === stage) ? stage : kind.adults;

/** Whether a queen is alone as far as anybody has counted. */
const isFoundingIn = (
  kind: PopulationKind,
  last: Count | undefined,
  resident: Pick<AnimalMeasures, 'headCount'>,
  queens: number,
): boolean =>
  kind.laying.by === 'queen' &&
  queens > 0 &&
  lastCounted(kind, last, resident) <= (last?.stages?.[kind.adults] === undefined ? LONE_QUEEN : 0);

/** Heads, of ants the workers, by the last count. */
const lastCounted = (
  kind: PopulationKind,
  last: Count | undefined,
  { headCount }: Pick<AnimalMeasures, 'headCount'>,
): number => last?.stages?.[kind.adults] ?? last?.heads ?? headCount ?? 0;

/** Of ants the workers are the heads; of others all. */
const headsIn = (kind: PopulationKind, counts: Readonly<Record<string, number>>): number =>
  kind.laying.by === 'queen' ? (counts[kind.adults] ?? 0) : total(counts);

const total = (counts: Readonly<Record<string, number>>) => Object.values(counts).reduce((sum, each) => sum + each, 0);

/** Heads that went since a day, less those that came: taken out, passed on, dead. */
const removedBetween = ({ gone }: ColonyLog, from: Day, to: Day): number =>
  gone.filter(({ on }) => on > from && on <= to).reduce((sum, { heads }) => sum + heads, 0);

/**
 * What is counted is reckoned on from its counts: ants always, others where nobody takes their size, or somebody counts them by
 * stages. The rest is followed head by head.
 */
const isFollowedByCounts = (kind: PopulationKind | null, { resident, log }: ColonyQuestion): boolean =>
  kind?.laying.by === 'queen' || log.counts.some(({ stages }) => stages !== undefined) || !isSized(resident);

/** A garden as it grows with its workers since it was measured; null where nobody did. mL */
function gardenOf(kind: PopulationKind, base: Base, { since }: Course, heads: number): number | null {
  const { garden } = base.log;
  if (!garden) return null;
  const { nest } = homeOn(garden.on, base);
  const then = garden.fungusMl ?? (nest ? ((garden.sharePct ?? 0) / 100) * nestVolumeMl(nest) : 0);
  const workersThen = headsIn(kind, since(garden.on));
  return workersThen > 0 ? (then * heads) / workersThen : then;
}

/** Workers that should be there and that nobody has seen are still in their cocoons, as far as anybody knows. */
function unseen(kind: PopulationKind, counts: Record<string, number>): Record<string, number> {
  const oldest = kind.young.at(-1)?.id ?? '';
  return { ...counts, [oldest]: (counts[oldest] ?? 0) + (counts[kind.adults] ?? 0), [kind.adults]: 0 };
}

interface Course {
  /** Today. */
  counts: Record<string, number>;
  /** Stages that nobody ever counted. */
  estimated: string[];
  /** How it stood on the day of each count, with what was counted in its place. */
  atCounts: Record<string, number>[];
  /** How it stood on any day since its first count. */
  since: (on: Day) => Record<string, number>;
}

/**
 * How it stands today: from count to count by its usual course, each count in the place of what was reckoned. What was not
 * counted is carried on; what nobody ever counted is what is usual beside so many, in the home that it had then.
 */
function courseOf(kind: PopulationKind, base: Base): Course {
  const { today, queens, temperatureC, resident, log } = base;
  const [first, ...later] = log.counts;
  const heads = lastCounted(kind, first, resident);
  const from = first?.on ?? resident.takenInOn;
  // With a founding queen there is only what she has laid since.
  const isFounding = isFoundingIn(kind, first, resident, queens);
  const usual = isFounding
    ? { [kind.adults]: 0 }
    : usualStages(kind, heads, queens, temperatureC, roomOn(kind, from, base));
  const estimated = new Set(Object.keys(usual).filter((stage) => stage !== kind.adults));
  const seeCounted = ({ stages = {} }: Count) => Object.keys(stages).forEach((stage) => estimated.delete(stage));
  if (first) seeCounted(first);
  let standing = { on: from, counts: { ...usual, ...first?.stages } };
  const stood = [standing];
  for (const count of later) {
    seeCounted(count);
    const carried = carriedTo(kind, standing, count.on, base);
    standing = { on: count.on, counts: { ...withHeads(kind, carried, count.heads), ...count.stages } };
    stood.push(standing);
  }
  const since = (on: Day) => carriedTo(kind, stood.findLast((each) => each.on <= on) ?? standing, on, base);
  return { counts: since(today), estimated: [...estimated], atCounts: stood.map(({ counts }) => counts), since };
}

/** So many heads were counted: of ants workers, of others all, by stages as they were reckoned. */
function withHeads(kind: PopulationKind, counts: Record<string, number>, heads: number | undefined) {
  if (heads === undefined) return counts;
  if (kind.laying.by === 'queen') return { ...counts, [kind.adults]: heads };
  const all = total(counts);
  if (all === 0) return { ...counts, [kind.adults]: heads };
  return Object.fromEntries(Object.entries(counts).map(([stage, count]) => [stage, (count * heads) / all]));
}

/** How it stands on a later day by its usual course, less what went. */
const carriedTo = (
  kind: PopulationKind,
  { on, counts }: { on: Day; counts: Record<string, number> },
  to: Day,
  base: Base,
) => withRemoved(kind, followed(kind, counts, on, to, base), removedBetween(base.log, on, to));

/** Of ants only workers go or come; of others heads of every stage, as they stand. */
function withRemoved(kind: PopulationKind, counts: Record<string, number>, removed: number): Record<string, number> {
  const heads = headsIn(kind, counts);
  const times = heads > 0 ? Math.max(0, 1 - removed / heads) : 1;
  const moves = (stage: string) => kind.laying.by === 'female' || stage === kind.adults;
  return Object.fromEntries(
    Object.entries(counts).map(([stage, count]) => [stage, moves(stage) ? count * times : count]),
  );
}

/** The usual course from one day to another, with the room that it had at each time. */
function followed(kind: PopulationKind, counts: Record<string, number>, from: Day, to: Day, base: Base) {
  const { steps, temperatureC, queens, homesBefore = [] } = base;
  const changes = homesBefore.map(({ until }) => until).filter((day) => day > from && day < to);
  let [now, weeksGone] = [counts, 0];
  for (const until of [...changes, to]) {
    const weeks = Math.round(daysBetween(from, until) / 7) - weeksGone;
    if (weeks < 1) continue;
    const since = addDays(from, 7 * weeksGone);
    const room = roomOn(kind, since, base);
    now = usualCourse({
      ...{ kind, counts: now, queens, weeks, temperatureC: weeklyTemperatures(steps, since, weeks, temperatureC) },
      ...(room !== null && { roomForHeads: room }),
    }).last;
    weeksGone += weeks;
  }
  return now;
}

/** The room it had on a day. */
function roomOn(kind: PopulationKind, day: Day, base: Base): number | null {
  const home = homeOn(day, base);
  return home === base.home ? base.room : roomIn(kind, { ...base, home });
}

/** The home it had on a day. */
const homeOn = (day: Day, { home, homesBefore = [] }: Base): HomeState =>
  homesBefore.find(({ until }) => day < until)?.home ?? home;

/** What the last count says against what the one before it would have grown to. */
function verdictOf(kind: PopulationKind, base: Base, atCounts: readonly Record<string, number>[]): CountVerdict | null {
  const { steps, temperatureC, queens, log } = base;
  const [before, last] = [log.counts.at(-2), log.counts.at(-1)];
  const counts = atCounts.at(-2);
  if (before?.heads === undefined || last?.heads === undefined || !counts) return null;
  const days = daysBetween(before.on, last.on);
  if (days < TELLING_DAYS) return null;
  const weeks = Math.round(days / 7);
  const room = roomOn(kind, before.on, base);
  const { series } = projectColony({
    ...{ kind, queens, weeks, counts, draws: VERDICT_DRAWS },
    temperatureC: weeklyTemperatures(steps, before.on, weeks, temperatureC),
    countSpread: Math.hypot(countSpread(before.low, before.high), countSpread(last.low, last.high)),
    ...(room !== null && { roomForHeads: room }),
  });
  const end = series.at(-1);
  const expected = kind.laying.by === 'queen' ? end?.stages[kind.adults] : end?.total;
  return expected ? countVerdict(last.heads, expected, removedBetween(log, before.on, last.on)) : null;
}

/** The first day on which each stage was seen with a founding queen: noted, or counted. */
function seenIn(kind: PopulationKind, { seen: noted, counts }: ColonyLog): SeenBrood {
  const seen: Record<string, Day> = {};
  const see = (stage: string, on: Day) => {
    const before = seen[stage];
    if (before === undefined || on < before) seen[stage] = on;
  };
  for (const { stage, on } of noted) see(stage, on);
  for (const { on, stages = {} } of counts) {
    for (const { id } of kind.young) if ((stages[id] ?? 0) > 0) see(id, on);
  }
  return seen;
}

/**
 * As many heads of all stages as there is room for: by the chambers of a nest or the floor that its rules give to each, else by
 * the litres of its home.
 */
function roomIn(kind: PopulationKind, { profile, resident, home }: ColonyQuestion): number | null {
  const grown = roomForHeads(profile, resident, home);
  // A nest is measured by its workers, each with its share of brood.
  if (grown !== null) return kind.laying.by === 'queen' ? grown * (1 + youngPerAdult(kind)) : grown;
  return kind.headsPerL ? kind.headsPerL.value * timesAsMany(profile, resident) * innerVolumeL(home.container) : null;
}

/** Small ones find room for no more than so many times as many as grown ones do. Chosen here */
const MOST_TIMES = 16;

/** How many find room where one grown one does: what a body takes goes by the square of its length. */
function timesAsMany({ measure, growth }: CareProfile, resident: AnimalMeasures): number {
  const size = resident[measure.takes];
  if (size === undefined || size <= 0) return 1;
  return Math.min(MOST_TIMES, Math.max(1, (growth.grownMm.value / size) ** 2));
}

/** How full it is, and when it is nearly full by its usual course. */
function roomTaken(
  kind: PopulationKind | null,
  counts: Record<string, number>,
  { today, queens, temperatureC, steps, room, resident }: Base,
  verdict: CountVerdict | null,
): Pick<ColonyState, 'fullPct' | 'splitOn'> {
  if (!kind || room === null || resident.isGuest) return { fullPct: null, splitOn: null };
  const temperatures = weeklyTemperatures(steps, today, AHEAD_WEEKS, temperatureC);
  const question = { kind, counts, queens, roomForHeads: room, weeks: AHEAD_WEEKS, temperatureC: temperatures };
  const { grown, total: all } = usualCourse(question);
  const full = all.map((heads, week) => fullnessPct(kind, grown[week] ?? 0, heads, room));
  const ahead = holdsCourse(verdict) ? full : full.slice(0, 1);
  const week = ahead.findIndex((pct) => pct > CROWDED_PCT);
  return { fullPct: full[0] ?? 0, splitOn: week < 0 ? null : addDays(today, 7 * week) };
}

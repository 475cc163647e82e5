import type { ColonyFacts } from '@/contract/colony';
import type { Entry } from '@/contract/entries';
import type { Home, Resident } from '@/contract/records';
import { usualStages, youngPerAdult } from '@/core/colony/brood';
import { castesOf } from '@/core/colony/castes';
import { countSpread } from '@/core/colony/counting';
import { countVerdict } from '@/core/colony/expected';
import { foundingState, type SeenBrood } from '@/core/colony/founding';
import type { PopulationKind } from '@/core/colony/kind';
import { projectColony, usualCourse } from '@/core/colony/project';
import { HEAD_KINDS } from '@/core/growth/census';
import { innerVolumeL } from '@/core/housing/container';
import { nestVolumeMl } from '@/core/housing/nest';
import { daysBetween, type Day } from '@/core/measure/day';
import type { CareBook } from '@/core/profiles/careBook';
import { BODY_MEASURES, type CareProfile } from '@/core/profiles/profile';
import type { RestStep } from '@/core/season/rest';
import { weeklyTemperatures } from '@/core/season/restCourse';
import type { Hemisphere } from '@/core/season/year';
import { apartOf } from './apart';
import { careOf } from './care';
import type { Clock } from './clock';
import { groupBy } from './groupBy';
import { hemisphereOf, warmthIn } from './house';
import { LONE_QUEEN, maySealIn, populationOf, restKindFor } from './kinds';
import { planOrNone, restsOf, type StandingRest } from './rests';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';
import { listHomes } from './storage/homes';

/** Colonies are looked at a year ahead. weeks */
const AHEAD_WEEKS = 52;
/** Two counts that lie closer together than this say nothing of how it goes. days */
const TELLING_DAYS = 14;
/** Draws that a count is held against. */
const VERDICT_DRAWS = 200;

/** What colonies and cultures are worked out from, whoever of them is asked for. */
export async function coloniesOf(
  queries: Queries,
  clock: Clock,
  residents: readonly Resident[],
): Promise<Map<string, ColonyFacts>> {
  const [now, today] = [clock.now(), clock.today()];
  const counted = residents.filter(({ form }) => form === 'group' || form === 'colony');
  const ids = idsOf(counted);
  const scene: Scene = {
    today,
    care: await careOf(queries),
    hemisphere: await hemisphereOf(queries),
    warmth: await warmthIn(queries, now),
    rests: await restsOf(queries, counted, today),
  };
  const homes = new Map((await listHomes(queries)).map((home) => [home.id, home]));
  const logs = groupBy(
    await entriesOfKinds(queries, ids, [...HEAD_KINDS, 'brood-seen']),
    ({ residentId }) => residentId ?? '',
  );
  return new Map(
    counted.flatMap((resident) => {
      const home = homes.get(resident.homeId);
      const facts = home && apartOf(() => factsOf(scene, resident, home, logs.get(resident.id) ?? []));
      return facts ? [[resident.id, facts]] : [];
    }),
  );
}

interface Scene {
  today: Day;
  care: CareBook;
  hemisphere: Hemisphere;
  warmth: Awaited<ReturnType<typeof warmthIn>>;
  rests: ReadonlyMap<string, StandingRest>;
}

function factsOf(scene: Scene, resident: Resident, home: Home, log: readonly Entry[]): ColonyFacts {
  const { today, care } = scene;
  const profile = care.of(resident);
  const kind = populationOf(resident.profile) ?? null;
  const { temperatureC } = scene.warmth(home);
  const { counts, queens: told } = countsIn(log);
  const last = counts.at(-1);
  const countedOn = last?.on ?? resident.takenInOn;
  const room = kind ? roomIn(kind, profile, home) : null;
  // A colony nobody counted the queens of has one.
  const queens = told ?? (kind?.laying.by === 'queen' ? 1 : 0);
  const steps = stepsOf(scene, resident, temperatureC);
  const ahead = weeklyTemperatures(steps, today, AHEAD_WEEKS, temperatureC);
  const base = { today, steps, temperatureC, room, queens };
  // Those whose size is taken are followed head by head; what is only counted is reckoned on from its last count.
  const isCounted = BODY_MEASURES.every((name) => resident[name] === undefined);
  const stands = !kind
    ? { counts: {}, estimated: [] }
    : isCounted
      ? standOf(kind, counts, log, resident, base)
      : { counts: { [stageIn(kind, resident.stage)]: resident.headCount ?? 1 }, estimated: [] };
  const heads = kind ? headsIn(kind, stands.counts) : (resident.headCount ?? 0);
  // She is founding until somebody has seen a worker, whatever should be there by now.
  const isFounding = kind !== null && isFoundingIn(kind, last, resident);
  const seen = isFounding ? seenIn(kind, log, counts) : null;
  return {
    residentId: resident.id,
    asOf: today,
    kind,
    ...stands,
    queens,
    temperatureC,
    temperaturesC: ahead,
    roomForHeads: room,
    countedOn,
    countSpread: countSpread(last?.low, last?.high),
    heads,
    isCounted,
    verdict: kind && isCounted ? verdictOf(kind, counts, log, base) : null,
    castes: kind?.castes ? castesOf(kind.castes, Math.round(heads)) : [],
    founding:
      kind && seen
        ? {
            beganOn: resident.takenInOn,
            seen,
            ...foundingState({ kind, beganOn: resident.takenInOn, seen, temperatureC, asOf: today }),
          }
        : null,
    nest:
      home.nest && profile.nest
        ? {
            volumeMl: nestVolumeMl(home.nest),
            chambers: home.nest.chambers.length,
            tubeBoreMm: home.nest.tubeBoreMm ?? null,
            outworldL: home.nest.outworld ? nestVolumeMl({ chambers: [home.nest.outworld] }) / 1000 : null,
          }
        : null,
    rest: restKindFor(resident) ?? null,
  };
}

/** The queens that have sealed themselves in: no worker was seen yet, and their kind eats nothing until then. */
export async function sealedQueens(
  queries: Queries,
  residents: readonly Resident[],
  temperatureOf: (resident: Resident) => number,
  today: Day,
): Promise<Map<string, { since: Day; endsOn: Day | null }>> {
  const may = residents.filter((resident) => resident.takenInOn <= today && maySealIn(resident));
  const entries = may.length === 0 ? [] : await entriesOfKinds(queries, idsOf(may), [...HEAD_KINDS, 'brood-seen']);
  const logs = groupBy(entries, ({ residentId }) => residentId ?? '');
  return new Map(
    may.flatMap((resident) => {
      const kind = populationOf(resident.profile);
      const log = logs.get(resident.id) ?? [];
      const { counts } = countsIn(log);
      if (!kind || !isFoundingIn(kind, counts.at(-1), resident)) return [];
      const seen = seenIn(kind, log, counts);
      const beganOn = resident.takenInOn;
      const { firstWorkers } = foundingState({
        kind,
        beganOn,
        seen,
        temperatureC: temperatureOf(resident),
        asOf: today,
      });
      return [[resident.id, { since: beganOn, endsOn: firstWorkers?.p90 ?? null }] as const];
    }),
  );
}

const idsOf = (residents: readonly Resident[]) => residents.map(({ id }) => id);

/** The stage of the kind that a stage of its profile is: one of the young, else grown. */
const stageIn = (kind: PopulationKind, stage: Resident['stage']) =>
  kind.young.some(({ id }) => id === stage) ? stage : kind.adults;

const isFoundingIn = (kind: PopulationKind, last: Count | undefined, resident: Resident) =>
  kind.laying.by === 'queen' &&
  lastCounted(kind, last, resident) <= (last?.stages?.[kind.adults] === undefined ? LONE_QUEEN : 0);

/** Heads, of ants the workers, by the last count. */
const lastCounted = (kind: PopulationKind, last: Count | undefined, { headCount }: Resident) =>
  last?.stages?.[kind.adults] ?? last?.heads ?? headCount ?? 0;

/** Of ants the workers are the heads; of others all. */
const headsIn = (kind: PopulationKind, counts: Readonly<Record<string, number>>) =>
  kind.laying.by === 'queen' ? (counts[kind.adults] ?? 0) : Object.values(counts).reduce((sum, each) => sum + each, 0);

interface Count {
  on: Day;
  heads: number | undefined;
  stages: Record<string, number> | undefined;
  low: number | undefined;
  high: number | undefined;
}

/** The counts in a log, oldest first, and the last word on the queens. */
function countsIn(log: readonly Entry[]): { counts: Count[]; queens: number | undefined } {
  const counts: Count[] = [];
  let queens: number | undefined;
  for (const { kind, on, data } of log) {
    if (kind !== 'taken-in' && kind !== 'measured' && kind !== 'hatched') continue;
    const number = (name: string) => (typeof data[name] === 'number' ? data[name] : undefined);
    queens = number('queens') ?? queens;
    const [heads, stages] = [number('headCount'), data.stages as Record<string, number> | undefined];
    if (heads === undefined && stages === undefined) continue;
    counts.push({ on, heads, stages, low: number('headsLow'), high: number('headsHigh') });
  }
  return { counts, queens };
}

/** Heads that went since a day, less those that came: taken out, passed on, dead. */
function removedBetween(log: readonly Entry[], from: Day, to: Day): number {
  const sign: Partial<Record<Entry['kind'], number>> = { died: 1, 'passed-on': 1, parted: 1, joined: -1 };
  return log
    .filter(({ on }) => on > from && on <= to)
    .reduce((sum, { kind, data }) => sum + (sign[kind] ?? 0) * (typeof data.count === 'number' ? data.count : 0), 0);
}

interface Base {
  today: Day;
  steps: readonly Pick<RestStep, 'on' | 'targetC'>[];
  temperatureC: number;
  room: number | null;
  queens: number;
}

/** How it stands today: the last count, with what nobody counted as is usual, followed from its day on. */
function standOf(
  kind: PopulationKind,
  counts: readonly Count[],
  log: readonly Entry[],
  resident: Resident,
  base: Base,
): { counts: Record<string, number>; estimated: string[] } {
  const { today, queens, temperatureC, room } = base;
  const last = counts.at(-1);
  const heads = lastCounted(kind, last, resident);
  // With a founding queen there is only what she has laid since.
  const isFounding = isFoundingIn(kind, last, resident);
  const usual = isFounding ? { [kind.adults]: 0 } : usualStages(kind, heads, queens, temperatureC, room);
  const then = { ...usual, ...last?.stages };
  const estimated = Object.keys(usual).filter((stage) => stage !== kind.adults && last?.stages?.[stage] === undefined);
  const from = last?.on ?? resident.takenInOn;
  const now = followed(kind, then, from, today, base);
  return { counts: withRemoved(kind, now, removedBetween(log, from, today)), estimated };
}

/** Of ants only workers go or come; of others heads of every stage, as they stand. */
function withRemoved(kind: PopulationKind, counts: Record<string, number>, removed: number): Record<string, number> {
  const heads = headsIn(kind, counts);
  const times = heads > 0 ? Math.max(0, 1 - removed / heads) : 1;
  const moves = (stage: string) => kind.laying.by === 'female' || stage === kind.adults;
  return Object.fromEntries(
    Object.entries(counts).map(([stage, count]) => [stage, moves(stage) ? count * times : count]),
  );
}

/** The usual course of a count up to another day. */
function followed(
  kind: PopulationKind,
  counts: Record<string, number>,
  from: Day,
  to: Day,
  { steps, temperatureC, room, queens }: Base,
): Record<string, number> {
  const weeks = Math.round(daysBetween(from, to) / 7);
  if (weeks < 1) return counts;
  const temperatures = weeklyTemperatures(steps, from, weeks, temperatureC);
  return usualCourse({
    kind,
    counts,
    queens,
    weeks,
    temperatureC: temperatures,
    ...(room !== null && { roomForHeads: room }),
  }).last;
}

/** What the last count says against what the one before it would have grown to. */
function verdictOf(
  kind: PopulationKind,
  counts: readonly Count[],
  log: readonly Entry[],
  { steps, temperatureC, room, queens }: Base,
): ColonyFacts['verdict'] {
  const [before, last] = [counts.at(-2), counts.at(-1)];
  if (before?.heads === undefined || last?.heads === undefined) return null;
  const days = daysBetween(before.on, last.on);
  if (days < TELLING_DAYS) return null;
  const weeks = Math.round(days / 7);
  const { series } = projectColony({
    kind,
    counts: { ...usualStages(kind, before.heads, queens, temperatureC, room), ...before.stages },
    queens,
    weeks,
    temperatureC: weeklyTemperatures(steps, before.on, weeks, temperatureC),
    countSpread: Math.hypot(countSpread(before.low, before.high), countSpread(last.low, last.high)),
    draws: VERDICT_DRAWS,
    ...(room !== null && { roomForHeads: room }),
  });
  const end = series.at(-1);
  const expected = kind.laying.by === 'queen' ? end?.stages[kind.adults] : end?.total;
  return expected ? countVerdict(last.heads, expected, removedBetween(log, before.on, last.on)) : null;
}

/** The first day on which each stage was seen with a founding queen: noted, or counted. */
function seenIn(kind: PopulationKind, log: readonly Entry[], counts: readonly Count[]): SeenBrood {
  const seen: Record<string, Day> = {};
  const see = (stage: string, on: Day) => {
    const before = seen[stage];
    if (before === undefined || on < before) seen[stage] = on;
  };
  for (const { kind: what, on, data } of log) if (what === 'brood-seen') see(String(data.stage), on);
  for (const { on, stages = {} } of counts) {
    for (const { id } of kind.young) if ((stages[id] ?? 0) > 0) see(id, on);
  }
  return seen;
}

/** The rest that is on or planned; for a kind that must rest, the usual one of its next season. */
function stepsOf({ rests, hemisphere, today }: Scene, resident: Resident, roomC: number): readonly RestStep[] {
  const standing = rests.get(resident.id);
  if (standing && standing.course.phase !== 'over') return standing.course.steps;
  const kind = restKindFor(resident);
  if (kind?.need !== 'must') return standing?.course.steps ?? [];
  return planOrNone({ kind, hemisphere, asOf: today, roomC, placeC: kind.bandC.max })?.steps ?? [];
}

/** As many as there is room for: by the chambers of a nest, or by the litres of a tub. */
function roomIn(kind: PopulationKind, profile: CareProfile, home: Home): number | null {
  if (home.nest && profile.nest) {
    // A nest is measured by its workers, each with its share of brood.
    return (nestVolumeMl(home.nest) / profile.nest.perHeadMl.value) * (1 + youngPerAdult(kind));
  }
  return kind.headsPerL ? kind.headsPerL.value * innerVolumeL(home.container) : null;
}

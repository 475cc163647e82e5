import { shippedRests } from '@/contract/shipped';
import type { Entry, Resident } from '@/contract/records';
import type { Probe } from '@/contract/readings';
import type { Day } from '@/core/measure/day';
import type { ProbeAlarm, RestUnderWay } from '@/core/plan/work';
import { DAY_MS, type MarkedReading } from '@/core/readings/reading';
import { Refusal } from '@/core/refusal';
import { degreeHoursOutside } from '@/core/season/degreeHours';
import { restPlan, type RestingKind, type RestKind, type RestPlan } from '@/core/season/rest';
import { restCourse, type RestCourse } from '@/core/season/restCourse';
import type { Hemisphere } from '@/core/season/year';
import { groupBy } from './groupBy';
import { ALARM_DAYS, homeAlarms } from './homeReadings';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';
import { listProbes } from './storage/probes';
import { readingsOfRooms } from './storage/readings';

/** The winter of the kind of a care profile. */
export const restKindOf = (profileId: string): RestKind | undefined =>
  shippedRests.find((each) => each.profiles.includes(profileId));

/** A rest that was planned and has not been given up, as it stands. */
export interface StandingRest {
  id: string;
  plannedOn: Day;
  roomId: string;
  placeC: number;
  roomC: number;
  kind: RestingKind;
  plan: RestPlan;
  course: RestCourse;
}

const REST_KINDS = ['rest-planned', 'rest-step', 'rest-ended'] as const;

/** The last rest of each resident that was not given up; one that is over stays until the next is planned. */
export async function restsOf(
  queries: Queries,
  residents: readonly Pick<Resident, 'id' | 'profile'>[],
  today: Day,
): Promise<Map<string, StandingRest>> {
  const entries = await entriesOfKinds(
    queries,
    residents.map((resident) => resident.id),
    REST_KINDS,
  );
  const byResident = groupBy(
    entries.filter((entry) => entry.on <= today),
    (entry) => entry.residentId ?? '',
  );
  const rests = new Map<string, StandingRest>();
  for (const { id, profile } of residents) {
    const kind = restKindOf(profile);
    const rest = kind && kind.need !== 'never' ? standingRest(kind, byResident.get(id) ?? [], today) : undefined;
    if (rest) rests.set(id, rest);
  }
  return rests;
}

function standingRest(kind: RestingKind, entries: readonly Entry[], today: Day): StandingRest | undefined {
  const last = entries.findLastIndex((entry) => entry.kind !== 'rest-step');
  const planned = entries[last];
  if (planned?.kind !== 'rest-planned') return undefined;
  const { roomId, placeC, roomC, startOn, hemisphere } = planned.data;
  const question = {
    kind,
    hemisphere: hemisphere as Hemisphere,
    asOf: planned.on,
    startOn: startOn as Day | undefined,
    roomC: Number(roomC),
    placeC: Number(placeC),
  };
  const plan = planOrNone(question);
  if (!plan) return undefined;
  // Steps of a plan that was taken back are none of this one.
  const steps = entries.filter(({ kind: what, data }) => what === 'rest-step' && data.restId === planned.id);
  const done = new Map(steps.map((entry) => [String(entry.data.step), entry.on]));
  return {
    ...{ id: planned.id, plannedOn: planned.on, roomId: String(roomId), kind, plan },
    ...{ placeC: question.placeC, roomC: question.roomC },
    course: restCourse(plan, kind, done, today),
  };
}

/** The plan; none where the kind's own numbers have changed since so much that it cannot be any more. */
function planOrNone(question: Parameters<typeof restPlan>[0]): RestPlan | undefined {
  try {
    return restPlan(question);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

/** Out of its band for longer than this a resting place is called out; below the floor at once. hours, from memory */
const BEARS_HOURS = 12;

/** What the probes of the places say about rests that are in the cold; by resident. */
export async function restAlarms(
  queries: Queries,
  rests: ReadonlyMap<string, StandingRest>,
  now: string,
): Promise<Map<string, ProbeAlarm[]>> {
  const cold = [...rests].filter(([, { course }]) => course.phase === 'cold');
  if (cold.length === 0) return new Map();
  const since = new Date(Date.parse(now) - ALARM_DAYS * DAY_MS).toISOString();
  const roomIds = [...new Set(cold.map(([, { roomId }]) => roomId))];
  const readings = await readingsOfRooms(queries, since, roomIds);
  const probes = (await listProbes(queries)).filter((probe) => probe.homeId === null);
  return new Map(
    cold.map(([residentId, { roomId, kind }]) => {
      const inPlace = probes.filter((probe) => probe.roomId === roomId);
      return [residentId, alarmsAt(inPlace, readings, kind, Date.parse(now))];
    }),
  );
}

function alarmsAt(
  probes: Probe[],
  readings: Map<string, MarkedReading[]>,
  kind: RestingKind,
  now: number,
): ProbeAlarm[] {
  const { bandC, floorC } = kind;
  const any = { min: 0, max: 100, basis: bandC.basis };
  const bears = (value: number) => ({ value, basis: 'from memory' as const });
  const climate = { humidityPct: any, temperatureC: bandC, bearsHours: bears(BEARS_HOURS) };
  const atOnce = { ...climate, temperatureC: { ...bandC, min: floorC.value, max: Infinity }, bearsHours: bears(0) };
  const below = homeAlarms(probes, readings, atOnce, now).filter((alarm) => alarm.kind === 'too-cold');
  const others = homeAlarms(probes, readings, climate, now);
  return [
    ...below,
    ...others.filter(
      (alarm) => !below.some(({ probeId, kind: same }) => probeId === alarm.probeId && same === alarm.kind),
    ),
  ];
}

/** The rests as the round asks for them. */
export async function restsUnderWay(
  queries: Queries,
  residents: readonly Resident[],
  today: Day,
  now: string,
): Promise<Map<string, RestUnderWay>> {
  const rests = await restsOf(queries, residents, today);
  const alarms = await restAlarms(queries, rests, now);
  return new Map(
    [...rests].map(([residentId, { id, course }]) => [
      residentId,
      { id, course, alarms: alarms.get(residentId) ?? [] },
    ]),
  );
}

/** What the probes of the place measured while it was cold: day by day, and degree-hours outside the band. */
export async function measuredRest(queries: Queries, { roomId, course, kind }: StandingRest) {
  const from = course.steps.findLast((step) => step.what === 'cool')?.on;
  const until = course.steps.find((step) => step.what === 'warm')?.on;
  if (from === undefined || until === undefined || course.phase === 'before' || course.phase === 'cooling') {
    return { measured: [], degreeHours: null };
  }
  const byProbe = await readingsOfRooms(queries, `${from}T00:00:00.000Z`, [roomId]);
  const [first = []] = [...byProbe.values()].sort((a, b) => b.length - a.length);
  const readings = first.flatMap(({ at, temperatureC }) => (temperatureC === undefined ? [] : [{ at, temperatureC }]));
  const inCold = readings.filter(({ at }) => at < Date.parse(`${until}T00:00:00.000Z`));
  const days = groupBy(inCold, ({ at }) => new Date(at).toISOString().slice(0, 10));
  return {
    measured: [...days].map(([on, list]) => ({
      on,
      temperatureC: list.reduce((sum, each) => sum + each.temperatureC, 0) / list.length,
    })),
    degreeHours: inCold.length > 1 ? degreeHoursOutside(inCold, kind.bandC) : null,
  };
}

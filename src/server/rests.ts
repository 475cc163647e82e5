import type { EntryOf } from '@/contract/storedEntries';
import type { Resident } from '@/contract/records';
import type { Probe } from '@/contract/readings';
import { dayOfMoment, type Day } from '@/core/measure/day';
import type { ProbeAlarm, RestUnderWay } from '@/core/plan/work';
import { DAY_MS, type MarkedReading } from '@/core/readings/reading';
import { Refusal } from '@/core/refusal';
import { degreeHoursOutside } from '@/core/season/degreeHours';
import { restPlan, type RestingKind, type RestPlan } from '@/core/season/rest';
import { restCourse, type RestCourse } from '@/core/season/restCourse';
import { groupBy } from '@/core/groupBy';
import { restKindFor, type Rester } from './kinds';
import { ALARM_DAYS, homeAlarms } from './homeReadings';
import type { Queries } from './storage/database';
import { entriesOfKinds } from './storage/entries';
import { listProbes } from './storage/probes';
import { readingsOfRooms } from './storage/readings';

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

export const REST_KINDS = ['rest-planned', 'rest-step', 'rest-ended'] as const;
export type RestKind = (typeof REST_KINDS)[number];

/** The last rest of each resident that was not given up; one that is over stays until the next is planned. */
export async function restsOf(
  queries: Queries,
  residents: readonly (Rester & { id: string })[],
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
  return new Map(
    residents.flatMap((resident) => {
      const rest = restOf(resident, byResident.get(resident.id) ?? [], today);
      return rest ? [[resident.id, rest] as const] : [];
    }),
  );
}

/** The rest of one by the entries about its rests up to today, oldest first. */
export function restOf(resident: Rester, entries: readonly EntryOf<RestKind>[], today: Day): StandingRest | undefined {
  const kind = restKindFor(resident);
  return kind && kind.need !== 'never' ? standingRest(kind, entries, today) : undefined;
}

function standingRest(kind: RestingKind, entries: readonly EntryOf<RestKind>[], today: Day): StandingRest | undefined {
  const last = entries.findLastIndex((entry) => entry.kind !== 'rest-step');
  const planned = entries[last];
  if (planned?.kind !== 'rest-planned') return undefined;
  const { roomId, placeC, roomC, startOn, hemisphere } = planned.data;
  const question = {
    kind,
    ...{ hemisphere, startOn, roomC, placeC },
    asOf: planned.on,
  };
  const plan = planOrNone(question);
  if (!plan) return undefined;
  // Steps of a plan that was taken back are none of this one.
  const done = new Map(
    entries.flatMap((entry) =>
      entry.kind === 'rest-step' && entry.data.restId === planned.id ? [[entry.data.step, entry.on] as const] : [],
    ),
  );
  return {
    ...{ id: planned.id, plannedOn: planned.on, roomId, kind, plan },
    ...{ placeC: question.placeC, roomC: question.roomC },
    course: restCourse(plan, kind, done, today),
  };
}

/** The plan; none where it cannot be: too late in the year, or the kind's own numbers have changed since. */
export function planOrNone(question: Parameters<typeof restPlan>[0]): RestPlan | undefined {
  try {
    return restPlan(question);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

/** The day on which the last step up was made, or will be as it is planned; in a room that is cool itself, the end. */
export function warmAgainOn({ course }: StandingRest): Day {
  const last = course.steps.findLast((step) => step.what === 'warm');
  return last?.doneOn ?? last?.on ?? course.endsOn;
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
      // Asked for whether it is quiet: where its steps could be kept says nothing of that.
      { id, course, alarms: alarms.get(residentId) ?? [], places: [] },
    ]),
  );
}

/** What the probe of the place measured while it was cold: day by day, and degree-hours outside the band. */
export async function measuredRest(queries: Queries, { roomId, course, kind }: StandingRest) {
  const { steps, phase } = course;
  const isCold = phase === 'cold' || phase === 'warming' || phase === 'over';
  const made = steps.findLast((step) => step.what === 'cool') ?? steps.find((step) => step.what === 'hold');
  const until = steps.find((step) => step.what === 'warm')?.on;
  if (!isCold || made === undefined) return { measured: [], degreeHours: null };
  const since = new Date(startOf(made.on)).toISOString();
  const byProbe = [...(await readingsOfRooms(queries, since, [roomId])).values()];
  // Of several probes the one that says most: they may hang in different corners, and their mean would hide both.
  const most = byProbe.reduce<MarkedReading[]>((best, each) => (each.length > best.length ? each : best), []);
  const readings = most.flatMap(({ at, temperatureC }) =>
    temperatureC === undefined || (until !== undefined && at >= startOf(until)) ? [] : [{ at, temperatureC }],
  );
  const days = groupBy(readings, ({ at }) => dayOfMoment(new Date(at)));
  return {
    measured: [...days].map(([on, list]) => ({ on, temperatureC: mean(list.map((each) => each.temperatureC)) })),
    degreeHours: readings.length > 1 ? degreeHoursOutside(readings, kind.bandC) : null,
  };
}

/** When a day begins in the house: in the time zone of the server. ms */
const startOf = (day: Day) => Date.parse(`${day}T00:00:00`);
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

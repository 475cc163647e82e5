import type { MothFlight } from '@/contract/broods';
import type { EntryOf } from '@/contract/storedEntries';
import type { Home, Resident } from '@/contract/records';
import { spinsOn } from '@/core/broods/caterpillars';
import {
  isHeld,
  opensFrom,
  type Cocoon,
  type Emergence,
  type Meeting,
  type MeetQuestion,
  type MothKind,
} from '@/core/broods/emergence';
import { daysBetween, earliestDay, latestDay, type Day } from '@/core/measure/day';
import type { Coming } from '@/core/plan/work';
import { mothKindOf } from '../kinds';
import { remembering } from '../remembering';
import { warmAgainOn, type StandingRest } from '../rests';
import { inThread } from '../threads/pool';

/** What is written of moths that says when they come out. */
export const MOTH_ENTRIES = ['taken-in', 'moulted', 'measured', 'moved', 'hatched'] as const;
type MothEntry = EntryOf<(typeof MOTH_ENTRIES)[number]>;

/** Moths of one species in the house, from the caterpillar on. */
export interface FlightFacts {
  group: readonly Resident[];
  homeOf: (resident: Resident) => Home | undefined;
  warmth: (home: Home) => { temperatureC: number };
  logOf: (id: string) => readonly MothEntry[];
  restOf: (id: string) => StandingRest | undefined;
  today: Day;
}

export interface Flight {
  flight: MothFlight;
  /** What each asks for, by its id. */
  comings: Map<string, Coming>;
}

/** Whether they meet is followed through hundreds of courses: what was asked before is remembered. */
const meetings = remembering<Promise<Meeting>>(400);
const remembered = (question: MeetQuestion) => meetings(JSON.stringify(question), () => inThread('meeting', question));

/** Whether one belongs to a flight: a moth, or what becomes one. Eggs are told by themselves. */
export const isOfFlight = (resident: Resident): boolean =>
  mothKindOf(resident) !== undefined && ['larva', 'pupa', 'adult'].includes(resident.stage);

/** When moths of one species come out and meet, and what each asks for; undefined where nobody gave the numbers of their kind. */
export async function flightOf(facts: FlightFacts): Promise<Flight | undefined> {
  const { group, warmth, homeOf, today } = facts;
  const [first] = group;
  const kind = first && mothKindOf(first);
  if (!first || !kind) return undefined;
  const warmthOf = (resident: Resident) => {
    const home = homeOf(resident);
    return home ? warmth(home).temperatureC : kind.warmth.referenceC.value;
  };
  const places = group.map((each) => ({ temperatureC: warmthOf(each) })).filter((place) => !isHeld(kind, place));
  // What is held back comes out where the others are, or where it is usual.
  const temperatureC =
    places.length > 0 ? Math.max(...places.map((place) => place.temperatureC)) : kind.warmth.referenceC.value;
  const told = group.map((resident) => ({ resident, ...cocoonOf(kind, resident, warmthOf(resident), facts) }));
  const all = told.flatMap(({ cocoon }) => cocoon ?? []);
  const spunAlready = all.filter((cocoon) => !cocoon.spins);
  // Caterpillars are the next generation: they are asked about once nothing else is to come out.
  const cocoons = spunAlready.length > 0 ? spunAlready : all;
  const meeting = cocoons.length > 0 ? await remembered({ kind, cocoons, temperatureC, asOf: today }) : null;
  const out = headsBySex(group.filter(({ stage }) => stage === 'adult'));
  const left = told.filter(({ isLeft }) => isLeft).map(({ resident }) => resident);
  const pairOn = out.female > 0 && out.male > 0 ? today : (meeting?.pairOn ?? null);
  // A pair is put together once: by whoever stands at the female, or at the first of them.
  const paired = group.find(({ sex, stage }) => sex === 'female' && stage !== 'larva') ?? first;
  const comings = told.map(({ resident, cocoon }): [string, Coming] => [
    resident.id,
    {
      window: cocoon && windowOf(kind, cocoon, meeting, temperatureC),
      carry: cocoon && carryOf(kind, cocoon, meeting, today),
      pair: pairOn !== null && resident === paired ? { on: pairOn, targetC: kind.pairC.value } : undefined,
    },
  ]);
  return {
    comings: new Map(comings),
    flight: {
      profile: first.profile,
      scientificName: first.scientificName,
      residentIds: group.map(({ id }) => id),
      ...{ out, meeting, temperatureC, wakeC: kind.wakeC.value, pairC: kind.pairC.value },
      spins: spinsOfAll(told.flatMap(({ spins }) => spins ?? [])),
      waitingIds: left.map(({ id }) => id),
      waiting: left.reduce((sum, { headCount = 1 }) => sum + headCount, 0),
    },
  };
}

/** When the first of some caterpillars spins, and the last. */
function spinsOfAll([first, ...others]: ReturnType<typeof spinsOn>[]): MothFlight['spins'] {
  if (!first) return null;
  return {
    from: earliestDay(first.from, ...others.map(({ from }) => from)),
    median: earliestDay(first.median, ...others.map(({ median }) => median)),
    to: latestDay(first.to, ...others.map(({ to }) => to)),
  };
}

function headsBySex(moths: readonly Resident[]): MothFlight['out'] {
  const of = (sex: Resident['sex']) =>
    moths.filter((each) => each.sex === sex).reduce((sum, { headCount = 1 }) => sum + headCount, 0);
  return { female: of('female'), male: of('male') };
}

interface Told {
  cocoon?: Cocoon;
  spins?: ReturnType<typeof spinsOn>;
  /** It waits, and nobody has planned to bring it out. */
  isLeft?: boolean;
}

/** One as a cocoon: as it is, as it is held back or wakes, or as it will be once it has spun. */
function cocoonOf(kind: MothKind, resident: Resident, temperatureC: number, facts: FlightFacts): Told {
  const { id, sex, stage, headCount: count = 1, instar, bornOn } = resident;
  const { today } = facts;
  const log = facts.logOf(id);
  if (stage === 'larva') {
    const hatchedOn = bornOn ?? log.find((entry) => entry.kind === 'hatched')?.on;
    const spins = spinsOn({ kind, bornOn: hatchedOn, instar, temperatureC, asOf: today });
    const { from, to } = spins;
    return { spins, cocoon: { id, sex, count, on: spins.median, spins: { from, to }, temperatureC } };
  }
  if (stage !== 'pupa') return {};
  const on = log.find(({ data }) => 'stage' in data && data.stage === 'pupa')?.on ?? today;
  const rest = facts.restOf(id);
  if (rest) return { cocoon: { id, sex, count, on, warmOn: warmAgainOn(rest) } };
  const waits = log.findLast((entry) => entry.kind === 'measured' && entry.data.waits !== undefined);
  if (waits?.kind === 'measured' && waits.data.waits) return { isLeft: true };
  const place = { temperatureC };
  if (!isHeld(kind, place)) return { cocoon: { id, sex, count, on, temperatureC } };
  const movedOn = log.findLast((entry) => entry.kind === 'moved')?.on ?? on;
  return { cocoon: { id, sex, count, on, temperatureC, coolDays: Math.max(0, daysBetween(movedOn, today)) } };
}

/** When it comes out, by its sex; where that is not known, whenever any does. */
function windowOf(kind: MothKind, cocoon: Cocoon, meeting: Meeting | null, temperatureC: number): Coming['window'] {
  if (!meeting || cocoon.spins || isHeld(kind, cocoon)) return undefined;
  const of = { female: [meeting.female], male: [meeting.male], unknown: [meeting.female, meeting.male] }[cocoon.sex];
  const [first, ...others] = of.filter((each): each is Emergence => each !== null);
  if (!first) return undefined;
  return {
    what: 'emerge',
    lookFrom: opensFrom(kind, cocoon, temperatureC),
    from: earliestDay(first.p10, ...others.map(({ p10 }) => p10)),
    median: earliestDay(first.median, ...others.map(({ median }) => median)),
    until: latestDay(first.p90, ...others.map(({ p90 }) => p90)),
  };
}

/** Into the cool, or out of it again. */
function carryOf(kind: MothKind, cocoon: Cocoon, meeting: Meeting | null, today: Day): Coming['carry'] {
  if (!meeting || cocoon.spins || cocoon.warmOn || cocoon.sex === 'unknown') return undefined;
  const { hold } = meeting;
  const isToHold = hold?.sex === cocoon.sex;
  if (!isHeld(kind, cocoon))
    return isToHold ? { to: 'cool', on: today, targetC: kind.holdC.value, until: hold.until } : undefined;
  return { to: 'warm', on: isToHold ? hold.until : today, targetC: kind.wakeC.value, until: null };
}

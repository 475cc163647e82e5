import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { entryToKeep, type EntryData, type EntryKind, type EntryToKeep } from '@/contract/storedEntries';
import { shippedFeeders, shippedProfiles } from '@/contract/shipped';
import { preyOf, type Dish } from '@/core/feeding/food';
import type { CultureFacts } from '@/server/storage/store';
import { addDays, type Day } from '@/core/measure/day';
import type { RoomAir } from '@/core/climate/moisture';
import { dampingOf, PROBES, ROOMS, type DemoProbe } from './air';
import { DONE_WITH } from '@/core/plan/work';
import type { AbsenceFacts } from '@/contract/plan';
import type { KeeperFacts } from '@/server/storage/keepers';
import type { ResidentFacts } from '@/server/storage/residents';
import { HOMES, KEEPERS, SHELVES, type DemoHome } from './homes';
import { choreStory, holidayStory, isOfEveryWalk } from './chores';
import { feltStory } from './felt';
import { foodStory, storeStory, type DemoStock } from './larder';
import { RESIDENTS, type DemoResident } from './residents';
import { handbookStory } from './handbook';
import { roomIdOf, seasonStory } from './seasons';

/** How far back the house goes, and how far back its daily work is written down. days */
const HOUSE_DAYS = 730;
const HISTORY_DAYS = 186;
/** Growth of the leg span at a moult, used backwards to give the log its earlier sizes; from memory. */
const GROWTH_AT_MOULT = 1.24;

export type DemoEntry = EntryToKeep;

export interface Demo {
  shelves: { id: string; room: string; roomId: string; name: string; loadLimitKg: number }[];
  homes: (Omit<DemoHome, 'shelf'> & { id: string; shelfId: string; place: number })[];
  residents: (DemoResident & { id: string; homeId: string; facts: ResidentFacts })[];
  entries: DemoEntry[];
  stock: DemoStock[];
  cultures: CultureFacts[];
  /** The air of each room, by its name. */
  rooms: Record<string, RoomAir>;
  keepers: KeeperFacts[];
  absences: Omit<AbsenceFacts, 'hasPage'>[];
  probes: (Omit<DemoProbe, 'home' | 'room'> & { id: string; homeId: string | null; room: string | null })[];
}

/** Everything random in the demo comes from here: the same seed gives the same house. */
class Chance {
  private readonly generator = xoroshiro128plus(4870);

  /** A whole number from `least` to `most`, both included. */
  from(least: number, most: number): number {
    return uniformInt(this.generator, least, most);
  }

  /** An id of the form of a version 4 UUID. */
  id(): string {
    const hex = Array.from({ length: 32 }, () => this.from(0, 15).toString(16));
    hex[12] = '4';
    hex[16] = (8 + this.from(0, 3)).toString(16);
    return hex.join('').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
  }

  keeper(): string {
    return KEEPERS[this.from(0, KEEPERS.length - 1)] ?? KEEPERS[0];
  }
}

/** The Ropewalk Warm House as it stands on `today`: the same every day, relative to that day. */
export function ropewalk(today: Day): Demo {
  const chance = new Chance();
  const shelves = SHELVES.map(({ room, name, loadLimitKg }) => ({
    ...{ id: chance.id(), room, name, loadLimitKg },
    roomId: roomIdOf(room),
  }));
  const homes = HOMES.map(({ shelf, ...home }, index) => ({
    ...home,
    id: chance.id(),
    shelfId: shelves[SHELVES.findIndex((each) => each.key === shelf)]?.id ?? '',
    place: index + 1,
  }));
  const named = RESIDENTS.map((resident) => ({
    ...resident,
    id: chance.id(),
    homeId: homes.find((home) => home.code === resident.home)?.id ?? '',
  }));
  const residents = named.map((resident) => ({ ...resident, facts: factsOf(resident, named, today) }));
  const start = addDays(today, -HOUSE_DAYS);
  const entries = [
    ...homes.map((home) =>
      entry(chance, 'soil-set', start, {
        homeId: home.id,
        data: { substrateDepthMm: home.substrateDepthMm, ...(home.soil && { soil: home.soil }) },
      }),
    ),
    ...residents.flatMap((resident) => storyOf(resident, today, chance)),
    ...residents.flatMap((resident) => foodStory(resident, today)),
    ...residents.flatMap((resident) => seasonStory(resident, today)),
    ...residents.flatMap((resident) => handbookStory(resident, today)),
    ...residents.flatMap((resident, place) => choreStory(resident, place, today)),
    ...residents.flatMap((resident, place) => feltStory(resident, place, dampings(resident), today)),
  ];
  const probes = PROBES.map(({ home, room, ...probe }) => ({
    ...probe,
    id: chance.id(),
    homeId: homes.find((each) => each.code === home)?.id ?? null,
    room: room ?? null,
  }));
  return { shelves, homes, residents, entries, probes, rooms: ROOMS, ...storeStory(today), ...holidayStory(today) };
}

type Named = DemoResident & { id: string };

/** Who a resident is, with its kin by their ids. */
function factsOf(resident: Named, all: Named[], today: Day): ResidentFacts {
  const idOf = (called: string | undefined) => all.find((each) => each.called === called)?.id ?? null;
  const { id, called, scientificName, commonName, profile, sex, stage, headCount, bornDaysAgo } = resident;
  const form = profile.startsWith('ant-') ? 'colony' : headCount === undefined ? 'single' : 'group';
  return {
    ...{ id, called, scientificName, commonName, profile, sex, source: null, permit: null },
    form: stage === 'egg' ? 'eggs' : (resident.form ?? form),
    bornOn: bornDaysAgo === undefined ? null : addDays(today, -bornDaysAgo),
    motherId: idOf(resident.mother),
    fatherId: null,
    outOfId: idOf(resident.outOf),
    batch: resident.batch ?? null,
  };
}

/** One resident's log, from the day it was taken in to today, or to the day it left. */
function storyOf(resident: Demo['residents'][number], today: Day, chance: Chance): DemoEntry[] {
  const write: Write = (kind, daysAgo, data, minutesIn) =>
    entry(chance, kind, addDays(today, -daysAgo), { residentId: resident.id, data }, minutesIn);
  const moults = resident.moultsDaysAgo;
  const profile = profileOf(resident);
  const sizeAfter = (moultsSince: number) =>
    resident.sizeMm === undefined
      ? {}
      : { [profile.measure.takes]: Math.round(resident.sizeMm / GROWTH_AT_MOULT ** moultsSince) };
  const since = resident.takenInDaysAgo ?? HISTORY_DAYS;
  const until = resident.gone?.daysAgo ?? 0;
  const { heads } = resident;
  const headCount = heads?.came ?? resident.headCount;
  const instarAtFirst = heads ? 1 : resident.instar && resident.instar - moults.length;
  const takenIn = entry(chance, 'taken-in', addDays(today, -since), {
    residentId: resident.id,
    homeId: resident.homeId,
    data: {
      stage: resident.stage,
      ...sizeAfter(heads ? heads.steps.length : moults.length),
      ...(headCount !== undefined && { headCount }),
      ...(instarAtFirst !== undefined && { instar: instarAtFirst }),
    },
  });
  const routine = [
    ...profile.work
      .filter((work) => work.stages.includes(resident.stage))
      .flatMap(({ work, everyDays }) =>
        isOfEveryWalk(work)
          ? every(everyDays, resident.waterDaysAgo).map((daysAgo) => write(DONE_WITH[work], daysAgo, {}, 40))
          : [],
      ),
    ...dampings(resident).map(({ daysAgo, waterMl }) => write('damped', daysAgo, { waterMl, neededMl: waterMl }, 40)),
    ...meals(resident, write, chance),
  ].filter((each) => each.on > addDays(today, -since) && each.on < addDays(today, -until));
  return [
    takenIn,
    ...moults.map((daysAgo, index) => write('moulted', daysAgo, { stage: resident.stage, ...sizeAfter(index) })),
    ...(heads?.steps ?? []).map(({ daysAgo, ...step }) => write('moulted', daysAgo, { ...step })),
    ...(heads?.deaths ?? []).map(({ daysAgo, ...death }) => write('died', daysAgo, { ...death })),
    // The last size of a group is a count and a measuring of its own.
    ...(heads && resident.sizeMm !== undefined ? [write('measured', until + 1, sizeAfter(0), 30)] : []),
    ...(resident.massG !== undefined ? [write('measured', until + 14, { massG: resident.massG }, 30)] : []),
    ...(resident.sexedBy
      ? [write('sexed', Math.max(until, moults[0] ?? 0), { sex: resident.sex, by: resident.sexedBy }, 30)]
      : []),
    ...(resident.signs ?? []).map(({ sign, daysAgo }) => write('sign', daysAgo, { sign })),
    ...(resident.notes ?? []).map(({ daysAgo, note }) => ({ ...write('noted', daysAgo, {}), note })),
    ...routine,
    ...leaving(resident, write),
  ];
}

type Write = <Kind extends EntryKind>(
  kind: Kind,
  daysAgo: number,
  data: EntryData[Kind],
  minutesIn?: number,
) => EntryToKeep<Kind>;

/** How it left, whole. */
function leaving({ gone, heads }: DemoResident, write: Write): DemoEntry[] {
  if (!gone) return [];
  const { daysAgo, by, cause, to } = gone;
  const left = heads ? heads.came - heads.deaths.reduce((sum, each) => sum + each.count, 0) : 1;
  return [
    write(by, daysAgo, { count: left, everybody: 1, ...(cause && { cause }), ...(to !== undefined && { to }) }, 45),
  ];
}

/** The days on which its soil was damped: as often as its forecast says, the last time within what that gives. */
function dampings(resident: DemoResident): { daysAgo: number; waterMl: number }[] {
  const plan = dampingOf(resident, profileOf(resident));
  if (!plan) return [];
  const place = RESIDENTS.findIndex(({ called }) => called === resident.called);
  const share = (place * 37) % 80;
  const last = resident.dampedDaysAgo ?? Math.max(1, Math.floor((share * plan.days) / 100));
  return every(plan.days, last).map((daysAgo) => ({ daysAgo, waterMl: plan.waterMl }));
}

function profileOf({ profile: id }: Pick<DemoResident, 'profile'>) {
  const profile = shippedProfiles.find((each) => each.id === id);
  if (!profile) throw new Error(`The demo names a profile that does not ship: ${id}.`);
  return profile;
}

/** Days before today on which something was done that is done every `days`; the last time `lastDaysAgo`. */
function every(days: number, lastDaysAgo: number): number[] {
  const count = Math.floor((HISTORY_DAYS - 2 - lastDaysAgo) / days);
  return Array.from({ length: count }, (_, index) => lastDaysAgo + index * days);
}

/** So many entries tell of the last meal and of the one before it. */
const MEALS_OF_THE_STORY = 3;

/** Meals backwards from the last, none in the week about a moult, now and then refused. */
function meals(
  { meals: plan, moultsDaysAgo, stage, sizeMm = 10, profile }: DemoResident,
  write: Write,
  chance: Chance,
): DemoEntry[] {
  const written: DemoEntry[] = [];
  if (!plan) return written;
  const { measure } = profileOf({ profile });
  const preyLengthMm = Math.max(2, Math.floor(sizeMm * (measure.takes === 'legSpanMm' ? 0.18 : 0.4)));
  const prey = { dishes: [preyDish(preyLengthMm, stage === 'adult' ? 2 : 1)] };
  for (let ago = plan.lastDaysAgo; ago < HISTORY_DAYS - 5; ago += plan.everyDays + chance.from(0, 1)) {
    const isLast = ago === plan.lastDaysAgo;
    const nearMoult = moultsDaysAgo.some((moult) => ago - moult < 9 && moult - ago < 8);
    if (nearMoult && !isLast) continue;
    written.push(write('offered', ago, prey, 20));
    // The stories hang on the last meal: the one before it was taken, whatever chance says.
    const isRefused = !isLast && chance.from(1, 12) === 1 && written.length > MEALS_OF_THE_STORY;
    const outcome = isLast ? plan.outcome : isRefused ? 'refused' : 'eaten';
    if (outcome !== 'open') written.push(write(outcome, ago - 1, {}, 5));
  }
  return written;
}

/** So many of the largest cricket up to a length; fruit flies where none is small enough. */
function preyDish(maxLengthMm: number, count: number): Dish {
  const sizes = preyOf(shippedFeeders).filter(({ kindId }) => kindId === 'field-cricket' || kindId === 'fruit-fly');
  const fitting = sizes.filter((each) => each.lengthMm <= maxLengthMm).sort((a, b) => b.lengthMm - a.lengthMm);
  const { id, lengthMm, massG } =
    fitting[0] ?? (sizes.find((each) => each.kindId === 'fruit-fly') as (typeof sizes)[0]);
  return { food: id, count, lengthMm, massG: count * massG };
}

/** An entry of the evening walk, which starts at 19:00 UTC. */
function entry<Kind extends EntryKind>(
  chance: Chance,
  kind: Kind,
  on: Day,
  about: { residentId?: string; homeId?: string; data: EntryData[Kind] },
  minutesIn = 0,
): EntryToKeep<Kind> {
  const minute = String(Math.min(59, minutesIn + chance.from(0, 15))).padStart(2, '0');
  const { residentId = null, homeId = null, data } = about;
  const at = `${on}T19:${minute}:00.000Z`;
  return entryToKeep(kind, data, {
    ...{ id: chance.id(), residentId, homeId, on, at },
    ...{ keeper: chance.keeper(), note: null },
  });
}

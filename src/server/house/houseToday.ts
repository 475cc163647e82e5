import type { Entry } from '@/contract/entries';
import type { Home, Resident } from '@/contract/records';
import type { WateringOutlook } from '@/core/climate/watering';
import { dampedFor } from '@/core/climate/homeAir';
import type { ColonyState } from '@/core/house/colonyState';
import type { StateOfHome } from '@/core/house/homeState';
import { addDays } from '@/core/measure/day';
import { dueWork } from '@/core/plan/due';
import type { DueWork, LogEntry, PlannedMove, ProbeAlarm, ResidentToday } from '@/core/plan/work';
import { tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { Refusal } from '@/core/refusal';
import { DAY_MS } from '@/core/readings/reading';
import { apartOf } from '../apart';
import { careOf, materialTable } from '../care';
import { colonyStates, sealedIn } from './colonies';
import { ALARM_DAYS, homeAlarms, weighingsOf } from '../homeReadings';
import { groupBy } from '../groupBy';
import { housed } from './housed';
import { growthFactsOf, type GrowthFacts } from './growthFacts';
import { airFor, roomsOf, wateringFor, type AirOfHome } from './air';
import { houseState } from '../houseState';
import { remembering } from '../remembering';
import { shelfOf } from '../larder';
import { statesOfHomes } from './homeStates';
import { logsOf } from '../logs';
import { moultOutlooks } from '../offers';
import type { Queries } from '../storage/database';
import { entriesForRound } from '../storage/entries';
import { listHomes } from '../storage/homes';
import { listProbes } from '../storage/probes';
import { readingsOfHomes } from '../storage/readings';
import { listResidents } from '../storage/residents';
import { roomOfShelf } from '../storage/rooms';
import { restsUnderWay } from '../rests';
import { residentOn, tableOf } from '../today';
import { lastDamping, waterFacts } from './waterFacts';

/** One resident with its home and everything that its work depends on. */
export interface Lodger {
  resident: Resident;
  home: Home;
  log: LogEntry[];
  today: ResidentToday;
  /** What it gives to do today. */
  due: DueWork;
}

/** One whose records cannot be worked out: a row of its own, with what to take back. */
export interface Unworkable {
  resident: Resident;
  home: Home;
  why: string;
  /** What was written about it last. */
  entryId: string | null;
}

/** The house on a day: everybody who is in, in shelf order. */
export interface HouseToday {
  on: string;
  care: CareBook;
  homes: readonly Home[];
  facts: GrowthFacts;
  /** How those that are counted stand. */
  colonies: ReadonlyMap<string, ColonyState>;
  /** How each home stands, by its id. */
  homeStates: ReadonlyMap<string, StateOfHome>;
  /** Everybody who is in, as it counts with those it lives with. */
  residents: readonly Resident[];
  lodgers: Lodger[];
  unworkable: Unworkable[];
}

/** The latest house of each database, while it stands. */
const latest = new WeakMap<Queries, ReturnType<typeof remembering<Promise<HouseToday>>>>();

/** What the work of a day is worked out from, for the whole house; gathered once for all that ask while nothing changes. */
export function houseToday(queries: Queries, on: string, now: string): Promise<HouseToday> {
  const state = houseState(queries, on, now);
  if (state === undefined) return gatherHouse(queries, on, now);
  const remembered = latest.get(queries) ?? remembering<Promise<HouseToday>>(1);
  latest.set(queries, remembered);
  return remembered(state, () => gatherHouse(queries, on, now));
}

async function gatherHouse(queries: Queries, on: string, now: string): Promise<HouseToday> {
  const care = await careOf(queries);
  const written = await listResidents(queries);
  const colonies = await colonyStates(queries, written, on, now);
  const [residents, homes, entries] = [
    housed(care, written, colonies),
    await listHomes(queries),
    await entriesForRound(queries, on),
  ];
  const waters = await waterOfHomes(queries, { care, residents, homes, entries, on, now });
  const homeById = new Map(homes.map((home) => [home.id, home]));
  const table = await tableOf(queries, residents, on, await shelfOf(queries, on));
  const facts = await growthFactsOf(queries, residents, on, now);
  const logs = logsOf(entries);
  const rests = await restsUnderWay(queries, residents, on, now);
  const moves = plannedMoves(entries, homeById, on);
  const homeOf = (resident: Resident) => homeById.get(resident.homeId);
  const batteries = new Set(
    (await listProbes(queries)).flatMap((probe) => (probe.kind === 'hand' ? [] : (probe.homeId ?? []))),
  );
  const unworkable: Unworkable[] = [];
  const lodgers = residents
    .filter((resident) => resident.takenInOn <= on)
    .flatMap((resident): Lodger[] => {
      const home = homeOf(resident);
      if (!home) return [];
      const log = logs.get(resident.id) ?? [];
      const lodge = (): Lodger => {
        requireSize(care, resident);
        const today: ResidentToday = {
          ...residentOn(care, resident, log, on, table),
          home,
          ...morningOf(waters.get(home.id), resident),
          outlooks: moultOutlooks(care, facts, resident, home, log, on),
          rest: rests.get(resident.id),
          ...(resident.form === 'colony' && { sealedIn: sealedIn(colonies.get(resident.id)) }),
          move: moves.get(resident.id),
          hasBattery: batteries.has(home.id),
        };
        return { resident, home, log, today, due: dueWork(today, on) };
      };
      const lodger = apartOf(lodge, (why) => {
        unworkable.push({ resident, home, why, entryId: lastOf(entries, resident.id) });
      });
      return lodger ? [lodger] : [];
    });
  const homeStates = statesOfHomes({ on, care, homes, residents, colonies, waters });
  return { on, care, homes, facts, colonies, homeStates, residents, lodgers, unworkable };
}

/** @throws Refusal, in words for its keeper, where nothing that was written tells how large it is */
function requireSize(care: CareBook, resident: Resident): void {
  const profile = care.of(resident);
  if (tellsSize(profile, resident)) return;
  const message = `its ${profile.measure.name} is not known: measure it, or undo what took it away.`;
  throw new Refusal([{ path: profile.measure.takes, message }]);
}

/** The last thing that was written about somebody, and can be taken back. */
function lastOf(entries: readonly Entry[], residentId: string): string | null {
  const own = entries.filter((entry) => entry.residentId === residentId && entry.kind !== 'taken-in');
  return own.sort((a, b) => a.at.localeCompare(b.at)).at(-1)?.id ?? null;
}

/** The moves that stand: planned last, neither dropped nor made before the day. */
function plannedMoves(
  entries: readonly Entry[],
  homes: ReadonlyMap<string, Home>,
  on: string,
): Map<string, PlannedMove> {
  const about = entries.filter((entry) => ['move-planned', 'move-dropped', 'moved'].includes(entry.kind));
  const moves = new Map<string, PlannedMove>();
  for (const [residentId, list] of groupBy(about, (entry) => entry.residentId ?? '')) {
    const before = (a: Entry, b: Entry) => a.on.localeCompare(b.on) || a.at.localeCompare(b.at);
    // The move of today is still shown, as done.
    const last = list
      .filter((entry) => entry.kind !== 'moved' || entry.on < on)
      .sort(before)
      .at(-1);
    if (last?.kind !== 'move-planned') continue;
    const { moveOn, from, until } = last.data;
    const to = homes.get(String(last.data.toHomeId));
    if (!to) continue;
    const days = { on: String(moveOn), from: String(from), until: String(until) };
    moves.set(residentId, { id: last.id, toHomeId: to.id, toCode: to.code, ...days });
  }
  return moves;
}

interface Scene {
  care: CareBook;
  residents: readonly Resident[];
  homes: readonly Home[];
  entries: Entry[];
  on: string;
  now: string;
}

/** The water and the air of a home, by who it is damped for. */
export interface WaterOfHome {
  tenantId: string;
  /** When it is to be damped, as it stood this morning: what is damped today is shown as done. */
  morning: WateringOutlook | null | undefined;
  /** As it stands now. */
  now: WateringOutlook | null | undefined;
  alarms: ProbeAlarm[];
  air: AirOfHome | null | undefined;
}

/** What the work of one goes by: the home is damped for one of those who live in it. */
const morningOf = (water: WaterOfHome | undefined, { id }: Resident): Pick<ResidentToday, 'watering' | 'alarms'> =>
  water?.tenantId === id ? { watering: water.morning, alarms: water.alarms } : {};

/** When each home is to be damped, what its air does, and what its probes say is wrong. */
async function waterOfHomes(queries: Queries, scene: Scene): Promise<Map<string, WaterOfHome>> {
  const { care, residents, homes, entries, on, now } = scene;
  const [rooms, roomByShelf, materials] = [
    await roomsOf(queries, now),
    await roomOfShelf(queries),
    await materialTable(queries),
  ];
  const probes = await listProbes(queries);
  const readings = await readingsOfHomes(queries, new Date(Date.parse(now) - ALARM_DAYS * DAY_MS).toISOString());
  const tenantsOf = groupBy(residents, (resident) => resident.homeId);
  const entriesOf = groupBy(entries, (entry) => entry.residentId ?? '');
  const probesOf = groupBy(probes, (probe) => probe.homeId ?? '');
  const water = new Map<string, WaterOfHome>();
  for (const home of homes) {
    const tenants = tenantsOf.get(home.id) ?? [];
    const tenant = dampedFor(care, tenants);
    const room = rooms.find((each) => each.id === roomByShelf.get(home.shelfId));
    if (!tenant || !room) continue;
    const profile = care.of(tenant);
    const inHome = probesOf.get(home.id) ?? [];
    const alarms = homeAlarms(inHome, readings, profile.climate, Date.parse(now));
    const log = tenants.flatMap((each) => entriesOf.get(each.id) ?? []);
    const weighings = weighingsOf(inHome, readings);
    const wateringBy = (until: string) => {
      const facts = waterFacts(log, weighings, on, until);
      return apartOf(() => wateringFor(profile, tenant, home, room, materials, facts, on, alarms));
    };
    const morning = wateringBy(addDays(on, -1));
    const isDampedToday = lastDamping(log, on)?.on === on;
    water.set(home.id, {
      ...{ tenantId: tenant.id, morning, now: isDampedToday ? wateringBy(on) : morning, alarms },
      air: apartOf(() => airFor(profile, tenant, home, room, materials)),
    });
  }
  return water;
}

import { carriedOn } from '@/core/profiles/animal';
import type { Entry, EntryOf } from '@/contract/storedEntries';
import type { Probe } from '@/contract/readings';
import type { Home, Resident } from '@/contract/records';
import type { ColonyState } from '@/core/house/colonyState';
import { homeState, type StateOfHome } from '@/core/house/homeState';
import { dayOfMoment, type Day } from '@/core/measure/day';
import { dueWork } from '@/core/plan/due';
import type { Coming, ProbeAlarm, RestUnderWay } from '@/core/plan/work';
import { tellsSize } from '@/core/profiles/animal';
import type { CareBook } from '@/core/profiles/careBook';
import { airSchool } from '@/core/profiles/schools';
import { censusOf, youngestInstar } from '@/core/growth/census';
import { Refusal } from '@/core/refusal';
import { guarded } from '../guarded';
import { groupBy } from '@/core/groupBy';
import { eggsComing } from '../hatching';
import { larderOf } from '../larder';
import { logsOf } from '../logs';
import { moultOutlooks } from '../offers';
import { restAlarms, restOf, type StandingRest } from '../rests';
import type { Queries } from '../storage/database';
import { homeOrder } from '../storage/homes';
import { everyId } from '../storage/residents';
import { residentOn } from '../today';
import { broodOf, countedState, foundingOf, homesBeforeNow, isCountedForm } from './colonies';
import { groupMoults, headsOnly, peersOf, printsOf, watchedWarmth } from './growthFacts';
import type { GrowthFacts, GroupMoult } from './growthFacts';
import { StandingFlights } from './standingFlights';
import { housed } from './housed';
import { pauses } from './inTurn';
import type { HouseToday, Lodger, Unworkable } from './houseToday';
import { moveOf } from './plannedMoves';
import { noRecords, readHomes, readResidents, type Records } from './records';
import { readAir, readShared, type Shared } from './shared';
import { readFed, readStore, storeNow, type Store } from './store';
import { answersTheSame, askedOf, differOnlyInNumbers, onHandOf, type StoreAsked } from './storeAsked';
import type { Touched } from './touched';
import { waterOfHome, type WaterOfHome } from './waterOfHome';

/**
 * The house on a day, kept: what was written down, and the state of everybody and of every home that is worked out from it. A
 * state stands until something it depends on is touched; then that one is worked out anew, and those who share its home.
 */
export class StandingHouse {
  private shared: Shared;
  private store: Store;
  private readonly records: Records;
  private order: string[] = [];
  /** Another object whenever anything is another: who keeps what came of it knows by that. */
  private answer: HouseToday | undefined;
  private readonly colonies = new Map<string, ColonyState>();
  private readonly rests = new Map<string, StandingRest>();
  private readonly restAlarms = new Map<string, ProbeAlarm[]>();
  private readonly groups = new Map<string, GroupMoult[]>();
  private readonly housed = new Map<string, Resident>();
  private readonly waters = new Map<string, WaterOfHome>();
  private readonly states = new Map<string, StateOfHome>();
  private readonly lodgers = new Map<string, Lodger>();
  private readonly unworkable = new Map<string, Unworkable>();
  private readonly asked = new Map<string, StoreAsked>();
  private growth: GrowthFacts;
  private readonly flights = new StandingFlights();
  private prints: ReadonlyMap<string, string> = new Map();

  private constructor(shared: Shared, store: Store) {
    this.shared = shared;
    this.store = store;
    this.records = noRecords();
    this.growth = this.growthNow();
  }

  /** Reads everything and works everything out; so that others are answered meanwhile, in many small steps. */
  static async gather(queries: Queries, on: Day, now: string): Promise<StandingHouse> {
    const house = new StandingHouse(await readShared(queries, on, now), await readStore(queries));
    house.order = await homeOrder(queries);
    await readHomes(queries, house.records, house.order);
    const ids = await everyId(queries);
    await readResidents(queries, house.records, ids, on);
    await readFed(queries, house.store, ids);
    house.shared = house.withStore();
    house.growth = house.growthNow();
    await house.workOut(queries, new Set(house.records.residents.keys()), new Set(house.order));
    return house;
  }

  /** The day of which it tells. */
  get on(): Day {
    return this.shared.on;
  }

  /** Brings up to date what was touched; and, where time has gone by, what the probes and rooms say. */
  async update(queries: Queries, touched: Touched, now: string, isLater: boolean): Promise<void> {
    const { homes, air, rooms, store } = touched;
    const { records } = this;
    const ids = new Set([...touched.residents, ...this.livedIn(touched.warmth)]);
    const dirtyHomes = new Set(homes);
    const dirty = new Set(ids);
    // Where those lived that were touched, and where they live now.
    const touchHomesOf = () => {
      for (const id of ids) {
        const homeId = records.residents.get(id)?.homeId;
        if (homeId !== undefined) dirtyHomes.add(homeId);
      }
    };
    touchHomesOf();
    const before = new Map([...ids].map((id) => [id, this.toldBy(id)]));
    await readResidents(queries, records, [...ids], this.on);
    touchHomesOf();
    if (homes.size > 0) this.order = await homeOrder(queries);
    await readHomes(queries, records, [...homes]);
    if (store) for (const id of await this.storeTouched(queries, [...ids])) dirty.add(id);
    if (isLater || rooms.size > 0 || air.size > 0) {
      const { shared } = this;
      this.shared = { ...shared, ...(await readAir(queries, now)), now };
      for (const id of this.homesOfOtherAir(shared)) dirtyHomes.add(id);
      // The place of a rest is no home: what its probe says, and where its steps can be kept, is asked of the rooms.
      for (const [id, { course }] of this.rests) if (course.phase !== 'over') dirty.add(id);
    }
    for (const { id, homeId } of records.residents.values()) if (dirtyHomes.has(homeId)) dirty.add(id);
    const peers = [...ids].filter((id) => this.toldBy(id) !== before.get(id));
    for (const id of this.kinOfPeers(peers)) dirty.add(id);
    // What a home is called on its shelf is told to who is to move there.
    for (const { resident, today } of this.lodgers.values()) {
      if (today.move && homes.has(today.move.toHomeId)) dirty.add(resident.id);
    }
    // Also what nobody's state depends on may be another: what lies in the store, which box stands where.
    if (store || isLater || homes.size + rooms.size + air.size + dirty.size > 0) this.answer = undefined;
    if (dirty.size === 0 && dirtyHomes.size === 0) return;
    await this.workOut(queries, dirty, dirtyHomes);
  }

  /** The house as it stands; the same object until something is worked out anew. */
  today(): HouseToday {
    this.answer ??= this.answerNow();
    return this.answer;
  }

  private async workOut(queries: Queries, dirty: ReadonlySet<string>, dirtyHomes: ReadonlySet<string>): Promise<void> {
    this.answer = undefined;
    const { records } = this;
    const pause = pauses();
    const here = [...dirty].flatMap((id) => records.residents.get(id) ?? []);
    this.forget(dirty, dirtyHomes);
    await this.workOutRests(queries, here);
    const { on, shared, rests } = this;
    const alsoOfFlights = await this.flights.workOut(queries, dirty, { on, records, shared, rests });
    const byHome = groupBy(records.residents.values(), ({ homeId }) => homeId);
    for (const resident of here) {
      if (isCountedForm(resident)) this.workOutColony(resident, byHome.get(resident.homeId) ?? []);
      await pause();
    }
    for (const homeId of dirtyHomes) {
      const tenants = inOrderOfComing(byHome.get(homeId) ?? []);
      this.settle(homeId, tenants);
      const asGrown = tenants.map((each) => this.asGrown(each));
      for (const each of housed(this.shared.care, asGrown, this.colonies)) this.housed.set(each.id, each);
      const home = records.homes.get(homeId);
      const water = home && this.waterIn(home, tenants);
      if (water) this.waters.set(homeId, water);
      await pause();
    }
    for (const id of new Set([...here.map((each) => each.id), ...alsoOfFlights])) {
      this.workOutLodger(id);
      await pause();
    }
    for (const homeId of dirtyHomes) {
      const home = records.homes.get(homeId);
      if (home) this.states.set(homeId, this.stateOf(home, inOrderOfComing(byHome.get(homeId) ?? [])));
      await pause();
    }
  }

  /** A group is as large as half of it has come to be since it was measured. */
  private asGrown(resident: Resident): Resident {
    if (resident.form !== 'group') return resident;
    const moults = (this.groups.get(resident.id) ?? []).filter(({ on }) => on > resident.measuredOn).length;
    return carriedOn(this.shared.care.of(resident), resident, moults);
  }

  /** The lowest instar that some of a group are in. */
  private youngest(id: string): number | undefined {
    return guarded(() => youngestInstar(censusOf(headsOnly(this.records.heads.get(id) ?? []), this.on), this.on));
  }

  /** Writes into a home who lives in it; as long as those are the same it stays the same object. */
  private settle(homeId: string, tenants: readonly Resident[]): void {
    const home = this.records.homes.get(homeId);
    const residentIds = tenants.map(({ id }) => id);
    if (!home || home.residentIds.join() === residentIds.join()) return;
    this.records.homes.set(homeId, { ...home, residentIds });
  }

  private forget(dirty: ReadonlySet<string>, dirtyHomes: ReadonlySet<string>): void {
    const kept = [this.groups, this.lodgers, this.unworkable, this.asked, this.rests, this.restAlarms];
    for (const id of dirty) {
      for (const map of kept) map.delete(id);
      // How one counts with those it lives with is worked out with its home.
      const resident = this.records.residents.get(id);
      if (!resident) this.housed.delete(id);
      if (!resident || !isCountedForm(resident)) this.colonies.delete(id);
    }
    for (const id of dirtyHomes) for (const map of [this.waters, this.states]) map.delete(id);
  }

  private async workOutRests(queries: Queries, residents: readonly Resident[]): Promise<void> {
    const rests = new Map<string, StandingRest>();
    for (const resident of residents) {
      const rest = restOf(resident, this.records.rests.get(resident.id) ?? [], this.on);
      if (rest) rests.set(resident.id, rest);
    }
    for (const [id, rest] of rests) this.rests.set(id, rest);
    for (const [id, alarms] of await restAlarms(queries, rests, this.shared.now)) this.restAlarms.set(id, alarms);
  }

  private workOutColony(resident: Resident, mates: readonly Resident[]): void {
    const { id, homeId, takenInOn, form } = resident;
    const home = this.records.homes.get(homeId);
    const heads = this.records.heads.get(id) ?? [];
    if (form === 'group') this.groups.set(id, groupMoults(heads, this.records.lived.get(id), this.on));
    const before = this.colonies.get(id);
    this.colonies.delete(id);
    if (!home || takenInOn > this.on) return;
    // Whether it is a guest is told by who lives with it, whatever their number.
    const { isGuest } = housed(this.shared.care, mates, new Map()).find((each) => each.id === id) ?? resident;
    const homesBefore = homesBeforeNow(this.records, resident);
    const counted = { resident: { ...resident, isGuest }, home, homesBefore, heads, rest: this.rests.get(id) };
    const state = guarded(() => countedState(this.shared, counted));
    // One that stands as it stood is the same: what takes long to work out from it is kept by it.
    if (state) this.colonies.set(id, before && JSON.stringify(before) === JSON.stringify(state) ? before : state);
  }

  private growthNow(): GrowthFacts {
    const { kin, moults, lived } = this.records;
    const peers = peersOf(kin.values(), moults);
    // Of its own: an answer that was given before tells by what was told before.
    const prints = new Map(this.prints);
    this.prints = prints;
    return {
      ...{ moults, lived, peers, groups: this.groups, printOf: printsOf(peers, prints) },
      spreadTimes: this.shared.spread.moult,
      warmth: (home) => this.shared.warmth(home),
    };
  }

  /** Those who have lived in some homes, or in homes of some rooms. */
  private livedIn(places: ReadonlySet<string>): string[] {
    if (places.size === 0) return [];
    const { lived, homes } = this.records;
    const isThere = (homeId: string) => {
      const home = homes.get(homeId);
      return places.has(homeId) || (home !== undefined && places.has(this.shared.roomOf(home)?.id ?? ''));
    };
    return [...lived].flatMap(([id, { stays }]) => (stays.some(({ homeId }) => isThere(homeId)) ? [id] : []));
  }

  /** What somebody tells others of its kind. */
  private toldBy(id: string): string {
    return JSON.stringify([this.records.kin.get(id), this.records.moults.get(id)]);
  }

  /** Those whose moults are awaited, of the species of some who tell something else than before: by those they are told. */
  private kinOfPeers(peers: readonly string[]): string[] {
    if (peers.length === 0) return [];
    const species = new Set(peers.flatMap((id) => this.records.kin.get(id)?.scientificName ?? []));
    this.prints = new Map([...this.prints].filter(([name]) => !species.has(name)));
    this.growth = this.growthNow();
    return [...this.lodgers.values()].flatMap(({ resident, today }) =>
      species.has(resident.scientificName) && (today.outlooks ?? []).length > 0 ? [resident.id] : [],
    );
  }

  private withStore(): Shared {
    const shelf = storeNow(this.store, this.on);
    return { ...this.shared, shelf, larder: larderOf(shelf) };
  }

  /** Those to whom the store answers otherwise than before. */
  private async storeTouched(queries: Queries, fed: readonly string[]): Promise<string[]> {
    const before = this.shared.larder;
    const { begins, fed: known } = this.store;
    this.store = { ...(await readStore(queries)), fed: known };
    // A book that begins earlier tells of meals that were not read.
    const isLonger = this.store.begins !== undefined && (begins === undefined || this.store.begins < begins);
    await readFed(queries, this.store, isLonger ? await everyId(queries) : fed);
    this.shared = this.withStore();
    const after = this.shared.larder;
    if (!differOnlyInNumbers(before, after)) return [...this.lodgers.keys()];
    const [was, is] = [onHandOf(before), onHandOf(after)];
    return [...this.asked].flatMap(([id, asked]) => (answersTheSame(asked, was, is) ? [] : [id]));
  }

  /** Homes whose room, warmth, probes or readings say something else than before. */
  private homesOfOtherAir(before: Shared): string[] {
    const told = (shared: Shared, home: Home) => {
      const probes = shared.probes.get(home.id) ?? [];
      const heard = probes.map(({ id, kind, place, name }) => {
        const readings = shared.readings.get(id) ?? [];
        // What is read by hand can be written over, and speaks by its last value.
        return [id, kind, place, name, kind === 'hand' ? readings : readings.length];
      });
      // A probe that says nothing is told of by the time.
      const at = probes.length > 0 ? shared.now : '';
      return JSON.stringify([shared.roomOf(home), shared.warmth(home), heard, at]);
    };
    return [...this.records.homes.values()]
      .filter((home) => told(before, home) !== told(this.shared, home))
      .map(({ id }) => id);
  }

  private waterIn(home: Home, tenants: readonly Resident[]): WaterOfHome | undefined {
    const log = tenants.flatMap(({ id }) => this.records.entries.get(id) ?? []);
    return waterOfHome(
      this.shared,
      home,
      tenants.flatMap(({ id }) => this.housed.get(id) ?? []),
      log,
      ({ id }) => this.rests.get(id)?.course.isQuiet ?? false,
    );
  }

  private workOutLodger(id: string): void {
    const { care, on, hemisphere, probes } = this.shared;
    const resident = this.housed.get(id);
    const home = resident && this.records.homes.get(resident.homeId);
    if (!resident || !home || resident.takenInOn > on) return;
    const entries = this.records.entries.get(id) ?? [];
    const log = logsOf(entries).get(id) ?? [];
    const { larder, asked } = askedOf(this.shared.larder);
    const water = this.waters.get(home.id);
    const rest = this.rests.get(id);
    const lodge = (): Lodger => {
      requireSize(care, resident);
      const today = {
        ...residentOn(care, resident, log, on),
        ...(resident.form === 'group' && { instar: this.youngest(id) }),
        ...{ home, larder, hemisphere, meals: this.records.meals.get(id) },
        temperatureC: this.growth.warmth(home).temperatureC,
        ...(resident.form === 'single' && { watchedTemperatureC: watchedWarmth(this.growth, resident, log, on) }),
        ...(water?.tenantId === id && { watering: water.morning, alarms: water.alarms }),
        outlooks: moultOutlooks(care, this.growth, resident, home, log, on),
        rest: rest && this.underWay(id, rest),
        ...(resident.form === 'colony' && {
          founding: foundingOf(this.colonies.get(id)),
          brood: broodOf(this.colonies.get(id)),
        }),
        coming: this.comingOf(resident, entries, home),
        move: moveOf(entries, this.records.homes, on),
        batterySince: oldestBattery(probes.get(home.id) ?? []),
      };
      return { on, resident, home, log, today, due: dueWork(today, on) };
    };
    const lodger = guarded(lodge, (why) => {
      this.unworkable.set(id, { resident, home, why, entryId: lastOf(entries) });
    });
    if (lodger) this.lodgers.set(id, lodger);
    this.asked.set(id, asked);
  }

  private underWay(id: string, { id: planId, course }: StandingRest): RestUnderWay {
    const places = [...this.shared.rooms.values()].map(({ name, air }) => ({ name, temperatureC: air.temperatureC }));
    return { id: planId, course, alarms: this.restAlarms.get(id) ?? [], places };
  }

  private stateOf(home: Home, tenants: readonly Resident[]): StateOfHome {
    const { care, on } = this.shared;
    const { air = null, now: watering = null, alarms = [] } = this.waters.get(home.id) ?? {};
    return homeState({
      ...{ home, today: on, air, watering, alarms },
      tenants: tenants.map(({ id }) => {
        const resident = this.housed.get(id) as Resident;
        const profile = care.of(resident);
        const { stage, legSpanMm, bodyLengthMm, carapaceWidthMm, sizeCarriedOn } = resident;
        const { headCount, headsTogether, isGuest } = resident;
        const label = resident.called ?? resident.scientificName;
        const isEggs = resident.form === 'eggs';
        return {
          ...{ id, profile, stage, legSpanMm, bodyLengthMm, carapaceWidthMm, sizeCarriedOn },
          ...{ headCount, headsTogether, isGuest },
          ...{ school: airSchool(profile, resident.schools), settled: resident.keptSo },
          lodger: { label, scientificName: resident.scientificName, profile, headCount, isEggs },
          fullPct: this.colonies.get(id)?.fullPct ?? null,
        };
      }),
    });
  }

  /** What comes out of eggs, and what moths ask for. */
  private comingOf(resident: Resident, entries: readonly Entry[], home: Home): Coming | undefined {
    if (resident.form !== 'eggs') return this.flights.comingOf(resident);
    const { on, shared } = this;
    const laid = entries.findLast((entry): entry is EntryOf<'laid'> => entry.kind === 'laid');
    const { temperatureC } = shared.warmth(home);
    const rest = this.rests.get(resident.id);
    return eggsComing({ resident, laid, temperatureC, rest, today: on, spreadTimes: shared.spread.hatch });
  }

  private answerNow(): HouseToday {
    const { records, shared } = this;
    const homes = this.order.flatMap((id) => records.homes.get(id) ?? []);
    const byHome = groupBy(this.housed.values(), ({ homeId }) => homeId);
    const residents = homes.flatMap(({ id }) => inOrderOfComing(byHome.get(id) ?? []));
    return {
      ...{ on: shared.on, care: shared.care, shelf: shared.shelf, hemisphere: shared.hemisphere, homes, residents },
      spread: shared.spread,
      // Copies: who has asked for this answer keeps it as it is.
      facts: {
        ...this.growth,
        ...{ moults: new Map(records.moults), lived: new Map(records.lived) },
        groups: new Map(this.groups),
        warmth: shared.warmth,
      },
      colonies: new Map(this.colonies),
      rests: new Map(this.rests),
      flights: this.flights.all(),
      homeStates: new Map(this.states),
      lodgers: residents.flatMap(({ id }) => this.lodgers.get(id) ?? []),
      unworkable: residents.flatMap(({ id }) => this.unworkable.get(id) ?? []),
    };
  }
}

/** As they came into a home; of those that came on one day in the order of their ids. */
const inOrderOfComing = (residents: readonly Resident[]): Resident[] =>
  [...residents].sort((a, b) =>
    a.takenInOn === b.takenInOn ? (a.id < b.id ? -1 : 1) : a.takenInOn < b.takenInOn ? -1 : 1,
  );

/** @throws Refusal, in words for its keeper, where nothing that was written tells how large it is */
function requireSize(care: CareBook, resident: Resident): void {
  const profile = care.of(resident);
  if (tellsSize(profile, resident)) return;
  const message = `its ${profile.measure.name} is not known: measure it, or undo what took it away.`;
  throw new Refusal([{ path: profile.measure.takes, message }]);
}

/** Since when the probe hangs in a home whose battery has been in it for longest; undefined for a home without one. */
const oldestBattery = (probes: readonly Probe[]): Day | undefined =>
  probes.flatMap(({ kind, addedAt }) => (kind === 'hand' ? [] : dayOfMoment(new Date(addedAt)))).sort()[0];

/** The last thing that was written about somebody, and can be taken back. */
function lastOf(entries: readonly Entry[]): string | null {
  const own = entries.filter(({ kind }) => kind !== 'taken-in');
  return own.sort((a, b) => a.at.localeCompare(b.at)).at(-1)?.id ?? null;
}

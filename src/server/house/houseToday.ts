import type { MothFlight } from '@/contract/broods';
import type { Home, Resident } from '@/contract/records';
import type { ColonyState } from '@/core/house/colonyState';
import type { StateOfHome } from '@/core/house/homeState';
import { dayOfMoment, type Day } from '@/core/measure/day';
import type { DueWork, LogEntry, ResidentToday } from '@/core/plan/work';
import type { CareBook } from '@/core/profiles/careBook';
import type { Hemisphere } from '@/core/season/year';
import type { Shelf } from '../larder';
import type { StandingRest } from '../rests';
import type { SpreadInForce } from '../scores/spread';
import { isDatabase, type Database, type Queries } from '../storage/database';
import type { GrowthFacts } from './growthFacts';
import { letOthersIn } from './inTurn';
import { StandingHouse } from './standingHouse';
import { touchedSince } from './touched';

/** One resident with its home and everything that its work depends on. */
export interface Lodger {
  /** The day of which it tells. */
  on: Day;
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
  on: Day;
  care: CareBook;
  hemisphere: Hemisphere;
  /** By how much the windows of this house are widened. */
  spread: SpreadInForce;
  /** What lies in the store. */
  shelf: Shelf;
  homes: readonly Home[];
  facts: GrowthFacts;
  /** How those that are counted stand. */
  colonies: ReadonlyMap<string, ColonyState>;
  /** The winter rests that were planned and have not been given up. */
  rests: ReadonlyMap<string, StandingRest>;
  /** Moths, species by species, from the caterpillar on. */
  flights: readonly MothFlight[];
  /** How each home stands, by its id. */
  homeStates: ReadonlyMap<string, StateOfHome>;
  /** Everybody who is in, as it counts with those it lives with. */
  residents: readonly Resident[];
  lodgers: readonly Lodger[];
  unworkable: readonly Unworkable[];
}

/** What the probes say is heard anew after so long though nothing was written: one that fell silent is told by then. ms */
const HEARD_AFTER_MS = 10 * 60_000;

interface Kept {
  house: StandingHouse;
  /** As it stood then: it may be brought up to date for somebody else at any moment. */
  today: HouseToday;
  since: string;
  /** The time that it tells of, in steps of `HEARD_AFTER_MS`. */
  step: number;
}

/** The house of each database as it stood when somebody asked last; whoever asks meanwhile waits for the same. */
const kept = new WeakMap<Database, Promise<Kept>>();

/**
 * What the work of a day is worked out from, for the whole house. Of a database it is kept, and only what was touched since is
 * worked out anew; within a transaction, and of another day than today, it is gathered from nothing.
 */
export async function houseToday(queries: Queries, on: Day, now: string): Promise<HouseToday> {
  if (!isDatabase(queries)) return (await StandingHouse.gather(queries, on, now)).today();
  if (on !== dayOfMoment(new Date(now))) return (await StandingHouse.gather(queries, on, now)).today();
  const before = kept.get(queries);
  const known = before && (await before.catch(() => undefined));
  // Somebody else may have begun meanwhile.
  if (kept.get(queries) !== before) return houseToday(queries, on, now);
  const next = broughtUp(queries, known, on, now);
  kept.set(queries, next);
  try {
    return (await next).today;
  } catch (error) {
    if (kept.get(queries) === next) kept.delete(queries);
    throw error;
  }
}

async function broughtUp(queries: Database, known: Kept | undefined, on: Day, now: string): Promise<Kept> {
  const step = Math.floor(Date.parse(now) / HEARD_AFTER_MS);
  const touched = await touchedSince(queries, known?.since ?? null);
  const { since } = touched;
  const stands = known !== undefined && known.house.on === on && !touched.all;
  const house = stands ? known.house : await StandingHouse.gather(queries, on, now);
  if (stands) await house.update(queries, touched, now, known.step !== step);
  await letOthersIn();
  return { house, today: house.today(), since, step };
}

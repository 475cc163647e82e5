import type { Probe, Room } from '@/contract/readings';
import type { Home } from '@/contract/records';
import type { Larder } from '@/core/feeding/food';
import type { Day } from '@/core/measure/day';
import type { CareBook } from '@/core/profiles/careBook';
import { DAY_MS, type MarkedReading } from '@/core/readings/reading';
import type { Hemisphere } from '@/core/season/year';
import type { MaterialTable } from '@/core/substrate/material';
import { careOf, materialTable } from '../care';
import { groupBy } from '@/core/groupBy';
import { ALARM_DAYS } from '../homeReadings';
import { EMPTY_SHELF, larderOf, type Shelf } from '../larder';
import { spreadInForce, type SpreadInForce } from '../scores/spread';
import type { Queries } from '../storage/database';
import { listProbes } from '../storage/probes';
import { readingsOfHomes } from '../storage/readings';
import { hemisphereOf, roomsAndWarmth } from './air';

/** What holds for everybody in the house. */
export interface Shared {
  on: Day;
  now: string;
  care: CareBook;
  hemisphere: Hemisphere;
  /** By how much the windows of this house are widened. */
  spread: SpreadInForce;
  materials: MaterialTable;
  /** What lies in the store, and what can be fed of it. */
  shelf: Shelf;
  larder: Larder;
  rooms: ReadonlyMap<string, Room>;
  /** The room that a home stands in. */
  roomOf: (home: Home) => Room | undefined;
  warmth: (home: Home) => { temperatureC: number; from: 'probe' | 'room' };
  /** By home. */
  probes: ReadonlyMap<string, Probe[]>;
  /** Of the last days, by probe. */
  readings: Map<string, MarkedReading[]>;
}

/** The store comes with the records: what was fed is taken out of it. */
export async function readShared(queries: Queries, on: Day, now: string): Promise<Shared> {
  const [care, hemisphere, materials] = [
    await careOf(queries),
    await hemisphereOf(queries),
    await materialTable(queries),
  ];
  return {
    ...{ on, now, care, hemisphere, materials, spread: await spreadInForce(queries) },
    ...{ shelf: EMPTY_SHELF, larder: larderOf(EMPTY_SHELF) },
    ...(await readAir(queries, now)),
  };
}

/** What the probes and the rooms say: it changes with the time, too. */
export async function readAir(
  queries: Queries,
  now: string,
): Promise<Pick<Shared, 'rooms' | 'roomOf' | 'warmth' | 'probes' | 'readings'>> {
  const since = new Date(Date.parse(now) - ALARM_DAYS * DAY_MS).toISOString();
  return {
    ...(await roomsAndWarmth(queries, now)),
    probes: groupBy(await listProbes(queries), (probe) => probe.homeId ?? ''),
    readings: await readingsOfHomes(queries, since),
  };
}

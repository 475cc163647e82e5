import type { Resident } from '@/contract/records';
import type { Larder, PastMeal } from '@/core/feeding/food';
import { latest } from '@/core/plan/signs';
import type { LogEntry, ResidentToday } from '@/core/plan/work';
import type { CareBook } from '@/core/profiles/careBook';
import { weightHolds } from '@/core/profiles/weight';
import type { Hemisphere } from '@/core/season/year';
import { hemisphereOf } from './house/air';
import { larderOf, type Shelf } from './larder';
import { mealsBefore } from './meals';
import type { Queries } from './storage/database';

/** What holds today for everybody that is fed in this house. */
export interface Table {
  larder: Larder;
  /** What each was given lately. */
  meals: Map<string, PastMeal[]>;
  hemisphere: Hemisphere;
}

export async function tableOf(
  queries: Queries,
  residents: readonly Resident[],
  on: string,
  shelf: Shelf,
): Promise<Table> {
  const ids = residents.map((resident) => resident.id);
  return {
    larder: larderOf(shelf),
    meals: await mealsBefore(queries, ids, on),
    hemisphere: await hemisphereOf(queries),
  };
}

/** One resident as its work and its meals are worked out on a day, without its home. */
export function residentOn(
  care: CareBook,
  resident: Resident,
  log: LogEntry[],
  on: string,
  table?: Table,
): Omit<ResidentToday, 'home'> {
  const { massG, weighedOn, measuredOn } = resident;
  const holds = weighedOn !== undefined && weightHolds(weighedOn, measuredOn, latest(log, ['moulted'], on)?.on);
  return {
    ...resident,
    massG: holds ? massG : undefined,
    profile: care.of(resident),
    log,
    ...(table && { ...table, meals: table.meals.get(resident.id) }),
  };
}

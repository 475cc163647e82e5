import type { Home } from '@/contract/records';
import type { MoultForecast } from '@/core/growth/forecast';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { levelling, type HousePlan } from '@/core/plan/levelling';
import { workAhead } from '@/core/plan/workAhead';
import { airSchool } from '@/core/profiles/schools';
import { isUntold, rememberedForecast, subjectOf } from './growthFacts';
import type { HouseToday, Lodger } from './houseToday';
import { inTurn, keptFor } from './inTurn';
import type { Queries } from '../storage/database';
import { listAbsences } from '../storage/absences';
import { listKeepers } from '../storage/keepers';

/** Days on which none of the keepers has time: those that all of them named, and absences of all. */
export async function busyDaysOf(queries: Queries, from: Day, days: number): Promise<Day[]> {
  const keepers = await listKeepers(queries, from);
  const absences = await listAbsences(queries, from);
  const away = (keeperId: string | null, day: Day) =>
    absences.some((each) => each.keeperId === keeperId && day >= each.from && day <= each.until);
  const list = keepers.map((keeper) => ({ id: keeper.id, busy: new Set(keeper.busyDays) }));
  return Array.from({ length: days }, (_, index) => addDays(from, index)).filter(
    (day) => away(null, day) || (list.length > 0 && list.every(({ id, busy }) => busy.has(day) || away(id, day))),
  );
}

/** The work of the house ahead, levelled about the days on which nobody has time. */
export async function planOf({ on, lodgers }: HouseToday, days: number, busyDays: readonly Day[]): Promise<HousePlan> {
  const level = levelling(on, days, new Set(busyDays.map((day) => daysBetween(on, day))));
  await inTurn(lodgers, (lodger) => level.add(lodger.resident.id, outlookOf(lodger)));
  return level.plan;
}

/** As far as anybody looks ahead. */
export const YEAR_DAYS = 366;

/** The work of a year of one: the day on which its lodger was worked out is the first of it. */
const outlookOf = keptFor(({ on, today, due }: Lodger) => workAhead(today, on, YEAR_DAYS, due));

/** The next moults of one, and the day on which its home is outgrown; null for those that tell nothing of it. */
export function growthAhead(house: HouseToday, { resident, home, log }: Lodger, ahead: number): MoultForecast | null {
  const { care, facts, on } = house;
  const profile = care.of(resident);
  if (!profile.growth.intervals) return null;
  if (isUntold(facts, resident)) return null;
  const subject = subjectOf(facts, care, resident, home, log, on);
  const { stage, headCount, headsTogether, isGuest, schools } = resident;
  const { takes } = profile.measure;
  const animal = {
    stage,
    headCount,
    headsTogether,
    isGuest,
    school: airSchool(profile, schools),
    [takes]: resident[takes],
  };
  return rememberedForecast(facts, profile, subject, on, ahead, {
    home: { ...home, settled: resident.keptSo },
    animal,
  });
}

/** Tubs that somebody may move into: not kept apart. */
export const openHomes = (homes: readonly Home[]): Home[] => homes.filter((home) => home.quarantineSince === null);

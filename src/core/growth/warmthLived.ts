import { addDays, daysBetween, type Day } from '@/core/measure/day';

/** From a day on it lives in a home. */
export interface Stay {
  from: Day;
  homeId: string;
}

/** How warm it was in a home in the week that begins on a Monday; undefined where nothing tells of it. C */
export type WarmthOfWeek = (homeId: string, monday: Day) => number | undefined;

/** Where one has lived, and how warm that was. */
export interface Lived {
  /** In the order of days. */
  stays: readonly Stay[];
  warmth: WarmthOfWeek;
}

/** A stretch of days tells of an interval when it covers so much of it. Chosen here */
const COVERS_SHARE = 0.5;
const WEEK_DAYS = 7;
/** A Monday from which weeks are counted. */
const FIRST_MONDAY: Day = '2000-01-03';

/** The Monday of the week of a day. */
export function mondayOf(day: Day): Day {
  const days = daysBetween(FIRST_MONDAY, day);
  return addDays(FIRST_MONDAY, WEEK_DAYS * Math.floor(days / WEEK_DAYS));
}

/**
 * The mean warmth of the days from one to another, the last not counted, by where it lived week by week; to a tenth of a degree,
 * so that no single reading moves a forecast.
 * @returns C; undefined where less than half of the days are known
 */
export function warmthBetween({ stays, warmth }: Lived, from: Day, to: Day): number | undefined {
  let known = 0;
  let sum = 0;
  // In days since the first Monday: a year of weeks is asked for of everybody who lives here.
  const [first, end] = [daysBetween(FIRST_MONDAY, from), daysBetween(FIRST_MONDAY, to)];
  const begun = stays.map((stay) => daysBetween(FIRST_MONDAY, stay.from));
  for (let week = WEEK_DAYS * Math.floor(first / WEEK_DAYS); week < end; week += WEEK_DAYS) {
    const monday = addDays(FIRST_MONDAY, week);
    for (let at = 0; at < stays.length; at += 1) {
      const begins = Math.max(begun[at] as number, first, week);
      const ends = Math.min(begun[at + 1] ?? end, end, week + WEEK_DAYS);
      if (begins >= ends) continue;
      const temperatureC = warmth((stays[at] as Stay).homeId, monday);
      if (temperatureC === undefined) continue;
      known += ends - begins;
      sum += (ends - begins) * temperatureC;
    }
  }
  if (known === 0 || known < COVERS_SHARE * (end - first)) return undefined;
  return Math.round((10 * sum) / known) / 10;
}

/** Moults, oldest first, each with how warm the interval was that ended with it, as far as that is known. */
export function asLived<Moult extends { on: Day }>(
  moults: readonly Moult[],
  lived: Lived | undefined,
): (Moult & { temperatureC?: number })[] {
  if (!lived) return [...moults];
  return moults.map((moult, index) => {
    const before = moults[index - 1];
    const temperatureC = before && warmthBetween(lived, before.on, moult.on);
    return temperatureC === undefined ? moult : { ...moult, temperatureC };
  });
}

import { hatchForecast } from '@/core/broods/hatch';
import { TENTH_SD, TWENTIETH_SD } from '@/core/numerics/tails';
import { groupBy } from '@/core/groupBy';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { guarded } from '../guarded';
import type { HouseToday } from '../house/houseToday';
import { pauses } from '../house/inTurn';
import { eggKindOf } from '../kinds';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import type { KeptForecast } from '../storage/scores';

/** The forecast gives the days of 5 and 95 of 100; windows are of 10 and 90. */
const NARROWER = TENTH_SD / TWENTIETH_SD;

/** When the eggs of the house hatch, as it stands on the day they are first asked about; those that have hatched, as it would have stood. */
export async function hatchWindows(
  queries: Queries,
  house: HouseToday,
  isKept: (subject: string, since: Day) => boolean,
): Promise<KeptForecast[]> {
  const pause = pauses();
  const laid = await entriesOfKinds(
    queries,
    house.residents.map(({ id }) => id),
    ['laid'],
  );
  const hatched = groupBy(
    await entriesOfKinds(
      queries,
      laid.flatMap(({ residentId }) => residentId ?? []),
      ['hatched'],
    ),
    ({ residentId }) => residentId ?? '',
  );
  const windows: KeptForecast[] = [];
  for (const lodger of house.lodgers) {
    const { resident, home } = lodger;
    const last = laid.findLast(({ residentId }) => residentId === resident.id);
    const kind = eggKindOf(resident);
    // Those that want their cold first are counted from the day they were warm again: nobody can tell that of days gone by.
    if (!last || !kind || kind.coldWeeks || isKept(resident.id, last.data.laidFrom)) continue;
    const isOver = hatched.has(resident.id);
    const { laidFrom, laidTo, mating } = last.data;
    const asOf = isOver ? addDays(laidTo ?? laidFrom, 1) : house.on;
    const question = { laidFrom, laidTo, mating, kind, asOf, eggs: resident.headCount ?? 1 };
    const { temperatureC } = house.facts.warmth(home);
    const forecast = guarded(() => hatchForecast({ ...question, temperatureC, spreadTimes: house.spread.hatch }));
    await pause();
    if (!forecast || forecast.isStanding || forecast.weeks.length === 0) continue;
    const [from, median, to] = [forecast.from, forecast.median, forecast.to].map((on) => daysBetween(laidFrom, on));
    if (from === undefined || median === undefined || to === undefined) continue;
    windows.push({
      ...{ engine: 'hatch', subject: resident.id, since: laidFrom, kind: resident.kind, madeOn: asOf },
      ...{ p10: median - NARROWER * (median - from), p50: median, p90: median + NARROWER * (to - median) },
      ...{ isLog: false, naive: null, happened: null, spreadTimes: house.spread.hatch, closeDays: null },
      isReplayed: isOver,
    });
  }
  return windows;
}

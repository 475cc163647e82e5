import type { EntryOf } from '@/contract/storedEntries';
import { dampedFor, wishesOf } from '@/core/climate/homeAir';
import { foreseenDrying } from '@/core/climate/watering';
import { groupBy } from '@/core/groupBy';
import type { Day } from '@/core/measure/day';
import { guarded } from '../guarded';
import { materialTable } from '../care';
import { questionFor, roomsAndWarmth } from '../house/air';
import type { HouseToday } from '../house/houseToday';
import { inParts, pauses } from '../house/inTurn';
import type { Queries } from '../storage/database';
import { entriesOfKinds } from '../storage/entries';
import type { KeptForecast } from '../storage/scores';

type Felt = EntryOf<'felt'>;
type Damped = EntryOf<'damped'>;

/**
 * The dryings of boxes that a handful has told of, each as it would have been foreseen on the day of its damping.
 * @param dried what is known of one that is kept already, in days; undefined where it is not
 */
export async function dryingWindows(
  queries: Queries,
  house: HouseToday,
  now: string,
  dried: (subject: string, since: Day) => number | null | undefined,
): Promise<KeptForecast[]> {
  const pause = pauses();
  const materials = await materialTable(queries);
  const { roomOf } = await roomsAndWarmth(queries, now);
  const ids = house.residents.map(({ id }) => id);
  const felt = await byResident(queries, ids, 'felt');
  if (felt.size === 0) return [];
  const damped = await byResident(queries, [...felt.keys()], 'damped');
  const byHome = groupBy(house.residents, ({ homeId }) => homeId);
  const windows: KeptForecast[] = [];
  for (const home of house.homes) {
    const tenant = dampedFor(house.care, byHome.get(home.id) ?? []);
    const room = roomOf(home);
    if (!tenant || !room || home.nest !== undefined || home.substrateDepthMm === 0) continue;
    const profile = house.care.of(tenant);
    if (profile.climate.damping !== 'soil') continue;
    let naive: number | null = null;
    for (const each of felt.get(tenant.id) ?? []) {
      const last = lastBefore(damped.get(tenant.id) ?? [], each);
      if (!last) continue;
      const known = dried(each.id, last.on);
      if (known !== undefined) {
        naive = known;
        continue;
      }
      const facts = factsOf(last, each);
      const drying = guarded(() =>
        foreseenDrying(questionFor(profile, tenant, home, room, materials, 1), wishesOf(profile), ...facts),
      );
      await pause();
      if (!drying) continue;
      const { happened, ...foreseen } = drying;
      windows.push({
        ...{ engine: 'drying', subject: each.id, since: last.on, kind: tenant.kind, madeOn: last.on },
        ...{ ...foreseen, isLog: true, naive, happened, spreadTimes: 1, closeDays: null, isReplayed: true },
      });
      naive = happened;
    }
  }
  return windows;
}

/** The entries of a kind of some residents, by resident. */
async function byResident<Kind extends 'felt' | 'damped'>(queries: Queries, ids: readonly string[], kind: Kind) {
  const entries: EntryOf<Kind>[] = [];
  await inParts(ids, async (some) => {
    entries.push(...(await entriesOfKinds(queries, some, [kind])));
  });
  return groupBy(entries, ({ residentId }) => residentId ?? '');
}

const lastBefore = (damped: readonly Damped[], felt: Felt): Damped | undefined =>
  damped.findLast((each) => each.on < felt.on);

function factsOf({ on, data }: Damped, felt: Felt) {
  const { neededMl = 0, waterMl = Infinity } = data;
  return [
    { kind: 'damped', on, shortMl: Math.max(0, neededMl - waterMl) },
    { kind: 'felt', on: felt.on, wetness: felt.data.wetness },
  ] as const;
}

import type { EntryToKeep } from '@/contract/storedEntries';
import { shippedProfiles } from '@/contract/shipped';
import type { Day } from '@/core/measure/day';
import { KEEPERS } from './homes';
import type { DemoResident } from './residents';
import { writerOf } from './writing';

/** A handful is squeezed in every third box, in so many of its dryings, so far on the way to the limit. */
const EVERY_THIRD = 3;
const DRYINGS = 4;
const ON_THE_WAY = 0.7;
/** No two boxes dry alike, nor one of them every time: the share of that way that is found, against what the forecast says. */
const FOUND = [1, 0.85, 1.2, 0.95, 1.35, 0.75, 1.1, 0.9];
const MINUTE = 48;
/** Under this many days there is nothing to feel between two dampings. */
const SHORTEST_DAYS = 4;

/** Handfuls between the dampings of some boxes; the drying that is under way is left to its forecast. */
export function feltStory(
  resident: DemoResident & { id: string },
  place: number,
  dampings: readonly { daysAgo: number }[],
  today: Day,
): EntryToKeep[] {
  const profile = shippedProfiles.find((each) => each.id === resident.profile);
  if (resident.gone || !profile || place % EVERY_THIRD > 0) return [];
  const write = writerOf(resident, today, KEEPERS[place % KEEPERS.length] ?? KEEPERS[0]);
  const { dampWetness } = profile.making;
  const limit = profile.climate.dampWetnessMin.value;
  const since = (resident.takenInDaysAgo ?? 180) - 1;
  return dampings.slice(1, 1 + DRYINGS).flatMap(({ daysAgo }, at) => {
    const days = daysAgo - (dampings[at]?.daysAgo ?? daysAgo);
    if (days < SHORTEST_DAYS || daysAgo >= since) return [];
    const found = ON_THE_WAY * (FOUND[(place + 3 * at) % FOUND.length] ?? 1);
    const wetness = Math.max(0.05, dampWetness - found * (dampWetness - limit));
    return [write('felt', daysAgo - Math.round(ON_THE_WAY * days), MINUTE, { wetness })];
  });
}

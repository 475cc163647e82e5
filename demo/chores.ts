import type { EntryData, EntryToKeep } from '@/contract/storedEntries';
import { shippedProfiles } from '@/contract/shipped';
import { addDays, type Day } from '@/core/measure/day';
import { DONE_WITH } from '@/core/plan/work';
import type { RegularWork } from '@/core/profiles/profile';
import { KEEPERS } from './homes';
import type { DemoResident } from './residents';
import { isCounted, roomIdOf } from './seasons';
import { idOf, writerOf } from './writing';

/** The work of every walk is told with the story of each; what is done now and then is told here, without chance. */
export const EVERY_WALK = ['water', 'mist', 'calcium', 'clutch', 'barrier', 'rubbish'] as const;
export const isOfEveryWalk = (work: RegularWork['work']): work is (typeof EVERY_WALK)[number] =>
  EVERY_WALK.some((each) => each === work);

/** So many times back it is told. */
const TIMES = 3;
const MINUTE = 52;

/** Boxes cleaned, soil turned and refreshed, animals weighed and counted: spread, so that a few are due on any day. */
export function choreStory(resident: DemoResident & { id: string }, place: number, today: Day): EntryToKeep[] {
  if (resident.gone) return [];
  const write = writerOf(resident, today, KEEPERS[place % KEEPERS.length] ?? KEEPERS[0]);
  const work = shippedProfiles.find((each) => each.id === resident.profile)?.work ?? [];
  const since = (resident.takenInDaysAgo ?? 180) - 1;
  return work
    .filter((each) => !isOfEveryWalk(each.work) && each.stages.includes(resident.stage))
    .flatMap((each, index) => {
      const data = dataOf(each.work, resident);
      if (data === null || isOfEveryWalk(each.work)) return [];
      const kind = DONE_WITH[each.work];
      const last = 1 + ((place * 41 + index * 17) % (each.everyDays + Math.ceil(each.toleranceDays / 3)));
      const days = Array.from({ length: TIMES }, (_, time) => last + time * each.everyDays).filter(
        (ago) => ago < since,
      );
      return days.map((ago) =>
        write(kind === 'weighed' || kind === 'counted' ? 'measured' : kind, ago, MINUTE + index, data),
      );
    });
}

/** What goes with an entry; null where another story tells it. */
function dataOf(
  work: RegularWork['work'],
  { massG, headCount, heads, called }: DemoResident,
): EntryData['measured'] | null {
  switch (work) {
    case 'weigh':
      return massG === undefined ? null : { massG };
    case 'census':
      return headCount === undefined || heads || isCounted(called) ? null : { headCount };
    default:
      return {};
  }
}

/** The keepers with the rooms they walk, of whom one is about to go on holiday, and a weekend on which all are away. */
export function holidayStory(today: Day) {
  const facts = (name: string, rooms: string[], walkAt: string) => ({
    ...{ id: idOf(`keeper ${name}`), name, walkAt, zone: 'Europe/London' },
    roomIds: rooms.map(roomIdOf),
  });
  const [imre, odalys, bram] = KEEPERS;
  const away = (name: string, inDays: number, days: number) => ({
    ...{ id: idOf(`away ${name}`), keeperId: name === '' ? null : idOf(`keeper ${name}`) },
    ...{ from: addDays(today, inDays), until: addDays(today, inDays + days - 1) },
  });
  return {
    keepers: [facts(imre, ['Boiler Room'], '19:00'), facts(odalys, ['North Store'], '20:30'), facts(bram, [], '18:00')],
    absences: [
      { ...away(odalys, 5, 14), sitter: null, call: null },
      { ...away('', 23, 6), sitter: 'the neighbour from the chandlery', call: 'Imre Talsk, 01632 960 000' },
    ],
  };
}

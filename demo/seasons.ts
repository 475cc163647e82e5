import type { EntryData, EntryKind, EntryToKeep } from '@/contract/storedEntries';
import { shippedRests } from '@/contract/shipped';
import { addDays, type Day } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import { restPlan, type RestingKind } from '@/core/season/rest';
import type { Hemisphere } from '@/core/season/year';
import { ROOMS } from './air';
import type { DemoResident } from './residents';
import { idOf, writerOf } from './writing';

export const roomIdOf = (room: string) => idOf(`room ${room}`);

type Line = { [Kind in EntryKind]: [kind: Kind, daysAgo: number, data: EntryData[Kind]] }[EntryKind];

/** What is counted, seen, laid and planned, by what they are called. */
const LINES: Record<string, Line[]> = {
  Swifts: [
    ['measured', 92, { headCount: 210, headsLow: 180, headsHigh: 245 }],
    ['measured', 5, { headCount: 520, headsLow: 455, headsHigh: 595 }],
  ],
  Pebbles: [
    ['measured', 75, { headCount: 190, headsLow: 160, headsHigh: 225 }],
    ['measured', 6, { headCount: 60 }],
  ],
  Noses: [['measured', 40, { headCount: 45 }]],
  'Old Timber': [
    ['measured', 54, { headCount: 45 }],
    ['measured', 12, { headCount: 50 }],
  ],
  Ember: [
    ['measured', 47, { headCount: 176 }],
    ['measured', 5, { stages: { worker: 180, pupa: 12, larva: 60, egg: 20 }, headCount: 180, queens: 1 }],
  ],
  Satin: [
    ['measured', 95, { headCount: 43 }],
    ['measured', 52, { stages: { worker: 46, pupa: 0, larva: 18, egg: 0 }, headCount: 46, queens: 1 }],
  ],
  'The kitchen': [['measured', 30, { headCount: 620, headsLow: 500, headsHigh: 770 }]],
  Tar: [
    ['brood-seen', 24, { stage: 'egg' }],
    ['brood-seen', 8, { stage: 'larva' }],
  ],
  'Eggs of the crew': [
    ['laid', 82, { laidFrom: '-99', laidTo: '-84', mating: 'mated' }],
    ['surplus', 60, { keep: 12, passOn: 10, feedOff: 0 }],
  ],
  'Eggs of the old hedge': [['laid', 58, { laidFrom: '-150', laidTo: '-62', mating: 'unmated' }]],
  'The slow table': [
    ['clutch', 16, { eggs: 84, frozen: 84 }],
    ['clutch', 9, { eggs: 0, frozen: 0 }],
  ],
};

/** Whether the story of one tells its counts. */
export const isCounted = (called: string | null | undefined): boolean =>
  (LINES[called ?? ''] ?? []).some(([kind]) => kind === 'measured');

/** Rests: where, the day of their first cooling, and the steps that were done, each so many days ago. */
const RESTS: Record<string, { room: string; daysAgo: number; roomC: number; done: [string, number][] }> = {
  Ember: {
    ...{ room: 'Refrigerator', daysAgo: 4, roomC: 19.5 },
    done: [
      ['feed-well-1', 22],
      ['last-food-1', 8],
      ['clear-food-1', 7],
      ['count-1', 5],
      ['cool-1', 4],
    ],
  },
  Satin: {
    ...{ room: 'Refrigerator', daysAgo: 50, roomC: 19.5 },
    done: [
      ['feed-well-1', 68],
      ['last-food-1', 54],
      ['clear-food-1', 53],
      ['count-1', 52],
      ['cool-1', 50],
      ['cool-2', 46],
      ['cool-3', 42],
      ['cool-4', 38],
      ['check-1', 13],
    ],
  },
};

/** What is written down of colonies, broods and their rest. */
export function seasonStory(resident: DemoResident & { id: string }, today: Day): EntryToKeep[] {
  const { called, profile } = resident;
  const write = writerOf(resident, today, 'Imre Talsk');
  const lines = (LINES[called] ?? []).map(([kind, daysAgo, data]) => write(kind, daysAgo, 50, withDays(data, today)));
  const rest = RESTS[called];
  const kind = shippedRests.find((each) => each.profiles.includes(profile));
  if (!rest || !kind || kind.need === 'never') return lines;
  const planned = restEntry(kind, rest, today);
  if (!planned) return lines;
  const plan = write('rest-planned', rest.daysAgo + PLANNED_AHEAD, 52, planned);
  return [
    ...lines,
    plan,
    ...rest.done.map(([step, daysAgo]) => write('rest-step', daysAgo, 54, { step, restId: plan.id })),
  ];
}

/** A rest is planned so long before its first cooling. days */
const PLANNED_AHEAD = 20;

/**
 * The plan of a rest that began so many days ago. The demo has it every day of the year: in the half of the world where
 * it is the season for it.
 */
function restEntry(
  kind: RestingKind,
  { room, daysAgo, roomC }: (typeof RESTS)[string],
  today: Day,
): EntryData['rest-planned'] | undefined {
  const startOn = addDays(today, -daysAgo);
  const asOf = addDays(startOn, -PLANNED_AHEAD);
  const placeC = ROOMS[room]?.temperatureC ?? kind.bandC.min;
  const isSeason = (hemisphere: Hemisphere) => {
    try {
      const { endsOn } = restPlan({ kind, hemisphere, asOf, startOn, roomC, placeC });
      return endsOn > addDays(today, 30);
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  };
  const hemisphere = (['north', 'south'] as const).find(isSeason);
  return hemisphere && { roomId: roomIdOf(room), startOn, placeC, roomC, hemisphere };
}

/** Days before today are written with a sign: `-150`. */
const withDays = <Data extends object>(data: Data, today: Day): Data =>
  Object.fromEntries(
    Object.entries(data).map(([name, value]) =>
      typeof value === 'string' && /^-\d+$/.test(value) ? [name, addDays(today, Number(value))] : [name, value],
    ),
  ) as Data;

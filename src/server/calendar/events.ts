import type { JobKind } from '@/core/plan/jobs';
import { countWords } from '@/words/count';
import { JOB_WORDS } from '@/words/jobKinds';
import type { Keeper } from '@/contract/keepers';
import { addDays, type Day } from '@/core/measure/day';
import { busyDaysOf, planOf } from '../house/housePlan';
import { houseToday } from '../house/houseToday';
import { listAbsences } from '../storage/absences';
import type { Queries } from '../storage/database';
import { roomOfShelf } from '../storage/rooms';
import type { CalendarEvent } from './write';

/** Walks are told so many days ahead: beyond, too much changes. */
const WALK_DAYS = 60;
const SHORTEST_WALK_MINUTES = 5;

/** The walks, moves, steps of rests and absences of the house, as one keeper has a part in them. */
export async function eventsOf(queries: Queries, keeper: Keeper, on: Day, now: string): Promise<CalendarEvent[]> {
  const house = await houseToday(queries, on, now);
  const rooms = await roomOfShelf(queries);
  const walked = house.lodgers.filter(
    ({ home }) => keeper.roomIds.length === 0 || keeper.roomIds.includes(rooms.get(home.shelfId) ?? ''),
  );
  const plan = await planOf(house, WALK_DAYS, await busyDaysOf(queries, on, WALK_DAYS));
  const absences = await listAbsences(queries, on);
  const busy = new Set(keeper.busyDays);
  const isAway = (day: Day) =>
    busy.has(day) ||
    absences.some(
      ({ keeperId, from, until }) => (keeperId === null || keeperId === keeper.id) && day >= from && day <= until,
    );
  const jobs = walked.flatMap(({ resident }) => plan.jobs.get(resident.id) ?? []);
  const walks = Array.from({ length: WALK_DAYS }, (_, index) => {
    const day = addDays(on, index);
    const ofDay = jobs.filter((job) => job.on === index);
    if (ofDay.length === 0 || isAway(day)) return [];
    const minutes = Math.round(ofDay.reduce((sum, job) => sum + job.minutes, 0));
    const counts = new Map<JobKind, number>();
    for (const { kind } of ofDay) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    const text = [...counts].map(([kind, count]) => `${JOB_WORDS[kind].noun}: ${count}`).join(', ');
    const when = {
      kind: 'time' as const,
      on: day,
      at: keeper.walkAt,
      zone: keeper.zone,
      minutes: Math.max(SHORTEST_WALK_MINUTES, minutes),
    };
    return [
      {
        uid: `walk-${day}-${keeper.id}`,
        title: `Round: ${countWords(ofDay.length, 'job')}, ${minutes} min`,
        text,
        when,
      },
    ];
  }).flat();
  const moves = walked.flatMap(({ resident, home, today }): CalendarEvent[] => {
    const { move } = today;
    if (!move || move.on < on) return [];
    const title = `Move ${resident.scientificName} from ${home.code} to ${move.toCode}`;
    const text = `Its window is open from ${move.from} to ${move.until}.`;
    return [{ uid: `move-${move.id}`, title, text, when: { kind: 'days', from: move.on, until: move.on } }];
  });
  const rests = walked.flatMap(({ resident, home, today }): CalendarEvent[] =>
    (today.rest?.course.steps ?? [])
      .filter((step) => step.what !== 'hold' && !step.isPassed && step.doneOn === null && step.on >= on)
      .map(({ key, on: day, targetC }) => ({
        uid: `rest-${today.rest?.id}-${key}`,
        title: `Winter rest ${home.code}: ${key.replace(/-\d+$/, '').replace('-', ' ')}`,
        text: `${resident.scientificName}, ${targetC.toFixed(0)} C from then on.`,
        when: { kind: 'days', from: day, until: day },
      })),
  );
  const founding = walked.flatMap(({ resident, home }): CalendarEvent[] => {
    const { firstWorkers: first = null, isSealed = false } = house.colonies.get(resident.id)?.founding ?? {};
    if (!first) return [];
    const when = { kind: 'days' as const, from: first.p10, until: first.p90 };
    const title = `First workers: ${home.code} ${resident.scientificName}`;
    const text = isSealed ? 'Look through the glass; do not open.' : 'Look through the glass.';
    return [{ uid: `workers-${resident.id}`, title, text, when }];
  });
  const comings = walked.flatMap(({ resident, home, today }): CalendarEvent[] => {
    const { window, carry, pair } = today.coming ?? {};
    const who = `${home.code} ${resident.scientificName}`;
    const event = (what: string, title: string, from: Day, until: Day, text = ''): CalendarEvent => ({
      uid: `${what}-${resident.id}`,
      title: `${title}: ${who}`,
      text,
      when: { kind: 'days', from, until },
    });
    return [
      ...(window
        ? [event(window.what, window.what === 'hatch' ? 'Eggs hatch' : 'Moths come out', window.from, window.until)]
        : []),
      ...(carry && carry.on >= on
        ? [
            event(
              `hold-${carry.to}`,
              carry.to === 'cool' ? 'Hold back in the cool' : 'Bring into the warm',
              carry.on,
              carry.on,
            ),
          ]
        : []),
      ...(pair && pair.on >= on ? [event('pair', 'Pair in a net overnight', pair.on, pair.on)] : []),
    ];
  });
  const away = absences.map(({ id, from, until, sitter }): CalendarEvent => ({
    uid: `absence-${id}`,
    title: sitter === null ? 'Away from the house' : `Away: ${sitter} looks in`,
    text: '',
    when: { kind: 'days', from, until },
  }));
  return [...walks, ...moves, ...rests, ...founding, ...comings, ...away];
}

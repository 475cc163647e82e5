import type { WorkSubject } from '@/contract/plan';
import { MOST_ABSENT_DAYS } from '@/core/plan/absence';
import type { Tenant } from '@/core/plan/chain/tenants';
import { dueWork } from '@/core/plan/due';
import type { LogEntry, LogKind, ResidentToday } from '@/core/plan/work';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import type { CareBook } from '@/core/profiles/careBook';
import { careOf } from '../care';
import type { Handlers } from '../http/mount';
import { invalid } from '../http/problem';
import { inTime, planned } from '../threads/pool';
import type { Deps } from './deps';

type Names = 'due' | 'workAhead' | 'chain' | 'absencePlan';

/** Engine 9 over HTTP: it knows the profiles of the house, and nothing of its records. */
export function computePlanHandlers({ database, clock }: Deps): Pick<Handlers, Names> {
  return {
    due: async ({ body }) => dueWork(subjectOf(await careOf(database), body.resident), body.on),

    workAhead: async ({ body }) => {
      const care = await careOf(database);
      const { from, days, busyDays } = body;
      const residents = body.residents.map((each) => ({ id: each.id, today: subjectOf(care, each) }));
      return inTime('workOf', residents, from, days, busyDays);
    },

    chain: async ({ body }) => {
      const care = await careOf(database);
      const { tubs, days, perDay, cleaningDays, searchS, startOn = clock.today() } = body;
      const busy = new Set(body.busyDays);
      const open = Array.from({ length: days }, (_, index) => ({ index, day: addDays(startOn, index) })).filter(
        ({ day }) => !busy.has(day),
      );
      const tenants = body.residents.map((each): Tenant => {
        const isOpen = (day: Day) =>
          !each.windows || each.windows.some(({ from, until }) => day >= from && day <= until);
        const allowed = open.filter(({ day }) => isOpen(day)).map(({ index }) => index);
        const outgrownIn = each.outgrownOn === undefined ? null : daysBetween(startOn, each.outgrownOn);
        return {
          ...each,
          profile: care.of(each),
          from: each.from ?? null,
          days: allowed,
          outgrownIn: outgrownIn !== null && outgrownIn < days ? outgrownIn : null,
        };
      });
      const plan = await planned(undefined, 'planChain', tenants, tubs, days, perDay, cleaningDays, startOn, searchS);
      return { ...plan, unplaced: plan.unplacedWhy.map(({ resident }) => resident) };
    },

    absencePlan: async ({ body }) => {
      const care = await careOf(database);
      const { today, from, until } = body;
      requireAbsence(today, from, until);
      const residents = body.residents.map(({ isDangerous, ...each }) => ({
        ...{ id: each.id, isDangerous, today: subjectOf(care, each) },
      }));
      return inTime('absencePlan', { residents, today, from, until });
    },
  };
}

/** How far ahead an absence can be planned. days */
const FARTHEST_DAYS = 366 - MOST_ABSENT_DAYS;

/** @throws Problem for an absence that has begun before today, is too far off, or takes too long */
export function requireAbsence(today: Day, from: Day, until: Day): void {
  const last = addDays(today, FARTHEST_DAYS);
  if (from < today || from > last) throw invalid('from', `Must be from today, ${today}, to ${last}; got ${from}.`);
  const latest = addDays(from, MOST_ABSENT_DAYS - 1);
  if (until > latest)
    throw invalid('until', `Must be at most ${MOST_ABSENT_DAYS} days, until ${latest}; got ${until}.`);
}

/** One animal as it was sent, ready for the engines. */
export function subjectOf(care: CareBook, { log, watering, ...animal }: WorkSubject): ResidentToday {
  return {
    ...animal,
    profile: care.of(animal),
    home: animal.home,
    watering: watering && {
      ...{ dampWetness: 0, dampWetnessMin: 0, by: 'damped', way: 'at-end' },
      ...{ since: watering.dueOn ?? '', ...watering },
    },
    log: log.map(({ kind, ...line }, index): LogEntry => ({
      ...line,
      kind: kind as LogKind,
      // In the order in which they were sent, where they are of one day.
      id: `00000000-0000-4000-8000-${String(index).padStart(12, '0')}`,
      at: `${line.on}T12:00:00.${String(index % 1000).padStart(3, '0')}Z`,
    })),
  };
}

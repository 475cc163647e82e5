import type { z } from 'zod';
import type { workReply } from '@/contract/plan';
import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { planHouse } from '@/core/plan/levelling';
import type { ResidentToday } from '@/core/plan/work';

/** The work of days to come, levelled, as it is answered. In a thread: a list of 1,000 over a year takes seconds. */
export function workOf(
  residents: readonly { id: string; today: ResidentToday }[],
  from: Day,
  days: number,
  busyDays: readonly Day[],
): z.output<typeof workReply> {
  const busy = new Set(busyDays.map((day) => daysBetween(from, day)));
  const plan = planHouse(residents, from, days, busy);
  const dayAt = dayTable(from, days);
  const jobs = [...plan.jobs].flatMap(([residentId, list]) =>
    list.map(({ kind, due, until, on, minutes }) => ({
      ...{ residentId, kind, minutes },
      ...{ dueOn: dayAt(due), until: dayAt(Math.max(until, due)), on: dayAt(on) },
    })),
  );
  const counts = new Uint32Array(days);
  for (const list of plan.jobs.values()) for (const { on } of list) counts[on] = (counts[on] ?? 0) + 1;
  return {
    days: Array.from(plan.minutes, (minutes, day) => ({
      ...{ on: dayAt(day), minutes, jobs: counts[day] ?? 0, isBusy: busy.has(day) },
    })),
    jobs,
  };
}

/** Days by their number from a first one, each worked out once; those long gone by or far off too. */
function dayTable(from: Day, days: number): (index: number) => Day {
  const known = new Map<number, Day>();
  return (index) => {
    const at = Math.max(-3650, Math.min(days + 3650, Math.floor(index)));
    const day = known.get(at) ?? addDays(from, at);
    known.set(at, day);
    return day;
  };
}

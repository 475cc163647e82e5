import { addDays, latestDay, type Day } from '@/core/measure/day';
import { jobOf, LOOK_MINUTES, type Rhythm } from './jobParts';
import { latest } from './signs';
import type { Job, ResidentToday } from './work';

/** Hatchlings dry out, or drown, within days; a moth that has come out wants room for its wings at once. From memory */
const LOOKED_FOR = {
  hatch: { everyDays: 2, toleranceDays: 1, doneWith: ['looked', 'hatched'] },
  emerge: { everyDays: 1, toleranceDays: 1, doneWith: ['looked'] },
} as const;
const CARRY = { minutes: 5, toleranceDays: 1 };
const PAIR = { minutes: 10, toleranceDays: 2 };
/** Put together once a pair is not put together again within so many days: they live no longer. From memory */
const PAIRED_DAYS = 10;

/** What eggs, cocoons and moths ask for, each with the day on which it is due next; what was done today counts later. */
export function broodRhythms({ coming, log }: Omit<ResidentToday, 'home'>, today: Day): Rhythm[] {
  if (!coming) return [];
  const { window, carry, pair } = coming;
  const rhythms: Rhythm[] = [];
  if (window) {
    const { what, lookFrom, from, until } = window;
    const { everyDays, toleranceDays, doneWith } = LOOKED_FOR[what];
    const looked = latest(log, [...doneWith], addDays(today, -1));
    const dueOn = latestDay(lookFrom, ...(looked ? [addDays(looked.on, everyDays)] : []));
    const reason = { code: 'coming', from, until } as const;
    if (dueOn <= until || today <= until)
      rhythms.push({ kind: what, dueOn, everyDays, toleranceDays, minutes: LOOK_MINUTES, doneWith, reason });
  }
  if (carry) {
    const { on, to, targetC, until } = carry;
    const reason = { code: 'hold', to, targetC, until } as const;
    rhythms.push({ kind: 'hold', dueOn: on, everyDays: null, ...CARRY, doneWith: ['moved'], reason });
  }
  if (pair && !isPaired(log, pair.on, today)) {
    const reason = { code: 'pair', ...pair } as const;
    rhythms.push({ kind: 'pair', dueOn: pair.on, everyDays: null, ...PAIR, doneWith: ['paired'], reason });
  }
  return rhythms;
}

function isPaired(log: ResidentToday['log'], on: Day, today: Day): boolean {
  const paired = latest(log, ['paired'], addDays(today, -1));
  return paired !== undefined && addDays(paired.on, PAIRED_DAYS) >= on;
}

export const broodJobs = (resident: ResidentToday, today: Day): Job[] =>
  broodRhythms(resident, today).flatMap((rhythm) => jobOf(rhythm, resident.log, today));

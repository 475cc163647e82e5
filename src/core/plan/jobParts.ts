import type { Day } from '@/core/measure/day';
import { latest } from './signs';
import type { Job, LogEntry, LogKind } from './work';

/** Looking in takes so long. Chosen here */
export const LOOK_MINUTES = 2;

/** The entry of today that does a job, and who else logged it; nothing while it is still to do. */
export function doneToday(log: LogEntry[], kinds: LogKind[], today: Day): Pick<Job, 'doneBy' | 'alsoBy'> {
  const entry = latest(log, kinds, today);
  if (entry?.on !== today) return {};
  return { doneBy: entry.id, ...(entry.alsoBy !== undefined && { alsoBy: entry.alsoBy }) };
}

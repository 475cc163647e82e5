import { addDays, daysBetween, type Day } from '@/core/measure/day';
import { factsOf, type JobKind } from './jobs';
import { latest } from './signs';
import type { Job, LogEntry, LogKind, Reason } from './work';

/** Looking in takes so long. Chosen here */
export const LOOK_MINUTES = 2;

/** The entry of today that does a job, and who else logged it; nothing while it is still to do. */
export function doneToday(log: LogEntry[], kinds: LogKind[], today: Day): Pick<Job, 'doneBy' | 'alsoBy'> {
  const entry = latest(log, kinds, today);
  if (entry?.on !== today) return {};
  return { doneBy: entry.id, ...(entry.alsoBy !== undefined && { alsoBy: entry.alsoBy }) };
}

/** Work that comes again: when it is due next, how often, and how many days late it may be. */
export interface Rhythm {
  kind: JobKind;
  dueOn: Day;
  /** From one time to the next; null for what is done once. */
  everyDays: number | null;
  /** Where it follows the season: from a day on it is done so often. */
  everyOn?: ((on: Day) => number) | undefined;
  toleranceDays: number;
  minutes: number;
  reason: Reason;
  /** The entries that do it. */
  doneWith: readonly LogKind[];
}

/**
 * When something is due that was last done, or begun with the animal in its box, so long ago. What was done today counts later,
 * so that it stays on the round as done; but whoever came into its box today came into a box made ready for it.
 */
export function sinceLast(
  log: LogEntry[],
  doneWith: readonly LogKind[],
  everyDays: number,
  today: Day,
): Pick<Rhythm, 'dueOn' | 'reason'> {
  const isOn = (kinds: readonly LogKind[]) => latest(log, kinds, today)?.on === today;
  const isMadeReady = isOn(['taken-in', 'moved']) && !isOn(doneWith);
  const last = latest(log, [...doneWith, 'taken-in', 'moved'], isMadeReady ? today : addDays(today, -1));
  if (!last) return { dueOn: today, reason: { code: 'never', since: today } };
  return {
    dueOn: addDays(last.on, everyDays),
    reason: { code: 'since-last', days: daysBetween(last.on, today), on: last.on },
  };
}

/** The job of a rhythm on a day: nothing before it is due. */
export function jobOf(rhythm: Rhythm, log: LogEntry[], today: Day): Job[] {
  const { kind, dueOn, minutes, reason, toleranceDays } = rhythm;
  if (dueOn > today) return [];
  const window = waiting(kind, dueOn, toleranceDays, today);
  return [{ kind, dueOn, ...window, minutes, reason, ...doneToday(log, [...rhythm.doneWith], today) }];
}

/** Until when a job is borne to wait, and whether that is over. */
export function waiting(
  kind: JobKind,
  dueOn: Day,
  toleranceDays: number,
  today: Day,
): Pick<Job, 'until' | 'cannotWait'> {
  const until = addDays(dueOn, Math.floor(toleranceDays));
  return { until, cannotWait: until < today && factsOf(kind).presses };
}

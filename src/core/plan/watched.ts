import { dayOfMoment, latestDay, type Day } from '@/core/measure/day';
import { latest } from './signs';
import type { LogEntry } from './work';

/**
 * Since when a moult of it would have been written down: since its last moult or size, else since it came; of one that was written
 * down later, since that day. Undefined of one that is not here yet.
 */
export function watchedSince(log: readonly LogEntry[], today: Day): Day | undefined {
  const came = latest(log, ['taken-in'], today);
  if (!came) return undefined;
  const told = log.filter(
    ({ kind, hasSize, on }) => on <= today && kind !== 'taken-in' && (kind === 'moulted' || hasSize),
  );
  const writtenOn = dayOfMoment(new Date(came.at));
  return latestDay(came.on, ...(writtenOn <= today ? [writtenOn] : []), ...told.map(({ on }) => on));
}

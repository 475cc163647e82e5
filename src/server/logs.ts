import type { Entry } from '@/contract/entries';
import type { LogEntry, LogKind } from '@/core/plan/work';
import { MOULT_SIGNS } from '@/core/profiles/profile';
import { groupBy } from './groupBy';

/** The log of each resident, as what is due is worked out from it. */
export function logsOf(entries: readonly Entry[]): Map<string, LogEntry[]> {
  // Some of a group that moulted are not the group.
  const own = entries.filter((each) => each.kind !== 'moulted' || each.data.count === undefined);
  const logs = groupBy(own, (each) => each.residentId ?? '');
  return new Map([...logs].map(([residentId, log]) => [residentId, log.map(logEntry)]));
}

const logEntry = ({ id, kind, on, at, data }: Entry): LogEntry => ({
  id,
  kind: kind as LogKind,
  on,
  at,
  sign: MOULT_SIGNS.find((known) => known === data.sign),
  ...(typeof data.alsoBy === 'string' && { alsoBy: data.alsoBy }),
  ...(typeof data.step === 'string' && { step: data.step }),
  ...(Array.isArray(data.dishes) && { dishes: data.dishes }),
});

import type { Entry } from '@/contract/storedEntries';
import type { LogEntry, LogKind } from '@/core/plan/work';
import { BODY_MEASURES, type BodyMeasure } from '@/core/profiles/profile';
import { groupBy } from '@/core/groupBy';

/** The log of each resident, as what is due is worked out from it. */
export function logsOf(entries: readonly Entry[]): Map<string, LogEntry[]> {
  // Some of a group that moulted are not the group.
  const own = entries.filter((each) => each.kind !== 'moulted' || each.data.count === undefined);
  const logs = groupBy(own, (each) => each.residentId ?? '');
  return new Map([...logs].map(([residentId, log]) => [residentId, log.flatMap(logEntries)]));
}

/** A weight and a count are told by the entry that measures: regular work asks for each by itself. */
function logEntries(entry: Entry): LogEntry[] {
  const told = logEntry(entry);
  if (entry.kind !== 'measured') return [told];
  const { massG, headCount, instars, stages } = entry.data;
  const isCounted = [headCount, instars, stages].some((each) => each !== undefined);
  return [
    told,
    ...(massG === undefined ? [] : [{ ...told, kind: 'weighed' as const }]),
    ...(isCounted ? [{ ...told, kind: 'counted' as const }] : []),
  ];
}

const hasSize = (data: { [Name in BodyMeasure]?: number | undefined }) =>
  BODY_MEASURES.some((name) => data[name] !== undefined);

const logEntry = (entry: Entry): LogEntry => ({
  ...{ id: entry.id, kind: entry.kind as LogKind, on: entry.on, at: entry.at },
  ...(entry.data.alsoBy !== undefined && { alsoBy: entry.data.alsoBy }),
  ...ownOf(entry),
});

/** What the round goes by of some kinds besides their day. */
function ownOf(entry: Entry): Partial<LogEntry> {
  switch (entry.kind) {
    case 'sign':
      return { sign: entry.data.sign };
    case 'taken-in':
    case 'moulted':
    case 'measured':
    case 'hatched':
      return hasSize(entry.data) ? { hasSize: true } : {};
    case 'skipped':
      return { skip: { job: entry.data.job, until: entry.data.until, why: entry.data.why } };
    case 'paper':
      return { paper: { title: entry.data.paper, expiresOn: entry.data.expiresOn ?? null } };
    case 'rest-step':
      return { step: entry.data.step };
    case 'offered':
      return entry.data.dishes ? { dishes: entry.data.dishes } : {};
    default:
      return {};
  }
}

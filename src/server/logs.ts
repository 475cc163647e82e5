import type { Entry } from '@/contract/entries';
import type { Dish } from '@/core/feeding/food';
import type { JobKind } from '@/core/plan/jobs';
import type { LogEntry, LogKind, SkipReason } from '@/core/plan/work';
import { BODY_MEASURES, MOULT_SIGNS } from '@/core/profiles/profile';
import { groupBy } from './groupBy';

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

const hasSize = (data: Entry['data']) => BODY_MEASURES.some((name) => data[name] !== undefined);

const logEntry = ({ id, kind, on, at, data }: Entry): LogEntry => ({
  id,
  kind: kind as LogKind,
  on,
  at,
  sign: MOULT_SIGNS.find((known) => known === data.sign),
  ...(typeof data.alsoBy === 'string' && { alsoBy: data.alsoBy }),
  ...(hasSize(data) && { hasSize: true }),
  ...(kind === 'skipped' && {
    skip: { job: data.job as JobKind, until: String(data.until), why: data.why as SkipReason },
  }),
  ...(kind === 'paper' && {
    paper: { title: String(data.paper), expiresOn: typeof data.expiresOn === 'string' ? data.expiresOn : null },
  }),
  ...(typeof data.step === 'string' && { step: data.step }),
  ...(Array.isArray(data.dishes) && { dishes: data.dishes as Dish[] }),
});

import type { Replay, ReplayResult } from '@/contract/replay';
import { dayOfMoment } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import type { Clock } from './clock';
import { residentsOf, type EntryWriter, type Seen, type When } from './entryWriter';
import { Problem } from './http/problem';
import type { Database, Queries } from './storage/database';
import { findEntry } from './storage/entries';
import { apart } from './storage/savepoint';

/**
 * Writes what a phone kept while nobody answered, in the order in which it was done there; each act whole or not at all,
 * and each once. One that is refused keeps nobody behind it waiting.
 */
export async function replayed(
  database: Database,
  clock: Clock,
  writer: EntryWriter,
  { sentAt, acts }: Replay,
): Promise<ReplayResult[]> {
  const now = Date.parse(clock.now());
  const times = timesOf(now, Date.parse(sentAt), acts);
  // One commit for all of them: to put each on the disk by itself would take minutes for a long walk.
  return database.transaction(async (queries) => {
    const results: ReplayResult[] = [];
    const seen: Seen = { residents: new Map() };
    for (const [index, { id, entries }] of acts.entries()) {
      results.push({ id, ...(await outcomeOf(queries, writer, entries, times[index] as When, seen)) });
    }
    return results;
  });
}

type Outcome = Omit<ReplayResult, 'id'>;

async function outcomeOf(
  queries: Queries,
  writer: EntryWriter,
  entries: Replay['acts'][number]['entries'],
  when: When,
  seen: Seen,
): Promise<Outcome> {
  const first = entries[0]?.id;
  if (first !== undefined && (await findEntry(queries, first))) return { outcome: 'known' };
  try {
    const { already } = await apart(queries, () => writer.addMany(queries, entries, when, seen));
    return already ? { outcome: 'already', keeper: already.keeper } : { outcome: 'written' };
  } catch (error) {
    if (!(error instanceof Refusal) && !(error instanceof Problem)) throw error;
    for (const resident of residentsOf(entries)) seen.residents.delete(resident);
    const fields = error.fields ?? [];
    return { outcome: 'refused', message: [error.message, ...fields.map(({ message }) => message)].join(' ') };
  }
}

/**
 * When each act was done by the clock of the house: the clock of the phone is set right by what it says now. One that jumped
 * in between cannot put an act before the one done earlier, before the day the phone had last heard of, or after now.
 */
export function timesOf(
  nowMs: number,
  sentMs: number,
  acts: readonly Pick<Replay['acts'][number], 'madeAt' | 'heardOn'>[],
): When[] {
  let earliest = 0;
  return acts.map(({ madeAt, heardOn }) => {
    const byPhone = Date.parse(madeAt) + nowMs - sentMs;
    const at = Math.min(nowMs, Math.max(byPhone, earliest, Date.parse(`${heardOn}T00:00:00`)));
    earliest = at;
    return { at: new Date(at).toISOString(), on: dayOfMoment(new Date(at)) };
  });
}

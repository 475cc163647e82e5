import type { Replay, ReplayResult } from '@/contract/replay';
import { dayOfMoment } from '@/core/measure/day';
import { Refusal } from '@/core/refusal';
import type { Clock } from './clock';
import { residentsOf, type EntryWriter, type Seen, type When } from './entryWriter';
import { Problem } from './http/problem';
import type { Database, Queries } from './storage/database';
import { letOthersIn } from './house/inTurn';
import { knownIds } from './storage/entries';
import { apart } from './storage/savepoint';

/** So many acts are written at once: where none is refused, that takes three quarters of the time. Measured */
const TOGETHER = 20;
/** Others are answered after so long. ms */
const PART_MS = 8;

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
    const sent = acts.flatMap(({ entries }) => entries.flatMap(({ id }) => id ?? []));
    const ids = await knownIds(queries, sent);
    const seen: Seen = { residents: new Map(), ids, fresh: new Set(sent.filter((id) => !ids.has(id))) };
    let began = performance.now();
    for (let from = 0; from < acts.length; from += TOGETHER) {
      if (performance.now() - began > PART_MS) {
        await letOthersIn();
        began = performance.now();
      }
      const some = acts
        .slice(from, from + TOGETHER)
        .map((act, index) => ({ ...act, when: times[from + index] as When }));
      results.push(...(await outcomesOf(queries, writer, some, seen)));
    }
    return results;
  });
}

type Act = Replay['acts'][number] & { when: When };

/** Some acts as if none were refused; where one is, each by itself. */
async function outcomesOf(
  queries: Queries,
  writer: EntryWriter,
  acts: readonly Act[],
  seen: Seen,
): Promise<ReplayResult[]> {
  const each = async (work: (act: Act) => Promise<Outcome>) => {
    const results: ReplayResult[] = [];
    for (const act of acts) results.push({ id: act.id, ...(await work(act)) });
    return results;
  };
  try {
    return await apart(queries, () => each((act) => written(queries, writer, act, seen)));
  } catch (error) {
    if (!isRefusal(error)) throw error;
    for (const { entries } of acts) forget(seen, entries);
    return each((act) => outcomeOf(queries, writer, act, seen));
  }
}

type Outcome = Omit<ReplayResult, 'id'>;

async function written(queries: Queries, writer: EntryWriter, { entries, when }: Act, seen: Seen): Promise<Outcome> {
  const first = entries[0]?.id;
  if (first !== undefined && seen.ids?.has(first)) return { outcome: 'known' };
  const { already } = await writer.addMany(queries, entries, when, seen);
  return already ? { outcome: 'already', keeper: already.keeper } : { outcome: 'written' };
}

async function outcomeOf(queries: Queries, writer: EntryWriter, act: Act, seen: Seen): Promise<Outcome> {
  try {
    return await apart(queries, () => written(queries, writer, act, seen));
  } catch (error) {
    if (!isRefusal(error)) throw error;
    forget(seen, act.entries);
    return {
      outcome: 'refused',
      message: [error.message, ...(error.fields ?? []).map(({ message }) => message)].join(' '),
    };
  }
}

const isRefusal = (error: unknown): error is Refusal | Problem => error instanceof Refusal || error instanceof Problem;

/** What was taken back was not seen. */
function forget(seen: Seen, entries: Act['entries']): void {
  for (const resident of residentsOf(entries)) seen.residents.delete(resident);
  for (const { id } of entries) if (id !== undefined && seen.fresh?.has(id)) seen.ids?.delete(id);
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

import type { EntryVersion } from '@/contract/mending';
import type { TakenBack } from '@/contract/records';
import type { Entry } from '@/contract/storedEntries';
import type { Queries } from './database';
import { COLUMNS, fromRow, type EntryRow } from './entries';

/** Keeps how an entry stands, before it is put right. Answers how many versions are kept now. */
export async function keepVersion(queries: Queries, was: Entry, changedAt: string, by: string | null): Promise<number> {
  const { kind, residentId, homeId, on, at, keeper, note, data } = was;
  const [row] = await queries.query<{ number: number }>(
    `INSERT INTO entry_version (entry_id, number, was, changed_at, changed_by)
     SELECT $1, 1 + count(*), $2::jsonb, $3, $4 FROM entry_version v WHERE v.entry_id = $1 RETURNING number`,
    [was.id, JSON.stringify({ kind, residentId, homeId, on, at, keeper, note, data }), changedAt, by],
  );
  return row?.number ?? 1;
}

/** How an entry stood before it was put right, the latest first. */
export async function versionsOf(queries: Queries, entryId: string): Promise<EntryVersion[]> {
  type Was = Omit<EntryVersion, 'number' | 'changedAt' | 'changedBy'>;
  const rows = await queries.query<{ number: number; was: Was; changed_at: string; changed_by: string | null }>(
    'SELECT number, was, changed_at, changed_by FROM entry_version WHERE entry_id = $1 ORDER BY number DESC',
    [entryId],
  );
  return rows.map(({ number, was, changed_at, changed_by }) => ({
    ...was,
    ...{ number, changedAt: changed_at, changedBy: changed_by },
  }));
}

/** Marks one entry alone as undone, or as standing again. */
export async function setUndone(queries: Queries, id: string, at: string | null): Promise<void> {
  await queries.query('UPDATE entry SET undone_at = $2 WHERE id = $1', [id, at]);
}

/** Writes an entry anew in its place. */
export async function rewriteEntry(queries: Queries, { id, ...entry }: Entry): Promise<void> {
  await queries.query(
    `UPDATE entry SET resident_id = $2, home_id = $3, on_day = $4, keeper = $5, note = $6, data = $7::jsonb, undone_at = NULL
     WHERE id = $1`,
    [id, entry.residentId, entry.homeId, entry.on, entry.keeper, entry.note, JSON.stringify(entry.data)],
  );
}

/** What came of a meal goes with it to whom it was about. */
export async function moveAnswers(queries: Queries, mealId: string, from: string, to: string): Promise<void> {
  await queries.query(
    `UPDATE entry SET resident_id = $3 WHERE resident_id = $2 AND data ->> 'answers' IN ('meal ' || $1::text, 'search ' || $1::text)`,
    [mealId, from, to],
  );
}

/** One act: that all of it can be taken back at once. */
export async function pairAll(queries: Queries, ids: readonly string[], pair: string): Promise<void> {
  await queries.query('UPDATE entry SET pair = $2 WHERE id = ANY ($1::uuid[])', [ids, pair]);
}

/**
 * Of each kind how many entries rest on one and are no part of its own act: on a taking in all about the animal, on a rest its
 * steps, on a trouble what came of it.
 */
export async function restingOn(queries: Queries, entry: Entry): Promise<Map<Entry['kind'], number>> {
  const rows = await queries.query<{ kind: Entry['kind']; times: number }>(
    `SELECT e.kind, count(*) AS times FROM entry e
     WHERE e.undone_at IS NULL AND e.id <> $1 AND e.resident_id = $2
       AND ($3 = 'taken-in' OR e.data ->> 'restId' = $1::text OR e.data ->> 'troubleId' = $1::text)
       AND e.pair IS DISTINCT FROM coalesce((SELECT p.pair FROM entry p WHERE p.id = $1), $1)
     GROUP BY e.kind ORDER BY count(*) DESC, e.kind`,
    [entry.id, entry.residentId, entry.kind],
  );
  return new Map(rows.map(({ kind, times }) => [kind, Number(times)]));
}

/** The first day on which something was done with a resident that cannot have been before it came. */
export async function firstDayOf(
  queries: Queries,
  residentId: string,
  besides: readonly Entry['kind'][],
): Promise<{ kind: Entry['kind']; on: string } | undefined> {
  const [row] = await queries.query<{ kind: Entry['kind']; on_day: string }>(
    `SELECT e.kind, e.on_day FROM entry e WHERE e.resident_id = $1 AND e.undone_at IS NULL AND NOT e.kind = ANY ($2)
     ORDER BY e.on_day LIMIT 1`,
    [residentId, besides],
  );
  return row && { kind: row.kind, on: row.on_day };
}

/** What was taken back in the same act as an entry, itself among it. */
export async function undoneWith(queries: Queries, { id, undoneAt }: Entry): Promise<string[]> {
  const rows = await queries.query<{ id: string }>(
    `SELECT e.id FROM entry e
     WHERE e.id = $1 OR (e.undone_at = $2 AND (e.pair = (SELECT p.pair FROM entry p WHERE p.id = $1)
       OR e.resident_id = (SELECT p.resident_id FROM entry p WHERE p.id = $1)))`,
    [id, undoneAt],
  );
  return rows.map((row) => row.id);
}

/** Marks entries as standing again. Answers those that were marked. */
export async function markStanding(queries: Queries, ids: readonly string[]): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `UPDATE entry e SET undone_at = NULL WHERE e.id = ANY ($1::uuid[]) RETURNING ${COLUMNS}`,
    [ids],
  );
  return rows.map((row) => fromRow(row));
}

interface TakenBackRow {
  id: string;
  called: string | null;
  scientific_name: string;
  entry_id: string;
  on_day: string;
  undone_at: string;
}

/** Those whose taking in was taken back, the latest first. */
export async function listTakenBack(queries: Queries): Promise<TakenBack[]> {
  const rows = await queries.query<TakenBackRow>(
    `SELECT r.id, r.called, r.scientific_name, last.id AS entry_id, last.on_day, last.undone_at
     FROM resident r CROSS JOIN LATERAL (
       SELECT e.id, e.on_day, e.undone_at FROM entry e WHERE e.resident_id = r.id AND e.kind = 'taken-in'
       ORDER BY e.undone_at DESC NULLS FIRST LIMIT 1) last
     WHERE last.undone_at IS NOT NULL ORDER BY last.undone_at DESC, r.id`,
  );
  return rows.map(({ id, called, scientific_name, entry_id, on_day, undone_at }) => ({
    ...{ id, called, scientificName: scientific_name },
    ...{ entryId: entry_id, takenInOn: on_day, takenBackAt: undone_at },
  }));
}

/** What was written about a resident and taken back, the latest taken back first. */
export async function undoneOf(queries: Queries, residentId: string, most: number): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e WHERE e.resident_id = $1 AND e.undone_at IS NOT NULL
     ORDER BY e.undone_at DESC, e.seq DESC LIMIT $2`,
    [residentId, most],
  );
  return rows.map((row) => fromRow(row));
}

import type { Entry } from '@/contract/records';
import type { Stage } from '@/core/profiles/profile';
import type { Queries } from './database';

interface EntryRow {
  id: string;
  kind: Entry['kind'];
  resident_id: string | null;
  home_id: string | null;
  on_day: string;
  at: string;
  keeper: string | null;
  note: string | null;
  data: Entry['data'];
  undone_at: string | null;
}

const COLUMNS = 'e.id, e.kind, e.resident_id, e.home_id, e.on_day, e.at, e.keeper, e.note, e.data, e.undone_at';

const fromRow = (row: EntryRow): Entry => ({
  id: row.id,
  kind: row.kind,
  residentId: row.resident_id,
  homeId: row.home_id,
  on: row.on_day,
  at: row.at,
  keeper: row.keeper,
  note: row.note,
  data: row.data,
  undoneAt: row.undone_at,
});

export async function findEntry(queries: Queries, id: string): Promise<Entry | undefined> {
  const [row] = await queries.query<EntryRow>(`SELECT ${COLUMNS} FROM entry e WHERE e.id = $1`, [id]);
  return row && fromRow(row);
}

/** Writes an entry; false when one with this id is there already. */
export async function insertEntry(queries: Queries, entry: Omit<Entry, 'undoneAt'>): Promise<boolean> {
  const rows = await queries.query(
    `INSERT INTO entry (id, kind, resident_id, home_id, on_day, at, keeper, note, data)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9::jsonb) ON CONFLICT (id) DO NOTHING RETURNING id`,
    [
      entry.id,
      entry.kind,
      entry.residentId,
      entry.homeId,
      entry.on,
      entry.at,
      entry.keeper,
      entry.note,
      JSON.stringify(entry.data),
    ],
  );
  return rows.length > 0;
}

/** Writes many entries at once, in the order given; their ids must be new. */
export async function insertEntries(queries: Queries, entries: Omit<Entry, 'undoneAt'>[]): Promise<void> {
  await queries.query(
    `INSERT INTO entry (id, kind, resident_id, home_id, on_day, at, keeper, note, data)
     SELECT r.id, r.kind, r."residentId", r."homeId", r."on", r.at, r.keeper, r.note, r.data
     FROM ROWS FROM (jsonb_to_recordset($1::jsonb) AS (id uuid, kind text, "residentId" uuid, "homeId" uuid, "on" date,
       at timestamptz, keeper text, note text, data jsonb)) WITH ORDINALITY AS r (id, kind, "residentId", "homeId", "on",
       at, keeper, note, data, place)
     ORDER BY r.place`,
    [JSON.stringify(entries)],
  );
}

/** How many entries of a kind about a home have not been undone. */
export async function countStanding(queries: Queries, homeId: string, kind: Entry['kind']): Promise<number> {
  const [row] = await queries.query<{ standing: number }>(
    'SELECT count(*) AS standing FROM entry WHERE home_id = $1 AND kind = $2 AND undone_at IS NULL',
    [homeId, kind],
  );
  return row?.standing ?? 0;
}

export async function markUndone(queries: Queries, id: string, at: string): Promise<void> {
  await queries.query('UPDATE entry SET undone_at = $2 WHERE id = $1 AND undone_at IS NULL', [id, at]);
}

/** The standing entries about a resident and about the soil of its home of the day, newest first. */
export async function historyOf(queries: Queries, residentId: string, limit: number): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e
     WHERE e.undone_at IS NULL AND (e.resident_id = $1 OR (e.kind = 'soil-set' AND e.home_id = (
       SELECT l.home_id FROM entry l
       WHERE l.resident_id = $1 AND l.kind IN ('taken-in', 'moved') AND l.undone_at IS NULL AND l.on_day <= e.on_day
       ORDER BY l.on_day DESC, l.at DESC, l.seq DESC LIMIT 1)))
     ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT $2`,
    [residentId, limit],
  );
  return rows.map(fromRow);
}

/**
 * What the round of `day` needs of the log: of every resident the latest entry of each kind (of signs: each kind of
 * sign) before that day, and all of that day.
 */
export async function entriesForRound(queries: Queries, day: string): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT * FROM (
       SELECT DISTINCT ON (e.resident_id, e.kind, e.data ->> 'sign') ${COLUMNS} FROM entry e
       WHERE e.undone_at IS NULL AND e.resident_id IS NOT NULL AND e.on_day < $1
       ORDER BY e.resident_id, e.kind, e.data ->> 'sign', e.on_day DESC, e.at DESC, e.seq DESC) past
     UNION ALL
     SELECT ${COLUMNS} FROM entry e WHERE e.undone_at IS NULL AND e.resident_id IS NOT NULL AND e.on_day = $1`,
    [day],
  );
  return rows.map(fromRow);
}

/** The entries about the water of a home, and of who moved in, newest first. */
export async function waterEntriesOf(queries: Queries, homeId: string): Promise<Entry[]> {
  const rows = await queries.query<EntryRow>(
    `SELECT ${COLUMNS} FROM entry e JOIN resident_now r ON r.id = e.resident_id
     WHERE r.home_id = $1 AND e.kind IN ('damped', 'felt', 'moved', 'taken-in') AND e.undone_at IS NULL
     ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 60`,
    [homeId],
  );
  return rows.map(fromRow);
}

/** The moults of every resident that is here, oldest first, with the size taken after each and the stage it began. */
export async function moultsOfAll(
  queries: Queries,
  measure: string,
): Promise<Map<string, { on: string; sizeMm?: number; stage?: Stage }[]>> {
  const rows = await queries.query<{ resident_id: string; on_day: string; size: number | null; stage: Stage | null }>(
    `SELECT DISTINCT ON (e.resident_id, e.on_day) e.resident_id, e.on_day,
       (e.data ->> $1)::double precision AS size, e.data ->> 'stage' AS stage
     FROM entry e WHERE e.kind = 'moulted' AND e.undone_at IS NULL
     ORDER BY e.resident_id, e.on_day, e.at DESC, e.seq DESC`,
    [measure],
  );
  const moults = new Map<string, { on: string; sizeMm?: number; stage?: Stage }[]>();
  for (const { resident_id, on_day, size, stage } of rows) {
    const list = moults.get(resident_id) ?? [];
    list.push({ on: on_day, ...(size !== null && { sizeMm: size }), ...(stage !== null && { stage }) });
    moults.set(resident_id, list);
  }
  return moults;
}
